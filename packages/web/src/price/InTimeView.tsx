import { useMemo } from 'react';
import { Link } from 'react-router';
import {
  costArriving,
  formatNumber,
  pricesPerKg,
  type ArrivingCost,
  type Figure,
  type Product,
} from '@wheat-ledger/core';
import { useBench } from '../app/bench';
import { useCounted } from '../app/counted';
import { useWindowShares } from '../app/useWindowShares';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty } from '../ui/Sheet';
import { TaskNote } from '../ui/TaskNote';
import { PricePage } from './PricePages';
import { Unpriced } from './Unpriced';
import { usePriced } from './usePriced';

function CostCell({ cost }: { cost: ArrivingCost }) {
  if (cost.kind === 'noneArrives') return <span className="text-beet">none arrives</span>;
  return cost.kind === 'cost' ? <FigureButton figure={cost.figure} /> : <span className="text-faint">not known</span>;
}

interface Line {
  readonly product: Product;
  readonly share: Figure;
  readonly cost: ArrivingCost;
  readonly price: Figure | undefined;
}
const order = ({ cost }: Line): number => (cost.kind === 'cost' ? cost.figure.value.mid : Number.POSITIVE_INFINITY);
/** Whether a cost may be as low as the best. */
const tiesWith = (best: Line | undefined, line: Line): boolean =>
  best !== undefined &&
  best !== line &&
  best.cost.kind === 'cost' &&
  line.cost.kind === 'cost' &&
  line.cost.figure.value.low <= best.cost.figure.value.high;

function InTime() {
  const { compared } = useBench();
  const { site, plot, isLoading, courses, bands, week, shares } = useWindowShares(compared);
  const priced = useCounted(compared);
  const { currency, unpriced } = usePriced(priced);
  const lines = useMemo(
    (): readonly Line[] =>
      [...shares]
        .flatMap(([id, share]): Line[] => {
          const product = priced.find((p) => p.id === id);
          if (!product) return [];
          const price = pricesPerKg(product).find((p) => p.currency === currency)?.figure;
          return [{ product, share, price, cost: costArriving(product, share, currency ?? '') }];
        })
        .sort((a, b) => order(a) - order(b)),
    [shares, currency, priced],
  );
  const unknown = (courses.latest ?? []).filter((r) => r.kind === 'unknown');
  if (!site)
    return isLoading ? null : (
      <Empty>
        When nitrogen arrives depends on the plot, its crop and how warm it is.{' '}
        <Link to={plot ? `/ground/${plot.id}#seasons` : '/ground'} className="plain">
          Enter them
        </Link>{' '}
        first.
      </Empty>
    );
  if (!currency) return <Empty>Nothing on the bench has a price by weight.</Empty>;
  return (
    <>
      <div className="overflow-x-auto">
        <table className="ledger" data-testid="in-time">
          <caption className="pb-1 text-left text-sm text-faint">
            Price ÷ nitrogen that {site.season.crop.name.toLowerCase()} can have by week {week}, in {currency} per kg N.
          </caption>
          <thead>
            <tr>
              <th scope="col">Bag</th>
              <th scope="col" className="num">
                {currency} per kg N in time
              </th>
              <th scope="col" className="num">
                In time, % of its N
              </th>
              <th scope="col" className="num">
                {currency} per kg
              </th>
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={line.product.id}>
                <th scope="row">
                  {line.product.name}
                  {tiesWith(lines[0], line) && (
                    <span className="ml-2 border border-line-strong px-1 text-xs font-normal">tied with the best</span>
                  )}
                </th>
                <td className="num">
                  <CostCell cost={line.cost} />
                </td>
                <td className="num">
                  <FigureButton figure={line.share}>
                    {formatNumber(Math.round(line.share.value.mid * 100))}
                    {line.share.value.low < line.share.value.high &&
                      ` (${Math.round(line.share.value.low * 100)}–${Math.round(line.share.value.high * 100)})`}
                  </FigureButton>
                </td>
                <td className="num">{line.price ? <FigureButton figure={line.price} /> : 'no price'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <TaskNote task={courses} what="the release" />
      <TaskNote task={bands} what="the bands" />
      {unknown.length > 0 && (
        <p className="mt-2 text-[0.9375rem] text-faint">
          Cannot be followed: {unknown.map((u) => `${u.product.name} (${u.why})`).join('; ')}.
        </p>
      )}
      <Unpriced products={unpriced} currency={currency} />
      <MarginNotes>
        <MarginNote title="Why it differs from the bag">
          <p>
            A total on the bag is not what the crop gets. Part of an organic bag stays in the soil past the season, and
            what ties nitrogen up gives none in time.
          </p>
          <p>
            The plot, its crop and how the bag is placed are those of{' '}
            <Link to="/release" className="plain">
              Release
            </Link>
            : change them there and this changes too.
          </p>
        </MarginNote>
      </MarginNotes>
    </>
  );
}

/** What the nitrogen costs that arrives while the crop wants it. */
export const InTimeView = () => (
  <PricePage question="What does nitrogen cost that arrives in time?" empty="to see what arrives in time.">
    <InTime />
  </PricePage>
);
