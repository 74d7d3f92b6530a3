import fc from 'fast-check';
import { bag, line, priced } from '../../test/bags.js';
import { workingLines } from '../figure/index.js';
import { COST_REASONS, costPerUnit, type CostQuestion } from './costPerUnit.js';
import { priceHistory, pricePerKg, pricesPerKg } from './pricePerKg.js';
import { ROUNDING } from '../quantity/index.js';
import { rankByCost } from './rank.js';
import { costAtOffer } from './costPerUnit.js';
import { currentOffers } from './currentOffers.js';
import { libraryEntry, typicalProduct, type Offer } from '../shelf/index.js';

const perKg = (nutrient: CostQuestion['nutrient'], basis: CostQuestion['basis'] = 'element'): CostQuestion => ({
  nutrient,
  basis,
  perUnit: 'kg',
});
const cost = (...args: Parameters<typeof costPerUnit>): number => {
  const found = costPerUnit(...args);
  return found.kind === 'cost' ? found.figure.value.mid : Number.NaN;
};

test('weight pack: 24.00 EUR for 20 kg at 12 % N is 24 ÷ 2.4 = 10 EUR/kg N', () => {
  expect(cost(bag({ analysis: [line('N', 12)], offers: [priced(20, 'kg', '24.00')] }), perKg('N'))).toBeCloseTo(10, 10);
});
test('volume pack: 8.75 EUR for 1 L of 1.18 kg/L at 4 % N is 8.75 ÷ 0.0472 = 185.38 EUR/kg N', () => {
  expect(
    cost(bag({ densityKgPerL: 1.18, analysis: [line('N', 4)], offers: [priced(1, 'L', '8.75')] }), perKg('N')),
  ).toBeCloseTo(185.381, 3);
});
test('elemental basis: 50 % K2O at 1.65 EUR/kg is 3.30 EUR/kg K2O and 3.975 EUR/kg K', () => {
  const sop = bag({ analysis: [line('K', 50, 'K2O')], offers: [priced(25, 'kg', '41.25')] });
  expect(cost(sop, perKg('K', 'K2O'))).toBeCloseTo(3.3, 10);
  expect(cost(sop, perKg('K'))).toBeCloseTo(3.3 * 1.2046, 3);
});
test('per pound is 0.4536 of per kilogram', () => {
  const product = bag({ analysis: [line('N', 12)], offers: [priced(50, 'lb', '24.00')] });
  expect(cost(product, { ...perKg('N'), perUnit: 'lb' })).toBeCloseTo(24 / 6, 8);
});
test('the cheapest package is taken', () => {
  const product = bag({
    analysis: [line('N', 10)],
    offers: [priced(5, 'kg', '10'), priced(20, 'kg', '24'), priced(2, 'L', '1')],
  });
  expect(cost(product, perKg('N'))).toBeCloseTo(12, 10);
  expect(pricePerKg(product, 'EUR')?.figure.value.mid).toBeCloseTo(1.2, 10);
});
test('the working leads from price and label to the figure', () => {
  const found = costPerUnit(bag({ analysis: [line('N', 12)], offers: [priced(20, 'kg', '24.00')] }), perKg('N'));
  expect(found.kind === 'cost' && workingLines(found.figure)[0]?.expression).toBe('24.00 EUR ÷ 2.4 kg N');
});

test.each([
  [
    'noPrice',
    bag({ analysis: [line('N', 12)], offers: [{ size: 20, unit: 'kg', price: undefined, seenOn: undefined }] }),
  ],
  ['noPrice', bag({ analysis: [line('N', 12)] })],
  ['notDeclared', bag({ offers: [priced(20, 'kg', '24.00')] })],
  ['belowDetection', bag({ analysis: [line('N', { below: 0.01 })], offers: [priced(20, 'kg', '24.00')] })],
  ['needsDensity', bag({ analysis: [line('N', 12)], offers: [priced(1, 'L', '24.00')] })],
  ['none', bag({ analysis: [line('N', 0)], offers: [priced(20, 'kg', '24.00')] })],
] as const)('%s is said, never free', (kind, product) => {
  expect(costPerUnit(product, perKg('N')).kind).toBe(kind);
  expect(COST_REASONS[kind].length).toBeGreaterThan(3);
});

test('a price of nothing is a cost of nothing, not a missing price', () =>
  expect(cost(bag({ analysis: [line('N', 12)], offers: [priced(20, 'kg', '0.00')] }), perKg('N'))).toBe(0));

const named = (name: string, percent: number | [number, number, number], amount: string, currency = 'EUR') =>
  bag({ id: name, name, analysis: [line('N', percent)], offers: [priced(10, 'kg', amount, currency)] });

test('ranks from the cheapest, shares ranks on ties, and lists apart what cannot be ranked', () => {
  const ranking = rankByCost(
    [
      named('dear', 10, '30'),
      named('cheap', 10, '10'),
      named('same', 10, '10.04'),
      bag({ id: 'x', name: 'unpriced', analysis: [line('N', 5)] }),
    ],
    perKg('N'),
  );
  expect(ranking.byCurrency['EUR']?.rows().map((r) => [r.product.name, r.rank, r.tied])).toEqual([
    ['cheap', 1, true],
    ['same', 1, true],
    ['dear', 3, false],
  ]);
  expect(ranking.unranked.map((u) => [u.product.name, u.why])).toEqual([['unpriced', 'noPrice']]);
});
test('overlapping ranges are a tie', () => {
  const ranking = rankByCost([named('range', [8, 10, 14], '12'), named('number', 10, '11')], perKg('N'));
  expect(ranking.byCurrency['EUR']?.rows().every((r) => r.tied && r.rank === 1)).toBe(true);
});
test('currencies are never mixed into one list', () => {
  const ranking = rankByCost([named('a', 10, '10'), named('b', 10, '1', 'USD')], perKg('N'));
  expect(Object.keys(ranking.byCurrency).sort()).toEqual(['EUR', 'USD']);
});
test('the order on the bench does not change the ranking', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 100, max: 9999 }), { minLength: 2, maxLength: 8 }),
      fc.infiniteStream(fc.integer()),
      (cents, random) => {
        const products = cents.map((c) => named(`p${c}`, 10, (c / 100).toFixed(2)));
        const shuffled = products
          .map((p) => ({ p, key: random.next().value as number }))
          .sort((a, b) => a.key - b.key)
          .map(({ p }) => p);
        const order = (list: typeof products): unknown =>
          rankByCost(list, perKg('N'))
            .byCurrency['EUR']?.rows()
            .map((r) => [r.product.name, r.rank]);
        expect(order(shuffled)).toEqual(order(products));
      },
    ),
  );
});

test('prices seen stand newest first per kilogram, the lowest of each currency marked', () => {
  const seen = (size: number, amount: string, seenOn: string | undefined, currency = 'EUR') => ({
    ...priced(size, 'kg', amount, currency),
    seenOn,
    seller: 'Someone',
  });
  const history = priceHistory(
    bag({
      offers: [
        seen(20, '30.00', '2025-03-01'),
        seen(10, '18.00', '2026-02-01'),
        seen(5, '6.00', undefined),
        seen(10, '40.00', '2024-01-01', 'USD'),
        { size: 5, unit: 'L', price: { amount: '1.00', currency: 'EUR' }, seenOn: '2026-01-01' },
      ],
    }),
  );
  expect(history.map((p) => [p.offer.seenOn, p.figure.value.mid, p.currency, p.cheapest])).toEqual([
    ['2026-02-01', 1.8, 'EUR', false],
    ['2025-03-01', 1.5, 'EUR', false],
    ['2024-01-01', 4, 'USD', true],
    [undefined, 1.2, 'EUR', true],
  ]);
  expect(priceHistory(bag())).toEqual([]);
});

test('of one size and seller the newest price counts, older ones are history; another seller, size or currency stands beside it', () => {
  const seen = (
    size: number,
    unit: string,
    amount: string,
    seenOn: string | undefined,
    seller?: string,
    currency = 'EUR',
  ) => ({
    ...priced(size, unit, amount, currency),
    seenOn,
    seller,
  });
  const product = bag({
    analysis: [line('N', 10)],
    offers: [
      seen(20, 'kg', '19.90', '2024-03-01'),
      seen(20, 'kg', '28.00', '2026-03-01'),
      seen(20000, 'g', '15.00', '2023-03-01'),
      seen(20, 'kg', '25.00', '2025-06-01', 'The other shop'),
      seen(20, 'kg', '9.00', undefined),
    ],
  });
  expect(currentOffers(product).map((o) => o.price?.amount)).toEqual(['28.00', '25.00']);
  expect(cost(product, perKg('N'))).toBeCloseTo(12.5, 9);
  expect(pricePerKg(product, 'EUR')?.figure.value.mid).toBeCloseTo(1.25, 9);
});

test('a bag priced in two currencies stands in both lists; a price in one never beats a price in the other', () => {
  const both = bag({
    id: 'both',
    name: 'both',
    analysis: [line('N', 10)],
    offers: [priced(10, 'kg', '20', 'EUR'), priced(10, 'kg', '10', 'USD')],
  });
  const ranking = rankByCost([both, named('euro', 10, '15'), named('dollar', 10, '30', 'USD')], perKg('N'));
  expect(ranking.byCurrency['EUR']?.rows().map((r) => r.product.name)).toEqual(['euro', 'both']);
  expect(ranking.byCurrency['USD']?.rows().map((r) => r.product.name)).toEqual(['both', 'dollar']);
  expect(costPerUnit(both, perKg('N'), 'USD')).toMatchObject({ kind: 'cost', currency: 'USD' });
  expect(costPerUnit(both, perKg('N'), 'GBP').kind).toBe('noPrice');
});

test('each row is held against the best alone: a wide range far down is tied, a near neighbour of a tied row is not', () => {
  const ranking = rankByCost(
    [named('best', 10, '10'), named('near', 10, '10.2'), named('wide', [5, 8, 12], '11'), named('dear', 10, '20')],
    perKg('N'),
  );
  expect(ranking.byCurrency['EUR']?.rows().map((r) => [r.product.name, r.rank, r.tied])).toEqual([
    ['best', 1, true],
    ['near', 2, false],
    ['wide', 1, true],
    ['dear', 4, false],
  ]);
});
test('half a per cent is a tie, a little more is not', () => {
  const tied = (factor: number): boolean =>
    rankByCost([named('a', 10, '1000'), named('b', 10, (1000 * factor).toFixed(2))], perKg('N')).byCurrency[
      'EUR'
    ]!.rows()[1]!.tied;
  expect(ROUNDING).toBe(0.005);
  expect([1.005, 1.0051].map(tied)).toEqual([true, false]);
});

test('the plain number a list is ranked by is the figure that its row shows', () => {
  for (const product of [
    typicalProduct(libraryEntry('rock phosphate')!),
    typicalProduct(libraryEntry('vinasse')!),
    bag({ analysis: [line('N.urea', 4), line('N.nitrate', [2, 3, 4])] }),
  ])
    for (const question of [perKg('N'), perKg('P', 'P2O5'), { ...perKg('K'), perUnit: 'lb' as const }]) {
      const offered = { ...product, offers: [priced(20, 'kg', '24'), priced(5, 'L', '9')] };
      for (const { offer, value } of rankByCost([offered], question).byCurrency['EUR']?.rows() ?? []) {
        const shown = costAtOffer(offered, offer, question);
        if (shown.kind !== 'cost') throw new Error(shown.kind);
        for (const end of ['low', 'mid', 'high'] as const)
          expect(shown.figure.value[end] / value[end]).toBeCloseTo(1, 12);
      }
    }
});

test('rock phosphate does not win by its total: its cost is that of what is available, and says so', () => {
  const rock = { ...typicalProduct(libraryEntry('rock phosphate')!), offers: [priced(25, 'kg', '20')] };
  const triple = { ...typicalProduct(libraryEntry('triple superphosphate')!), offers: [priced(25, 'kg', '25')] };
  const ranking = rankByCost([rock, triple], perKg('P', 'P2O5'));
  expect(ranking.byCurrency['EUR']?.rows().map((r) => [r.product.name, r.counted])).toEqual([
    ['triple superphosphate', 'declared'],
    ['rock phosphate', 'available'],
  ]);
  const shown = costPerUnit(rock, perKg('P', 'P2O5'));
  expect(shown.kind === 'cost' && shown.figure.label).toMatch(/available, by extract/);
});

const costed = (
  given: Parameters<typeof bag>[0],
  offer: Offer = priced(20, 'kg', '24.00'),
  question: CostQuestion = perKg('N'),
) => costAtOffer(bag(given), offer, question);
test.each([
  ['notDeclared', {}],
  ['needsDensity', { analysis: [line('N', 5, 'element', 'g/L')] }],
  ['belowDetection', { analysis: [line('N', { below: 0.01 })] }],
  ['none', { analysis: [line('N', 0)] }],
] as const)('at one package: %s', (kind, given) => expect(costed(given)).toEqual({ kind }));
test('at one package: no price, a volume without a density, and a range that may hold none', () => {
  const twelve = { analysis: [line('N', 12)] };
  expect(costed(twelve, { size: 20, unit: 'kg', price: undefined, seenOn: undefined })).toEqual({ kind: 'noPrice' });
  expect(costed(twelve, priced(1, 'L', '24.00'))).toEqual({ kind: 'needsDensity' });
  expect(costed({ analysis: [line('N', [0, 1, 2])] })).toEqual({ kind: 'none' });
  expect(costed({ analysis: [line('N', [0.0001, 1, 2])] }).kind).toBe('cost');
});

test('the whole working of a cost per pound of an oxide, line by line', () => {
  const found = costed(
    { name: 'Potash', analysis: [line('K', 50, 'K2O')] },
    { ...priced(25, 'kg', '41.25'), seenOn: '2026-02-20' },
    { nutrient: 'K', basis: 'K2O', perUnit: 'lb' },
  );
  if (found.kind !== 'cost') throw new Error(found.kind);
  expect(found).toMatchObject({ currency: 'EUR', counted: 'declared', offer: { size: 25 } });
  expect(found.figure.value.mid).toBeCloseTo((41.25 / 12.5) * 0.45359237, 12);
  expect(workingLines(found.figure).map((l) => [l.label, l.result, l.note])).toEqual([
    ['Cost of K₂O in Potash', '1.497 EUR/lb K₂O', ''],
    ['price of the package', '41.25 EUR', 'label: seen 20 Feb 2026'],
    ['K₂O in the package', '27.56 lb K₂O', ''],
    ['K₂O in the package', '12.5 kg K₂O', ''],
    ['package size', '25 kg', 'label: product record'],
    ['potassium as K₂O', '0.5 kg/kg', ''],
    ['potassium, as K', '0.4151 kg/kg', expect.stringMatching(/^% as a fraction by mass; K is 1\/1\.2046 of K₂O/)],
    ['declared potassium as K₂O', '50 %', 'label: test'],
    ['K₂O per K', '1.205 kg K₂O/kg K', 'standard atomic weights'],
    ['lb per kg', '2.205 lb/kg', 'by definition'],
  ]);
});
test('a price without a date is of the product’s record; a total that is not all available says so in its name', () => {
  const found = costed(
    { name: 'Ash', analysis: [line('P', 12, 'P2O5', '%', 'measured')] },
    priced(20, 'kg', '24.00'),
    perKg('P', 'P2O5'),
  );
  if (found.kind !== 'cost') throw new Error(found.kind);
  expect(found.counted).toBe('total');
  expect(found.figure.label).toBe('Cost of P₂O₅ in Ash (total, not what is available)');
  expect(workingLines(found.figure)[1]?.note).toBe('label: product record');
});
test('per kilogram: why there is none, what it is, and where it comes from', () => {
  const product = bag({
    name: 'Meal',
    offers: [
      priced(20, 'kg', '30.00'),
      priced(2, 'L', '1.00'),
      { size: 5, unit: 'kg', price: undefined, seenOn: undefined },
    ],
  });
  const [only, ...rest] = pricesPerKg(product);
  expect(rest).toEqual([]);
  expect(only?.figure).toMatchObject({ label: 'Price of Meal', unit: { text: 'EUR/kg' }, value: { mid: 1.5 } });
  expect(workingLines(only!.figure).map((l) => [l.label, l.note])).toEqual([
    ['Price of Meal', ''],
    ['price of the package', 'label: product record'],
    ['package size', 'label: product record'],
  ]);
  expect(pricePerKg(product, 'USD')).toBeUndefined();
  expect(pricesPerKg(bag())).toEqual([]);
});
test('two of one name keep an order, and a cheaper package in another size wins whatever its place', () => {
  const two = [named('same', 10, '10'), { ...named('same', 10, '10'), id: 'other' }];
  expect(rankByCost(two, perKg('N')).byCurrency['EUR']).toHaveLength(2);
  const sizes = [priced(5, 'kg', '10'), priced(10, 'kg', '15'), priced(25, 'kg', '60')];
  for (const offers of [sizes, [...sizes].reverse()])
    expect(costPerUnit(bag({ analysis: [line('N', 10)], offers }), perKg('N'))).toMatchObject({ offer: { size: 10 } });
});
