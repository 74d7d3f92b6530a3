import { useMemo } from 'react';
import { Link } from 'react-router';
import { formatTrimmed } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { Empty, Loading, Sheet } from '../ui/Sheet';
import { gainsOf, type Gain } from './gains';
import { stateOf } from './useTrial';

const WIDE = 240;
const HIGH = 22;

/** Where an arm lies against its control, on one scale for all. */
function GainPicture({ gain, low, high }: { gain: Gain; low: number; high: number }) {
  const x = (percent: number): number => ((percent - low) / (high - low)) * WIDE;
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} width={WIDE} height={HIGH} className="max-w-full" aria-hidden="true">
      <line x1={x(0)} x2={x(0)} y1={0} y2={HIGH} stroke="var(--faint)" strokeDasharray="3 3" />
      {gain.interval && (
        <line
          x1={x(gain.interval.low)}
          x2={x(gain.interval.high)}
          y1={HIGH / 2}
          y2={HIGH / 2}
          stroke="var(--moss)"
          strokeWidth={2}
        />
      )}
      <rect
        x={x(gain.percent) - 4}
        y={HIGH / 2 - 4}
        width={8}
        height={8}
        fill={gain.interval ? 'var(--moss)' : 'var(--paper)'}
        stroke="var(--moss)"
      />
    </svg>
  );
}

const signed = (n: number): string => `${n > 0 ? '+' : ''}${formatTrimmed(n, 2)}`;

/** All trials side by side: what each arm did against its own control. */
export function CompareTrials() {
  const { records: trials, isLoading } = useRecords('trial');
  const { records: sheets, isLoading: sheetsLoading } = useRecords('sheet');
  const rows = useMemo(
    () =>
      trials
        .map((t) => gainsOf(t, sheets))
        .filter((t) => t.gains.length > 0)
        .sort((a, b) => b.trial.until.localeCompare(a.trial.until)),
    [trials, sheets],
  );
  if (isLoading || sheetsLoading) return <Loading what="the trials" />;
  const ends = rows.flatMap((r) =>
    r.gains.flatMap((g) => [g.percent, ...(g.interval ? [g.interval.low, g.interval.high] : [])]),
  );
  const [low, high] = [Math.min(0, ...ends) - 2, Math.max(0, ...ends) + 2];
  return (
    <Sheet
      title="Trials side by side"
      question="What did each arm do, against its own control?"
      actions={
        <>
          <Link to="/trials" className="action">
            All trials
          </Link>
          <PrintButton />
        </>
      }
    >
      {rows.length === 0 ? (
        <Empty>No trial is measured yet. What is measured beside a control stands here.</Empty>
      ) : (
        <div className="relative overflow-x-auto">
          <table className="ledger" data-testid="trials-compared">
            <caption className="pb-1 text-left text-sm text-faint">
              In what decides, % of the control; lines hold 95 % by the error of each trial, an open mark has none
            </caption>
            <thead>
              <tr>
                <th scope="col">Trial</th>
                <th scope="col">Arm</th>
                <th scope="col">In</th>
                <th scope="col" className="num">
                  %
                </th>
                <th scope="col" className="num">
                  between
                </th>
                <th scope="col">
                  {signed(low)} to {signed(high)} %
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.flatMap(({ trial, outcome, gains }) =>
                gains.map((g, i) => (
                  <tr key={`${trial.id} ${g.arm}`}>
                    <th scope="row" className="font-normal">
                      {i === 0 && (
                        <Link to={`/trials/${trial.id}/read`} className="plain">
                          {trial.name}
                        </Link>
                      )}
                      {i === 0 && stateOf(trial) === 'running' && <span className="text-beet"> before its day</span>}
                    </th>
                    <td>{g.arm}</td>
                    <td className="text-faint">
                      {outcome?.name}, {outcome?.better} is better
                    </td>
                    <td className="num">{signed(g.percent)}</td>
                    <td className="num">
                      {g.interval ? `${signed(g.interval.low)} to ${signed(g.interval.high)}` : 'one of each'}
                    </td>
                    <td>
                      <GainPicture gain={g} low={low} high={high} />
                    </td>
                  </tr>
                )),
              )}
            </tbody>
          </table>
        </div>
      )}
      <MarginNotes>
        <MarginNote title="No league table">
          <p>
            Trials differ in ground, weather and control. They stand by their day, not by their result, and are not
            added up. To add up like trials, make them studies of a claim.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
