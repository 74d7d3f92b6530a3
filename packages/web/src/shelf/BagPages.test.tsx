import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { toProduct, type AttachmentRecord, type JournalRecord, type ProductRecord } from '@wheat-ledger/contract';
import { idOf, productNamed, show } from '../../test/show';
import { api } from '../app/api';
import { Attachments } from '../ui/Attachments';
import { ElementsView } from './ElementsView';
import { KitchenView } from './KitchenView';
import { LabelMargin } from './LabelMargin';
import { EditProduct } from './ProductEditor';
import { VersionsView } from './VersionsView';

const hen = productNamed('Hollow Hen Pellets');
const KEPT = { version: 1, updatedAt: '2026-02-20T10:00:00.000Z', deletedAt: null };
beforeEach(() => localStorage.clear());
const rowOf = (table: string, name: string): string =>
  within(screen.getByTestId(table))
    .getByRole('rowheader', { name: new RegExp(name) })
    .closest('tr')?.textContent ?? '';

test('elements: what is detected, below, or not tested, what a year brings, and whether that can matter', async () => {
  const { store } = await show(<ElementsView />, { path: `/shelf/${hen.id}/elements`, route: '/shelf/:id/elements' });
  expect(screen.getByTestId('usable').textContent).toMatch(/brings N, P, K, Ca, Mg, S, Mn, Zn, Cu/);
  expect(rowOf('elements-essential', 'zinc')).toMatch(/detected310 mg\/kg0\.093 g\/m²/);
  expect(rowOf('elements-essential', 'molybdenum')).toMatch(/not tested.*cannot tell/);
  expect(rowOf('elements-contaminant', 'cadmium')).toMatch(/below detection< 0\.5 mg\/kg< 1\.5 g\/ha$/);
  await userEvent.click(
    within(screen.getByTestId('elements-contaminant')).getByRole('button', { name: /2\.4 mg\/kg/ }),
  );
  expect(store.getState().desk.working?.label).toBe('lead, as Pb');
});

test('without a label rate there is no dose, and the page says so', async () => {
  const bare = Object.fromEntries(
    Object.entries(hen).filter(([field]) => field !== 'directions'),
  ) as unknown as ProductRecord;
  await show(<ElementsView />, {
    path: `/shelf/${hen.id}/elements`,
    route: '/shelf/:id/elements',
    records: { product: [bare] },
  });
  expect(document.body.textContent).toMatch(/gives no rate, so no dose can be worked out/);
  expect(rowOf('elements-essential', 'zinc')).toMatch(/310 mg\/kg.*cannot tell/);
});

test('each rate by water says what is fed; rates by plant alone give no dose for the ground', async () => {
  const feed = productNamed('Ossel Clear Feed');
  const directions = [
    { use: 'weekly', amount: 10, unit: 'mL', per: { amount: 1, unit: 'L of water' } },
    { use: '', amount: 5, unit: 'mL', per: { amount: 1, unit: 'L of water' } },
    { use: '', amount: 50, unit: 'mL', per: { amount: 1, unit: 'plant' } },
  ];
  await show(<ElementsView />, {
    path: `/shelf/${feed.id}/elements`,
    route: '/shelf/:id/elements',
    records: { product: [{ ...feed, directions }] },
  });
  // 10 mL × 1.18 kg/L × 4 % ÷ 1.01 L = 467 mg/L; 5 mL: 236 ÷ 1.005 = 235
  expect(screen.getAllByTestId('as-fed').map((p) => /weekly: |N \d+/.exec(p.textContent ?? '')?.[0])).toEqual([
    'weekly: ',
    'N 235',
  ]);
  expect(screen.getAllByTestId('as-fed')[0]?.textContent).toMatch(/N 467 mg\/L/);
  expect(document.body.textContent).toMatch(/rates by the water it is fed with and by the plant only/);
});

const entry = (id: string, at: string, action: 'create' | 'update', after: object): JournalRecord => ({
  id,
  at,
  who: 'gardener',
  kind: 'product',
  recordId: hen.id,
  name: hen.name,
  action,
  undoes: null,
  operation: '',
  why: '',
  before: null,
  after,
  undoable: false,
});

test('versions: what the book kept is compared with today’s, and any other bag can be chosen instead', async () => {
  const shown = await show(<VersionsView />, { path: `/shelf/${hen.id}/versions`, route: '/shelf/:id/versions' });
  const earlier = {
    ...hen,
    grade: '5-3-3',
    analysis: hen.analysis.map((l) => (l.analyte === 'N' ? { ...l, value: { kind: 'number', value: 5 } } : l)),
  };
  await shown.store.dispatch(
    api.util.upsertQueryData(
      'recordHistory',
      { recordId: hen.id },
      {
        items: [
          entry('2', '2026-02-20T10:00:00Z', 'update', hen),
          entry('1', '2025-03-04T10:00:00Z', 'create', earlier),
        ],
        next: null,
      },
    ),
  );
  await waitFor(() => expect(screen.getByTestId('version-summary').textContent).toBe('2 things differ.'));
  expect(rowOf('version-figures', '^nitrogen')).toBe('nitrogen5 %4 %less');
  expect(rowOf('version-figures', 'phosphorus')).toMatch(/same$/);
  expect(screen.getByTestId('version-words').textContent).toMatch(/grade line5-3-34-3-3$/);
  await userEvent.selectOptions(screen.getByLabelText('Before'), 'Barn straw');
  expect(rowOf('version-figures', '^nitrogen')).toMatch(/0\.4–0\.7 %4 %more/);
});

test('a bag with one version asks what to compare it with', async () => {
  await show(<VersionsView />, { path: `/shelf/${hen.id}/versions`, route: '/shelf/:id/versions' });
  expect(document.body.textContent).toMatch(/one version so far/);
  await userEvent.selectOptions(screen.getByLabelText('Before'), 'Barn straw');
  expect(screen.getByTestId('version-figures')).toBeTruthy();
});

test('a kitchen extract answers while typing, says what limits it, and what was misread', async () => {
  await show(<KitchenView />);
  expect(screen.getByTestId('kitchen-limit').textContent).toMatch(/acid is used up first/);
  const weight = screen.getByLabelText('How much');
  await userEvent.clear(weight);
  await userEvent.type(weight, '1/2 oz');
  expect(screen.getByTestId('kitchen-limit').textContent).toMatch(/solid is used up first/);
  expect(screen.getByTestId('stronger').textContent).toMatch(/0\.39 pH units lower, not 6 times/);
  await userEvent.clear(weight);
  await userEvent.type(weight, 'a handful');
  expect(document.body.textContent).toMatch(/Read “?"?a handful/);
  expect(screen.queryByTestId('kitchen')).toBeNull();
});

const LABEL = { title: 'Photos and papers', hint: 'of the label', unsaved: 'Save the bag first.' };
const photo: AttachmentRecord = {
  ...KEPT,
  id: idOf(801),
  productId: hen.id,
  name: 'front.png',
  sha256: 'a'.repeat(64),
  type: 'image/png',
  bytes: 412_000,
};

test('photos of this bag are shown and of no other; a file too large is refused before it is sent', async () => {
  await show(<Attachments owner={{ productId: hen.id }} {...LABEL} />, {
    records: {
      attachment: [photo, { ...photo, id: idOf(802), productId: idOf(1), name: 'other.pdf', type: 'application/pdf' }],
    },
  });
  expect(screen.getByAltText('front.png').getAttribute('src')).toBe(`/api/v1/attachments/${photo.id}/content`);
  expect(document.body.textContent).not.toContain('other.pdf');
  const fetched = jest.fn();
  globalThis.fetch = fetched;
  const huge = new File([new Uint8Array(10)], 'huge.png', { type: 'image/png' });
  Object.defineProperty(huge, 'size', { value: 6_000_000 });
  await userEvent.upload(screen.getByLabelText(/Attach a photo/), huge);
  expect(screen.getByRole('alert').textContent).toMatch(/Read a file of 6\.0 MB, expected at most 5\.0 MB/);
  expect(fetched).not.toHaveBeenCalled();
});

test('what the server refuses is told in its words', async () => {
  globalThis.fetch = jest.fn(
    async () =>
      new Response(
        JSON.stringify({
          type: '/problems/no-picture',
          title: 'Wrong kind',
          status: 415,
          detail: 'Read a file of the kind application/zip, expected a photo (JPEG, PNG, WebP) or a PDF.',
        }),
        { status: 415, headers: { 'content-type': 'application/problem+json' } },
      ),
  );
  await show(<Attachments owner={{ productId: hen.id }} {...LABEL} />);
  await userEvent.upload(screen.getByLabelText(/Attach a photo/), new File(['PK'], 'trick.png', { type: 'image/png' }));
  await waitFor(() => expect(screen.getByRole('alert').textContent).toMatch(/application\/zip, expected a photo/));
});

test('a bag that is not saved yet has nothing to attach to', async () => {
  await show(<Attachments owner={undefined} {...LABEL} />);
  expect(document.body.textContent).toMatch(/Save the bag first/);
  expect(screen.queryByLabelText(/Attach a photo/)).toBeNull();
});

test('prices seen stand beside the label, newest first, with the cheapest marked; one price is no history', async () => {
  const offers = [
    { size: 20, unit: 'kg', price: { amount: '11.80', currency: 'EUR' }, seenOn: '2026-02-20' },
    { size: 25, unit: 'kg', price: { amount: '12.50', currency: 'EUR' }, seenOn: '2025-03-04', seller: 'Ossel & Wick' },
  ];
  const { unmount } = await show(<LabelMargin draft={toProduct({ ...hen, offers }, hen.id)} />);
  const seen = within(screen.getByTestId('prices-seen'))
    .getAllByRole('listitem')
    .map((e) => e.textContent);
  expect(seen).toEqual(['20 Feb 20260.590 EUR/kg20 kg', '4 Mar 20250.500 EUR/kg25 kg, Ossel & Wick cheapest seen']);
  unmount();
  await show(<LabelMargin draft={toProduct({ ...hen, offers: offers.slice(1) }, hen.id)} />);
  expect(screen.queryByTestId('prices-seen')).toBeNull();
});

test('a weight that could be two is asked about once: the answer is written plainly, and holds for what is typed after', async () => {
  const { store } = await show(<EditProduct />, { path: `/shelf/${hen.id}`, route: '/shelf/:id' });
  const type = async (label: string, text: string) => {
    const field = screen.getByLabelText<HTMLInputElement>(label);
    await userEvent.clear(field);
    await userEvent.click(field);
    await userEvent.paste(text);
    await userEvent.tab();
    return field;
  };
  const stock = await type('Package 2', '2,500 kg');
  expect(await screen.findByText(/could be 2500 or 2.5: say which/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: '2500 kg' }));
  expect(stock.value).toBe('2500 kg');
  await waitFor(() => expect(screen.queryByText(/could be 2500/)).toBeNull());
  expect(store.getState().settings.decimalMark).toBe('point');
  const density = await type('Density, kg/L', '1.250');
  await waitFor(() => expect(density.value).toBe('1.25'));
});
