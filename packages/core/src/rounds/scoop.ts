import { formatTrimmed } from '../quantity/index.js';
import type { Product } from '../shelf/index.js';

const QUARTERS = ['', '¼', '½', '¾'] as const;

/** So much of a bag in its own scoop. */
export interface InScoops {
  /** Level scoops, to the nearest quarter. */
  readonly scoops: number;
  /** What they really weigh, g. */
  readonly grams: number;
  readonly words: string;
}
/** A number of scoops as it is said. @example scoopsSaid(3.5) // '3½' */
function scoopsSaid(scoops: number): string {
  const whole = Math.floor(scoops);
  const quarter = QUARTERS[Math.round((scoops - whole) * 4)] ?? '';
  return `${whole === 0 && quarter !== '' ? '' : whole}${quarter}`;
}

/**
 * A weight in the scoop that was weighed once for this bag, level, to the nearest quarter and never below one.
 * @param kg of product
 * @returns undefined where no scoop of it was ever weighed, or where it is too little for a scoop: it is weighed
 * @example inOwnScoop(boneMeal with a scoop of 240 g, 0.84)?.words // '3½ level scoops'
 */
export function inOwnScoop({ scoop }: Pick<Product, 'scoop'>, kg: number): InScoops | undefined {
  if (!scoop) return undefined;
  const scoops = Math.round(((kg * 1000) / scoop.grams) * 4) / 4;
  if (scoops < 0.25 || scoops > 200) return undefined;
  const grams = scoops * scoop.grams;
  const name = scoop.name === '' ? '' : `, ${scoop.name}`;
  const words = `${scoopsSaid(scoops)} level ${scoops <= 1 ? 'scoop' : 'scoops'}${name} (${formatTrimmed(grams, 3)} g)`;
  return { scoops, grams, words };
}
