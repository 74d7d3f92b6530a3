import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { PROGRAMMES } from '@wheat-ledger/demo';
import type { ProgrammeRecord } from '@wheat-ledger/contract';
import { idOf, productNamed, samplePlots, sampleSeasons, show } from '../../test/show';
import { CropsView } from './CropsView';
import { ProgrammeEditor } from './ProgrammeEditor';
import { PlotSeasons } from './PlotSeasons';

/** A worker that is still at it: the page’s own numbers do not wait for it. */
class SlowWorker extends EventTarget {
  postMessage(): void {}
  terminate(): void {}
}
/** A line to a worker that says nothing. */
class QuietChannel {
  readonly port1 = Object.assign(new EventTarget(), { start: () => undefined, postMessage: () => undefined });
  readonly port2 = {};
}
beforeAll(() => Object.assign(globalThis, { Worker: SlowWorker, MessageChannel: QuietChannel }));

const wheat = samplePlots[0]!;

test('a plot’s seasons, the newest looked at; another is chosen, and what is known of its crop stands below', async () => {
  await show(<PlotSeasons plot={wheat} />);
  const rows = screen.getAllByTestId('season');
  expect(rows.map((r) => within(r).getAllByRole('cell')[0]!.textContent)).toEqual([
    'Heritage bread wheat',
    'Phacelia',
    'Winter garlic',
  ]);
  expect(within(rows[0]!).getByRole<HTMLInputElement>('radio').checked).toBe(true);
  expect(screen.getByTestId('crop-facts').textContent).toContain('Roots down to');
  await userEvent.click(within(rows[1]!).getByRole('radio'));
  const facts = screen.getByTestId('crop-facts');
  expect(within(facts).getByRole('heading').textContent).toBe('What is known of phacelia');
  // Nothing is harvested of it, and nothing is said as if it were nought.
  expect(within(facts).getAllByText('not known').length).toBeGreaterThan(6);
});

test('a plot without a season asks what grows there', async () => {
  await show(<PlotSeasons plot={wheat} />, { records: { season: [] } });
  expect(screen.getByText(/Nothing is said yet of what grows here/)).toBeTruthy();
  expect(screen.getByRole('heading', { name: 'What grows here, and from when' })).toBeTruthy();
});

test('crops are found by name and open to what is known of them', async () => {
  await show(<CropsView />, { path: '/ground/crops', route: '/ground/crops' });
  await userEvent.type(screen.getByRole('searchbox'), 'blueb');
  await userEvent.click(screen.getByRole('button', { name: 'Blueberries' }));
  expect(screen.getByTestId('crop-facts').textContent).toContain('ericoid');
  expect(screen.getByRole('link', { name: /Make it mine/ }).getAttribute('href')).toBe(
    '/ground/crops/new?from=blueberry',
  );
  await userEvent.type(screen.getByRole('searchbox'), 'zzz');
  expect(screen.getByText(/No crop is called/)).toBeTruthy();
});

const { applications, name, note } = PROGRAMMES[0]!;
const programme: ProgrammeRecord = {
  name,
  note,
  id: idOf(801),
  version: 1,
  updatedAt: '2026-02-20T10:00:00.000Z',
  deletedAt: null,
  seasonId: sampleSeasons.find((s) => s.crop === 'wheat')!.id,
  applications: applications.map(({ what, product, amount, when, where, part, note: said }) => ({
    what,
    productId: productNamed(product ?? '').id,
    amount,
    when,
    where,
    part,
    note: said,
  })),
};

test('a programme in numbers as it is typed: 40 g/m² on 900 m² is 36 kg, doubled it is 72; what cannot be read is not counted', async () => {
  await show(<ProgrammeEditor />, {
    path: `/ground/${wheat.id}/programmes/${programme.id}`,
    route: '/ground/:id/programmes/:programme',
    records: { programme: [programme] },
  });
  const kilograms = () =>
    screen.getAllByTestId('row-numbers').map((row) => within(row).getAllByRole('button')[0]!.textContent);
  expect(kilograms()).toEqual(['36.0', '81.0']);
  const nitrogen = () =>
    within(screen.getByTestId('programme-totals')).getAllByRole('row')[1]!.querySelector('button')?.textContent;
  expect(nitrogen()).toBe('88.0');
  const [amount] = screen.getAllByLabelText('How much');
  await userEvent.clear(amount!);
  await userEvent.type(amount!, '80 g/m²');
  expect(kilograms()).toEqual(['72.0', '81.0']);
  expect(nitrogen()).toBe('140');
  await userEvent.clear(amount!);
  await userEvent.type(amount!, 'plenty');
  expect(kilograms()).toEqual(['81.0']);
  expect(screen.getByTestId('row-numbers').textContent).toMatch(/^2 Hollow Hen Pellets/);
  expect(screen.getByTestId('season-line').getAttribute('aria-label')).toContain('something is given once');
});
