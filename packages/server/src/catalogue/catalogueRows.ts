import type { CatalogueProduct, CatalogueQuery } from '@wheat-ledger/contract';
import { RANKED_NUTRIENTS, type FractionBounds, type RankedNutrient } from '@wheat-ledger/core';

/** Whose the lists of the whole installation are: read in every ledger, changed in none. */
export const SHARED_LISTS = '00000000-0000-4000-8000-0000000000ff';

/** A nutrient as columns call it. */
export const columnOf = (nutrient: RankedNutrient): string => nutrient.toLowerCase();
const FRACTIONS = RANKED_NUTRIENTS.flatMap((n) => [`${columnOf(n)}_low`, `${columnOf(n)}_high`]);
export const SHOWN = [
  ...['id', 'list_id', 'name', 'seller', 'form', 'organic', 'currency', 'price_per_kg', 'seen_on', 'in_stock'],
  ...FRACTIONS,
].join(', ');

export type Fractions = Readonly<Record<`${string}_low` | `${string}_high`, number | null>>;
export interface Row {
  readonly id: string;
  readonly list_id: string;
  readonly name: string;
  readonly seller: string;
  readonly form: CatalogueProduct['form'];
  readonly organic: CatalogueProduct['organic'];
  readonly currency: string | null;
  readonly price_per_kg: number | null;
  readonly seen_on: string | null;
  readonly in_stock: boolean | null;
  readonly at: number | string;
}

/** What of a question goes into the condition of a statement, with what stands for its question marks. */
export interface Where {
  readonly sql: string;
  readonly values: readonly unknown[];
}

const escaped = (word: string): string => word.replace(/[\\%_]/g, (c) => `\\${c}`);
/** A number that a single-precision column holds may be a hair below what was typed. */
const HAIR = 1e-6;

/** The conditions of a question, each with its values. */
export function conditions(query: CatalogueQuery): readonly Where[] {
  const all: Where[] = [];
  const one = (sql: string, ...values: readonly unknown[]): void => void all.push({ sql, values });
  if (query.currency !== undefined) one('currency = ?', query.currency);
  if (query.by !== undefined) one(`${columnOf(query.by)}_cost is not null`);
  for (const word of (query.words ?? '').toLowerCase().split(/\s+/).filter(Boolean))
    one('words like ?', `%${escaped(word)}%`);
  for (const wanted of query.atLeast ?? []) {
    const [nutrient = '', percent = '0'] = wanted.split(':');
    one(`${columnOf(nutrient as RankedNutrient)}_low >= ?`, Number(percent) / 100 - HAIR);
  }
  const forms = query.form ?? [];
  if (forms.length > 0) one(`form in (${forms.map(() => '?').join(', ')})`, ...forms);
  if (query.organic !== undefined) one('organic = ?', query.organic);
  if (query.seller !== undefined) one('seller = ?', query.seller);
  if (query.origin !== undefined) one('? = any(origins)', query.origin.toLowerCase());
  if (query.place !== undefined) one('place = ?', query.place);
  if (query.list !== undefined) one('list_id = ?', query.list);
  if (query.chloride !== undefined) one('chloride_high <= ?', query.chloride / 100 + HAIR);
  if (query.inStock !== undefined) one('in_stock = ?', query.inStock);
  if (query.seenSince !== undefined) one('seen_on >= ?', query.seenSince);
  return all;
}
/** Conditions as one; none at all lets everything through. */
export const joined = (all: readonly Where[]): Where => ({
  sql: all.map((w) => w.sql).join(' and ') || 'true',
  values: all.flatMap((w) => w.values),
});

/**
 * The products a ledger sees that meet some conditions: those of its own lists and those of the whole installation. In two parts, each ended by itself,
 * so that each comes from its own index in order and no more of it than is needed.
 * @param select what is told of each, with what stands for its question marks
 * @param end how each part is ended: its order and its most
 */
export function seenBy(ledger: string, select: Where, where: Where, end = ''): Where {
  const part = `(select ${select.sql} where p.workspace_id = ? and ${where.sql} ${end})`;
  const values = (of: string): readonly unknown[] => [...select.values, of, ...where.values];
  return { sql: `(${part} union all ${part})`, values: [...values(ledger), ...values(SHARED_LISTS)] };
}

/** A row as the page shows it. */
export function shown(row: Row & Fractions, by: RankedNutrient | undefined): CatalogueProduct {
  const fractions = Object.fromEntries(
    RANKED_NUTRIENTS.flatMap((n): [RankedNutrient, FractionBounds][] => {
      const [low, high] = [row[`${columnOf(n)}_low`], row[`${columnOf(n)}_high`]];
      return low === null || low === undefined || high === null || high === undefined ? [] : [[n, { low, high }]];
    }),
  ) as CatalogueProduct['fractions'];
  const bounds = by && fractions[by];
  const price = row.price_per_kg;
  return {
    id: String(row.id),
    listId: row.list_id,
    name: row.name,
    seller: row.seller,
    form: row.form,
    organic: row.organic,
    pricePerKg: price,
    currency: row.currency,
    seenOn: row.seen_on === null ? null : String(row.seen_on).slice(0, 10),
    inStock: row.in_stock,
    fractions,
    cost:
      bounds && price !== null
        ? {
            low: price / bounds.high,
            mid: price / ((bounds.low + bounds.high) / 2),
            high: bounds.low > 0 ? price / bounds.low : null,
          }
        : null,
  };
}
