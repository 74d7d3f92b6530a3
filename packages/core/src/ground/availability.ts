import type { Nutrient } from '../nutrient/index.js';
import type { Site } from './site.js';

/** What a soil's pH does to a nutrient that is there: nothing much, keeps it from roots, or sets free more than is good. */
export type PHEffect = 'easy' | 'harder' | 'tooMuch';

export interface Availability {
  readonly nutrient: Nutrient;
  readonly effect: PHEffect;
  /** Why, in words; empty when it is easy. */
  readonly words: string;
}

interface Side {
  readonly pH: number;
  readonly effect: Exclude<PHEffect, 'easy'>;
  readonly words: string;
}
type Sides = { readonly below?: Side; readonly above?: Side };
const harder = (pH: number, words: string): Side => ({ pH, effect: 'harder', words });

/** Below and above which pH a nutrient of mineral soil behaves otherwise: textbook guidance, class averages, no measurement. */
const SIDES: Readonly<Partial<Record<Nutrient, Sides>>> = {
  N: {
    below: harder(5.5, 'what turns humus and ammonium into nitrate works slowly'),
    above: harder(8, 'ammonium left on top goes off as ammonia'),
  },
  P: { below: harder(6, 'iron and aluminium hold it'), above: harder(7.3, 'lime holds it') },
  K: { below: harder(5.5, 'acid soil holds little, and rain takes it') },
  Ca: {
    below: harder(5.5, 'acid soil holds little; lime brings it'),
    above: harder(8.5, 'sodium may stand in its place: test for it'),
  },
  Mg: {
    below: harder(5.5, 'acid soil holds little; a lime with magnesium brings it'),
    above: harder(8.5, 'sodium may stand in its place: test for it'),
  },
  S: { below: harder(5.5, 'humus gives it up slowly') },
  Fe: { above: harder(7.3, 'it is in the soil, locked as rust') },
  Mn: {
    below: { pH: 5, effect: 'tooMuch', words: 'so much dissolves that it can harm roots' },
    above: harder(7.3, 'it is in the soil, locked as oxide'),
  },
  Zn: { below: harder(5, 'rain takes it out of sand'), above: harder(7.3, 'lime and oxides hold it') },
  Cu: { below: harder(5, 'rain takes it out of sand'), above: harder(7.5, 'oxides and humus hold it') },
  B: { below: harder(5, 'rain takes it out of sand'), above: harder(7.5, 'clay and lime hold it') },
  Mo: { below: harder(6, 'iron holds it; lime frees it') },
};

/** Peat and potting media behave at a pH about one unit lower as mineral soil does. */
const ORGANIC_SHIFT = 1;

/**
 * What a pH does to each nutrient it is known for: a guide to where pH, and not supply, is the cause.
 * @param pH of the soil, as measured
 * @returns a line for each nutrient, in the order of the usual list
 * @example pHAvailability(7.9, { medium: 'mineralSoil', texture: 'loam' }).find((a) => a.nutrient === 'Fe')?.effect // 'harder'
 */
export function pHAvailability(
  pH: number,
  { medium, texture }: Pick<Site, 'medium' | 'texture'>,
): readonly Availability[] {
  const asMineral = medium === 'mineralSoil' && texture !== 'peat' ? pH : pH + ORGANIC_SHIFT;
  return (Object.entries(SIDES) as [Nutrient, Sides][]).map(([nutrient, { below, above }]) => {
    const side = below && asMineral < below.pH ? below : above && asMineral > above.pH ? above : undefined;
    return { nutrient, effect: side?.effect ?? 'easy', words: side?.words ?? '' };
  });
}
