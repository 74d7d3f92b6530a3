import { act, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { api } from '../app/api';
import { asRecord, productNamed, show } from '../../test/show';
import { PriceView } from './PriceView';

beforeEach(() => localStorage.clear());
const ids = (...names: string[]): string[] => names.map((n) => productNamed(n).id);
const ladder = (): string[] =>
  within(screen.getByTestId('ladder'))
    .getAllByRole('listitem')
    .map((li) => li.textContent ?? '');

test('an empty bench says where bags come from', async () => {
  await show(<PriceView />);
  expect(document.body.textContent).toContain('Put bags on the bench from the shelf');
});

test('the ladder has the dearest at the top; what cannot stand on it is told with the reason', async () => {
  await show(<PriceView />, {
    bench: ids('Quernlow Urea', 'Larkmere Feather Meal', 'Barn straw', 'Quernlow Sulfate of Potash'),
  });
  expect(ladder()).toEqual(['13.3Larkmere Feather Meal', '2.07Quernlow Urea']);
  expect(document.body.textContent).toContain(
    'Not on the ladder: Barn straw (no price); Quernlow Sulfate of Potash (not declared).',
  );
});

test('choosing a nutrient changes the ladder and the table’s order; a heading turns it round', async () => {
  await show(<PriceView />, {
    bench: ids('Quernlow Urea', 'Hollow Hen Pellets', 'Quernlow Sulfate of Potash', 'Hobbingate Steady Prills'),
  });
  await userEvent.click(screen.getByRole('radio', { name: /K₂O/ }));
  expect(ladder().map((t) => t.replace(/^[\d.]+/, ''))).toEqual([
    'Hobbingate Steady Prills',
    'Hollow Hen Pellets',
    'Quernlow Sulfate of Potash',
  ]);
  const names = (): string[] =>
    within(screen.getByTestId('price-table'))
      .getAllByRole('rowheader')
      .map((h) => h.textContent ?? '');
  expect(names()).toEqual([
    'Quernlow Sulfate of Potash',
    'Hollow Hen Pellets',
    'Hobbingate Steady Prills',
    'Quernlow Urea',
  ]);
  await userEvent.click(screen.getByRole('button', { name: 'Bag' }));
  expect(names()).toEqual([...names()].sort());
  expect(screen.getByRole('columnheader', { name: /Bag/ }).getAttribute('aria-sort')).toBe('ascending');
});

test('a metal is no nutrient to pay for; a trace has a column while it is on the ladder', async () => {
  await show(<PriceView />, { bench: ids('Hollow Hen Pellets', 'Quernlow Urea') });
  const offered = screen.getAllByRole('radio').map((r) => r.textContent?.split(' ')[0]);
  expect(offered).toEqual(expect.arrayContaining(['N', 'P₂O₅', 'Mg', 'Zn']));
  expect(offered).not.toEqual(expect.arrayContaining(['Pb']));
  expect(offered).not.toEqual(expect.arrayContaining(['Cr']));
  const columns = (): string[] => screen.getAllByRole('columnheader').map((h) => h.textContent ?? '');
  expect(columns()).not.toContain('Zn');
  expect(screen.getByRole('caption').textContent).toMatch(/^Cost in EUR per kg of each nutrient/);
  await userEvent.click(screen.getByRole('radio', { name: /Zn/ }));
  expect(columns()).toContain('Zn');
});

test('ties are called ties, and each currency has a ladder of its own', async () => {
  const base = productNamed('Quernlow Urea');
  const at = (name: string, amount: string, currency: string, n: number) =>
    asRecord({ ...base, name, offers: [{ size: 25, unit: 'kg', price: { amount, currency } }] }, n);
  const products = [
    at('First', '23.00', 'EUR', 901),
    at('Second', '23.05', 'EUR', 902),
    at('Over the water', '30.00', 'USD', 903),
  ];
  await show(<PriceView />, { records: { product: products }, bench: products.map((p) => p.id) });
  const ladders = screen.getAllByTestId('ladder').map((l) => l.textContent ?? '');
  expect(ladders).toHaveLength(2);
  expect(ladders[0]?.match(/tie/g)).toHaveLength(2);
  expect(ladders[1]).toContain('USD per kg N');
  expect(
    within(screen.getByTestId('price-table'))
      .getAllByRole('row')
      .slice(1)
      .map((r) => r.querySelectorAll('td')[1]?.textContent),
  ).toEqual(['2.00 EUR', '2.00 EUR', '2.61 USD']);
  expect(screen.getByRole('caption').textContent).toMatch(/^Cost per kg of each nutrient/);
  expect(
    within(screen.getByTestId('price-table'))
      .getAllByRole('row')
      .slice(1)
      .map((r) => r.querySelector('td')?.textContent),
  ).toEqual(['=1 EUR', '=1 EUR', '1 USD']);
});

test('everything set aside is said, with the way back', async () => {
  const { store } = await show(<PriceView />, { bench: ids('Quernlow Urea') });
  const places = [{ kind: 'product' as const, id: productNamed('Quernlow Urea').id, aside: true }];
  await act(() => store.dispatch(api.util.upsertQueryData('bench', undefined, { places })));
  expect(document.body.textContent).toContain('Press its number to take it back');
});
