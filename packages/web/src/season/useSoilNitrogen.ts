import { useMemo } from 'react';
import { toSite, toSoilReport, type PlotRecord } from '@wheat-ledger/contract';
import { soilNitrogen, type SoilNitrogen } from '@wheat-ledger/core';
import { useReportsOf } from '../app/soil';

const HAS_SOIL = ['mineralSoil', 'halfPotting'];
/** What the soil of a plot supplies from a day on, by its newest report; nothing in media that hold no soil. */
export function useSoilNitrogen(plot: PlotRecord, from: string): SoilNitrogen | undefined {
  const [newest] = useReportsOf(plot.id);
  return useMemo(() => {
    const site = toSite(plot, []);
    return HAS_SOIL.includes(site.medium)
      ? soilNitrogen(site, newest && toSoilReport(newest), from, plot.water?.nitrateNMgPerL)
      : undefined;
  }, [plot, newest, from]);
}
