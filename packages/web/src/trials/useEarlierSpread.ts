import { useMemo } from 'react';
import { useRecords } from '../app/api';
import { keptReading } from './keptReading';

/** How far like units lay apart in earlier trials of the grower's own, for an outcome of a name, per cent of the mean; the newest first. */
export function useEarlierSpread(
  outcome: string,
  except: string | undefined,
): readonly { readonly name: string; readonly cvPercent: number }[] {
  const { records: trials } = useRecords('trial');
  const { records: sheets } = useRecords('sheet');
  return useMemo(() => {
    const wanted = outcome.trim().toLowerCase();
    if (wanted === '') return [];
    return trials
      .filter((t) => t.id !== except && t.startedOn)
      .sort((a, b) => b.until.localeCompare(a.until))
      .flatMap((t) => {
        const found = t.outcomes.find((o) => o.name.trim().toLowerCase() === wanted);
        const cv = keptReading(t, found, sheets)?.anova?.cv;
        return cv === undefined ? [] : [{ name: t.name, cvPercent: cv * 100 }];
      });
  }, [trials, sheets, outcome, except]);
}
