import { useMemo } from 'react';
import {
  addDays,
  carriageOf,
  carry,
  cheapestPurchase,
  commonestCurrency,
  formatFixed,
  formatGiven,
  packagesOf,
  printDay,
  tasksBetween,
  weighedWords,
  type Carried,
  type Ordered,
  type Product,
  type Purchase,
} from '@wheat-ledger/core';
import { useStockKg } from '../app/stock';
import { useAppSelector } from '../app/store';
import { today } from '../app/today';
import { usePlans } from '../app/usePlans';
import { useShelf, type ShelfProduct } from '../app/workspace';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { Empty, Failed, Loading, Sheet } from '../ui/Sheet';
import { CarriageFields, carriageWords, useCarriage } from '../ui/CarriageFields';
import { RoundPages } from './RoundPages';
import { useTick } from './useTick';

const YEAR_DAYS = 366;
/** One bag of what the rounds to come ask for. */
interface ToBuy extends Carried {
  /** Undefined where it is not on the shelf any more. */
  readonly product: Product | undefined;
  readonly seller: string;
  readonly onHandKg: number;
  /** Whether anything of it was ever counted; what was not is not known, and taken as nothing. */
  readonly counted: boolean;
  readonly shortKg: number;
  /** Undefined where no package has a price. */
  readonly purchase: Purchase | undefined;
}

function toBuy(
  bags: readonly Carried[],
  shelf: readonly ShelfProduct[],
  stock: Readonly<Record<string, number>>,
  counted: ReadonlySet<string>,
) {
  const currency = commonestCurrency(shelf.map((s) => s.product)) ?? '';
  const lines = bags.map((bag): ToBuy => {
    const found = shelf.find((s) => s.record.id === bag.productId);
    const onHandKg = stock[bag.productId] ?? 0;
    const shortKg = Math.max(0, bag.kg.value.mid - onHandKg);
    const packages = found ? packagesOf(found.product, currency) : [];
    const purchase = shortKg > 0 ? cheapestPurchase(packages, shortKg) : undefined;
    const seller = found?.record.seller || 'seller not said';
    return {
      ...bag,
      product: found?.product,
      seller,
      onHandKg,
      counted: counted.has(bag.productId),
      shortKg,
      purchase,
    };
  });
  const sellers = [...new Set(lines.map((l) => l.seller))].sort();
  return { currency, bySeller: sellers.map((seller) => ({ seller, lines: lines.filter((l) => l.seller === seller) })) };
}

const bought = ({ bought }: Purchase): string =>
  bought.map(({ package: p, count }) => `${count} × ${formatGiven(p.offer.size)} ${p.offer.unit}`).join(' and ');

function Line({ line, currency }: { line: ToBuy; currency: string }) {
  const massUnit = useAppSelector((s) => s.settings.massUnit);
  return (
    <tr data-testid="to-buy">
      <th scope="row">{line.name}</th>
      <td className="num">
        <FigureButton figure={line.kg}>{weighedWords(line.kg.value.mid, massUnit)}</FigureButton>
      </td>
      <td className="num">
        {line.counted ? weighedWords(line.onHandKg, massUnit) : <span className="text-faint">not counted</span>}
      </td>
      <td>
        {line.shortKg === 0 ? (
          <span className="text-moss">there is enough</span>
        ) : line.purchase ? (
          <>
            <b>{bought(line.purchase)}</b>, {formatFixed(line.purchase.paid, 2)} {currency}
            <span className="block text-sm text-faint">
              {weighedWords(line.purchase.leftKg, massUnit)} would be left over
            </span>
          </>
        ) : (
          <span className="text-beet">{weighedWords(line.shortKg, massUnit)}, no package has a price</span>
        )}
      </td>
    </tr>
  );
}

/** What the rounds of a year still ask for that is not on hand, in whole packages, by seller. */
export function BuyView() {
  const now = today();
  const { plans, isLoading, error } = usePlans();
  const { done, movements } = useTick();
  const { shelf } = useShelf();
  const stock = useStockKg(shelf);
  const carriage = useCarriage();
  const until = addDays(now, YEAR_DAYS);
  const carrying = useMemo(() => carry(tasksBetween(plans, now, until, done, now, 0)), [plans, now, until, done]);
  const counted = useMemo(() => new Set(movements.map((m) => m.productId)), [movements]);
  const { bySeller, currency } = useMemo(
    () => toBuy(carrying.bags, shelf, stock, counted),
    [carrying, shelf, stock, counted],
  );
  if (isLoading) return <Loading what="what to buy" />;
  const ordered = bySeller.flatMap((s) =>
    s.lines.flatMap(({ purchase, product }): Ordered[] => (purchase && product ? [{ product, purchase }] : [])),
  );
  const freight = carriageOf(ordered, carriage);
  const all = ordered.reduce((sum, o) => sum + o.purchase.paid, freight);
  return (
    <Sheet
      title="What to buy"
      question={`What do the rounds until ${printDay(until)} ask for that is not on hand?`}
      actions={<PrintButton />}
    >
      <RoundPages />
      {error !== undefined ? (
        <Failed error={error} />
      ) : carrying.bags.length === 0 ? (
        <Empty>No round to come asks for anything. Plan a programme on a plot under Ground.</Empty>
      ) : (
        <>
          {bySeller.map(({ seller, lines }) => (
            <section key={seller} className="mb-4 break-inside-avoid">
              <h2 className="mb-1 text-lg">{seller}</h2>
              {lines.some((l) => l.purchase) && (
                <div className="no-print mb-1 flex flex-wrap gap-x-5">
                  <CarriageFields currency={currency} seller={lines.find((l) => l.purchase)?.product?.seller} />
                </div>
              )}
              <table className="ledger">
                <caption className="sr-only">To buy from {seller}</caption>
                <thead>
                  <tr>
                    <th scope="col">Bag</th>
                    <th scope="col" className="num">
                      asked for
                    </th>
                    <th scope="col" className="num">
                      on hand
                    </th>
                    <th scope="col">to buy</th>
                  </tr>
                </thead>
                <tbody>
                  {lines.map((line) => (
                    <Line key={line.productId} line={line} currency={currency} />
                  ))}
                </tbody>
              </table>
            </section>
          ))}
          {all > 0 && (
            <p className="text-lg">
              In all <b>{formatFixed(all, 2)}</b> {currency}, {carriageWords(freight, currency)}.
            </p>
          )}
        </>
      )}
      {carrying.unknown.map(({ name, why }) => (
        <p key={name} className="text-beet">
          Without {name}: {why}
        </p>
      ))}
      <MarginNotes>
        <MarginNote title="How it is bought">
          <p>
            The cheapest whole packages that hold at least what is short, at the prices last seen. What was planned for
            days that have passed is not counted.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
