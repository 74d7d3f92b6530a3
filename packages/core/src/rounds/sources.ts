import { limingFigure } from '../mix/index.js';
import type { Nutrient } from '../nutrient/index.js';
import type { Crop } from '../season/index.js';
import { massFraction, midSupply, readIngredients, type Product } from '../shelf/index.js';

/** What speaks for or against a bag on this soil. */
export interface SourceRemark {
  readonly good: boolean;
  readonly text: string;
}
/** How fast a source acts and how long it lasts, as far as its material says. */
export interface Acting {
  readonly acts: string;
  readonly lasts: string;
}

/** By what a bag is made of, the first that fits. */
const ACTING: readonly (readonly [RegExp, Acting])[] = [
  [/coated/i, { acts: 'as it warms, over its longevity', lasts: 'as long as its label says' }],
  [/gypsum|calcium sulfate/i, { acts: 'within weeks', lasts: 'a year or two' }],
  [/hydrated lime|quicklime|slaked|burnt lime|wood ash/i, { acts: 'within weeks', lasts: 'a year or two' }],
  [/limestone|dolomit|chalk|calcium carbonate|shell|marl/i, { acts: 'within months', lasts: 'some years' }],
  [/elemental sul(?:f|ph)ur|^sul(?:f|ph)ur$/i, { acts: 'within months, in warm soil', lasts: 'a year or two' }],
  [
    /sul(?:f|ph)ate|nitrate|chloride|urea|ammoni|epsom/i,
    { acts: 'at once', lasts: 'until it is taken up or washed out' },
  ],
  [/rock|bone/i, { acts: 'over a season and more', lasts: 'some years' }],
  [/meal|manure|compost|pellet|blood|feather|castings/i, { acts: 'over weeks and months', lasts: 'a season or more' }],
];
/** @example actingOf(gypsum)?.acts // 'within weeks' */
export function actingOf({ derivedFrom }: Product): Acting | undefined {
  const { known } = readIngredients(derivedFrom);
  return ACTING.find(([pattern]) => known.some((m) => pattern.test(m.name)))?.[1];
}

/** Below this share of chlorine a sensitive crop takes no harm of a usual dose. */
const HARMFUL_CHLORIDE = 0.02;
function bringsChloride(product: Product): boolean {
  const reading = massFraction(product, 'Cl');
  if (reading.kind === 'figure') return reading.figure.value.high >= HARMFUL_CHLORIDE;
  return readIngredients(product.derivedFrom).known.some((m) => /chloride|muriate/i.test(m.name));
}

const share = (product: Product, form: 'N.nitrate' | 'N.ammoniacal' | 'N.urea'): number => {
  const reading = massFraction(product, form);
  return reading.kind === 'figure' ? reading.figure.value.mid : 0;
};

/** What its effect on pH means where the soil stands outside the crop's band; nothing within it. */
function pHRemarks(product: Product, pH: number | undefined, band: Crop['pH']): readonly SourceRemark[] {
  const effect = limingFigure(product)?.value.mid;
  if (pH === undefined || !band || effect === undefined || Math.abs(effect) < 1) return [];
  const raises = effect > 0;
  if (pH > band.high)
    return [
      { good: !raises, text: raises ? 'raises a pH that is too high already' : 'acidifies, where pH is too high' },
    ];
  if (pH < band.low)
    return [{ good: raises, text: raises ? 'raises a pH that is too low' : 'acidifies further, where pH is too low' }];
  return [];
}
/** What its forms of nitrogen mean to a crop that prefers one. */
function tasteRemarks(product: Product, taste: Crop['nitrogenTaste']): readonly SourceRemark[] {
  const nitrate = share(product, 'N.nitrate');
  const ammonium = share(product, 'N.ammoniacal') + share(product, 'N.urea');
  if ((taste !== 'nitrate' && taste !== 'ammonium') || nitrate + ammonium <= 0 || nitrate === ammonium) return [];
  const more = nitrate > ammonium ? 'nitrate' : 'ammonium';
  return [{ good: more === taste, text: `mostly ${more}, where the crop likes ${taste}` }];
}

/**
 * Which source for this soil: what speaks for a bag and against it, by the soil's pH against the crop's band, the nitrogen the crop likes, and chloride.
 * @param pH of the soil; nothing is said of it where it is not known
 * @example sourceRemarks(ammoniumSulfate, blueberry, 6.4) // [{ good: true, text: 'acidifies, where pH is too high' }, …]
 */
export const sourceRemarks = (
  product: Product,
  crop: Pick<Crop, 'pH' | 'nitrogenTaste' | 'chloride'>,
  pH: number | undefined,
): readonly SourceRemark[] => [
  ...pHRemarks(product, pH, crop.pH),
  ...tasteRemarks(product, crop.nitrogenTaste),
  ...(crop.chloride === 'sensitive' && bringsChloride(product)
    ? [{ good: false, text: 'brings chloride, which the crop does not stand' }]
    : []),
];

/** Bags that bring an element, the richest first. @example sourcesOf(shelf, 'Ca')[0] // the limestone */
export const sourcesOf = (products: readonly Product[], nutrient: Nutrient): readonly Product[] =>
  products.filter((p) => midSupply(p, nutrient) > 0).sort((a, b) => midSupply(b, nutrient) - midSupply(a, nutrient));
