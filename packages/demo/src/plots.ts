import type { JarTestInput, PlotInput, SoilReportInput } from '@wheat-ledger/contract';
import { readSoilSlip } from '@wheat-ledger/core';
import { stationCsv } from './station.js';

/** Monthly mean soil temperature at 10 cm, January first, °C: an invented logger in a cool temperate valley. */
const LOGGER_C = [3.8, 3.9, 5.8, 8.9, 12.8, 16.2, 18.3, 17.9, 15.1, 11.2, 7.2, 4.7];

/** Rain, irrigation and evapotranspiration of a usual year in that valley, mm a month. */
const VALLEY = {
  rainMm: [72, 55, 54, 48, 52, 55, 58, 62, 58, 74, 76, 78],
  irrigationMm: [0, 0, 0, 0, 15, 30, 40, 30, 10, 0, 0, 0],
  etMm: [12, 17, 34, 56, 82, 95, 102, 86, 54, 30, 15, 11],
};

/** Ashlark Hollow, an invented three-quarter-acre market plot. */
export const PLOTS: readonly PlotInput[] = [
  {
    name: 'Ashlark Hollow, wheat strip',
    areaM2: 900,
    shape: { kind: 'rectangle', lengthsM: [75, 12] },
    medium: 'mineralSoil',
    texture: 'loam',
    pH: 6.4,
    temperature: { kind: 'monthly', meansC: LOGGER_C },
    climate: { ...VALLEY, irrigationMm: VALLEY.irrigationMm.map(() => 0) },
  },
  {
    name: 'Dahlia rows',
    areaM2: 120,
    shape: { kind: 'rows', lengthsM: [20, 1], count: 6 },
    medium: 'mineralSoil',
    texture: 'loam',
    pH: 6.8,
    temperature: { kind: 'monthly', meansC: LOGGER_C },
    climate: VALLEY,
    water: {
      ecMsPerCm: 0.6,
      sodiumMgPerL: 28,
      calciumMgPerL: 74,
      magnesiumMgPerL: 12,
      alkalinityMgPerL: 190,
      nitrateNMgPerL: 6,
    },
  },
  {
    name: 'Sweetcorn block',
    areaM2: 260,
    medium: 'mineralSoil',
    texture: 'sand',
    temperature: { kind: 'sine', meanC: 10.8, amplitudeC: 7.4, warmestDay: 205 },
  },
];

/** A report that names its plot; the loader turns the name into an id. */
export type NamedSoilReport = Omit<SoilReportInput, 'plotId'> & { readonly plot: string };

/** Invented lab slips, as they would be pasted. */
const slip = (plot: string, name: string, sampledOn: string, text: string, advice?: string): NamedSoilReport => ({
  plot,
  name,
  sampledOn,
  depthM: 0.15,
  ...(advice === undefined ? {} : { advice }),
  note: 'Invented slip, sample.',
  figures: readSoilSlip(text).flatMap((l) => (l.figure ? [l.figure as SoilReportInput['figures'][number]] : [])),
});
export const SOIL_REPORTS: readonly NamedSoilReport[] = [
  slip(
    'Ashlark Hollow, wheat strip',
    'Slip HG-4, sample',
    '2024-02-12',
    'pH 6.1\nOrganic matter 3.2 %\nOlsen, mg/kg\nPhosphorus 19\nammonium acetate, mg/kg\nPotassium 140\nMagnesium 88\nCalcium 1840\nSodium 31',
  ),
  slip(
    'Ashlark Hollow, wheat strip',
    'Slip HG-17, sample',
    '2026-02-09',
    'pH 6.4\nOrganic matter 3.5 %\nOlsen, mg/kg\nPhosphorus 27\nammonium acetate, mg/kg\nPotassium 165\nMagnesium 92\nCalcium 1960\nSodium 28\nNitrate-N in water < 2 mg/kg\nsaturated paste\nEC 0.7 mS/cm\nSodium 46 mg/L\nCalcium 120 mg/L\nMagnesium 24 mg/L',
    'N 100, P2O5 40, K2O 60 kg/ha',
  ),
];

/** A jar test that names its plot. */
export const JAR_TESTS: readonly (Omit<JarTestInput, 'plotId'> & { readonly plot: string })[] = [
  {
    plot: 'Ashlark Hollow, wheat strip',
    name: 'Does the clay disperse?',
    kind: 'dispersion',
    startedAt: '2026-02-20T09:00:00.000Z',
    readings: [
      { step: 'cloud2h', value: 0 },
      { step: 'cloud24h', value: 0 },
    ],
    note: 'Invented, sample.',
  },
  {
    plot: 'Ashlark Hollow, wheat strip',
    name: 'How much sand, silt and clay?',
    kind: 'texture',
    startedAt: '2026-02-21T09:00:00.000Z',
    readings: [
      { step: 'sandMm', value: 44 },
      { step: 'siltMm', value: 82 },
      { step: 'allMm', value: 104 },
    ],
    note: 'Invented, sample.',
  },
];

/** A file of the simulated station for a plot, as a logger would hand it over. */
export const LOGS: readonly { readonly plot: string; readonly name: string; readonly csv: string }[] = [
  {
    plot: 'Sweetcorn block',
    name: 'Simulated station, cool temperate valley',
    csv: stationCsv({ climate: 'coolTemperate', from: '2025-05-01', days: 365, seed: 7 }),
  },
];
