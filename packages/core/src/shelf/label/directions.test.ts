import fc from 'fast-check';
import { direction } from '../../../test/bags.js';
import { readLabel } from './readLabel.js';

const read = (text: string) => {
  const { directions, lines } = readLabel(text);
  return { directions, says: lines[0]!.says };
};

test('directions say how much, for what and how often', () => {
  expect(read('Apply 2-3 lb per 100 sq ft twice a year')).toEqual({
    directions: [direction('2–3 lb/100 ft²', 2)],
    says: 'a rate of 2–3 lb/100 ft², 2 times a year',
  });
  expect(read('40 g/m², 4 applications per season').directions).toEqual([direction('40 g/m²', 4)]);
  expect(read('40 g/m² once a year').says).toBe('a rate of 40 g/m², once a year');
  expect(read('New beds: 100 g per m²').directions).toEqual([direction('100 g/m²', undefined, 'New beds')]);
  expect(read('Apply 100 g/m² for established roses, watered in.').directions).toEqual([
    direction('100 g/m²', undefined, 'established roses'),
  ]);
});

test.each([
  ['Directions: 50 g/m²', ['50 g/m²']],
  ['Tomatoes: 2 metric tbsp per plant, twice a year', ['2 metric tbsp/plant']],
  ['Dilute 5 mL in each litre of water', ['5 mL/L of water']],
  ['1–2 US tsp per US gallon', ['1–2 US tsp/US gal of water']],
  ['Side-dress 1 lb per 25 ft of row', ['1 lb/25 ft of row']],
  ['Potting: 4 kg per m³ of compost', ['4 kg/m³ of medium']],
  [
    'Beds: 50 g/m²; pots: 4 g per litre of potting mix; feed: 5 ml/L',
    ['50 g/m²', '4 g/L of medium', '5 mL/L of water'],
  ],
] as const)('%s', (text, rates) =>
  expect(read(text).directions.map((d) => ({ ...d, use: '', perYear: undefined }))).toEqual(
    rates.map((r) => direction(r)),
  ),
);

test.each([
  ['Spread 1 kg over 10 m²', ['1 kg/10 m²']],
  ['One handful (35 g) per sq. metre', ['35 g/m²']],
  ['Apply 100g of feed per square metre', ['100 g/m²']],
  ['2-4 oz. per plant', ['2–4 oz/plant']],
  ['Add 10 ml to 5 litres of water', ['10 mL/5 L of water']],
  ['2 oz per sq yd', ['2 oz/yd²']],
  ['Use 20 kg for trees', []],
] as const)('however it is put: %s', (text, rates) =>
  expect(read(text).directions.map((d) => ({ ...d, use: '', perYear: undefined }))).toEqual(
    rates.map((r) => direction(r)),
  ),
);

test('a figure or a package in the same line is not lost, and what is not understood beside a rate is said', () => {
  const both = (text: string) => {
    const { analysis, packages, directions, lines } = readLabel(text);
    return [analysis.map((f) => f.analyte), packages.length, directions.length, lines[0]!.kind];
  };
  expect(both('Contains 4 % nitrogen. Apply 50 g/m² twice a year')).toEqual([['N'], 0, 1, 'analysis']);
  expect(both('Net weight 20 kg, apply 50 g/m²')).toEqual([[], 1, 1, 'rate']);
  expect(both('Apply 50 g/m², and again after 6 weeks')).toEqual([[], 0, 1, 'rate']);
  expect(both('Apply 50 g/m². Vigour 12 %')).toEqual([[], 0, 1, 'notUnderstood']);
});

test('each of several rates keeps what it is for and how often', () =>
  expect(
    read('Beds: 50 g/m², twice a year; pots: 4 g per litre of potting mix; feed: 5 ml/L').directions.map((d) => [
      d.use,
      d.perYear,
    ]),
  ).toEqual([
    ['Beds', 2],
    ['pots', undefined],
    ['feed', undefined],
  ]));

test('a measure that differs by country is asked about, and no rate is invented', () => {
  expect(read('1 tbsp per plant')).toEqual({
    directions: [],
    says: 'a rate, but "tbsp" differs by country: say US tbsp or metric tbsp or AU tbsp.',
  });
  expect(read('1 US tbsp per gallon').says).toMatch(/^a rate, but "gallon" differs by country/);
});

test('a ratio is asked about, and a second rate that is not understood is told', () => {
  expect(read('Dilution: 1:200')).toEqual({
    directions: [],
    says: expect.stringMatching(/one part in, or one part to/),
  });
  expect(read('Vegetables: 5 lb per 100 sq ft. Trees: 1 lb per inch of trunk')).toEqual({
    directions: [direction('5 lb/100 ft²', undefined, 'Vegetables')],
    says: 'a rate of 5 lb/100 ft² for Vegetables; another rate in the line was not understood',
  });
});

test('what is a figure of the analysis is no rate', () => {
  expect(read('Total nitrogen 60 g/L')).toMatchObject({ directions: [], says: '60 g/L nitrogen' });
  expect(read('Density 1.2 kg/L').directions).toEqual([]);
  expect(read('Potassium 12 g/kg').directions).toEqual([]);
});

test('whatever the figures, a rate that is read prints what was written', () => {
  const amount = fc.integer({ min: 1, max: 999 });
  fc.assert(
    fc.property(
      amount,
      fc.constantFrom('g', 'kg', 'mL', 'lb'),
      fc.constantFrom('m²', '100 ft²', 'plant', 'm of row', 'L of water'),
      (n, unit, per) =>
        expect(read(`Use ${n} ${unit} per ${per}`).directions).toEqual([direction(`${n} ${unit}/${per}`)]),
    ),
  );
});
