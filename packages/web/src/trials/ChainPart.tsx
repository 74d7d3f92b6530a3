import { useMemo } from 'react';
import { Link } from 'react-router';
import type { TrialRecord } from '@wheat-ledger/contract';
import { formatTrimmed } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { FormPart } from '../ui/EditForm';
import { useKeep } from '../ui/useKeep';
import { chainOf, nextYear } from './nextYear';
import { gainsOf } from './gains';
import { stateOf } from './useTrial';

/** What each arm did, year by year. */
function useYears(trial: TrialRecord) {
  const { records: trials } = useRecords('trial');
  const { records: sheets } = useRecords('sheet');
  return useMemo(() => chainOf(trial, trials).map((t) => gainsOf(t, sheets)), [trial, trials, sheets]);
}

/** A trial over the years, and the next year of it. */
export function ChainPart({ trial }: { trial: TrialRecord }) {
  const years = useYears(trial);
  const { keep, saving } = useKeep('trial');
  const go = (seed: number | undefined): void => {
    const next = nextYear(trial, seed);
    void keep(next, undefined, `“${next.name}” is planned.`);
  };
  const finished = stateOf(trial) === 'finished';
  if (years.length <= 1 && !finished) return null;
  const others = trial.arms.filter((_, i) => i !== trial.control);
  return (
    <FormPart title="From year to year">
      {years.length > 1 && (
        <table className="ledger max-w-2xl" data-testid="chain">
          <caption className="pb-1 text-left text-sm text-faint">Against the control in what decides, %</caption>
          <thead>
            <tr>
              <th scope="col">Trial</th>
              {others.map((a) => (
                <th key={a.name} scope="col" className="num">
                  {a.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {years.map(({ trial: t, gains }) => (
              <tr key={t.id}>
                <th scope="row">
                  <Link to={`/trials/${t.id}/read`} className="plain">
                    {t.name}
                  </Link>
                </th>
                {others.map((a) => {
                  const gain = gains.find((g) => g.arm === a.name)?.percent;
                  return (
                    <td key={a.name} className="num">
                      {gain === undefined ? (
                        <span className="text-faint">–</span>
                      ) : (
                        `${gain > 0 ? '+' : ''}${formatTrimmed(gain, 3)}`
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {finished && (
        <p className="no-print flex flex-wrap items-center gap-3">
          <span className="text-faint">Plan the next year of it:</span>
          <button type="button" className="action" disabled={saving} onClick={() => go(undefined)}>
            each arm where it was
          </button>
          <button
            type="button"
            className="action"
            disabled={saving}
            onClick={() => go(1 + Math.floor(Math.random() * 1e6))}
          >
            each arm somewhere else
          </button>
        </p>
      )}
    </FormPart>
  );
}
