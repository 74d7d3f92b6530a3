import { literal, quotient, type Figure } from '../figure/index.js';
import { measure, ofWhat } from '../quantity/index.js';
import { symbolIn } from '../nutrient/index.js';
import type { GradePart } from '../shelf/index.js';
import type { Mixture } from './mixture.js';

/**
 * Two mixes at the same weight are not the same feed: grams of a mix that bring as much of a nutrient as a gram of what it was meant to be.
 * @param mix what it really is
 * @param part what it was meant to hold of the nutrient, per cent in its basis
 * @returns undefined where the mix holds none that is known, in that basis
 * @example equalDose(mixWith7PercentN, { nutrient: 'N', basis: 'element', amount: 5 })?.value.mid // 0.714
 */
export function equalDose(mix: Mixture, part: GradePart): Figure | undefined {
  const held = mix.analysis.find((n) => n.nutrient === part.nutrient && n.basis === part.basis);
  if (!held || part.amount <= 0 || held.percent.value.low <= 0) return undefined;
  const symbol = symbolIn(part.nutrient, part.basis);
  const meant = literal(
    `${symbol} it was meant to hold`,
    part.amount,
    ofWhat(measure('%'), symbol),
    'chosen',
    'the target',
  );
  return quotient(`g of the mix for a gram of the target, at equal ${symbol}`, 'g/g', meant, held.percent);
}
