import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { KeptSearchRecord } from '@wheat-ledger/contract';
import { catalogueServer, LIST } from '../../../test/catalogue';
import { idOf, show } from '../../../test/show';
import { CatalogueView } from './CatalogueView';

beforeEach(() => localStorage.clear());
const KEPT: KeptSearchRecord = {
  id: idOf(90),
  version: 1,
  updatedAt: '2026-02-20T10:00:00.000Z',
  deletedAt: null,
  name: 'Oak',
  search: { words: 'oak', by: 'K2O', currency: 'GBP', atLeast: [{ nutrient: 'N', percent: 4 }] },
};
/** What pages were asked for, without how long they are. */
const pages = (asked: ReturnType<typeof catalogueServer>): readonly URLSearchParams[] =>
  asked.flatMap(([, at]) => {
    if (!at.startsWith('catalogue/products?')) return [];
    const query = new URLSearchParams(at.split('?')[1]);
    query.delete('limit');
    return [query];
  });

test('the first thing that is asked is ranked in the money there is: nothing is asked by name before', async () => {
  const asked = catalogueServer();
  await show(<CatalogueView />);
  await waitFor(() => expect(pages(asked).length).toBeGreaterThan(0));
  for (const query of pages(asked)) expect([query.get('by'), query.get('currency')]).toEqual(['N', 'EUR']);
  expect(await screen.findByText('1 product with a price and that nutrient')).toBeTruthy();
});

test('what is typed and chosen is asked; what cannot be read is marked and asks nothing', async () => {
  const asked = catalogueServer();
  await show(<CatalogueView />);
  await userEvent.type(await screen.findByLabelText('Words'), 'oak');
  await userEvent.click(screen.getByText('More conditions'));
  await userEvent.type(screen.getByLabelText('N at least, %'), '5');
  await userEvent.selectOptions(screen.getByLabelText('In stock'), 'yes');
  await userEvent.type(screen.getByLabelText('Sold in'), 'Larkmere');
  await userEvent.type(screen.getByLabelText('Price seen since'), 'soon');
  await userEvent.selectOptions(screen.getByLabelText('Money'), 'GBP');
  await waitFor(() =>
    expect(Object.fromEntries(pages(asked).at(-1) ?? [])).toEqual({
      by: 'N',
      currency: 'GBP',
      words: 'oak',
      atLeast: 'N:5',
      inStock: 'yes',
      place: 'Larkmere',
    }),
  );
  expect(screen.getByLabelText('Price seen since').getAttribute('aria-invalid')).toBe('true');
  expect(screen.getByLabelText('Sold in').getAttribute('aria-invalid')).toBe('false');
});

test('how many there are and who sells them is asked once the hand rests', async () => {
  const asked = catalogueServer();
  await show(<CatalogueView />);
  await userEvent.type(await screen.findByLabelText('Words'), 'orchard');
  await waitFor(() => expect(asked.some(([, at]) => /^catalogue\/facets.*words=orchard/.test(at))).toBe(true));
  const counted = asked.filter(([, at]) => at.startsWith('catalogue/count'));
  expect(counted.at(-1)?.[1]).toMatch(/words=orchard/);
  expect(counted.length).toBeLessThan(pages(asked).length);
});

test('what is asked no longer is called off, and asked again when it is typed again', async () => {
  const asked = catalogueServer();
  const answer = globalThis.fetch;
  let slow = true;
  const calledOff: string[] = [];
  globalThis.fetch = (input, init) => {
    const words = input instanceof Request ? new URL(input.url).searchParams.get('words') : null;
    if (!(input instanceof Request) || !slow || words === null || words === 'oak') return answer(input, init);
    return new Promise((_, reject) =>
      input.signal.addEventListener('abort', () => {
        calledOff.push(words);
        reject(input.signal.reason as Error);
      }),
    );
  };
  await show(<CatalogueView />);
  const words = await screen.findByLabelText('Words');
  for (const key of 'oak') {
    await userEvent.type(words, key);
    await act(() => new Promise((done) => setTimeout(done, 30)));
  }
  await waitFor(() => expect(pages(asked).at(-1)?.get('words')).toBe('oak'));
  expect(calledOff).toEqual(['o', 'oa']);
  slow = false;
  await userEvent.type(words, '{Backspace}');
  await waitFor(() => expect(pages(asked).at(-1)?.get('words')).toBe('oa'));
  expect(screen.queryByRole('alert')).toBeNull();
});

test('a kept search tells what changed and opens with all its conditions', async () => {
  const asked = catalogueServer();
  await show(<CatalogueView />, { records: { search: [KEPT] } });
  expect(await screen.findByText(/since 20 Feb 2026: 2 dearer/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Oak' }));
  await waitFor(() =>
    expect(Object.fromEntries(pages(asked).at(-1) ?? [])).toEqual({
      by: 'K2O',
      currency: 'GBP',
      words: 'oak',
      atLeast: 'N:4',
    }),
  );
  // It was looked at now: what is told from here on is younger.
  await waitFor(() => expect(screen.queryByText(/since 20 Feb 2026/)).toBeNull());
});

test('without a list it says where one comes from, and asks for no products', async () => {
  const asked = catalogueServer({ 'catalogue/lists': [], 'catalogue/currencies': [] });
  await show(<CatalogueView />);
  expect(await screen.findByText(/No list yet/)).toBeTruthy();
  expect(pages(asked)).toEqual([]);
});

test('a seller in the margin keeps to what they sell, and lets go again', async () => {
  const asked = catalogueServer({ 'catalogue/lists': [LIST] });
  await show(<CatalogueView />);
  await userEvent.click(await screen.findByRole('button', { name: 'Brindle' }));
  await waitFor(() => expect(pages(asked).at(-1)?.get('seller')).toBe('Brindle'));
  await userEvent.click(screen.getByRole('button', { name: /all sellers, not Brindle alone/ }));
  // What was asked before is still at hand: it is shown again, and not asked again.
  expect(await screen.findByRole('button', { name: 'Brindle' })).toBeTruthy();
  expect(pages(asked).filter((query) => query.has('seller'))).toHaveLength(1);
});
