import { uniformDraws } from '@wheat-ledger/core';

/** What the invented list is called, and whose it is. */
export const CATALOGUE_LIST = { name: 'Three sellers, spring 2026', seller: '' } as const;

/** A search of it that is kept. */
export const KEPT_SEARCH = {
  name: 'Organic N, little chloride',
  search: {
    words: '',
    by: 'N',
    currency: 'EUR',
    atLeast: [{ nutrient: 'N', percent: 4 }],
    organic: 'yes',
    chloridePercent: 1,
  },
} as const;

const SELLERS = ['Quernlow Stores', 'Hobbingate Supplies', 'Larkmere Feed'] as const;
/** Kinds of goods at their best: N, P2O5, K2O, Mg, S and Cl in per cent, form, price of a kg, what they are made from, whether listed for organic use. */
const GOODS: readonly (readonly [string, readonly number[], string, number, string, string])[] = [
  ['Urea', [46, 0, 0, 0, 0, 0], 'prill', 0.85, 'urea', 'no'],
  ['Ammonium Sulfate', [21, 0, 0, 0, 24, 0], 'crystal', 0.6, 'ammonium sulfate', 'no'],
  ['Feather Meal', [13, 0, 0, 0, 1.5, 0], 'meal', 1.2, 'feather meal', 'yes'],
  ['Hoof and Horn', [12.5, 0, 0, 0, 1, 0], 'meal', 1.9, '', 'yes'],
  ['Rape Cake', [5.5, 2, 1.3, 0.5, 0.8, 0], 'meal', 0.7, '', 'yes'],
  ['Hen Pellets', [4, 3, 2.5, 0.6, 0.5, 0.4], 'pellet', 0.45, 'poultry manure', 'yes'],
  ['Sulfate of Potash', [0, 0, 50, 0, 18, 1], 'granule', 1.35, 'potassium sulfate', 'yes'],
  ['Muriate of Potash', [0, 0, 60, 0, 0, 47], 'granule', 0.8, 'potassium chloride', 'no'],
  ['Bitter Salt', [0, 0, 0, 9.8, 13, 0], 'crystal', 0.75, 'magnesium sulfate', 'yes'],
  ['Garden Compound', [12, 6, 10, 1.2, 6, 2], 'granule', 1.05, '', 'no'],
  ['Rose Feed', [7, 5, 9, 1.8, 5, 1], 'granule', 1.6, '', ''],
  ['Tomato Feed', [6, 4, 12, 1.2, 4, 0.5], 'granule', 1.8, '', ''],
];
const NAMES = ['Larch', 'Alder', 'Sorrel', 'Teasel', 'Yarrow', 'Sedge', 'Plover', 'Wren'] as const;
const PACKAGES = [1, 5, 10, 25] as const;
/** A small package costs more a kg. */
const DEARER = [1.9, 1.35, 1.15, 1] as const;

interface Listed {
  readonly name: string;
  readonly seller: string;
  readonly form: string;
  readonly shares: readonly string[];
  readonly kg: number;
  readonly price: number;
  readonly organic: string;
  readonly from: string;
}
/** The goods of the list, the same every time. */
function listed(): readonly Listed[] {
  const draw = uniformDraws(20_260_301);
  return GOODS.flatMap(([goods, analysis, form, price, from, organic]) =>
    NAMES.flatMap((name, n) =>
      SELLERS.map((seller, s): Listed => {
        const at = (n + s) % PACKAGES.length;
        const kg = PACKAGES[at] ?? 1;
        const shares = analysis.map((share) => (share === 0 ? '' : (share * (0.9 + 0.1 * draw())).toFixed(1)));
        const money = price * kg * (DEARER[at] ?? 1) * (0.8 + 0.4 * draw());
        return { name: `${name} ${goods}`, seller, form, shares, kg, price: Number(money.toFixed(2)), organic, from };
      }),
    ),
  );
}

/** A list of invented goods of three sellers as CSV: a stand-in for what sellers send. */
export function catalogueListCsv(): string {
  const rows = listed().map(({ name, seller, form, shares, kg, price, organic, from }) =>
    [name, seller, form, ...shares, `${kg} kg`, price.toFixed(2), 'EUR', '2026-03-01', organic, from].join(','),
  );
  const head = 'name,seller,form,N %,P2O5 %,K2O %,Mg %,S %,Cl %,package,price,currency,seen on,organic,derived from';
  return [head, ...rows].join('\n');
}

/** By how much every so many-th price of the list changed; the rest stayed. */
const CHANGED = [
  [5, 1.08],
  [7, 0.94],
] as const;
/**
 * Later prices of the same goods as a price list: some dearer, some cheaper, one sold no more, and a line that cannot be right.
 * @param day ISO date the prices are of
 */
export function cataloguePricesCsv(day: string): string {
  const rows = listed().map(({ name, seller, kg, price }, i) => {
    const by = CHANGED.find(([each]) => i % each === each - 1)?.[1] ?? 1;
    const sold = i !== 100;
    const money = sold ? [(price * by).toFixed(2), 'EUR', day, ''] : ['', '', day, 'withdrawn'];
    return [name, kg, 'kg', ...money, seller].join(',');
  });
  return ['item,size,unit,price,currency,seen,status,seller', ...rows, `Larch Moon Dust,2,kg,9.90,EUR,${day},,`].join(
    '\n',
  );
}
