import { useMemo } from 'react';
import type { HarvestRecord, PlotRecord } from '@wheat-ledger/contract';
import { waterBrings, yearlyBalances, type Harvested, type WaterHolds, type YearBalance } from '@wheat-ledger/core';
import { useRecords } from './api';
import { useLogged, type Logged } from './useLogged';
import { useGround } from './usePlans';
import { ofPlot, type ShelfProduct } from './workspace';

/** A plot as it went, year by year. */
export interface PlotYears {
  /** What was done on all plots, and on this one. */
  readonly all: readonly Logged[];
  readonly here: readonly Logged[];
  readonly harvests: readonly HarvestRecord[];
  readonly years: readonly YearBalance[];
  readonly shelf: readonly ShelfProduct[];
  readonly isLoading: boolean;
  /** Why it cannot be had. */
  readonly error: unknown;
}

/** What the analysis of a plot's water names. */
function waterHolds(plot: PlotRecord | undefined): WaterHolds {
  const { nitrateNMgPerL: N, calciumMgPerL: Ca, magnesiumMgPerL: Mg } = plot?.water ?? {};
  const named = Object.entries({ N, Ca, Mg }).filter(([, mg]) => mg !== undefined && mg !== null);
  return Object.fromEntries(named);
}

/** The log and the harvests of a plot, with what they come to in each year. */
export function usePlotYears(plot: PlotRecord | undefined): PlotYears {
  const { logged: all, shelf, isLoading: logLoading } = useLogged();
  const { records: harvests, isLoading: harvestsLoading, error } = useRecords('harvest', ofPlot(plot?.id));
  const { ground, isLoading: groundLoading } = useGround();
  const isLoading = logLoading || harvestsLoading || groundLoading;
  return useMemo(() => {
    const here = all.filter((l) => l.record.plotId === plot?.id);
    const harvested = harvests.map((h): Harvested => ({
      on: h.on,
      kg: h.kg,
      crop: ground.get(h.seasonId ?? '')?.season.crop,
    }));
    const years = yearlyBalances(
      here.map((l) => l.entry),
      harvested,
      plot?.areaM2 ?? 1,
      waterBrings(waterHolds(plot), plot?.climate),
    );
    return { all, here, harvests, years, shelf, isLoading, error };
  }, [all, harvests, ground, shelf, plot, isLoading, error]);
}
