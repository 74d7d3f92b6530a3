import { useMemo } from 'react';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { formatFixed, formatGiven, priceHistory, printDay, type Product, type SeenPrice } from '@wheat-ledger/core';
import { useBench } from '../app/bench';
import { styleOf } from '../ui/lineStyles';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty } from '../ui/Sheet';
import { PricePage } from './PricePages';
import { EDGE } from '../ui/weekAxes';

const DAY = 86_400_000;
const dayOf = (iso: string): number => Date.parse(iso) / DAY;
const isoOf = (day: number): string => new Date(day * DAY).toISOString().slice(0, 10);

/** Who asked a price, and for which package. */
const seriesOf = ({ offer, currency }: SeenPrice): string =>
  `${formatGiven(offer.size)} ${offer.unit}${offer.seller ? `, ${offer.seller}` : ''}, ${currency}`;

/** The prices seen for a bag as lines over the days, one for each package and seller. */
function HistoryChart({ seen }: { seen: readonly SeenPrice[] }) {
  const dated = seen.filter((s) => s.offer.seenOn !== undefined);
  const names = [...new Set(dated.map(seriesOf))];
  const points = useMemo(() => {
    const days = [...new Set(dated.map((s) => dayOf(s.offer.seenOn ?? '')))].sort((a, b) => a - b);
    return days.map((day) => ({
      day,
      ...Object.fromEntries(
        dated.filter((s) => dayOf(s.offer.seenOn ?? '') === day).map((s) => [seriesOf(s), s.figure.value.mid]),
      ),
    }));
  }, [dated]);
  if (points.length < 2) return null;
  return (
    <div
      className="h-44"
      role="img"
      aria-label={`${dated.length} prices seen from ${printDay(isoOf(points[0]?.day ?? 0))} on.`}
    >
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={points} margin={{ top: 8, right: 20, bottom: 4, left: 6 }}>
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis
            {...EDGE}
            dataKey="day"
            type="number"
            domain={['dataMin', 'dataMax']}
            tickFormatter={(day: number) => printDay(isoOf(day))}
          />
          <YAxis {...EDGE} width={52} domain={[0, 'auto']} />
          <Tooltip
            isAnimationActive={false}
            formatter={(value) => `${formatFixed(Number(value), 2)} a kg`}
            labelFormatter={(day) => printDay(isoOf(Number(day)))}
          />
          {names.map((name, i) => (
            <Line
              key={name}
              dataKey={name}
              connectNulls
              stroke={styleOf(i).ink}
              strokeDasharray={styleOf(i).dash}
              strokeWidth={2}
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}

function BagHistory({ product }: { product: Product }) {
  const seen = priceHistory(product);
  return (
    <section className="mb-6" data-testid="bag-history">
      <h2 className="mb-1 text-lg">{product.name}</h2>
      {seen.length === 0 ? (
        <p className="text-faint">No price by weight was ever seen.</p>
      ) : (
        <>
          <HistoryChart seen={seen} />
          <table className="ledger">
            <caption className="sr-only">Prices seen for {product.name}</caption>
            <thead>
              <tr>
                <th scope="col">Seen</th>
                <th scope="col">Package</th>
                <th scope="col">Seller</th>
                <th scope="col" className="num">
                  Price
                </th>
                <th scope="col" className="num">
                  A kg
                </th>
              </tr>
            </thead>
            <tbody>
              {seen.map((s, i) => (
                <tr key={i}>
                  <td>{s.offer.seenOn ? printDay(s.offer.seenOn) : 'no date'}</td>
                  <td>
                    {formatGiven(s.offer.size)} {s.offer.unit}
                  </td>
                  <td>{s.offer.seller ?? <span className="text-faint">its own</span>}</td>
                  <td className="num">
                    {s.offer.price?.amount} {s.currency}
                  </td>
                  <td className="num">
                    <FigureButton figure={s.figure} />
                    {s.cheapest && <span className="block text-xs text-moss">cheapest ever</span>}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </section>
  );
}

function History() {
  const { compared } = useBench();
  return (
    <>
      {compared.map((product) => (
        <BagHistory key={product.id} product={product} />
      ))}
      {compared.length === 0 && <Empty>Nothing to compare.</Empty>}
      <MarginNotes>
        <MarginNote title="What is kept">
          <p>
            Enter a new price beside the old one on the bag’s label, with the day it was seen. The newest of each size
            and seller counts; the others stand here.
          </p>
        </MarginNote>
      </MarginNotes>
    </>
  );
}

/** The prices that were seen, by bag, package and seller. */
export const HistoryView = () => (
  <PricePage question="How have prices moved?" counts={false} empty="to see their prices over time.">
    <History />
  </PricePage>
);
