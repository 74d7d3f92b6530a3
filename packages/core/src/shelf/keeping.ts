import type { NitrogenForm } from '../nutrient/index.js';
import { formatGiven } from '../quantity/index.js';
import { midFraction } from './massFraction.js';
import { readIngredients, type Trait } from './materials.js';
import type { Origin, Product } from './product.js';

/** Rules about where a bag comes from and what is in it, that a grower may keep. */
export const KEEPINGS = [
  'listed',
  'plants',
  'notSynthetic',
  'waste',
  'unprocessed',
  'local',
  'noChloride',
  'noNitrate',
  'noUrea',
  'noAnimal',
  'noManure',
] as const;
export type Keeping = (typeof KEEPINGS)[number];

const KEEPING_WORDS: Readonly<Record<Keeping, string>> = {
  listed: 'listed for organic growing only',
  plants: 'plants only',
  notSynthetic: 'nothing synthetic',
  waste: 'from waste only',
  unprocessed: 'not processed further than ground',
  local: 'from near by only',
  noChloride: 'no chloride salts',
  noNitrate: 'no nitrate',
  noUrea: 'no urea',
  noAnimal: 'nothing from animals',
  noManure: 'no manure',
};

/** A rule as a person says it. @param localKm how far away is near by, where that is told */
export const keepingWords = (keeping: Keeping, localKm?: number): string =>
  keeping === 'local' && localKm !== undefined ? `from within ${formatGiven(localKm)} km` : KEEPING_WORDS[keeping];

/** More chloride than this, declared or by a salt of it among the ingredients, is a chloride fertilizer. */
const MOST_CHLORIDE = 0.03;
/** A form of nitrogen below this is a trace. */
const TRACE = 1e-4;

/** Whether something is said of every ingredient: no, where one has it; unknown, where one is not known. */
function noneOf({ derivedFrom }: Product, trait: Trait): boolean | undefined {
  const { known, complete } = readIngredients(derivedFrom);
  if (known.some((m) => m.traits.includes(trait))) return false;
  return complete && known.length > 0 ? true : undefined;
}

/** Whether a bag is free of a form of nitrogen: by its label, else by what it is made of; undefined where neither tells. */
export function freeOfForm(product: Product, form: NitrogenForm, trait?: Trait): boolean | undefined {
  if (midFraction(product, `N.${form}`) > TRACE) return false;
  if (product.analysis.some((l) => l.analyte === `N.${form}`)) return true;
  if (product.analysis.some((l) => l.analyte === 'N') && midFraction(product, 'N') <= TRACE) return true;
  const { known, complete } = readIngredients(product.derivedFrom);
  if (known.some((m) => m.nitrogen.includes(form) || (trait && m.traits.includes(trait)))) return false;
  return complete && known.length > 0 ? true : undefined;
}

const origins = (product: Product, fits: (all: readonly Origin[]) => boolean): boolean | undefined =>
  product.origins && product.origins.length > 0 ? fits(product.origins) : undefined;

/**
 * Whether a bag fits a rule; undefined where nobody said, which counts against it.
 * @param localKm how far away is near by, km
 * @example keeps(muriateOfPotash, 'noChloride') // false
 */
export function keeps(product: Product, keeping: Keeping, localKm = 50): boolean | undefined {
  switch (keeping) {
    case 'listed':
      return product.organic === undefined || product.organic === 'unknown' ? undefined : product.organic === 'yes';
    case 'plants':
      return origins(product, (all) => all.every((o) => o === 'plant'));
    case 'notSynthetic':
      return origins(product, (all) => !all.includes('synthetic'));
    case 'waste':
      return origins(product, (all) => all.includes('waste'));
    case 'noAnimal':
      return origins(product, (all) => !all.includes('animal'));
    case 'unprocessed':
      return product.processing ? /^(?:raw|ground|whole|milled|dried)\b/i.test(product.processing) : undefined;
    case 'local': {
      const km = product.handling?.distanceKm;
      return km === undefined ? undefined : km <= localKm;
    }
    case 'noChloride':
      if (midFraction(product, 'Cl') > MOST_CHLORIDE) return false;
      return product.analysis.some((l) => l.analyte === 'Cl') ? true : noneOf(product, 'chloride');
    case 'noNitrate':
      return freeOfForm(product, 'nitrate');
    case 'noUrea':
      return freeOfForm(product, 'urea', 'urea');
    case 'noManure':
      return noneOf(product, 'manure');
  }
}
