import { useState } from 'react';
import type { TrialInput } from '@wheat-ledger/contract';
import {
  commonestCurrency,
  costPerGain,
  decide,
  formatTrimmed,
  parseNumber,
  type Decision,
  type OutcomeReading,
  type TrialOutcome,
} from '@wheat-ledger/core';
import { useShelf } from '../app/workspace';

const STRIP = 420;
const HIGH = 26;
/** Fills told apart without colour. */
const FILLS = ['var(--moss)', 'var(--rule)', 'var(--slate)', 'var(--line-strong)', 'var(--wheat)'] as const;

/** Which arm comes first as the weight of one thing moves from nothing to all, and where it stands now. */
function Holds({ holds, names }: { holds: Decision['holds']; names: readonly string[] }) {
  return (
    <figure className="mt-3" data-testid="holds">
      <figcaption className="text-sm text-faint">
        Which arm comes first as one thing counts from nothing to all; the upright line is where it counts now
      </figcaption>
      <ul className="flex flex-col gap-2">
        {holds.map((h) => (
          <li key={h.name} className="flex flex-wrap items-center gap-x-3">
            <span className="w-36">{h.name}</span>
            <svg
              viewBox={`0 -3 ${STRIP} ${HIGH + 6}`}
              width={STRIP}
              height={HIGH + 6}
              className="max-w-full"
              role="img"
              aria-label={h.firsts
                .map(
                  (f) =>
                    `${names[f.arm] ?? ''} from ${formatTrimmed(f.from * 100, 2)} to ${formatTrimmed(f.to * 100, 2)} %`,
                )
                .join('; ')}
            >
              {h.firsts.map((f) => (
                <g key={f.from}>
                  <rect
                    x={f.from * STRIP}
                    width={(f.to - f.from) * STRIP}
                    height={HIGH}
                    fill={FILLS[f.arm % FILLS.length]}
                    fillOpacity={0.35}
                    stroke="var(--line-strong)"
                  />
                  {(f.to - f.from) * STRIP > (names[f.arm] ?? '').length * 7 + 10 && (
                    <text x={f.from * STRIP + 6} y={17} fontSize={12} fill="var(--pine)">
                      {names[f.arm]}
                    </text>
                  )}
                </g>
              ))}
              <line
                x1={h.share * STRIP}
                x2={h.share * STRIP}
                y1={-3}
                y2={HIGH + 3}
                stroke="var(--pine)"
                strokeWidth={2.5}
              />
            </svg>
            <span className="text-sm text-faint">
              stays so from {formatTrimmed(h.low * 100, 2)} to {formatTrimmed(h.high * 100, 2)} %, now{' '}
              {formatTrimmed(h.share * 100, 2)} %
            </span>
          </li>
        ))}
      </ul>
    </figure>
  );
}

/** Several things weighed at once, with the grower's own weights, and how far the first place holds when they move. */
export function DecidePart({
  trial,
  outcome,
  reading,
}: {
  trial: TrialInput;
  outcome: TrialOutcome;
  reading: OutcomeReading;
}) {
  const [weights, setWeights] = useState<Readonly<Record<string, string>>>({ gain: '3', cost: '1', ease: '1' });
  const { shelf } = useShelf();
  const currency = commonestCurrency(shelf.map((s) => s.product)) ?? '';
  const means = reading.arms.map((a) => a.mean);
  if (means.some((m) => Number.isNaN(m))) return null;
  const known = (of: 'cost' | 'ease'): readonly number[] | undefined => {
    const values = trial.arms.flatMap((a) => a[of] ?? []);
    return values.length === trial.arms.length ? values : undefined;
  };
  const criteria = [
    { key: 'gain', name: outcome.name, better: outcome.better, values: means },
    ...(known('cost') ? [{ key: 'cost', name: 'cost', better: 'less' as const, values: known('cost') ?? [] }] : []),
    ...(known('ease') ? [{ key: 'ease', name: 'ease', better: 'more' as const, values: known('ease') ?? [] }] : []),
  ].map((c) => {
    const read = parseNumber(weights[c.key] ?? '0');
    return { ...c, weight: read.ok && read.value >= 0 ? read.value : 0 };
  });
  const some = criteria.some((c) => c.weight > 0);
  const found = some ? decide(criteria) : undefined;
  const controlMean = means[trial.control] ?? 0;
  const controlCost = trial.arms[trial.control]?.cost;
  return (
    <section data-testid="decide">
      <h2 className="mb-1 text-xl">What to do then</h2>
      <div className="no-print flex flex-wrap items-end gap-3">
        {criteria.map((c) => (
          <label key={c.key} className="w-32">
            <span className="block text-sm text-faint">{c.name} counts</span>
            <input
              className="field !w-20"
              inputMode="decimal"
              value={weights[c.key] ?? ''}
              onChange={(e) => setWeights({ ...weights, [c.key]: e.target.value })}
            />
          </label>
        ))}
      </div>
      {!found ? (
        <p className="mt-1 text-beet">Expected one weight above zero.</p>
      ) : (
        <>
          <ol className="mt-2 max-w-xl">
            {found.order.map((arm) => {
              const gain =
                outcome.better === 'more' ? (means[arm] ?? 0) - controlMean : controlMean - (means[arm] ?? 0);
              const cost = trial.arms[arm]?.cost;
              const perGain =
                cost !== undefined && controlCost !== undefined ? costPerGain(cost - controlCost, gain) : undefined;
              const by = found.dominated.find((d) => d.arm === arm)?.by;
              return (
                <li key={arm} className="flex items-baseline gap-3 border-b border-rule py-1">
                  <b className="w-44">{trial.arms[arm]?.name}</b>
                  <span className="h-2.5 flex-1 bg-rule" aria-hidden="true">
                    <span className="block h-full bg-moss" style={{ width: `${(found.scores[arm] ?? 0) * 100}%` }} />
                  </span>
                  <span className="w-12 text-right tabular-nums">
                    {formatTrimmed((found.scores[arm] ?? 0) * 100, 2)}
                  </span>
                  <span className="w-56 text-sm text-faint">
                    {by !== undefined
                      ? `${trial.arms[by]?.name ?? ''} is as good in all`
                      : perGain !== undefined && arm !== trial.control
                        ? `${formatTrimmed(perGain, 3)} ${currency} for each ${outcome.unit || 'one'} gained`
                        : ''}
                  </span>
                </li>
              );
            })}
          </ol>
          <p className="mt-1 text-sm text-faint">
            0 is the worst arm in all, 100 the best.
            {reading.arms.some((a) => a.atLeast) && ' Times that were not over count as what was watched.'}
          </p>
          {found.holds.length > 1 && <Holds holds={found.holds} names={trial.arms.map((a) => a.name)} />}
        </>
      )}
    </section>
  );
}
