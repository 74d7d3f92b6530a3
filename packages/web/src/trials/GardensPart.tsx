import { useState } from 'react';
import { inputOf, type TrialInput, type TrialRecord } from '@wheat-ledger/contract';
import { formatTrimmed, mergeGardens, type TrialOutcome, type TrialUnit } from '@wheat-ledger/core';
import { FormPart } from '../ui/EditForm';
import { saveText } from '../ui/saveFile';
import { useKeep } from '../ui/useKeep';
import { readResults, resultsFile } from './trialFile';

interface GardensPartProps {
  readonly trial: TrialRecord;
  readonly outcome: TrialOutcome;
  readonly units: readonly TrialUnit[];
  /** What each unit of this garden came to. */
  readonly values: ReadonlyMap<number, number>;
}
/** Gardens of neighbours: what this one found as a file, theirs from files, and all read together with the garden as the unit of chance. */
export function GardensPart({ trial, outcome, units, values }: GardensPartProps) {
  const { keep, saving } = useKeep('trial');
  const [garden, setGarden] = useState('');
  const [trouble, setTrouble] = useState('');
  const theirs = (trial.gardens ?? []).filter((g) => g.outcome === outcome.key);
  const own = JSON.parse(resultsFile(trial, units, values, outcome.key, 'here')) as { results: typeof theirs };
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setTrouble('');
    try {
      const read = readResults(await file.text(), trial);
      const names = new Set(read.map((r) => `${r.garden} ${r.outcome} ${r.arm}`));
      const rest = (trial.gardens ?? []).filter((g) => !names.has(`${g.garden} ${g.outcome} ${g.arm}`));
      await keep(
        { ...(inputOf(trial) as TrialInput), gardens: [...rest, ...read] },
        trial,
        `Took over what ${read[0]?.garden ?? 'a garden'} found.`,
      );
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : 'The file could not be read.');
    }
  };
  return (
    <FormPart title="Gardens of neighbours" hint="each gives it a block or two">
      {theirs.length > 0 && (
        <ul className="ml-5 list-disc" data-testid="gardens">
          {trial.arms.flatMap((a, arm) => {
            if (arm === trial.control) return [];
            const merged = mergeGardens([...own.results, ...theirs].filter((r) => r.arm === a.name));
            if (!merged) return [];
            return [
              <li key={a.name}>
                {a.name}: {formatTrimmed(merged.mean, 3)} {outcome.unit} more than the control over {merged.gardens}{' '}
                gardens
                {merged.interval
                  ? `, between ${formatTrimmed(merged.interval.low, 2)} and ${formatTrimmed(merged.interval.high, 2)}; one more garden between ${formatTrimmed(merged.next?.low ?? 0, 2)} and ${formatTrimmed(merged.next?.high ?? 0, 2)}`
                  : ''}
                .
              </li>,
            ];
          })}
        </ul>
      )}
      <div className="no-print mt-1 flex flex-wrap items-end gap-3">
        <label className="w-44">
          <span className="block text-sm text-faint">This garden’s name</span>
          <input className="field" value={garden} onChange={(e) => setGarden(e.target.value)} />
        </label>
        <button
          type="button"
          className="action"
          disabled={garden.trim() === ''}
          onClick={() =>
            saveText(
              'trial-results.json',
              resultsFile(trial, units, values, outcome.key, garden.trim()),
              'application/json',
            )
          }
        >
          What was found, as a file
        </button>
        <label className="action focus-within:outline-2">
          {saving ? 'Taking over …' : 'Open a neighbour’s file'}
          <input
            type="file"
            accept=".json"
            className="sr-only"
            aria-label="Results of a neighbour, as JSON"
            onChange={(e) => {
              void open(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </label>
      </div>
      {trouble !== '' && (
        <p role="alert" className="text-beet">
          {trouble}
        </p>
      )}
    </FormPart>
  );
}
