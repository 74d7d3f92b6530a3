import { formatFixed, formatGiven, weighedWords, type Shopping, type ShoppingLine } from '@wheat-ledger/core';

/** What is bought of a bag, in packages. */
function bought({ purchase, shortKg }: ShoppingLine): string {
  if (shortKg === 0) return 'nothing';
  if (!purchase) return 'no package with a price';
  return purchase.bought
    .map(({ package: { offer }, count }) => `${count} × ${formatGiven(offer.size)} ${offer.unit}`)
    .join(' and ');
}
const sellerOf = ({ purchase }: ShoppingLine): string => purchase?.bought[0]?.package.offer.seller ?? '';

/** What the batch takes from the shelf and what has to be bought for it, by who sells it. */
export function ShoppingPart({ shopping, massUnit }: { shopping: Shopping; massUnit: 'kg' | 'lb' }) {
  const lines = [...shopping.lines].sort((a, b) => sellerOf(a).localeCompare(sellerOf(b)));
  const sellers = lines.some((l) => sellerOf(l) !== '');
  return (
    <section className="overflow-x-auto" aria-label="What to fetch">
      <table className="ledger" data-testid="shopping">
        <caption className="pb-1 text-left text-sm text-faint">
          What to fetch: whole packages, the cheapest that hold enough. What is left keeps for the next batch.
        </caption>
        <thead>
          <tr>
            <th scope="col">Material</th>
            <th scope="col" className="num">
              needed
            </th>
            <th scope="col" className="num">
              from the shelf
            </th>
            <th scope="col">buy</th>
            {sellers && <th scope="col">from</th>}
            <th scope="col" className="num">
              {shopping.currency ?? 'price'}
            </th>
            <th scope="col" className="num">
              left over
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.product.id}>
              <th scope="row">{line.product.name}</th>
              <td className="num">{weighedWords(line.needKg, massUnit)}</td>
              <td className="num">{line.fromStockKg > 0 ? weighedWords(line.fromStockKg, massUnit) : '–'}</td>
              <td>{bought(line)}</td>
              {sellers && <td>{sellerOf(line) || '–'}</td>}
              <td className="num">
                {line.shortKg === 0 ? '0.00' : line.purchase ? formatFixed(line.purchase.paid, 2) : 'not known'}
              </td>
              <td className="num">{line.leftKg > 0.0005 ? weighedWords(line.leftKg, massUnit) : '–'}</td>
            </tr>
          ))}
          <tr className="total">
            <th scope="row">In all</th>
            <td colSpan={sellers ? 4 : 3} />
            <td className="num">{shopping.paid === undefined ? 'not known' : formatFixed(shopping.paid, 2)}</td>
            <td />
          </tr>
        </tbody>
      </table>
    </section>
  );
}
