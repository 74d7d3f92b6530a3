import type { ClaimInput, MovementInput, RecipeInput } from '@wheat-ledger/contract';

/** A claim or recipe that names its products; the loader turns names into ids. */
export type NamedClaim = Omit<ClaimInput, 'productId'> & { readonly product: string };
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
  },
  {
    statement: 'Hen pellets alone supply a wheat crop’s nitrogen',
    saidBy: 'the feed store, sample',
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
