import { findUnit, parseDay, parseNumber, unitOf, type Money } from '../quantity/index.js';
import type { Offer, Product } from '../shelf/index.js';

/** A line of a seller's price list, as cells by their headings. */
export type ListCells = Readonly<Record<string, string>>;
/** What a line says: a package with its price, or that it is sold no more. */
export interface ListedPrice {
  readonly item: string;
  readonly size: number;
  readonly unit: string;
  /** Undefined where the package is withdrawn. */
  readonly price: Money | undefined;
  readonly seenOn: string | undefined;
}
export type ReadListed =
  { readonly ok: true; readonly listed: ListedPrice } | { readonly ok: false; readonly why: string };

const WITHDRAWN = /^(?:withdrawn|discontinued|no longer sold)$/i;
/** Currencies are told by three capital letters. */
const MOST_MONEY = 1e8;
const CURRENCY = /^[A-Z]{3}$/;

/**
 * Reads one line of a price list: item, size, unit, price, currency, seen, status.
 * @example readListed({ item: 'Urea', size: '25', unit: 'kg', price: '23.75', currency: 'EUR', seen: '2026-03-01', status: '' })
 */
export function readListed(cells: ListCells): ReadListed {
  const cell = (name: string): string => (cells[name] ?? '').trim();
  const refuse = (why: string): ReadListed => ({ ok: false, why });
  const item = cell('item');
  if (item === '' || item.length > 120) return refuse(`Read “${item.slice(0, 40)}” as the item, expected a name.`);
  const size = parseNumber(cell('size'));
  const unit = findUnit(cell('unit'));
  if (!size.ok || size.value <= 0)
    return refuse(`Read “${cell('size')}” as the size of ${item}, expected a number above 0.`);
  if (!unit || !['mass', 'volume'].includes(unit.dimension))
    return refuse(`Read “${cell('unit')}” as the unit of ${item}, expected one of weight or volume, such as kg or L.`);
  const seen = cell('seen') === '' ? undefined : parseDay(cell('seen'));
  if (seen && !seen.ok)
    return refuse(`Read “${cell('seen')}” as the day of ${item}, expected a date such as 2026-03-01.`);
  const listed = { item, size: size.value, unit: unit.symbol, seenOn: seen?.value };
  if (WITHDRAWN.test(cell('status'))) return { ok: true, listed: { ...listed, price: undefined } };
  const money = parseNumber(cell('price'));
  if (!CURRENCY.test(cell('currency')))
    return refuse(`Read “${cell('currency')}” as the currency of ${item}, expected three letters such as EUR.`);
  if (!money.ok || money.value <= 0 || money.value > MOST_MONEY)
    return refuse(`Read “${cell('price')}” as the price of ${item}, expected an amount above 0 such as 23.75.`);
  const amount = Number.isInteger(money.value * 100) ? money.value.toFixed(2) : String(Number(money.value.toFixed(4)));
  return { ok: true, listed: { ...listed, price: { amount, currency: cell('currency') } } };
}

/** What taking a line over would change. */
export type PriceChange =
  | {
      readonly kind: 'changed' | 'added';
      readonly product: Product;
      readonly before: Offer | undefined;
      readonly after: ListedPrice;
    }
  /** A package that is sold no more: its size stays, without a price. */
  | { readonly kind: 'withdrawn'; readonly product: Product; readonly before: Offer; readonly after: ListedPrice }
  | { readonly kind: 'same'; readonly product: Product; readonly after: ListedPrice }
  | { readonly kind: 'unknownBag'; readonly after: ListedPrice }
  | { readonly kind: 'refused'; readonly why: string };

const sized = ({ size, unit }: Pick<Offer, 'size' | 'unit'>): number =>
  Number((size * unitOf(unit).factor).toPrecision(9));
/** What names have in common that differ in capitals and spaces alone. @example nameOf('Quernlow  Urea') // 'quernlow urea' */
export const nameOf = (name: string): string => name.toLowerCase().replace(/\s+/g, ' ').trim();
/** Whether two packages hold as much, in whatever units. @example sameSize({ size: 25000, unit: 'g' }, { size: 25, unit: 'kg' }) // true */
export const sameSize = (a: Pick<Offer, 'size' | 'unit'>, b: Pick<Offer, 'size' | 'unit'>): boolean =>
  unitOf(a.unit).dimension === unitOf(b.unit).dimension && sized(a) === sized(b);
/** The newest offer of a package as the seller asked it. */
function offerOf(product: Product, listed: ListedPrice, seller: string): Offer | undefined {
  const alike = product.offers.filter(
    (o) => sameSize(o, listed) && (o.seller === undefined || o.seller === '' || nameOf(o.seller) === nameOf(seller)),
  );
  return [...alike].sort((a, b) => (b.seenOn ?? '').localeCompare(a.seenOn ?? ''))[0];
}

/**
 * Every difference between a seller's list and the shelf, before anything is taken over.
 * @param bags the bags on the shelf, by the names the list uses
 * @example priceChanges(products, lines, 'Quernlow Stores')[0] // { kind: 'changed', before: 23.75, after: 24.90, … }
 */
export function priceChanges(
  bags: readonly Product[],
  lines: readonly ListCells[],
  seller: string,
): readonly PriceChange[] {
  const byName = new Map(bags.map((p) => [nameOf(p.name), p]));
  const seen = new Set<string>();
  return lines.map((cells): PriceChange => {
    const read = readListed(cells);
    if (!read.ok) return { kind: 'refused', why: read.why };
    const { listed: after } = read;
    const key = `${nameOf(after.item)}|${sized(after)}|${unitOf(after.unit).dimension}|${after.price?.currency ?? ''}`;
    if (seen.has(key))
      return {
        kind: 'refused',
        why: `${after.item}, ${after.size} ${after.unit}, stands in the list twice: the first line counts.`,
      };
    seen.add(key);
    const product = byName.get(nameOf(after.item));
    if (!product) return { kind: 'unknownBag', after };
    const before = offerOf(product, after, seller);
    if (!after.price)
      return before?.price ? { kind: 'withdrawn', product, before, after } : { kind: 'same', product, after };
    const same =
      before?.price?.currency === after.price.currency && Number(before.price.amount) === Number(after.price.amount);
    return same ? { kind: 'same', product, after } : { kind: before ? 'changed' : 'added', product, before, after };
  });
}

/** The offers of a bag once some changes are taken over: new prices stand beside the old ones, which are history. */
export function offersAfter(
  product: Pick<Product, 'offers'>,
  changes: readonly PriceChange[],
  today: string,
): readonly Offer[] {
  return changes.reduce<readonly Offer[]>((offers, change) => {
    if (change.kind === 'withdrawn') return offers.map((o) => (o === change.before ? { ...o, price: undefined } : o));
    if (change.kind !== 'changed' && change.kind !== 'added') return offers;
    const { size, unit, price, seenOn } = change.after;
    const seller = change.before?.seller;
    return [...offers, { size, unit, price, seenOn: seenOn ?? today, ...(seller ? { seller } : {}) }];
  }, product.offers);
}
