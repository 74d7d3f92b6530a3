import { ClaimInput, validateInput } from '@wheat-ledger/contract';
import { blankClaim, claimText, readClaim } from './claimText';

const ID = '00000000-0000-4000-8000-000000000001';
const kept: ClaimInput = {
  statement: 'It loosens clay',
  saidBy: 'the maker',
  productId: ID,
  crop: 'wheat',
  needs: ['Ca'],
  kind: 'loosens',
  countable: 'Water soaks in twice as fast',
  gain: 1,
  interest: 'seller',
  conditions: [{ condition: 'sodic', holds: true }],
  studies: [{ studyId: ID, leftOut: 'no control' }],
  searches: [{ where: 'a library', on: '2026-02-01', words: 'gypsum clay', found: 'two' }],
  overrule: { verdict: 'Not shown', reason: 'my clay is not sodic' },
  notes: [
    { check: 'dose', answer: 'against', reason: 'half blows away' },
    { check: 'harm', reason: 'dusty' },
  ],
  rate: { use: '', amount: 100, unit: 'g', per: { amount: 1, unit: 'm²' }, perYear: 2 },
  slips: [{ nutrient: 'Ca', found: 20.5, error: 0.4, lot: 'A7', laboratory: 'Dunmere Bench', on: '2026-03-02' }],
  tolerance: 0.05,
  stake: {
    baseKgPerM2: { low: 0.4, mid: 0.5, high: 0.6 },
    valuePerKg: { low: 2, mid: 2, high: 2 },
    currency: 'EUR',
    areaM2: 400,
    seasons: 3,
    units: 4,
    cv: 0.12,
  },
};

test('a kept claim typed again is the same, and valid', () => {
  const read = readClaim(claimText(kept));
  expect(read.problems).toEqual([]);
  expect(read.plain).toEqual(kept);
  expect(validateInput(ClaimInput, read.plain).ok).toBe(true);
});

test('what is left blank is not kept; a claim needs its bag, a search its day', () => {
  const read = readClaim({
    ...blankClaim('wheat'),
    statement: 'It works',
    conditions: [{ condition: '', holds: 'yes' }],
    searches: [
      { where: '', on: '', words: '', found: '' },
      { where: 'a library', on: 'once', words: '', found: '' },
    ],
  });
  expect(Object.keys(read.plain).sort()).toEqual(['crop', 'needs', 'productId', 'saidBy', 'searches', 'statement']);
  expect(read.problems.map((p) => p.path)).toEqual(['productId', 'searches.1.on']);
});

test('a gain is typed in per cent', () => {
  expect(readClaim({ ...blankClaim('wheat'), productId: ID, gain: '20 %' }).plain.gain).toBeCloseTo(0.2, 12);
});

test('a note needs its reason, a slip its number, and a rate is of the product', () => {
  const blank = blankClaim('wheat');
  const read = readClaim({
    ...blank,
    statement: 'x',
    productId: ID,
    notes: { ...blank.notes, dose: { answer: 'against', reason: '' } },
    slips: [{ nutrient: 'N', found: 'lots', error: '', lot: 'A', on: '', laboratory: '' }],
    rate: { amount: '2 g N/m²', use: '', perYear: '' },
    stake: { ...blank.stake, base: '0.5', value: 'dear' },
  });
  expect(read.problems.map((p) => p.path)).toEqual(['rate.amount', 'slips.0.found', 'stake.value']);
  const checked = validateInput(ClaimInput, read.plain);
  expect(checked.ok ? [] : checked.problems.map((p) => p.path)).toContain('notes.0.reason');
});
