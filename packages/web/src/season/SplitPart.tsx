import { useMemo, useState } from 'react';
import {
  addDays,
  daysBetween,
  formatTrimmed,
  MOST_SPLITS,
  parseDay,
  parseNumber,
  printDay,
  USUAL_WEIGHTS,
  type Product,
  type Split,
  type SplitWeights,
} from '@wheat-ledger/core';
import { useTask } from '../ui/useTask';
import { TaskNote } from '../ui/TaskNote';
import type { Planned } from '../workers/release.worker';
import { SPLITS, type SplitAsked } from './programmeJobs';

const WEIGHT_WORDS: Readonly<Record<keyof SplitWeights, string>> = {
  shortfall: 'short of what the crop wants',
  surplus: 'left unused in the soil',
  loss: 'lost',
};

interface SplitPartProps {
  readonly planned: Planned;
  /** Bags of the programme whose nitrogen may be split, with what is given of each in all, kg N/ha. */
  readonly bags: readonly { readonly product: Product; readonly kgNPerHa: number }[];
  readonly onUse: (product: Product, doses: readonly { readonly date: string; readonly kgNPerHa: number }[]) => void;
}

/** Looks for the days on which a bag's nitrogen serves the crop best, and what each further dose buys. */
export function SplitPart({ planned, bags, onUse }: SplitPartProps) {
  const from = planned.site.season.from;
  const [bagId, setBagId] = useState(bags[0]?.product.id ?? '');
  const [last, setLast] = useState('');
  const [weights, setWeights] = useState<Readonly<Record<keyof SplitWeights, string>>>({
    shortfall: String(USUAL_WEIGHTS.shortfall),
    surplus: String(USUAL_WEIGHTS.surplus),
    loss: String(USUAL_WEIGHTS.loss),
  });
  const [asked, setAsked] = useState<SplitAsked>();
  const task = useTask(SPLITS, asked);
  const bag = bags.find((b) => b.product.id === bagId) ?? bags[0];
  const usualLast = addDays(from, 14 * 7);
  const cut = last.trim() === '' ? { ok: true as const, value: usualLast } : parseDay(last);
  const read = useMemo(() => {
    const numbers = Object.entries(weights).map(([key, text]) => [key, parseNumber(text)] as const);
    const wrong = numbers.find(([, n]) => !n.ok || n.value < 0);
    return wrong
      ? undefined
      : (Object.fromEntries(numbers.map(([key, n]) => [key, n.ok ? n.value : 0])) as unknown as SplitWeights);
  }, [weights]);
  if (!bag) return null;
  const lastWeek = cut.ok ? Math.floor(daysBetween(from, cut.value) / 7) : -1;
  const ready = cut.ok && lastWeek >= 0 && lastWeek <= 25 && read !== undefined;
  const search = (): void => {
    if (!ready || !read) return;
    setAsked({
      planned,
      question: {
        product: bag.product,
        nitrogenKgPerHa: bag.kgNPerHa,
        lastWeek,
        mostDoses: MOST_SPLITS,
        weights: read,
        workedInM: 0.05,
      },
    });
  };
  const found = asked && task.result;
  return (
    <section className="no-print">
      <h2 className="mb-2 text-xl">The best days</h2>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 text-sm text-faint">
        <label>
          Nitrogen of
          <select
            className="field block !w-56 text-pine"
            value={bag.product.id}
            onChange={(e) => setBagId(e.target.value)}
          >
            {bags.map(({ product, kgNPerHa }) => (
              <option key={product.id} value={product.id}>
                {product.name}, {formatTrimmed(kgNPerHa, 3)} kg N/ha
              </option>
            ))}
          </select>
        </label>
        <label>
          Not after
          <input
            className="field block !w-36 text-pine"
            value={last}
            placeholder={printDay(usualLast)}
            onChange={(e) => setLast(e.target.value)}
          />
        </label>
        {(Object.keys(WEIGHT_WORDS) as (keyof SplitWeights)[]).map((key) => (
          <label key={key}>
            A kg {WEIGHT_WORDS[key]} counts
            <input
              className="field block !w-20 text-pine"
              inputMode="decimal"
              value={weights[key]}
              onChange={(e) => setWeights({ ...weights, [key]: e.target.value })}
            />
          </label>
        ))}
        <button type="button" className="action" disabled={!ready} onClick={search}>
          Find them
        </button>
      </div>
      {!ready && (
        <p className="mt-1 text-sm text-beet">
          {!cut.ok
            ? cut.reason
            : read
              ? 'Expected a day within 25 weeks of planting.'
              : 'Expected weights of 0 or more.'}
        </p>
      )}
      <TaskNote task={task} what="the best days" />
      {found && found.length > 0 && (
        <table className="ledger mt-3" data-testid="splits">
          <caption className="pb-1 text-left text-sm text-faint">
            Watered or worked in 5 cm, on the soil as it is, with nothing else given; kg N/ha.
          </caption>
          <thead>
            <tr>
              <th scope="col">Doses</th>
              <th scope="col">Given on</th>
              <th scope="col" className="num">
                Short
              </th>
              <th scope="col" className="num">
                Unused
              </th>
              <th scope="col" className="num">
                Lost
              </th>
              <th scope="col" className="num">
                Buys
              </th>
              <th scope="col">
                <span className="sr-only">Use it</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {found.map((split, i) => (
              <SplitRow
                key={i}
                split={split}
                before={found[i - 1]}
                from={from}
                kgNPerHa={asked.question.nitrogenKgPerHa}
                onUse={(doses) => onUse(asked.question.product, doses)}
              />
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

interface SplitRowProps {
  readonly split: Split;
  readonly before: Split | undefined;
  readonly from: string;
  readonly kgNPerHa: number;
  readonly onUse: (doses: readonly { readonly date: string; readonly kgNPerHa: number }[]) => void;
}
function SplitRow({ split, before, from, kgNPerHa, onUse }: SplitRowProps) {
  const doses = split.weeks.map((week, i) => ({
    date: addDays(from, week * 7),
    kgNPerHa: kgNPerHa * (split.shares[i] ?? 0),
  }));
  const buys = before ? before.score - split.score : undefined;
  // A further dose that buys nothing is the plan before it.
  if (before && split.weeks.length === before.weeks.length) return null;
  return (
    <tr>
      <th scope="row">{split.weeks.length}</th>
      <td className="text-[0.9375rem]">
        {doses.map((d) => `${printDay(d.date)}: ${formatTrimmed(d.kgNPerHa, 2)}`).join('; ')}
      </td>
      <td className="num">{formatTrimmed(split.shortfall, 3)}</td>
      <td className="num">{formatTrimmed(split.surplus, 3)}</td>
      <td className="num">{formatTrimmed(split.loss, 3)}</td>
      <td className="num">{buys === undefined ? '' : buys < 0.05 ? 'next to nothing' : formatTrimmed(buys, 2)}</td>
      <td>
        <button type="button" className="plain" onClick={() => onUse(doses)}>
          Use it
        </button>
      </td>
    </tr>
  );
}
