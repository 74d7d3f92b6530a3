import { useMemo } from 'react';
import { toJarReadings, toSite, toSoilReport, type PlotRecord, type SoilReportRecord } from '@wheat-ledger/contract';
import { soilPH, type Advice, type JarReadings } from '@wheat-ledger/core';
import { useRecords } from './api';
import { ofPlot } from './workspace';

/** The reports of a plot, the newest first. */
export function useReportsOf(plotId: string | undefined): readonly SoilReportRecord[] {
  const { records } = useRecords('soil', ofPlot(plotId));
  return useMemo(() => [...records].sort((a, b) => b.sampledOn.localeCompare(a.sampledOn)), [records]);
}

/** The pH of a plot's soil: of its newest report, else as the plot says. */
export function useSoilPH(plot: PlotRecord | undefined): number | undefined {
  const [newest] = useReportsOf(plot?.id);
  return plot && soilPH(toSite(plot), newest && toSoilReport(newest));
}

/** The readings of a plot's newest jar test for dispersion. */
export function useNewestJar(plotId: string | undefined): JarReadings | undefined {
  const { records } = useRecords('jar', ofPlot(plotId));
  return useMemo(() => {
    const [newest] = records
      .filter((r) => r.kind === 'dispersion' && r.startedAt)
      .sort((a, b) => (b.startedAt ?? '').localeCompare(a.startedAt ?? ''));
    return newest && toJarReadings(newest);
  }, [records]);
}

/** What the newest report with a recommendation recommends to give. */
export function useAdvice(plotId: string | undefined): Advice | undefined {
  const reports = useReportsOf(plotId);
  return useMemo(() => {
    const found = reports.find((r) => r.advice);
    return found && toSoilReport(found).advice;
  }, [reports]);
}
