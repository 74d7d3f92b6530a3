import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { BenchPlace, RecipeRecord } from '@wheat-ledger/contract';
import { api } from '../app/api';
import { settingsSlice } from '../app/slices';
import { OnBench } from '../ui/OnBench';
import { idOf, productNamed, sampleProducts, show } from '../../test/show';
import { Bench } from './Bench';

/** What the server was asked to keep, one after the other. */
let laid: (readonly BenchPlace[])[] = [];
let answer: (body: string) => Response = (body) =>
  new Response(body, { headers: { 'Content-Type': 'application/json' } });
beforeEach(() => {
  localStorage.clear();
  laid = [];
  answer = (body) => new Response(body, { headers: { 'Content-Type': 'application/json' } });
  globalThis.fetch = jest.fn(async (input: RequestInfo | URL) => {
    const request = input as Request;
    if (request.method !== 'PUT' || !request.url.endsWith('/bench')) return new Response('{}', { status: 404 });
    const body = await request.text();
    laid.push((JSON.parse(body) as { places: BenchPlace[] }).places);
    return answer(body);
  });
});
const bench = (): string => screen.getByTestId('bench').textContent ?? '';
/** The page hears of a change a moment after it. */
const says = (words: RegExp): Promise<void> => waitFor(() => expect(bench()).toMatch(words));
const ids = (n: number): string[] => sampleProducts.slice(0, n).map((p) => p.id);

test('what is changed shows at once and is laid in the ledger, the last as it stands', async () => {
  const [first, second] = ids(2);
  await show(<Bench />, { bench: ids(2) });
  await userEvent.click(screen.getAllByTitle(/Set aside/)[1]!);
  await says(/set aside/);
  await userEvent.click(screen.getAllByTitle('Take off the bench')[0]!);
  await waitFor(() => expect(laid.at(-1)).toEqual([{ kind: 'product', id: second, aside: true }]));
  expect(laid[0]).toEqual([
    { kind: 'product', id: first, aside: false },
    { kind: 'product', id: second, aside: true },
  ]);
});

test('it is cleared and put back', async () => {
  await show(<Bench />, { bench: ids(3) });
  await userEvent.click(screen.getByRole('button', { name: 'clear' }));
  await says(/Nothing on it/);
  await userEvent.click(screen.getByRole('button', { name: 'Put the 3 back' }));
  await says(/3 of 8/);
  await waitFor(() => expect(laid.map((places) => places.length)).toEqual([0, 3]));
});

test('it folds to one line that names what lies on it', async () => {
  const { store } = await show(<Bench />, { bench: ids(2) });
  expect(screen.getByTestId('bench').dataset['folded']).toBe('false');
  await userEvent.click(screen.getByRole('button', { name: 'Fold the bench' }));
  expect(store.getState().settings.benchFolded).toBe(true);
  expect(bench()).toContain(`1 ${sampleProducts[0]!.name} · 2 ${sampleProducts[1]!.name}`);
  expect(screen.queryAllByTitle(/Set aside/)).toEqual([]);
  act(() => void store.dispatch(settingsSlice.actions.changed({ benchFolded: false })));
  expect(screen.getAllByTitle(/Set aside/)).toHaveLength(2);
});

test('it takes eight and no ninth', async () => {
  await show(<OnBench kind="product" id={idOf(99)} name="A ninth" />, { bench: ids(8) });
  expect(screen.getByRole<HTMLInputElement>('checkbox').disabled).toBe(true);
});

test('what the server refuses is told', async () => {
  answer = () =>
    new Response(JSON.stringify({ detail: 'That product is not on this shelf.' }), {
      status: 422,
      headers: { 'Content-Type': 'application/problem+json' },
    });
  const { store } = await show(<Bench />, { bench: ids(2) });
  await userEvent.click(screen.getAllByTitle('Take off the bench')[0]!);
  await waitFor(() =>
    expect(store.getState().desk.notice?.text).toBe('The bench is not kept. That product is not on this shelf.'),
  );
});

test('a bench that this browser kept by itself is laid in the ledger once, where nothing lies yet', async () => {
  const [first] = ids(1);
  const old = JSON.stringify([{ id: first, aside: true }]);
  localStorage.setItem('wheat-ledger.bench', old);
  const taken = await show(<Bench />);
  await waitFor(() => expect(laid).toEqual([[{ kind: 'product', id: first, aside: true }]]));
  expect(localStorage.getItem('wheat-ledger.bench')).toBeNull();
  taken.unmount();
  localStorage.setItem('wheat-ledger.bench', old);
  await show(<Bench />, { bench: ids(2) });
  expect(laid).toHaveLength(1);
});

const recipe = (given: Partial<RecipeRecord>): RecipeRecord => ({
  id: idOf(801),
  version: 1,
  updatedAt: '2026-02-20T10:00:00.000Z',
  deletedAt: null,
  name: 'Two meals',
  target: '',
  strength: 'grade',
  tolerance: 0.1,
  by: 'weight',
  batchKg: 10,
  parts: [{ productId: productNamed('Larkmere Feather Meal').id, parts: 1 }],
  ...given,
});
test('a recipe lies there as a mix; one that cannot be weighed says why', async () => {
  const { store } = await show(<Bench />, {
    records: { recipe: [recipe({}), recipe({ id: idOf(802), name: 'Nothing yet', parts: [] })] },
  });
  const places: BenchPlace[] = [801, 802].map((n) => ({ kind: 'recipe', id: idOf(n), aside: false }));
  await act(() => store.dispatch(api.util.upsertQueryData('bench', undefined, { places })));
  await says(/Two mealsa mix/);
  expect(bench()).toContain('Nothing yet has no parts yet.');
});
