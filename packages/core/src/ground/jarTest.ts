import { computed, literal, type Figure } from '../figure/index.js';
import type { Texture } from './site.js';

export const JAR_KINDS = ['dispersion', 'texture'] as const;
export type JarKind = (typeof JAR_KINDS)[number];

/** A reading of a jar test: when it is due after the start, what to do, and what is read. */
export interface JarStep {
  readonly key: string;
  readonly afterMinutes: number;
  readonly title: string;
  readonly look: string;
}

/** How to begin, step by step. */
export const JAR_START: Readonly<Record<JarKind, readonly string[]>> = {
  dispersion: [
    'Fill a clear jar with rain water, not tap water: its salts would hide the answer.',
    'Set a dry crumb the size of a pea on the bottom without stirring.',
    'Leave it still and start the clock.',
  ],
  texture: [
    'Fill a straight-sided jar one third with soil, stones and roots taken out.',
    'Add a spoon of salt-free dish soap and water almost to the top, and shake hard for five minutes.',
    'Set it down, and start the clock at that moment.',
  ],
};
export const JAR_STEPS: Readonly<Record<JarKind, readonly JarStep[]>> = {
  dispersion: [
    {
      key: 'cloud2h',
      afterMinutes: 120,
      title: 'Cloud after 2 hours',
      look: 'Look level through the jar at the water round the crumb.',
    },
    {
      key: 'cloud24h',
      afterMinutes: 1440,
      title: 'Cloud after 24 hours',
      look: 'Look again, without moving the jar in between.',
    },
  ],
  texture: [
    {
      key: 'sandMm',
      afterMinutes: 1,
      title: 'Height of the sand',
      look: 'After one minute, the layer on the bottom, in mm.',
    },
    {
      key: 'siltMm',
      afterMinutes: 120,
      title: 'Height of sand and silt',
      look: 'After two hours, from the bottom, in mm.',
    },
    {
      key: 'allMm',
      afterMinutes: 1440,
      title: 'Height of everything settled',
      look: 'After a day, or when the water is clear, from the bottom, in mm.',
    },
  ],
};
/** What is seen round the crumb. */
export const CLOUD_WORDS = ['clear water', 'a faint halo', 'a cloud round the crumb', 'milky water'] as const;

export type JarReadings = Readonly<Record<string, number>>;

/** What a dispersion jar says. Slaking (falling apart without a cloud) is not dispersion. */
export type DispersionResult = {
  readonly kind: 'dispersive' | 'slightly' | 'not' | 'unfinished';
  readonly says: string;
};
export function dispersionResult({ cloud2h, cloud24h }: JarReadings): DispersionResult {
  const worst = Math.max(cloud2h ?? -1, cloud24h ?? -1);
  if (worst >= 2)
    return {
      kind: 'dispersive',
      says: `${CLOUD_WORDS[worst] ?? ''}: the clay disperses. Sodium is likely; test exchangeable sodium, and gypsum can help.`,
    };
  if (cloud24h === undefined) return { kind: 'unfinished', says: 'Not finished: look again after 24 hours.' };
  if (worst === 1)
    return { kind: 'slightly', says: 'A faint halo: slightly dispersive. Repeat with a crumb that was worked wet.' };
  return {
    kind: 'not',
    says: 'Clear water: not dispersive. A crumb that fell apart without a cloud slakes; that is a matter of organic matter, not of sodium.',
  };
}

export interface TextureResult {
  readonly sand: Figure;
  readonly silt: Figure;
  readonly clay: Figure;
  readonly name: string;
  /** The class the rest of the program works with. */
  readonly texture: Texture;
}

/** How far a height read through glass may be off, mm. */
const READING_MM = 1;

/**
 * Sand, silt and clay from the heights of settled layers, each with the range that a millimetre of misreading gives, and the class of the texture
 * triangle (USDA Soil Survey Manual) at the middle. Settled clay keeps water between its plates, so its share reads high.
 * @returns why it cannot be told, in words, when heights are missing or fall
 * @example textureResult({ sandMm: 40, siltMm: 80, allMm: 100 }) // 40 % sand, 40 % silt, 20 % clay: loam
 */
export function textureResult({ sandMm, siltMm, allMm }: JarReadings): TextureResult | string {
  if (sandMm === undefined || siltMm === undefined || allMm === undefined)
    return 'Not finished: all three heights are needed.';
  if (!(sandMm >= 0 && siltMm >= sandMm && allMm >= siltMm && allMm > 0))
    return `Read ${sandMm}, ${siltMm} and ${allMm} mm, expected heights that do not fall: sand, then sand and silt, then everything.`;
  const heights = {
    sand: literal('height of the sand', sandMm, 'mm', 'measured', 'jar test'),
    silt: literal('height of sand and silt', siltMm, 'mm', 'measured', 'jar test'),
    all: literal('height of everything settled', allMm, 'mm', 'measured', 'jar test'),
  };
  const share = (label: string, from: number, to: number, of: readonly Figure[]): Figure => {
    const at = (off: number): number => Math.max(0, Math.min(100, (100 * (to - from + off)) / allMm));
    return computed(
      label,
      { low: at(-2 * READING_MM), mid: at(0), high: at(2 * READING_MM) },
      '% of the layer',
      'layer',
      'its layer over the whole height, ± 1 mm at either edge',
      of,
    );
  };
  const sand = share('sand', 0, sandMm, [heights.sand, heights.all]);
  const silt = share('silt', sandMm, siltMm, [heights.silt, heights.sand, heights.all]);
  const clay = share('clay', siltMm, allMm, [heights.all, heights.silt]);
  const name = triangleClass(sand.value.mid, silt.value.mid, clay.value.mid);
  return { sand, silt, clay, name, texture: /sand$/.test(name) ? 'sand' : /clay$/.test(name) ? 'clay' : 'loam' };
}

/** Class of the texture triangle, after the definitions of the USDA Soil Survey Manual. Per cent. @example triangleClass(40, 40, 20) // 'loam' */
export function triangleClass(sand: number, silt: number, clay: number): string {
  if (silt + 1.5 * clay < 15) return 'sand';
  if (silt + 2 * clay < 30) return 'loamy sand';
  if (clay >= 40) return sand > 45 ? 'sandy clay' : silt >= 40 ? 'silty clay' : 'clay';
  if (clay >= 35 && sand > 45) return 'sandy clay';
  if (clay >= 27) return sand > 45 ? 'sandy clay loam' : sand > 20 ? 'clay loam' : 'silty clay loam';
  if (clay >= 20 && silt < 28 && sand > 45) return 'sandy clay loam';
  if (silt >= 80 && clay < 12) return 'silt';
  if (silt >= 50) return 'silt loam';
  if (clay >= 7 && silt >= 28 && sand <= 52) return 'loam';
  return 'sandy loam';
}
