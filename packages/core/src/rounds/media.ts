import { assumption, constant, literal, product as times, type Figure } from '../figure/index.js';
import { exact, type Range } from '../quantity/index.js';

/** How much a pressed bale grows when it is broken up and wetted, typical of peat and coir; the bag's own figure takes its place. */
export const BALE_EXPANSION: Range = { low: 1.6, mid: 2, high: 2.3 };

/** What a layer on a bed comes to, L. @example layerLitres(8, 0.02).value.mid // 2 cm on 8 m² are 160 L */
export const layerLitres = (areaM2: number, thicknessM: number): Figure =>
  times('the layer', 'L', [
    literal('ground', areaM2, 'm²', 'chosen', 'typed beside it'),
    literal('thickness', thicknessM, 'm', 'chosen', 'typed beside it'),
    constant('L in a m³', 1000, 'L/m³', 'by definition'),
  ]);

/**
 * What a pressed bale comes to when it is loose, L.
 * @param expansion the bag's own figure; typical where missing
 * @example baleLitres(107).value // 107 L pressed are about 214 L loose
 */
export const baleLitres = (pressedL: number, expansion?: number): Figure =>
  times('the bale when loose', 'L', [
    literal('the bale as sold', pressedL, 'L', 'label', 'typed beside it'),
    expansion === undefined
      ? assumption('how much it grows', BALE_EXPANSION, '', 'typical of pressed peat and coir')
      : literal('how much it grows', expansion, '', 'measured', 'typed beside it'),
  ]);

/** Bags or bales that hold so many litres, for the least and the most it may take. @example bagsFor(exact(160), exact(40)) // { least: 4, most: 4 } */
export function bagsFor(wantedL: Range, bagL: Range): { readonly least: number; readonly most: number } {
  if (!(bagL.low > 0)) throw new RangeError(`Read a bag of ${bagL.low} L, expected one above zero.`);
  const whole = (bags: number): number => Math.ceil(bags - 1e-9);
  return { least: whole(wantedL.low / bagL.high), most: whole(wantedL.high / bagL.low) };
}

/**
 * A mix told in parts, such as 1 of compost to 3 of soil, for a volume or weight of the whole.
 * @param all of the mix, in any measure
 * @returns of each part, in the same measure
 * @throws RangeError for parts that are not above zero
 * @example byParts([1, 3], 80) // [20, 60]
 */
export function byParts(parts: readonly number[], all: number): readonly number[] {
  const total = parts.reduce((a, b) => a + b, 0);
  if (parts.some((p) => !(p > 0))) throw new RangeError('Expected parts above zero, such as 1 to 3.');
  return parts.map((p) => (all * p) / total);
}

/** What a potted plant is told to get from what runs through its pot. */
export const POUR_ADVICE = ['feed', 'flush', 'leave'] as const;
export type PourAdvice = (typeof POUR_ADVICE)[number];
/** What was poured through a pot and measured below it. */
export interface PourThrough {
  readonly on: string;
  readonly ecMsPerCm: number;
  readonly pH: number | undefined;
}
/** Between which conductivities a potted plant is left alone, mS/cm of what runs through: typical of moderate feeders, for the grower to replace. */
export const USUAL_POUR_BAND = { low: 1, high: 2.6 } as const;
export interface PourVerdict {
  readonly advice: PourAdvice;
  /** mS/cm a week since the reading before; undefined for the first. */
  readonly perWeek: number | undefined;
  /** What the pH says beside it; empty where it lies in the band or is not known. */
  readonly pHWords: string;
}

const DAY_MS = 86_400_000;
/**
 * Readings of a pot in order of days: below the band it is fed, above it is flushed with water, within it is left alone.
 * @param pHBand of the crop
 * @example pourVerdicts([{ on: '2026-06-01', ecMsPerCm: 0.6, pH: 5.9 }], USUAL_POUR_BAND, undefined)[0].advice // 'feed'
 */
export function pourVerdicts(
  readings: readonly PourThrough[],
  band: { readonly low: number; readonly high: number },
  pHBand: { readonly low: number; readonly high: number } | undefined,
): readonly PourVerdict[] {
  const sorted = [...readings].sort((a, b) => a.on.localeCompare(b.on));
  return sorted.map(({ on, ecMsPerCm, pH }, i) => {
    const before = sorted[i - 1];
    const weeks = before ? (Date.parse(on) - Date.parse(before.on)) / DAY_MS / 7 : 0;
    const outside = pH !== undefined && pHBand ? (pH < pHBand.low ? 'below' : pH > pHBand.high ? 'above' : '') : '';
    return {
      advice: ecMsPerCm < band.low ? 'feed' : ecMsPerCm > band.high ? 'flush' : 'leave',
      perWeek: before && weeks > 0 ? (ecMsPerCm - before.ecMsPerCm) / weeks : undefined,
      pHWords: outside && pHBand ? `pH ${outside} the ${pHBand.low} to ${pHBand.high} of this crop` : '',
    };
  });
}

/** A starter charge feeds a potting mix for so many weeks, typical; feeding begins when it is used up. */
export const STARTER_WEEKS: Range = { low: 3, mid: 5, high: 8 };
/** Weeks until a pot with a starter charge has to be fed. @param weeks what its bag says */
export const starterWeeks = (weeks?: number): Figure =>
  weeks === undefined
    ? assumption('weeks the starter charge lasts', STARTER_WEEKS, '', 'typical of potting mixes')
    : literal('weeks the starter charge lasts', exact(weeks), '', 'label', 'typed beside it');
