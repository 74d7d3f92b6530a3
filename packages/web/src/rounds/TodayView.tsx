import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { ChevronLeft, ChevronRight, Plus } from 'lucide-react';
import {
  addDays,
  analyteName,
  carry,
  cautionsOf,
  formatGiven,
  printDay,
  tasksBetween,
  weighedWords,
  type Carrying,
  type Product,
} from '@wheat-ledger/core';
import { today } from '../app/today';
import { usePlans } from '../app/usePlans';
import { useStocks } from '../app/stock';
import { settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { useLimitsPassed } from '../app/useLimits';
import { useLogged } from '../app/useLogged';
import { usePlot, useShelf, type ShelfProduct } from '../app/workspace';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { Empty, Failed, Loading, Remark, Sheet } from '../ui/Sheet';
import { RoundPages } from './RoundPages';
import { Scoops } from './Scoops';
import { TaskLine } from './TaskLine';
import { useTick } from './useTick';

/** What to carry out of the shed, with what is there of it. */
function CarryList({ carrying, shelf }: { carrying: Carrying; shelf: readonly ShelfProduct[] }) {
  const massUnit = useAppSelector((s) => s.settings.massUnit);
  const stocks = useStocks(shelf, true);
  if (carrying.bags.length === 0 && carrying.unknown.length === 0) return null;
  return (
    <section className="mb-4 border-y-4 border-double border-line-strong bg-paper px-4 py-3" data-testid="carry">
      <h2 className="text-lg">To carry and weigh</h2>
      <ul className="mt-1 grid gap-x-8 sm:grid-cols-2">
        {carrying.bags.map(({ productId, name, kg }) => {
          const stock = stocks.get(productId);
          const left = stock?.kind === 'figure' && stock.figure.unit.text === 'kg' ? stock.figure.value.mid : undefined;
          return (
            <li key={productId} className="flex items-baseline justify-between gap-2 border-b border-rule py-1">
              <span>
                {name} <Scoops product={shelf.find((s) => s.record.id === productId)?.product} kg={kg.value.mid} />
                {left !== undefined && (
                  <span className={`block text-sm ${left < kg.value.mid ? 'text-beet' : 'text-faint'}`}>
                    {weighedWords(Math.max(0, left), massUnit)} on hand{left < kg.value.mid && ': too little'}
                  </span>
                )}
              </span>
              <b className="text-lg">
                <FigureButton figure={kg}>{weighedWords(kg.value.mid, massUnit)}</FigureButton>
              </b>
            </li>
          );
        })}
      </ul>
      {carrying.unknown.map(({ name, why }) => (
        <p key={name} className="text-beet">
          {name}: {why}
        </p>
      ))}
    </section>
  );
}

/** The round of one day over all plots. */
export function TodayView() {
  const [search, setSearch] = useSearchParams();
  const dispatch = useAppDispatch();
  const wetFirst = useAppSelector((s) => s.settings.wetFirst);
  const now = today();
  const day = /^\d{4}-\d\d-\d\d$/.test(search.get('day') ?? '') ? (search.get('day') ?? now) : now;
  const { plans, isLoading, error } = usePlans();
  const { done, tick, saving, isLoading: logLoading } = useTick();
  const { shelf } = useShelf();
  const tasks = useMemo(() => tasksBetween(plans, day, day, done, now), [plans, day, done, now]);
  const next = useMemo(
    () => tasksBetween(plans, addDays(day, 1), addDays(day, 366), done, now).find((t) => t.on > day),
    [plans, day, done, now],
  );
  const last = useMemo(
    () =>
      plans
        .flatMap((p) => p.rows.flatMap((r) => r.dates ?? []))
        .filter((d) => d < day)
        .sort()
        .at(-1),
    [plans, day],
  );
  const { plots } = usePlot();
  const { logged } = useLogged();
  const passed = useLimitsPassed(plots, logged, plans);
  const carrying = useMemo(() => carry(tasks), [tasks]);
  const products = useMemo(
    (): readonly Product[] => [
      ...new Set(tasks.flatMap((t) => (t.state === 'done' ? [] : t.row.doing.given.parts.map((p) => p.product)))),
    ],
    [tasks],
  );
  if (isLoading || logLoading) return <Loading what="the round" />;
  const go = (to: string): void => setSearch(to === now ? {} : { day: to });
  return (
    <Sheet
      title={day === now ? 'Today’s round' : `The round of ${printDay(day)}`}
      question="What goes where, and what was done?"
      actions={
        <>
          <button type="button" className="action" onClick={() => go(addDays(day, -1))}>
            <ChevronLeft size={17} aria-hidden="true" />
            <span className="sr-only">The day before</span>
          </button>
          {day !== now && (
            <button type="button" className="action" onClick={() => go(now)}>
              Today
            </button>
          )}
          <button type="button" className="action" onClick={() => go(addDays(day, 1))}>
            <ChevronRight size={17} aria-hidden="true" />
            <span className="sr-only">The day after</span>
          </button>
          <PrintButton />
          <Link to="/rounds/log/new" className="action main">
            <Plus size={17} aria-hidden="true" />
            Log by hand
          </Link>
        </>
      }
    >
      <RoundPages />
      {passed.map(({ plot, use }) => (
        <Remark key={`${plot.id} ${use.analyte}`} tone="caution">
          {analyteName(use.analyte)} on {plot.name}{' '}
          {use.over === 'done' ? 'has passed' : 'will pass, once what is planned this year is done,'} the{' '}
          {formatGiven(use.limitKgPerHa)} kg/ha a year that you entered as its limit:{' '}
          {use.withPlan && <FigureButton figure={use.withPlan} />} kg/ha.
        </Remark>
      ))}
      {error !== undefined ? (
        <Failed error={error} />
      ) : tasks.length === 0 ? (
        <Empty>
          Nothing is due on {printDay(day)}.{' '}
          {next ? (
            <>
              Next comes {next.row.doing.given.name} on {next.planned.plotName}:{' '}
              <button type="button" className="plain" onClick={() => go(next.on)}>
                {printDay(next.on)}
              </button>
              .
            </>
          ) : last !== undefined ? (
            <>
              Nothing is planned after it. The last round was on{' '}
              <button type="button" className="plain" onClick={() => go(last)}>
                {printDay(last)}
              </button>
              . Plan a programme on a plot under <Link to="/ground">Ground</Link> to go on.
            </>
          ) : (
            <>
              Rounds are made of programmes: plan one on a plot under <Link to="/ground">Ground</Link>.
            </>
          )}
        </Empty>
      ) : (
        <>
          <CarryList carrying={carrying} shelf={shelf} />
          {cautionsOf(products).map((caution) => (
            <Remark key={caution} tone="caution">
              {caution}
            </Remark>
          ))}
          <ul className="border-t border-rule">
            {tasks.map((task) => (
              <TaskLine key={task.key} task={task} onTick={(t) => void tick(t)} saving={saving} />
            ))}
          </ul>
        </>
      )}
      <MarginNotes>
        <MarginNote title="How you feed">
          <label className="flex items-baseline gap-1.5">
            <input
              type="checkbox"
              className="accent-wheat"
              checked={wetFirst}
              onChange={(e) => dispatch(settingsSlice.actions.changed({ wetFirst: e.target.checked }))}
            />
            wet first, then feed; else feed with the water
          </label>
        </MarginNote>
        <MarginNote title="One tap, one entry">
          <p>
            A tick writes what was planned into the log and takes it from the stock. Undo stands at the foot for a
            while, and in the book for good. What went otherwise is logged by hand.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
