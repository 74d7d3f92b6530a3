import type { ClaimInput, HeapInput, MovementInput, RecipeInput } from '@wheat-ledger/contract';
import { STUDIES } from './studies.js';

/** A claim or recipe that names its products; the loader turns names into ids. */
export type NamedClaim = Omit<ClaimInput, 'productId' | 'studies'> & {
  readonly product: string;
  /** By their titles. */
  readonly studies?: readonly { readonly study: string; readonly leftOut: string }[];
};
/** A claim with its studies under their ids, all but its product. @param idOf an id for a title */
export function claimWithStudies(
  named: Omit<NamedClaim, 'product'>,
  idOf: (title: string) => string,
): Omit<ClaimInput, 'productId'> {
  const { studies = [], ...claim } = named;
  const weighed = studies.map(({ study, leftOut }) => ({ studyId: idOf(study), leftOut }));
  return { ...claim, ...(weighed.length > 0 ? { studies: weighed } : {}) };
}
export type NamedRecipe = Omit<RecipeInput, 'parts'> & {
  readonly parts: readonly { readonly product: string; readonly parts: number }[];
};

export type NamedMovement = Omit<MovementInput, 'productId'> & { readonly product: string };

export const CLAIMS: readonly NamedClaim[] = [
  {
    statement: 'Liquid silicon stops wheat lodging by feeding the straw its silicon',
    saidBy: 'the maker, sample',
    product: 'Standfast Silicon',
    crop: 'wheat',
    needs: ['Si'],
    kind: 'other',
    countable: 'Fewer plots with more than half the straw lying at harvest than where only water is sprayed',
    less: true,
    interest: 'seller',
    studies: STUDIES.map(({ title }, i) => ({
      study: title,
      leftOut: i === 5 ? 'its untreated plots stood in the wind' : '',
    })),
    searches: [
      {
        where: 'a library catalogue, sample',
        on: '2026-02-10',
        words: 'silicon lodging wheat',
        found: 'six trials, invented',
      },
    ],
    stake: {
      baseKgPerM2: { low: 0.03, mid: 0.05, high: 0.1 },
      valuePerKg: { low: 0.9, mid: 1.2, high: 1.6 },
      currency: 'EUR',
      areaM2: 900,
      seasons: 3,
      units: 6,
      cv: 0.2,
    },
  },
  {
    statement: 'This nettle ferment is a complete feed',
    saidBy: 'a neighbour, sample',
    product: 'Green Can Nettle Ferment',
    crop: 'leek',
    needs: ['N', 'P', 'K'],
  },
  {
    statement: 'A magnesium spray makes dahlias bloom twice',
    saidBy: 'the maker, sample',
    product: 'Dahlia Twice Spray',
    crop: 'dahlia',
    needs: ['Mg'],
    kind: 'stimulates',
    countable: 'Twice as many blooms by September as where only water is sprayed',
    gain: 1,
    interest: 'seller',
  },
  {
    statement: 'Wool pellets feed all year',
    saidBy: 'the maker, sample',
    product: 'Fleecefast Wool Pellets',
    crop: 'leek',
    needs: ['N'],
    kind: 'feedsAllSeason',
    interest: 'seller',
  },
  {
    statement: 'Wool pellets keep their carbon in the soil for good',
    saidBy: 'the maker, sample',
    product: 'Fleecefast Wool Pellets',
    crop: 'leek',
    needs: [],
    kind: 'storesCarbon',
    interest: 'seller',
  },
  {
    statement: 'Zeolite halves the nitrogen you need',
    saidBy: 'a forum, sample',
    product: 'Holdstone Zeolite',
    crop: 'wheat',
    needs: [],
    kind: 'lessNitrogen',
    countable: 'The same yield at half the nitrogen, with and without it',
    interest: 'unknown',
  },
  {
    statement: 'Coated prills cannot burn',
    saidBy: 'the maker, sample',
    product: 'Hobbingate Steady Prills',
    crop: 'dahlia',
    needs: [],
    kind: 'cannotBurn',
    interest: 'seller',
    notes: [{ check: 'harm', reason: 'a burst bag lay in the sun last summer' }],
  },
  {
    statement: 'There is 13 % nitrogen in this feather meal',
    saidBy: 'the label, sample',
    product: 'Larkmere Feather Meal',
    crop: 'garlic',
    needs: ['N'],
    kind: 'contains',
    interest: 'seller',
    slips: [
      { nutrient: 'N', found: 12.1, error: 0.4, lot: 'FM 0226', on: '2026-03-02', laboratory: 'Dunmere Bench, sample' },
      { nutrient: 'N', found: 11.9, error: 0.4, lot: 'FM 0311', on: '2026-03-20', laboratory: 'Dunmere Bench, sample' },
      { nutrient: 'N', found: 12.2, error: 0.5, lot: 'FM 0402', on: '2026-04-11', laboratory: 'Dunmere Bench, sample' },
    ],
    tolerance: 0.03,
  },
  {
    statement: 'Hen pellets alone supply a wheat crop’s nitrogen',
    saidBy: 'the feed store, sample',
    interest: 'seller',
    product: 'Hollow Hen Pellets',
    crop: 'wheat',
    needs: ['N'],
  },
];

/** What lies on the bench when the ledger is opened first: bags to compare and a mix of them, one set aside. */
export const BENCH: readonly ({ readonly aside: boolean } & (
  { readonly product: string; readonly recipe?: undefined } | { readonly product?: undefined; readonly recipe: string }
))[] = [
  { product: 'Quernlow Urea', aside: false },
  { product: 'Larkmere Feather Meal', aside: false },
  { product: 'Hollow Hen Pellets', aside: false },
  { product: 'Hobbingate Steady Prills', aside: false },
  { product: 'Quernlow Sulfate of Potash', aside: true },
  { recipe: 'The old shed mix', aside: false },
];

export const RECIPES: readonly NamedRecipe[] = [
  {
    name: 'Spring feed for the leeks',
    target: '6-3-5',
    strength: 'grade',
    tolerance: 0.1,
    by: 'weight',
    batchKg: 10,
    parts: [],
    rules: [
      { kind: 'keep', on: true, what: 'noChloride' },
      { kind: 'kinds', on: true, most: 3 },
      { kind: 'apart', on: true },
      { kind: 'keep', on: false, what: 'notSynthetic' },
    ],
  },
  {
    name: 'The old shed mix',
    target: '',
    strength: 'grade',
    tolerance: 0.05,
    by: 'volume',
    batchKg: 10,
    parts: [
      { product: 'Larkmere Feather Meal', parts: 4 },
      { product: 'Larkmere Bone Meal', parts: 2 },
      { product: 'Quernlow Sulfate of Potash', parts: 1 },
    ],
  },
];

const moved = (
  product: string,
  amount: number,
  unit: string,
  reason: MovementInput['reason'],
  on: string,
  lot = '',
): NamedMovement => ({ product, amount, unit, reason, on, lot, note: '' });

/** What came into the shed and went out of it. */
export const MOVEMENTS: readonly NamedMovement[] = [
  moved('Larkmere Feather Meal', 20, 'kg', 'bought', '2026-02-20', 'FM 0226'),
  moved('Larkmere Feather Meal', -3.5, 'kg', 'used', '2026-03-12'),
  moved('Hollow Hen Pellets', 40, 'kg', 'bought', '2026-02-20'),
  moved('Hollow Hen Pellets', -1, 'kg', 'spoiled', '2026-03-01'),
  moved('Ossel Clear Feed', 5, 'L', 'bought', '2026-02-20'),
  moved('Ossel Clear Feed', -250, 'mL', 'used', '2026-03-18'),
];

/** A heap that was piled in spring and is ripening. */
export const HEAPS: readonly HeapInput[] = [
  {
    name: 'The spring heap',
    begunOn: '2026-03-08',
    binL: 1500,
    parts: [
      { material: 'horse-manure-with-bedding', amount: 700, unit: 'L' },
      { material: 'soft-green-cuttings', amount: 300, unit: 'L' },
      { material: 'kitchen-scraps', amount: 60, unit: 'L' },
      { material: 'straw', amount: 200, unit: 'L' },
    ],
    log: [
      { on: '2026-03-09', celsius: 14, turned: false, note: 'damp, piled in layers' },
      { on: '2026-03-12', celsius: 41, turned: false, note: '' },
      { on: '2026-03-15', celsius: 58, turned: false, note: '' },
      { on: '2026-03-19', celsius: 62, turned: false, note: '' },
      { on: '2026-03-24', celsius: 51, turned: true, note: 'dry on the north side, two cans of water' },
      { on: '2026-03-28', celsius: 57, turned: false, note: '' },
      { on: '2026-04-05', celsius: 46, turned: false, note: '' },
      { on: '2026-04-18', celsius: 31, turned: true, note: '' },
      { on: '2026-05-06', celsius: 22, turned: false, note: 'smells of woods' },
    ],
    note: '',
  },
];
