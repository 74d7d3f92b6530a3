import { useMemo } from 'react';
import { toSite, toSoilReport, type PlotRecord } from '@wheat-ledger/contract';
import type { PlotKnown } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useSeasons } from '../app/seasons';
import { useAppSelector } from '../app/store';
import { ofPlot } from '../app/workspace';
import { useNewestJar, useReportsOf } from './useSoil';

/** Everything that is known of a plot; undefined until all of it is there. */
export function usePlotKnown(plot: PlotRecord): PlotKnown | undefined {
  const [newest] = useReportsOf(plot.id);
  const jar = useNewestJar(plot.id);
  const { chosen, isLoading: seasonsLoading } = useSeasons(plot.id);
  const { records: logs, isLoading: logsLoading } = useRecords('logger', ofPlot(plot.id));
  const school = useAppSelector((s) => s.settings.sodicSchool);
  const isLoading = seasonsLoading || logsLoading;
  const from = chosen?.season.from;
  return useMemo(
    () =>
      isLoading ? undefined : { site: toSite(plot, logs), report: newest && toSoilReport(newest), jar, school, from },
    [plot, logs, newest, jar, school, from, isLoading],
  );
}
