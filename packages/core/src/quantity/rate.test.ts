import fc from 'fast-check';
import { parseRate, printRate, rateBasis, rateFactor, RATE_PER, unitsOf, type Rate } from './index.js';

const rate = (text: string): Rate => {
  const read = parseRate(text);
  if (!read.ok) throw new Error(read.reason);
  return read.rate;
};

test.each([
  ['50 g/m²', '50 g/m²', 'area'],
  ['30–50 g per square metre', '30–50 g/m²', 'area'],
  ['1 kg per 10 m2', '1 kg/10 m²', 'area'],
  ['40 g/sqm', '40 g/m²', 'area'],
  ['3 lb per 1,000 sq ft', '3 lb/1000 ft²', 'area'],
  ['3 lbs / 1,000 sq. ft.', '3 lb/1000 ft²', 'area'],
  ['2 pounds per 100 square feet', '2 lb/100 ft²', 'area'],
  ['120 pounds per acre', '120 lb/acre', 'area'],
  ['4 kg per hectare', '4 kg/ha', 'area'],
  ['15 L/ha', '15 L/ha', 'area'],
  ['1 oz/plant', '1 oz/plant', 'plant'],
  ['½ US cup per plant', '0.5 US cup/plant', 'plant'],
  ['1/2 US cup/plant', '0.5 US cup/plant', 'plant'],
  ['200 g for each tree', '200 g/plant', 'plant'],
  ['20 g/m of row', '20 g/m of row', 'row'],
  ['1 lb/25 ft row', '1 lb/25 ft of row', 'row'],
  ['100 g per metre of row', '100 g/m of row', 'row'],
  ['5 mL/L', '5 mL/L of water', 'water'],
  ['1 to 2 metric tsp per US gal', '1–2 metric tsp/US gal of water', 'water'],
  ['2 g/L of water', '2 g/L of water', 'water'],
  ['500 mL in every 100 litres of water', '500 mL/100 L of water', 'water'],
  ['4 kg/m³ of compost', '4 kg/m³ of medium', 'medium'],
  ['4 g per litre of potting mix', '4 g/L of medium', 'medium'],
  ['5 lb per cubic yard of soil', '5 lb/yd³ of medium', 'medium'],
  ['2 g/L', '2 g/L of water', 'water'],
  ['10 g per pot', '10 g/plant', 'plant'],
  ['2-3 oz/plant', '2–3 oz/plant', 'plant'],
  ['1-1/2 lb/100 sq ft', '1.5 lb/100 ft²', 'area'],
  ['1-1/2 to 2 lb per 100 sq. ft.', '1.5–2 lb/100 ft²', 'area'],
  ['2 Mg/ha', '2 t/ha', 'area'],
  ['2 lb 4 oz per 1.000 sq ft', '2.25 lb/1000 ft²', 'area'],
  ['1 Tbs (US) per gal (US)', '1 US tbsp/US gal of water', 'water'],
  ['500 g to 1 kg per m²', '0.5–1 kg/m²', 'area'],
])('%s is read as %s', (typed, printed, basis) => {
  expect(printRate(rate(typed))).toBe(printed);
  expect(rateBasis(rate(typed))).toBe(basis);
});

test.each([
  ['1:200', /one part in, or one part to/],
  ['a capful', /expected a rate such as/],
  ['50', /expected a rate/],
  ['2 tbsp/plant', /differs by country: say US tbsp/],
  ['5 mL/gal', /differs by country: say US gal or imp gal/],
  ['20 g/m', /square measure such as m², or "m of row"/],
  ['5 mm/m²', /expected a weight or a volume/],
  ['5 g/barrow', /Read "barrow" behind the stroke/],
  ['2,500 g/m²', /could be 2500 or 2.5/],
  ['2 T/acre', /"T" is not the same weight to everybody: say t or US ton/],
  ['2 Mg/plant', /"Mg" is not the same weight to everybody: say t or mg/],
  ['5 g/cm of row', /Read "cm of row"/],
  ['0 g/m²', /more than nothing/],
  ['-5 g/m²', /./],
  ['50–30 g/m²', /the least before the most/],
  ['5 g/0 m²', /more than nothing/],
  ['5 g/m²/m²', /behind the stroke/],
  ['5 g/', /expected a rate/],
])('%s is refused in words', (typed, words) => {
  const read = parseRate(typed);
  expect(read.ok ? printRate(read.rate) : read.reason).toMatch(words);
});
test('a word that names several measures lists them', () =>
  expect(parseRate('2 tsp/US gal')).toMatchObject({ ok: false, which: ['US tsp', 'metric tsp'] }));

test('rates come out in kg or L for each m², plant, m of row, L of water and L of medium', () => {
  const canonical = (text: string): number => rate(text).amount * rateFactor(rate(text));
  expect(canonical('40 lb/acre')).toBeCloseTo((40 * 0.45359237) / 4046.8564224, 9); // 4.48 g/m²
  expect(canonical('3 lb/1000 ft²')).toBeCloseTo(0.014647, 6); // 1.3608 kg ÷ 92.903 m²
  expect(canonical('1 lb/25 ft of row')).toBeCloseTo(0.45359237 / 7.62, 9);
  expect(canonical('2 metric tsp/US gal of water')).toBeCloseTo(0.01 / 3.785411784, 9);
  expect(canonical('5 lb/yd³ of medium')).toBeCloseTo(2.26796185 / 764.554857984, 9);
});

test('parse ∘ print is the identity', () => {
  const amount = fc.integer({ min: 1, max: 1_000_000 }).map((n) => n / 1000);
  const rates = fc.record({
    low: fc.option(fc.double({ min: 0.01, max: 0.99, noNaN: true })),
    amount,
    unit: fc.constantFrom(...unitsOf('mass'), ...unitsOf('volume')),
    each: fc.constantFrom(1, 10, 25, 100, 1000),
    per: fc.constantFrom(...RATE_PER),
  });
  fc.assert(
    fc.property(rates, ({ low, amount: most, unit, each, per }) => {
      const made: Rate = {
        amount: most,
        ...(low === null ? {} : { least: Number((most * low).toPrecision(3)) }),
        unit,
        per: { amount: each, unit: per },
      };
      expect(rate(printRate(made))).toEqual(made);
    }),
  );
});

test('no text makes it throw', () =>
  fc.assert(
    fc.property(
      fc.oneof(fc.string(), fc.stringMatching(/^[\d.–-]{1,4} ?(g|mL|tbsp)?[/ ](per )?[a-z²³0-9 ]{0,12}$/)),
      (text) => expect(typeof parseRate(text).ok).toBe('boolean'),
    ),
  ));

test('a rate of a nutrient is not one of the product, and says whose it is', () => {
  expect(parseRate('1 lb N/1000 sq ft')).toMatchObject({ ok: true, nutrient: 'N', rate: { amount: 1, unit: 'lb' } });
  expect(parseRate('30 kg of P2O5 per ha')).toMatchObject({ ok: true, nutrient: 'P2O5' });
  expect(parseRate('1 lb/1000 sq ft')).not.toHaveProperty('nutrient');
});
