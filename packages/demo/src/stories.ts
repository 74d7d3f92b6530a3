import type { ClaimInput, RecipeInput } from '@wheat-ledger/contract';

/** A claim or recipe that names its products; the loader turns names into ids. */
export type NamedClaim = Omit<ClaimInput, 'productId'> & { readonly product: string };
export type NamedRecipe = Omit<RecipeInput, 'parts'> & {
  readonly parts: readonly { readonly product: string; readonly parts: number }[];
};

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
