import { formatGiven, fromCanonical } from '../quantity/index.js';

const rounded = (value: number, step: number): number => Number((Math.round(value / step) * step).toPrecision(12));

/** Up to which amount something is read to which step: kitchen and spring scales, jugs and buckets. */
type Steps = readonly (readonly [upTo: number, step: number])[];
const stepFor = (value: number, steps: Steps): number => steps.find(([upTo]) => value < upTo)?.[1] ?? 1;

/** g; a kitchen scale shows grams, a better one tenths where it matters. */
const GRAMS: Steps = [
  [10, 0.1],
  [1000, 1],
  [10_000, 10],
  [Infinity, 100],
];
/** oz; half an ounce once it is more than a pound. */
const OUNCES: Steps = [
  [16, 0.1],
  [Infinity, 0.5],
];
/** mL; a spoon, a jug, a bucket. */
const MILLILITRES: Steps = [
  [100, 1],
  [1000, 10],
  [10_000, 50],
  [Infinity, 500],
];

const OUNCES_PER_POUND = 16;

/**
 * A weight as it can be weighed out: to a gram below 1 kg, to 10 g below 10 kg, else to 100 g; in pounds and ounces where those are used.
 * @example weighedWords(0.8871, 'kg') // '887 g'
 * @example weighedWords(1.02, 'lb') // '2 lb 4 oz'
 */
export function weighedWords(kg: number, unit: 'kg' | 'lb'): string {
  if (unit === 'kg') {
    const grams = rounded(kg * 1000, stepFor(kg * 1000, GRAMS));
    return grams < 1000 ? `${formatGiven(grams)} g` : `${formatGiven(grams / 1000)} kg`;
  }
  const ounces = fromCanonical(kg, 'oz');
  const whole = rounded(ounces, stepFor(ounces, OUNCES));
  const pounds = Math.floor(whole / OUNCES_PER_POUND);
  const rest = rounded(whole - pounds * OUNCES_PER_POUND, 0.1);
  return [pounds > 0 ? `${pounds} lb` : '', rest > 0 || pounds === 0 ? `${formatGiven(rest)} oz` : '']
    .filter(Boolean)
    .join(' ');
}

/** A volume as it can be measured out. @example measuredWords(0.7713) // '770 mL' */
export function measuredWords(litres: number): string {
  const millilitres = rounded(litres * 1000, stepFor(litres * 1000, MILLILITRES));
  return millilitres < 1000 ? `${formatGiven(millilitres)} mL` : `${formatGiven(millilitres / 1000)} L`;
}
