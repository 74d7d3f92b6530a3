import { assumption, type Figure, type OwnFigure } from '../figure/index.js';
import type { Range } from '../quantity/index.js';
import type { Climate, DailyLog } from './climate.js';
import type { TemperatureRecord } from './soilTemperature.js';

export const MEDIA = ['mineralSoil', 'halfPotting', 'organicPotting', 'inertPotting'] as const;
export type Medium = (typeof MEDIA)[number];
export const TEXTURES = ['sand', 'loam', 'clay', 'peat'] as const;
export type Texture = (typeof TEXTURES)[number];

/** A plot as the computation sees it. */
export interface Site {
  readonly areaM2: number;
  readonly medium: Medium;
  readonly texture: Texture;
  readonly pH: number | undefined;
  readonly temperature: TemperatureRecord;
  /** Water that comes and goes in a usual year; not known when missing. */
  readonly climate?: Climate | undefined;
  /** Figures of the grower's own in the place of what is assumed. */
  readonly ownFigures?: readonly OwnFigure[] | undefined;
  /** What loggers measured, which outranks the usual year on the days they cover. */
  readonly logged?: readonly DailyLog[] | undefined;
}

const BIOLOGY: Readonly<Record<Medium, { readonly range: Range; readonly why: string }>> = {
  mineralSoil: { range: { low: 0.5, mid: 1, high: 1.5 }, why: 'mineral soil is the reference; soils differ' },
  halfPotting: { range: { low: 0.5, mid: 1, high: 2 }, why: 'half soil, half organic medium: much like soil' },
  organicPotting: {
    range: { low: 2, mid: 6, high: 10 },
    why: 'a purely organic potting medium decomposes meals much faster in its first weeks, easing to soil in ten',
  },
  inertPotting: { range: { low: 0.2, mid: 0.3, high: 0.4 }, why: 'sterile, inert media hold few decomposers' },
};

/** How fast a medium's life decomposes organic matter, relative to mineral soil. */
export const biologyFactor = (medium: Medium): Figure =>
  assumption('life in the medium', BIOLOGY[medium].range, '× mineral soil', BIOLOGY[medium].why);

export const MEDIUM_NAMES: Readonly<Record<Medium, string>> = {
  mineralSoil: 'garden or field soil',
  halfPotting: 'half soil, half potting mix',
  organicPotting: 'organic potting mix',
  inertPotting: 'inert medium (coir, perlite, rockwool)',
};
