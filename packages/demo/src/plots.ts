import type { PlotInput } from '@wheat-ledger/contract';

/** Monthly mean soil temperature at 10 cm, January first, °C: an invented logger in a cool temperate valley. */
const LOGGER_C = [3.8, 3.9, 5.8, 8.9, 12.8, 16.2, 18.3, 17.9, 15.1, 11.2, 7.2, 4.7];

/** Ashlark Hollow, an invented three-quarter-acre market plot. */
export const PLOTS: readonly PlotInput[] = [
  { name: 'Ashlark Hollow, wheat strip', areaM2: 900, crop: 'wheat', medium: 'mineralSoil', texture: 'loam', pH: 6.4, temperature: { kind: 'monthly', meansC: LOGGER_C }, plantedOn: '2026-03-15' },
  { name: 'Dahlia rows', areaM2: 120, crop: 'dahlia', medium: 'mineralSoil', texture: 'loam', pH: 6.8, temperature: { kind: 'monthly', meansC: LOGGER_C }, plantedOn: '2026-05-10' },
  { name: 'Sweetcorn block', areaM2: 260, crop: 'sweetcorn', medium: 'mineralSoil', texture: 'sand', temperature: { kind: 'sine', meanC: 10.8, amplitudeC: 7.4, warmestDay: 205 }, plantedOn: '2026-05-15' },
];
