import {
  compoundPerElement,
  formatGiven,
  formatMoney,
  formatTrimmedRange,
  labelBasis,
  pricesPerKg,
  scaleRange,
  supplyRange,
  symbolIn,
  type Nutrient,
} from '@wheat-ledger/core';
import type { ShelfProduct } from '../app/workspace';

type Shown = 'oxide' | 'element';

/** A column of the shelf as lines. */
export interface ShelfColumn {
  readonly id: string;
  readonly head: (basis: Shown) => string;
  readonly num: boolean;
  /** What it is sorted by; undefined stands last. */
  readonly sortBy: (bag: ShelfProduct) => string | number | undefined;
  readonly words: (bag: ShelfProduct, basis: Shown) => string;
}

const NOT_TOLD = '–';

const text = (id: string, head: string, of: (bag: ShelfProduct) => string): ShelfColumn => ({
  id,
  head: () => head,
  num: false,
  sortBy: (bag) => of(bag) || undefined,
  words: (bag) => of(bag) || NOT_TOLD,
});

/** What a bag supplies of a nutrient, in per cent by mass. */
const nutrient = (n: Nutrient): ShelfColumn => ({
  id: n,
  head: (basis) => `${symbolIn(n, basis === 'oxide' ? labelBasis(n) : 'element')} %`,
  num: true,
  sortBy: ({ product }) => {
    const supply = supplyRange(product, n);
    return supply.kind === 'range' ? supply.value.mid : undefined;
  },
  words: ({ product }, basis) => {
    const supply = supplyRange(product, n);
    if (supply.kind !== 'range') return supply.kind === 'belowDetection' ? 'below detection' : NOT_TOLD;
    const factor = 100 * compoundPerElement(basis === 'oxide' ? labelBasis(n) : 'element');
    return formatTrimmedRange(scaleRange(supply.value, factor), 3);
  },
});

/** The cheapest price per kg, of the first currency a bag is priced in. */
const perKg = ({ product }: ShelfProduct) => pricesPerKg(product)[0];

export const SHELF_COLUMNS: readonly ShelfColumn[] = [
  text('seller', 'Seller', ({ record }) => record.seller),
  text('form', 'Form', ({ record }) => record.form),
  text('grade', 'Grade', ({ record }) => record.grade ?? ''),
  ...(['N', 'P', 'K', 'Ca', 'Mg', 'S', 'Na', 'Cl', 'Si', 'Fe', 'B'] as const).map(nutrient),
  {
    id: 'perKg',
    head: () => 'Price per kg',
    num: true,
    sortBy: (bag) => perKg(bag)?.figure.value.mid,
    words: (bag) => {
      const price = perKg(bag);
      return price ? `${price.figure.value.mid.toFixed(2)} ${price.currency}` : 'no price';
    },
  },
  {
    id: 'package',
    head: () => 'Package',
    num: true,
    sortBy: ({ record }) => Number(record.offers.find((o) => o.price)?.price?.amount) || undefined,
    words: ({ record: { offers } }) => {
      const priced = offers.find((o) => o.price);
      if (!priced?.price) return offers[0] ? `${formatGiven(offers[0].size)} ${offers[0].unit}` : NOT_TOLD;
      const more = offers.length > 1 ? ` (+${offers.length - 1})` : '';
      return `${formatMoney(priced.price)} for ${formatGiven(priced.size)} ${priced.unit}${more}`;
    },
  },
  text('origin', 'Comes from', ({ record }) => (record.origins ?? []).join(', ')),
  text('made', 'Made from', ({ record }) => record.derivedFrom.join(', ')),
];

/** Columns that stand there until somebody chooses. */
export const USUAL_COLUMNS: readonly string[] = ['seller', 'grade', 'N', 'P', 'K', 'perKg'];
