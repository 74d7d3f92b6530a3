import type { ProductRecord, ShelfFilterInput } from '@wheat-ledger/contract';
import { massFraction, type Nutrient, type Product } from '@wheat-ledger/core';
import type { ShelfProduct } from '../app/workspace';

export const NO_FILTER: ShelfFilterInput = { text: '' };
/** The parts that narrow anything; an unticked box and an empty word do not. */
const parts = ({ text, ...rest }: ShelfFilterInput): string =>
  JSON.stringify([
    text.trim(),
    ...Object.entries(rest)
      .filter(([, value]) => (value ?? false) !== false)
      .sort(),
  ]);
/** Whether two filters ask for the same. */
export const sameFilter = (a: ShelfFilterInput, b: ShelfFilterInput): boolean => parts(a) === parts(b);
export const isNoFilter = (filter: ShelfFilterInput): boolean => sameFilter(filter, NO_FILTER);

/** What a bag's words are searched in, made once for each bag. */
const words = new WeakMap<ProductRecord, string>();
function wordsOf(record: ProductRecord): string {
  const known = words.get(record);
  if (known !== undefined) return known;
  const made = `${record.name} ${record.seller} ${record.grade ?? ''} ${record.derivedFrom.join(' ')}`.toLowerCase();
  words.set(record, made);
  return made;
}

/** A declared amount that reaches the least; a range reaches it only when all of it does. */
function holds(product: Product, nutrient: Nutrient, atLeastPercent: number | undefined): boolean {
  const reading = massFraction(product, nutrient);
  return reading.kind === 'figure' && reading.figure.value.low * 100 >= (atLeastPercent ?? Number.MIN_VALUE);
}

/**
 * The bags that fit, in their order. Several words must all be found.
 * @param onHand ids of the bags something is left of
 */
export function filterShelf(
  shelf: readonly ShelfProduct[],
  filter: ShelfFilterInput,
  onHand: ReadonlySet<string>,
): readonly ShelfProduct[] {
  const wanted = filter.text.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const { nutrient, atLeastPercent, form, origin, organic, priced, inStock } = filter;
  return shelf.filter(({ record, product }) => {
    const text = wordsOf(record);
    return (
      wanted.every((w) => text.includes(w)) &&
      (!form || record.form === form) &&
      (!origin || (record.origins ?? []).includes(origin)) &&
      (!organic || (record.organic?.status ?? 'unknown') === organic) &&
      (!priced || record.offers.some((o) => o.price)) &&
      (!inStock || onHand.has(record.id)) &&
      (!nutrient || holds(product, nutrient, atLeastPercent))
    );
  });
}

/** A filter in words, for its button and for when nothing fits. @example filterWords({ text: '', nutrient: 'N', atLeastPercent: 5 }) // 'at least 5 % N' */
export function filterWords({
  text,
  nutrient,
  atLeastPercent,
  form,
  origin,
  organic,
  priced,
  inStock,
}: ShelfFilterInput): string {
  return [
    text.trim() && `“${text.trim()}”`,
    nutrient && (atLeastPercent === undefined ? `${nutrient} declared` : `at least ${atLeastPercent} % ${nutrient}`),
    form,
    origin && (origin === 'waste' ? 'from a waste stream' : origin),
    organic &&
      (organic === 'unknown'
        ? 'organic listing unknown'
        : organic === 'yes'
          ? 'listed as organic'
          : 'not listed as organic'),
    priced && 'with a price',
    inStock && 'in stock',
  ]
    .filter(Boolean)
    .join(', ');
}
