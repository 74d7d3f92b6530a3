import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { toProduct } from '@wheat-ledger/contract';
import type { Replacement } from '@wheat-ledger/core';
import { productNamed, show } from '../../test/show';
import { HistoryView } from './HistoryView';
import { rulesFor } from './RulesView';
import { SeasonPriceView } from './SeasonView';
import { PriceView } from './PriceView';
import { bundleWords } from './WorthView';

beforeEach(() => localStorage.clear());
const ids = (...names: string[]): string[] => names.map((n) => productNamed(n).id);
const rows = (id: string): string[] => screen.getAllByTestId(id).map((r) => r.textContent ?? '');

test('a season is bought in whole packages: 9.9 kg N of urea is 21.5 kg, one bag, with 3.5 kg left', async () => {
  await show(<SeasonPriceView />, {
    bench: ids('Quernlow Urea', 'Larkmere Feather Meal', 'Quernlow Sulfate of Potash'),
  });
  await userEvent.type(screen.getByLabelText(/Ground/), '900');
  await userEvent.type(screen.getByLabelText(/Nitrogen, kg/), '110');
  const [urea, feather] = rows('season-cost');
  expect(urea).toBe('Quernlow Urea21.51 × 25 kg23.7520.450.065 h, ease 5 of 53.5 kg16 % of a season');
  expect(feather).toMatch(/^Larkmere Feather Meal76\.24 × 20 kg138\.00/);
  expect(document.body.textContent).toContain('Bring no nitrogen: Quernlow Sulfate of Potash.');
  await userEvent.type(screen.getByLabelText(/Carriage for an order/), '7.50');
  expect(rows('season-cost')[0]).toContain('31.25');
  expect(screen.getByTestId('break-even').textContent).toMatch(/Quernlow Urea/);
});

test('when a larger package pays is told for each bag with more than one', async () => {
  await show(<SeasonPriceView />, { bench: ids('Larkmere Feather Meal') });
  // 34.50 for 20 kg against 12.90 for 5: the third small one makes 38.70.
  expect(rows('pays-from')).toEqual(['Larkmere Feather Meal: buying 20 kg pays from just over 10 kg a season on.']);
});

test('a number that cannot be read says so, and the usual one stands meanwhile', async () => {
  await show(<SeasonPriceView />, { bench: ids('Quernlow Urea') });
  await userEvent.type(screen.getByLabelText(/Ground/), 'big');
  expect(document.body.textContent).toContain('Read “big”, expected a number of 0 or more.');
  expect(rows('season-cost')).toHaveLength(1);
});

test('history: every price that was seen, the newest first, the cheapest marked', async () => {
  await show(<HistoryView />, { bench: ids('Quernlow Urea', 'Barn straw') });
  const [urea, straw] = screen.getAllByTestId('bag-history');
  expect(
    within(urea!)
      .getAllByRole('row')
      .map((r) => r.textContent?.slice(0, 11)),
  ).toEqual(['SeenPackage', '20 Feb 2026', '20 Feb 2026', '10 Sep 2025', '2 Mar 20252']);
  expect(urea!.textContent).toMatch(/21\.40 EUR0\.856cheapest ever/);
  expect(straw!.textContent).toContain('No price by weight was ever seen.');
});

test('rules allow what is known to fit, and nothing that nobody spoke of', () => {
  const shelf = ['Quernlow Urea', 'Lucerne Crumble', 'Hollow Hen Pellets', 'Barn straw'].map((name) => {
    const record = productNamed(name);
    return toProduct(record, record.id);
  });
  const allowed = Object.fromEntries(
    rulesFor(shelf, 20).map((r) => [r.name, shelf.filter((p) => r.allowed.includes(p.id)).map((p) => p.name)]),
  );
  expect(allowed['from within 20 km']).toEqual(['Lucerne Crumble']);
  expect(allowed['plants only']).toEqual(['Lucerne Crumble']);
  expect(allowed['listed for organic growing only']).toEqual(['Lucerne Crumble', 'Hollow Hen Pellets']);
  expect(allowed['from waste only']).toEqual(['Hollow Hen Pellets']);
  expect(allowed['nothing synthetic']).toEqual(['Lucerne Crumble', 'Hollow Hen Pellets']);
});

test('a bundle in words', () => {
  const part = (name: string, kg: number) => ({ kg, bag: { product: { name } } });
  const of = (...bundle: readonly ReturnType<typeof part>[]) =>
    bundleWords({ kind: 'value', bundle } as unknown as Extract<Replacement, { kind: 'value' }>);
  expect(of(part('urea', 0.1848), part('bone', 0.5), part('potash', 0.25))).toBe(
    '0.18 kg urea, 0.5 kg bone and 0.25 kg potash',
  );
  expect(of(part('urea', 2))).toBe('2 kg urea');
});

test('an hour’s worth puts work and haulage on the prices, and is said where it counts', async () => {
  await show(<PriceView />, { bench: ids('Hollow Heap Compost', 'Quernlow Urea') });
  const before = screen.getByTestId('ladder').textContent;
  await userEvent.click(screen.getByText('Count your work, haulage or other money'));
  await userEvent.type(screen.getByLabelText(/An hour of your work, EUR/), '15');
  expect(screen.getByTestId('counted').textContent).toContain('Counted: your hours at 15 EUR, and haulage');
  expect(screen.getByTestId('ladder').textContent).not.toBe(before);
  await userEvent.clear(screen.getByLabelText(/An hour of your work/));
  expect(screen.getByTestId('ladder').textContent).toBe(before);
});

test('the break-even is asked by ground, by rate and by a price', async () => {
  await show(<SeasonPriceView />, { bench: ids('Larkmere Feather Meal', 'Hollow Hen Pellets') });
  const sentence = () => screen.getByTestId('break-even').textContent;
  await userEvent.click(screen.getByRole('radio', { name: 'a price' }));
  expect(sentence()).toMatch(/^From [\d.]+ % on, Hollow Hen Pellets is cheaper than Larkmere Feather Meal\.$/);
  await userEvent.selectOptions(screen.getByLabelText('Whose price moves'), 'Hollow Hen Pellets');
  expect(sentence()).toMatch(/^From [\d.]+ % on, Larkmere Feather Meal is cheaper than Hollow Hen Pellets\.$/);
  await userEvent.click(screen.getByRole('radio', { name: 'the rate' }));
  expect(sentence()).toMatch(/kg N\/ha/);
});
