import { commonestCurrency, loggedCost, type Figure } from '@wheat-ledger/core';
import type { Logged } from '../app/useLogged';
import { useAppSelector } from '../app/store';
import type { ShelfProduct } from '../app/workspace';
import { FigureButton } from '../ui/FigureButton';

const Line = ({ words, figure, currency }: { words: string; figure: Figure | undefined; currency: string }) => (
  <div className="contents">
    <dt className="text-faint">{words}</dt>
    <dd className="text-right tabular-nums">
      {figure ? (
        <>
          <FigureButton figure={figure} /> {currency}
        </>
      ) : (
        <span className="text-faint">not known</span>
      )}
    </dd>
  </div>
);

/** What a year cost: material at today's prices, haulage, and the work that was timed. */
export function YearCost({ done, shelf }: { done: readonly Logged[]; shelf: readonly ShelfProduct[] }) {
  const hour = useAppSelector((s) => s.settings.hour);
  const currency = commonestCurrency(shelf.map((s) => s.product)) ?? '';
  const cost = loggedCost(
    done.map((d) => d.entry),
    currency,
    hour,
  );
  if (!cost.all) return null;
  return (
    <>
      <dl className="mt-2 grid max-w-md grid-cols-[1fr_auto] gap-x-6" data-testid="year-cost">
        <Line words="Material, at today’s prices" figure={cost.material} currency={currency} />
        <Line words="Haulage, as the bags say" figure={cost.haulage} currency={currency} />
        <Line
          words={hour ? 'Work that was timed' : 'Work: an hour has no price yet, under Price'}
          figure={cost.work}
          currency={currency}
        />
        <div className="contents font-semibold">
          <dt className="border-t border-rule">In all</dt>
          <dd className="border-t border-rule text-right tabular-nums">
            <FigureButton figure={cost.all} /> {currency}
          </dd>
        </div>
      </dl>
      {(cost.unpriced.length > 0 || cost.untimed > 0) && (
        <p className="text-sm text-beet">
          {[
            ...(cost.unpriced.length > 0 ? [`without ${cost.unpriced.join(', ')}`] : []),
            ...(cost.untimed > 0 ? [`${cost.untimed} ${cost.untimed === 1 ? 'entry' : 'entries'} without a time`] : []),
          ].join('; ')}
        </p>
      )}
    </>
  );
}
