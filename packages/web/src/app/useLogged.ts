import { useMemo } from 'react';
import type { EntryRecord } from '@wheat-ledger/contract';
import { standing, type LogEntry } from '@wheat-ledger/core';
import { useRecords } from './api';
import { useGround } from './usePlans';
import { useShelfWith, type ShelfProduct } from './workspace';

/** An entry that stands, as it is kept and as it is reckoned with. */
export interface Logged {
  readonly record: EntryRecord;
  readonly entry: LogEntry;
}

/** What was really done on all plots: the entries that stand. */
export function useLogged(): {
  readonly logged: readonly Logged[];
  readonly shelf: readonly ShelfProduct[];
  readonly isLoading: boolean;
} {
  const { records, isLoading: entriesLoading } = useRecords('entry');
  const { records: plots, isLoading: plotsLoading } = useRecords('plot');
  const { ground, isLoading: groundLoading } = useGround();
  const entries = useMemo(() => standing(records), [records]);
  const { shelf, isLoading: shelfLoading } = useShelfWith(
    useMemo(() => entries.flatMap((e) => e.items.map((i) => i.productId)), [entries]),
  );
  const logged = useMemo(() => {
    const byId = new Map(records.map((r) => [r.id, r]));
    /** What the entry ticked off, or the first of those it stands in the place of. */
    const taskOf = (record: EntryRecord): string | undefined => {
      const seen = new Set<string>();
      let at: EntryRecord | undefined = record;
      while (at && !at.task && !seen.has(at.id)) {
        seen.add(at.id);
        at = byId.get(at.corrects ?? '');
      }
      return at?.task;
    };
    const areas = new Map(plots.map((p) => [p.id, p.areaM2]));
    const bags = new Map(shelf.map((s) => [s.record.id, s.product]));
    return entries.map((record): Logged => {
      const { id, on, what, items, plotId, seasonId, where, minutes } = record;
      const share = ground.get(seasonId ?? '')?.season.share ?? 1;
      const areaM2 = record.areaM2 ?? (areas.get(plotId) ?? 1) * share;
      const used = items.map(({ productId, amount, unit }) => ({ product: bags.get(productId), amount, unit }));
      return { record, entry: { id, on, what, areaM2, items: used, task: taskOf(record), where, minutes } };
    });
  }, [records, entries, plots, ground, shelf]);
  return { logged, shelf, isLoading: entriesLoading || plotsLoading || groundLoading || shelfLoading };
}
