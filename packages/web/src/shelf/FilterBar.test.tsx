import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { toProduct, type KeptFilterRecord, type ShelfFilterInput } from '@wheat-ledger/contract';
import { idOf, sampleProducts, show } from '../../test/show';
import { filterShelf, filterWords, isNoFilter, NO_FILTER, sameFilter } from './shelfFilter';
import { api } from '../app/api';
import { ShelfView } from './ShelfView';

const shelf = sampleProducts.map((record) => ({ record, product: toProduct(record, record.id) }));
/** Something is left of the first and the third. */
const ON_HAND = new Set([sampleProducts[0]!.id, sampleProducts[2]!.id]);
const names = (filter: Partial<ShelfFilterInput>): string[] =>
  filterShelf(shelf, { ...NO_FILTER, ...filter }, ON_HAND).map((s) => s.record.name);
/** How many bags the bar says fit; without a layout the list itself shows none. */
const found = (): string => screen.queryByRole('status')?.textContent ?? 'all';

test('words must all be found, in any order, in name, seller, grade or ingredients', () => {
  expect(names({ text: 'MEAL larkmere' })).toContain('Larkmere Feather Meal');
  expect(names({ text: 'meal nowhere' })).toEqual([]);
  expect(names({ text: 'wool' })).toContain('Fleecefast Wool Pellets');
});

test('a nutrient at least so strong: a range counts only when all of it is', () => {
  const strong = names({ nutrient: 'N', atLeastPercent: 9 });
  expect(strong).toEqual(expect.arrayContaining(['Larkmere Feather Meal', 'Quernlow Urea', 'Fleecefast Wool Pellets']));
  expect(strong).not.toContain('Barn straw');
  expect(names({ nutrient: 'N', atLeastPercent: 0.5 })).not.toContain('Barn straw');
  expect(names({ nutrient: 'N', atLeastPercent: 0.4 })).toContain('Barn straw');
  expect(names({ nutrient: 'N' })).toContain('Barn straw');
});

test('price, stock, form, listing and origin narrow it; not looked up is unknown, not no', () => {
  expect(names({ priced: true })).not.toContain('Barn straw');
  expect(names({ inStock: true })).toEqual([sampleProducts[0]!.name, sampleProducts[2]!.name]);
  expect(names({ form: 'pellet' })).toEqual(expect.arrayContaining(['Hollow Hen Pellets', 'Fleecefast Wool Pellets']));
  expect(names({ organic: 'unknown' })).toEqual(
    sampleProducts.filter((p) => !p.organic || p.organic.status === 'unknown').map((p) => p.name),
  );
  expect(
    filterWords({
      text: 'meal',
      nutrient: 'N',
      atLeastPercent: 5,
      origin: 'waste',
      organic: 'yes',
      priced: true,
      inStock: true,
      form: 'meal',
    }),
  ).toBe('“meal”, at least 5 % N, meal, from a waste stream, listed as organic, with a price, in stock');
  expect([isNoFilter(NO_FILTER), isNoFilter({ text: ' ' }), isNoFilter({ text: '', priced: true })]).toEqual([
    true,
    true,
    false,
  ]);
});

test('two filters ask for the same whatever the order of their parts; an unticked box asks for nothing', () => {
  expect(
    sameFilter({ text: 'meal', nutrient: 'N', priced: true }, { priced: true, nutrient: 'N', text: ' meal ' }),
  ).toBe(true);
  expect(sameFilter({ text: '', priced: false }, NO_FILTER)).toBe(true);
  expect(
    sameFilter({ text: '', nutrient: 'N', atLeastPercent: 5 }, { text: '', nutrient: 'N', atLeastPercent: 6 }),
  ).toBe(false);
});

const KEPT = { version: 1, updatedAt: '2026-02-20T10:00:00.000Z', deletedAt: null };
const pressed: KeptFilterRecord = { ...KEPT, id: idOf(801), name: 'Pressed', filter: { text: 'pellets' } };
const sent: { method: string; path: string; body: unknown }[] = [];
/** A server that keeps one filter at most. */
function serverKeeps(...kept: readonly KeptFilterRecord[]): void {
  globalThis.fetch = jest.fn(async (input: RequestInfo | URL) => {
    const { method, url } = input as Request;
    const path = new URL(url).pathname;
    const reply = (body: object): Response =>
      new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } });
    if (method === 'GET')
      return reply({
        items: path.endsWith('/shelf-filters') ? kept : path.endsWith('/products') ? sampleProducts : [],
        next: null,
      });
    sent.push({ method, path, body: JSON.parse((await (input as Request).clone().text()) || 'null') });
    return reply(pressed);
  });
}
beforeEach(() => {
  sent.length = 0;
});

test('a filter is kept in the ledger under a name, which can be said to be done and taken back', async () => {
  serverKeeps(pressed);
  const { store } = await show(<ShelfView />);
  expect(screen.queryByRole('button', { name: 'Save this filter' })).toBeNull();
  await userEvent.type(screen.getByRole('searchbox'), 'pellets');
  await waitFor(() => expect(found()).toBe(`${names({ text: 'pellets' }).length} of ${shelf.length}`));
  await userEvent.type(screen.getByLabelText('A name for this filter'), 'Pressed');
  await userEvent.click(screen.getByRole('button', { name: 'Save this filter' }));
  expect((await screen.findByRole('button', { name: 'Pressed' })).getAttribute('aria-pressed')).toBe('true');
  expect(sent).toEqual([
    { method: 'POST', path: '/api/v1/shelf-filters', body: { name: 'Pressed', filter: { text: 'pellets' } } },
  ]);
  expect(store.getState().desk.notice).toEqual({ text: 'Saved the filter “Pressed”.', recordId: pressed.id });
});

test('a kept filter comes back with one press and goes with another; a filter without a name is called by its words', async () => {
  serverKeeps(pressed);
  await show(<ShelfView />, { records: { filter: [pressed] } });
  await userEvent.click(screen.getByRole('button', { name: 'Pressed' }));
  await waitFor(() => expect(found()).toBe(`${names({ text: 'pellets' }).length} of ${shelf.length}`));
  expect(screen.queryByRole('button', { name: 'Save this filter' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Pressed' }));
  await waitFor(() => expect(found()).toBe('all'));
  await userEvent.click(screen.getByText('By what is in them'));
  await userEvent.selectOptions(await screen.findByLabelText('Form'), 'meal');
  await userEvent.click(await screen.findByRole('button', { name: 'Save this filter' }));
  await waitFor(() => expect(sent.map((s) => s.body)).toEqual([{ name: 'meal', filter: { text: '', form: 'meal' } }]));
});

test('a name that is kept already takes the new filter, and a kept filter can be forgotten', async () => {
  serverKeeps();
  const { store } = await show(<ShelfView />, { records: { filter: [pressed] } });
  await userEvent.type(screen.getByRole('searchbox'), 'wool');
  await userEvent.type(screen.getByLabelText('A name for this filter'), 'Pressed');
  await userEvent.click(screen.getByRole('button', { name: 'Save this filter' }));
  await waitFor(() =>
    expect(sent).toEqual([
      {
        method: 'PUT',
        path: `/api/v1/shelf-filters/${pressed.id}`,
        body: { name: 'Pressed', filter: { text: 'wool' } },
      },
    ]),
  );
  await store.dispatch(api.util.upsertQueryData('records', { kind: 'filter' }, [pressed]));
  await userEvent.click(await screen.findByRole('button', { name: 'Take out Pressed' }));
  await waitFor(() =>
    expect(sent.at(-1)).toMatchObject({ method: 'DELETE', path: `/api/v1/shelf-filters/${pressed.id}` }),
  );
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Pressed' })).toBeNull());
});

test('nothing fits is said with what was asked for; a number that does not read is told', async () => {
  await show(<ShelfView />);
  await userEvent.click(screen.getByText('By what is in them'));
  await userEvent.selectOptions(await screen.findByLabelText('Holds'), 'Se selenium');
  await waitFor(() => expect(document.body.textContent).toMatch(/No bag fits: Se declared/));
  await userEvent.type(screen.getByLabelText(/at least, %/), 'lots');
  expect(document.body.textContent).toMatch(/Read "lots"/);
  await userEvent.click(screen.getByRole('button', { name: 'Show all' }));
  expect(found()).toBe('all');
  expect(document.body.textContent).not.toMatch(/No bag fits/);
});
