import { useMemo } from 'react';
import { toLog, toSeason, toSite, type LoggerRecord, type PlotRecord, toDosedPlot } from '@wheat-ledger/contract';
import {
  computeProgramme,
  siteSoilTemperature,
  type ComputedProgramme,
  type Planned,
  type Season,
} from '@wheat-ledger/core';
import { useRecords } from './api';
import { useDoings } from './useDoings';

const YEAR = 366;
interface Ground {
  readonly plot: PlotRecord;
  readonly season: Season;
  readonly logs: readonly LoggerRecord[];
}

/** The seasons of all plots by their ids, with the ground they stand on. */
export function useGround(): {
  readonly ground: ReadonlyMap<string, Ground>;
  readonly isLoading: boolean;
  /** Why it cannot be had. */
  readonly error: unknown;
} {
  const { records: plots, isLoading: plotsLoading, error } = useRecords('plot');
  const { records: seasons, isLoading: seasonsLoading } = useRecords('season');
  const { records: crops, isLoading: cropsLoading } = useRecords('crop');
  const { records: logs, isLoading: logsLoading } = useRecords('logger');
  const isLoading = plotsLoading || seasonsLoading || cropsLoading || logsLoading;
  const ground = useMemo(
    () =>
      new Map(
        seasons.flatMap((record): (readonly [string, Ground])[] => {
          const plot = plots.find((p) => p.id === record.plotId);
          return plot
            ? [[record.id, { plot, season: toSeason(record, crops), logs: logs.filter((l) => l.plotId === plot.id) }]]
            : [];
        }),
      ),
    [seasons, plots, crops, logs],
  );
  return { ground, isLoading, error };
}

/** A programme as rounds are made of it, with what it brings in all. */
export type PlanInNumbers = Planned & Pick<ComputedProgramme, 'totals'>;

/** Every programme of the ledger in numbers, as rounds are made of them. */
export function usePlans(): {
  readonly plans: readonly PlanInNumbers[];
  readonly isLoading: boolean;
  /** Why they cannot be had. */
  readonly error: unknown;
} {
  const { records: programmes, isLoading: programmesLoading, error: programmesError } = useRecords('programme');
  const { ground, isLoading: groundLoading, error: groundError } = useGround();
  const all = useMemo(() => programmes.flatMap((p) => p.applications), [programmes]);
  const { doings, isLoading: doingsLoading } = useDoings(all);
  const isLoading = programmesLoading || groundLoading || doingsLoading;
  const plans = useMemo(() => {
    if (isLoading) return [];
    let from = 0;
    return programmes.flatMap((programme): PlanInNumbers[] => {
      const own = doings.slice(from, from + programme.applications.length);
      from += programme.applications.length;
      const found = ground.get(programme.seasonId);
      if (!found) return [];
      const { plot, season, logs } = found;
      const warmth = siteSoilTemperature(toSite(plot, logs), season.from, YEAR);
      const { rows, totals } = computeProgramme(own, toDosedPlot(plot), season, warmth);
      return [
        {
          programmeId: programme.id,
          name: programme.name,
          plotId: plot.id,
          plotName: plot.name,
          season,
          rows,
          totals,
          texture: plot.texture,
          logged: logs.map(toLog),
        },
      ];
    });
  }, [programmes, doings, ground, isLoading]);
  return { plans, isLoading, error: programmesError ?? groundError };
}
