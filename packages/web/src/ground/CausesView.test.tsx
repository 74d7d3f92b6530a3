import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { idOf, samplePlots, show } from '../../test/show';
import { CausesView } from './CausesView';

const rows = (): string[] =>
  within(screen.getByTestId('causes'))
    .getAllByRole('row')
    .slice(1)
    .map((r) => r.textContent ?? '');

test('signs lead to causes, the cheapest check first, and unticking takes them away', async () => {
  await show(<CausesView />);
  expect(screen.queryByTestId('causes')).toBeNull();
  const pale = within(screen.getByRole('group', { name: 'On the old leaves first' })).getByLabelText(
    'pale or yellow all over',
  );
  await userEvent.click(pale);
  expect(rows()[0]).toMatch(/^only age.*a lookDo nothing\.$/);
  expect(rows().at(-1)).toMatch(/^too little nitrogen.*a laboratory/);
  await userEvent.click(screen.getByLabelText('wilts by day'));
  expect(rows().find((r) => r.startsWith('too wet'))).toMatch(/2 of 2$/);
  await userEvent.click(pale);
  await userEvent.click(screen.getByLabelText('wilts by day'));
  expect(screen.queryByTestId('causes')).toBeNull();
});

test('where the plot’s pH locks a nutrient away, the shortage says so: put that right first; a newer report outranks the plot', async () => {
  const limed = { ...samplePlots[0]!, pH: 7.9 };
  const first = await show(<CausesView />, { records: { plot: [limed] } });
  const between = (): HTMLElement =>
    within(screen.getByRole('group', { name: 'On the new leaves first' })).getByLabelText('yellow between green veins');
  await userEvent.click(between());
  expect(rows().find((r) => r.startsWith('too little iron'))).toMatch(
    /Test before you treat\.At your pH 7\.9 it is in the soil, locked as rust: put that right first\.$/,
  );
  first.unmount();
  const report = {
    id: idOf(951),
    version: 1,
    updatedAt: '2026-02-20T10:00:00.000Z',
    deletedAt: null,
    plotId: limed.id,
    name: 'Slip',
    sampledOn: '2026-02-09',
    depthM: 0.15,
    note: '',
    figures: [{ analyte: 'pH', value: { kind: 'number', value: 6.4 }, unit: '', method: 'water' }],
  } as const;
  await show(<CausesView />, { records: { plot: [limed], soil: [{ ...report, figures: [...report.figures] }] } });
  await userEvent.click(between());
  expect(rows().find((r) => r.startsWith('too little iron'))).toMatch(/Test before you treat\.$/);
});
