import type { TrialInput } from '@wheat-ledger/contract';

/** Which outcome of a trial is looked at; the one that decides is marked. */
export function OutcomeChoice({
  trial,
  open,
  onChoose,
}: {
  trial: TrialInput;
  open: string | undefined;
  onChoose: (key: string) => void;
}) {
  return (
    <select
      className="field !w-auto"
      aria-label="Outcome"
      value={open ?? ''}
      onChange={(e) => onChoose(e.target.value)}
    >
      {trial.outcomes.map((o) => (
        <option key={o.key} value={o.key}>
          {o.name}
          {o.key === trial.decides ? ', decides' : ''}
        </option>
      ))}
    </select>
  );
}
