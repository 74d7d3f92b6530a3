import { PRODUCTS } from './products.js';

/** The seller whose list it is. Invented, as its bags are. */
export const PRICE_LIST_SELLER = 'Quernlow Stores';
const HEADINGS = ['item', 'size', 'unit', 'price', 'currency', 'seen', 'status'] as const;

/** How much dearer or cheaper a package is on the list: a share of its price, by its place, the same every time. */
const CHANGES = [0.04, 0, -0.06, 0.11, 0, 0.02];
/** Lines that no honest list would have: no price, a size below nothing, a unit nobody knows, a bag that is not on the shelf. */
const BAD: readonly (readonly string[])[] = [
  ['Quernlow Urea', '10', 'kg', 'on request', 'EUR', '2026-03-01', ''],
  ['Quernlow Urea', '-5', 'kg', '4.10', 'EUR', '2026-03-01', ''],
  ['Quernlow Sulfate of Potash', '1', 'armful', '3.20', 'EUR', '2026-03-01', ''],
  ['Quernlow Moon Dust', '2', 'kg', '9.90', 'EUR', '2026-03-01', ''],
];

const cell = (text: string): string => (/[",\n]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text);

/**
 * A seller's price list as CSV: a practice stand-in, with changed prices, a package that is sold no more and lines that cannot be right.
 * @param day ISO date the prices are of
 */
export function priceListCsv(day: string): string {
  const offers = PRODUCTS.filter((p) => p.seller === PRICE_LIST_SELLER).flatMap((p) =>
    p.offers.filter((o) => o.price && (o.seenOn ?? '') >= '2026').map((offer) => ({ item: p.name, offer })),
  );
  const lines = offers.map(({ item, offer }, i): readonly string[] => {
    const size = [item, String(offer.size), offer.unit];
    const amount = (Number(offer.price?.amount) * (1 + (CHANGES[i % CHANGES.length] ?? 0))).toFixed(2);
    const last = i === offers.length - 1;
    return last ? [...size, '', '', day, 'withdrawn'] : [...size, amount, offer.price?.currency ?? '', day, ''];
  });
  return [HEADINGS, ...lines, ...BAD].map((line) => line.map(cell).join(',')).join('\r\n');
}
