import { useMemo } from 'react';
import { toSeason, toSite, type PlotRecord, type SeasonRecord } from '@wheat-ledger/contract';
import type { Crop, Season, SiteInSeason } from '@wheat-ledger/core';
import { useRecords } from './api';
import { ofPlot, usePlot, useSeasonRecords } from './workspace';

export interface ChosenSeason {
  readonly record: SeasonRecord;
  readonly season: Season;
}

/** A plot's seasons, the newest first, and the one that is looked at: that chosen, or the newest. */
export function useSeasons(plotId: string | undefined): {
  readonly seasons: readonly ChosenSeason[];
  readonly chosen: ChosenSeason | undefined;
  readonly isLoading: boolean;
} {
  const { records, chosen, isLoading } = useSeasonRecords(plotId);
  const { records: crops, isLoading: cropsLoading } = useRecords('crop');
  return useMemo(() => {
    // Until the own crops are there, a season of one would pass for a crop nobody knows, and be worked out twice.
    if (cropsLoading) return { seasons: [], chosen: undefined, isLoading: true };
    const seasons = records.map((record): ChosenSeason => ({ record, season: toSeason(record, crops) }));
    return {
      seasons,
      chosen: seasons.find((s) => s.record === chosen),
      isLoading,
    };
  }, [records, chosen, crops, isLoading, cropsLoading]);
}

/** The crop of the season that is looked at. */
export function usePlotCrop(): { readonly plot: PlotRecord | undefined; readonly crop: Crop | undefined } {
  const { plot } = usePlot();
  const { chosen } = useSeasons(plot?.id);
  return { plot, crop: chosen?.season.crop };
}

/** The chosen plot in its season as the core computes with it, what its loggers wrote included; no site where no season says what grows. */
export function useSite() {
  const { plot } = usePlot();
  const { chosen, isLoading: seasonsLoading } = useSeasons(plot?.id);
  const { records: logs, isLoading: logsLoading } = useRecords('logger', ofPlot(plot?.id));
  const isLoading = seasonsLoading || logsLoading;
  const site = useMemo((): SiteInSeason | undefined => {
    // What loggers wrote is waited for: without it everything would be worked out twice.
    if (!plot || !chosen || isLoading) return undefined;
    return { ...toSite(plot, logs), season: chosen.season };
  }, [plot, chosen, logs, isLoading]);
  return { plot, crop: chosen?.season.crop, site, isLoading };
}
