import { screen } from '@testing-library/react';
import type { CatalogueColumn, CheapestOfAll, Restricted, WholeOfAll } from '@wheat-ledger/core';
import { catalogueServer, RECORD } from '../../../test/catalogue';
import { show } from '../../../test/show';
import { CheapestRecipe } from './CheapestRecipe';
import { ListedProductView } from './ListedProductView';

beforeEach(() => {
  localStorage.clear();
  catalogueServer();
});
const urea: CatalogueColumn = { id: '1', name: 'Urea', pricePerKg: 0.9, fractions: { N: { low: 0.46, high: 0.46 } } };
const LINEAR: CheapestOfAll = {
  parts: [{ product: urea, kg: 20, cost: 18 }],
  cost: 18,
  prices: { worth: { N: 1.957 }, burden: {} },
  rounds: 3,
  proven: true,
  known: [urea],
};
const whole = (given: Partial<WholeOfAll> = {}): WholeOfAll => ({
  parts: [{ product: urea, kg: 20, cost: 22.5, bought: [{ kg: 25, price: 22.5, count: 1 }] }],
  cost: 22.5,
  bound: 22.5,
  proven: true,
  ...given,
});
const words = async (
  found: { linear?: CheapestOfAll; whole?: WholeOfAll | 'none' },
  rules: Restricted,
): Promise<string> => {
  await show(
    <CheapestRecipe
      found={{ kind: 'found', linear: found.linear ?? LINEAR, whole: found.whole }}
      rules={rules}
      currency="EUR"
    />,
  );
  return document.body.textContent ?? '';
};

test('by the kg: what is used, what it costs, and what another kg of the nutrient would', async () => {
  const told = await words({}, { packages: false });
  expect(told).toMatch(/Urea200\.918\.00/);
  expect(told).toMatch(/Another kg of N would cost 1\.957? EUR|Another kg of N would cost 1\.96 EUR/);
  expect(told).toMatch(/gone through 3 times; nothing in it makes this cheaper/);
});

test('in whole packages: which are bought, and that nothing is cheaper', async () => {
  const told = await words({ whole: whole() }, { packages: true });
  expect(told).toMatch(/1 × 25 kg/);
  expect(told).toMatch(/Nothing in the lists makes a cheaper recipe in whole packages\. By the kg.* it is 18\.00 EUR/);
  expect(screen.getByTitle(/Cost of the cheapest recipe/)).toBeTruthy();
});

test('where it is not proven, how far above the best it can be: 22.50 against 20.00 is 12.5 %', async () => {
  const told = await words({ whole: whole({ bound: 20, proven: false }) }, { packages: false, kinds: 1 });
  expect(told).toMatch(
    /No recipe of 1 product costs less than 20\.00 EUR: .* at most 2\.50 EUR \(1[23](\.5)? %\) above/,
  );
});

test('without a bound nothing is said of the best', async () => {
  const linear = { ...LINEAR, proven: false };
  const told = await words({ linear, whole: whole({ bound: 0, proven: false }) }, { packages: true });
  expect(told).toMatch(/How near the best recipe in whole packages this one is, is not known/);
  expect(told).toMatch(/The search was stopped early/);
});

test('where nothing keeps to the rules, what it costs without them', async () => {
  const told = await words({ whole: 'none' }, { packages: true, kinds: 1 });
  expect(told).toMatch(
    /No recipe was found that keeps to this\. By the kg, of any number of products, it costs 18\.00 EUR/,
  );
});

test('a product of a list tells its nutrients with their costs, and where that is from', async () => {
  await show(<ListedProductView />, { path: '/shelf/catalogue/7', route: '/shelf/catalogue/:id' });
  expect(await screen.findByRole('heading', { name: RECORD.name })).toBeTruthy();
  const [row] = screen.getAllByTestId('listed-nutrient');
  expect(row?.textContent).toMatch(/^N46/);
  expect(screen.getByRole('columnheader', { name: 'a kg of it costs, EUR' })).toBeTruthy();
  const told = document.body.textContent ?? '';
  expect(told).toMatch(/Row 12 of “Spring list”/);
  expect(told).toMatch(/Sold in Larkmere\.Price seen on 20 Feb 2026\.In stock, as the list says/);
  expect(screen.getByRole('button', { name: 'Work it out' })).toBeTruthy();
});
