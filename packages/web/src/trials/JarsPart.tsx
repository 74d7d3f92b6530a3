import { inputOf, type ProductInput, type TrialRecord } from '@wheat-ledger/contract';
import {
  calibrate,
  formatTrimmed,
  jarPoints,
  missedWeeks,
  missedWords,
  type TrialReading,
  type TrialUnit,
} from '@wheat-ledger/core';
import { useShelf } from '../app/workspace';
import { CurveChart } from '../ui/CurveChart';
import { FormPart } from '../ui/EditForm';
import { intervalEnd } from '../ui/intervalEnd';
import { Remark } from '../ui/Sheet';
import { useKeep } from '../ui/useKeep';

interface JarsPartProps {
  readonly trial: TrialRecord;
  readonly jars: NonNullable<TrialRecord['jars']>;
  readonly units: readonly TrialUnit[];
  /** Of mineral nitrogen. */
  readonly readings: readonly TrialReading[];
}
/** How fast the nitrogen of one arm came free in its jars, and its curve for Release. */
function JarArm({ trial, jars, units, readings, arm }: JarsPartProps & { arm: number }) {
  const { keep, saving } = useKeep('product');
  const { shelf } = useShelf();
  const points = jarPoints(units, readings, arm, trial.control, trial.startedOn ?? '');
  const { applied, temperatureC, medium } = jars;
  const incubation = { applied, temperatureC, medium, points: [...points] };
  const found = points.length > 0 ? calibrate(incubation) : undefined;
  const bag = shelf.find((s) => s.record.id === trial.arms[arm]?.productId);
  const name = trial.arms[arm]?.name ?? '';
  const missed = missedWords(missedWeeks(points.map((p) => p.day)));
  return (
    <div data-testid="jar-arm">
      <h3 className="text-lg">{name}</h3>
      {!found ? (
        <p className="text-faint">Not sampled beside the control yet.</p>
      ) : found.kind === 'cannotFit' ? (
        <Remark tone="caution">{found.why}</Remark>
      ) : (
        <>
          <CurveChart found={found} />
          <p>
            <b>{formatTrimmed(found.n0.value * 100, 2)} %</b> of the N applied comes free in the end, at{' '}
            <b>{formatTrimmed(found.kPerDay.value, 2)} a day</b> at {formatTrimmed(temperatureC, 2)} °C.
          </p>
          <p className="text-sm text-faint">
            95 in 100 lie in {intervalEnd(found.n0.low, 100)} to {intervalEnd(found.n0.high, 100)} %, and in{' '}
            {intervalEnd(found.kPerDay.low, 1)} to {intervalEnd(found.kPerDay.high, 1)} a day.
          </p>
          {found.remarks.map((remark) => (
            <Remark key={remark} tone="note">
              {remark}
            </Remark>
          ))}
        </>
      )}
      {missed && <Remark tone="note">{missed}</Remark>}
      {found?.kind === 'fitted' && (
        <p className="no-print mt-1 flex flex-wrap items-center gap-3">
          {bag ? (
            <button
              type="button"
              className="action"
              disabled={saving}
              onClick={() =>
                void keep(
                  { ...(inputOf(bag.record) as ProductInput), incubation },
                  bag.record,
                  `Release follows “${bag.product.name}” by these jars now.`,
                )
              }
            >
              Let Release follow {bag.product.name} by it
            </button>
          ) : (
            <span className="text-faint">
              Say in the plan which bag {name} is, and Release can follow it by these jars.
            </span>
          )}
        </p>
      )}
    </div>
  );
}

/** What jars say of how fast nitrogen comes free, arm by arm: the control is taken off. */
export function JarsPart(props: JarsPartProps) {
  const { trial } = props;
  return (
    <FormPart
      title="How fast it comes free"
      hint="(jars with it − jars without) ÷ N applied; first order, by least squares"
    >
      <div className="flex flex-col gap-4">
        {trial.arms.map((a, arm) => (arm === trial.control ? null : <JarArm key={a.name} {...props} arm={arm} />))}
      </div>
    </FormPart>
  );
}
