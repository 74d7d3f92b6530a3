import { useMemo } from 'react';
import { toSite, toSoilReport, type PlotRecord } from '@wheat-ledger/contract';
import { plotGaps, type FactPlace, type PlotKnown } from '@wheat-ledger/core';
import type { Missing } from '../ui/RestsOn';
import { useRecords } from './api';
import { today } from './today';
import { useSeasons } from './seasons';
import { useAppSelector } from './store';
import { ofPlot } from './workspace';
import { useNewestJar, useReportsOf } from './soil';

/** Everything that is known of a plot; undefined until all of it is there. */
export function usePlotKnown(plot: PlotRecord | undefined): PlotKnown | undefined {
  const [newest] = useReportsOf(plot?.id);
  const jar = useNewestJar(plot?.id);
  const { chosen, isLoading: seasonsLoading } = useSeasons(plot?.id);
  const { records: logs, isLoading: logsLoading } = useRecords('logger', ofPlot(plot?.id));
  const school = useAppSelector((s) => s.settings.sodicSchool);
  const isLoading = seasonsLoading || logsLoading;
  const from = chosen?.season.from;
  return useMemo(
    () =>
      plot && !isLoading
        ? { site: toSite(plot, logs), report: newest && toSoilReport(newest), jar, school, from }
        : undefined,
    [plot, logs, newest, jar, school, from, isLoading],
  );
}

const PLACES: Readonly<Record<FactPlace, string>> = {
  plot: '/edit',
  soil: '/soil',
  weather: '/weather',
  jars: '/jars',
  seasons: '#seasons',
};

/** The page on which something of a plot is entered. @example placeOf(plot.id, 'soil') // '/ground/…/soil' */
export const placeOf = (plotId: string, place: FactPlace): string => `/ground/${plotId}${PLACES[place]}`;

/** What is not known of a plot, as a sheet tells it, for those things that it rests on. */
export const missingOf = (plot: PlotRecord, known: PlotKnown | undefined): readonly Missing[] =>
  known
    ? plotGaps(known, plot.shape !== undefined && plot.shape !== null, today()).map(({ what, why, place }) => ({
        what,
        why,
        to: placeOf(plot.id, place),
      }))
    : [];
