import fc from 'fast-check';
import { pHAvailability, type PHEffect } from './availability.js';
import { CAUSES } from './causes.js';

const LOAM = { medium: 'mineralSoil', texture: 'loam' } as const;
const notEasy = (pH: number, soil: Parameters<typeof pHAvailability>[1] = LOAM): Readonly<Record<string, PHEffect>> =>
  Object.fromEntries(
    pHAvailability(pH, soil)
      .filter((a) => a.effect !== 'easy')
      .map((a) => [a.nutrient, a.effect]),
  );

test('between 6 and 7.3 everything is as easy as it gets', () => {
  for (const pH of [6, 6.5, 7.3]) expect(notEasy(pH)).toEqual({});
});

test('lime locks phosphorus, iron, manganese and zinc, and never molybdenum', () => {
  expect(notEasy(7.9)).toEqual({ P: 'harder', Fe: 'harder', Mn: 'harder', Zn: 'harder', Cu: 'harder', B: 'harder' });
});

test('acid soil holds back phosphorus and molybdenum, and sets free too much manganese, never too little iron', () => {
  expect(notEasy(4.8)).toMatchObject({ P: 'harder', Mo: 'harder', Ca: 'harder', Mn: 'tooMuch' });
  expect(notEasy(4.8)).not.toHaveProperty('Fe');
});

test('peat and potting media do the same about one unit lower', () => {
  for (const soil of [
    { medium: 'mineralSoil', texture: 'peat' },
    { medium: 'organicPotting', texture: 'loam' },
  ] as const) {
    expect(notEasy(5.5, soil)).toEqual({});
    expect(notEasy(6.5, soil)).toMatchObject({ Fe: 'harder', P: 'harder' });
  }
});

test('a nutrient that is held back says by what; one that is easy says nothing; no nutrient suffers on both sides of one pH', () => {
  fc.assert(
    fc.property(fc.double({ min: 3, max: 10, noNaN: true }), (pH) => {
      const all = pHAvailability(pH, LOAM);
      expect(new Set(all.map((a) => a.nutrient)).size).toBe(all.length);
      for (const a of all) expect([a.nutrient, a.words !== '']).toEqual([a.nutrient, a.effect !== 'easy']);
    }),
  );
});

test('every shortage the sorter knows is one whose pH is known too', () => {
  const known = new Set(pHAvailability(7, LOAM).map((a) => a.nutrient));
  expect(CAUSES.flatMap((c) => (c.nutrient && !known.has(c.nutrient) ? [c.name] : []))).toEqual([]);
  expect(CAUSES.filter((c) => c.nutrient).map((c) => c.kind)).toEqual(
    CAUSES.filter((c) => c.kind === 'shortage').map(() => 'shortage'),
  );
});
