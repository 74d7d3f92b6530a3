/** Between what an own figure can lie. */
export interface Bounds {
  readonly least: number;
  readonly most: number;
}
const between = (least: number, most: number): Bounds => ({ least, most });
const SHARE = between(0, 1);

/** Assumptions of the release model that a plot can carry a figure of its own for. */
export const PLOT_FIGURES: Readonly<Record<string, Bounds>> = {
  q10: between(1, 6),
  coatingQ10: between(1, 6),
  nitrificationPerDay: between(0, 5),
  ureaHydrolysisPerDay: between(0, 10),
  denitrificationPerDay: between(0, 2),
  weibullShape: between(0.5, 8),
  criticalCN: between(8, 80),
  microbialDeathPerDay: between(0.0001, 1),
  humified: between(0, 0.95),
  volatileShare: SHARE,
  volatileAmmonium: SHARE,
  biology: between(0.01, 50),
  wetness: between(0, 2),
  rootingM: between(0.05, 3),
  soilMineralKgPerHa: between(0, 1000),
  soilMatter: between(0, 100),
  soilCN: between(5, 60),
  yearlyShare: between(0, 0.5),
  warmer: between(-15, 15),
  drainage: between(0, 5),
};

/** Assumptions that a bag can carry a figure of its own for; those of a material are followed by its name. */
export const BAG_FIGURES: Readonly<Record<string, Bounds>> = {
  fastShare: SHARE,
  kFastPerDay: between(0, 2),
  kSlowPerDay: between(0, 0.5),
  carbonToNitrogen: between(1, 1000),
  nitrogenPercent: between(0.01, 50),
  listing: SHARE,
  massShare: SHARE,
};

/** The key of a material's assumption. @example materialKey('kFastPerDay', 'blood meal') // 'kFastPerDay of blood meal' */
export const materialKey = (parameter: string, material: string): string => `${parameter} of ${material}`;

/** Between what the own figure of a key can lie; undefined where nothing is assumed under that key. @example ownBounds('kFastPerDay of blood meal', BAG_FIGURES) // { least: 0, most: 2 } */
export function ownBounds(key: string, figures: Readonly<Record<string, Bounds>>): Bounds | undefined {
  const [parameter = ''] = key.split(' of ');
  return Object.hasOwn(figures, parameter) ? figures[parameter] : undefined;
}
