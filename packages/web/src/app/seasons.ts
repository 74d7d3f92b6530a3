import { useMemo } from 'react';
import { toSeason, toSite, type LoggerRecord, type PlotRecord, type SeasonRecord } from '@wheat-ledger/contract';
import { sharingGround, type Crop, type Season, type SiteInSeason } from '@wheat-ledger/core';
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

/** A plot in a season, with the other seasons on the same ground. */
const siteInSeason = (
  plot: PlotRecord,
  logs: readonly LoggerRecord[],
  { record, season }: ChosenSeason,
  seasons: readonly ChosenSeason[],
): SiteInSeason => ({
  ...toSite(plot, logs),
  season,
  also: sharingGround(
    season,
    seasons.flatMap((s) => (s.record.id === record.id ? [] : [s.season])),
  ),
});

/** A plot in one of its seasons, with what its loggers wrote. */
export function useSiteIn(plot: PlotRecord, open: ChosenSeason): SiteInSeason {
  const { seasons } = useSeasons(plot.id);
  const { records: logs } = useRecords('logger', ofPlot(plot.id));
  return useMemo(() => siteInSeason(plot, logs, open, seasons), [plot, logs, open, seasons]);
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
  const { seasons, chosen, isLoading: seasonsLoading } = useSeasons(plot?.id);
  const { records: logs, isLoading: logsLoading } = useRecords('logger', ofPlot(plot?.id));
  const isLoading = seasonsLoading || logsLoading;
  const site = useMemo((): SiteInSeason | undefined => {
    // What loggers wrote is waited for: without it everything would be worked out twice.
    if (!plot || !chosen || isLoading) return undefined;
    return siteInSeason(plot, logs, chosen, seasons);
  }, [plot, chosen, seasons, logs, isLoading]);
  return { plot, crop: chosen?.season.crop, site, isLoading };
}
