import type { Nutrient } from '../../nutrient/index.js';
import type { Range } from '../../quantity/index.js';
import type { Material } from '../materials.js';
import { entryOf } from './entries.js';
import type { TypicalFigure } from './entry.js';

/** Whether a material holds an element: so much, some though nobody says how much, or none. Only the last can count against a claim. */
export type Holding =
  | { readonly kind: 'typical'; readonly figure: TypicalFigure }
  | { readonly kind: 'amountUnknown' }
  | { readonly kind: 'none' };

const MAJOR: readonly Nutrient[] = ['N', 'P', 'K', 'Ca', 'Mg', 'S'];

/**
 * What a known material holds of an element, from the library's analysis alone. What was alive holds some of every essential element, listed
 * or not; a salt holds nothing its formula does not; salts and rocks that are only known by ranges have their major elements listed, and may
 * hold traces of the rest.
 * @example materialHolds(findMaterial('alfalfa meal')!, 'Zn') // { kind: 'amountUnknown' }
 */
export function materialHolds(material: Material, element: Nutrient): Holding {
  if (material.key === 'water' || material.key === 'sugar') return { kind: 'none' };
  const entry = entryOf(material);
  if (!entry) return { kind: 'amountUnknown' };
  const figure = entry.analysis.find((f) => f.analyte === element && !f.extract);
  if (figure) return { kind: 'typical', figure };
  if (entry.source === 'chemistry' || entry.without.includes(element)) return { kind: 'none' };
  const fromSaltOrRock = entry.group === 'salt' || entry.group === 'mineral';
  return fromSaltOrRock && MAJOR.includes(element) ? { kind: 'none' } : { kind: 'amountUnknown' };
}

/** Nitrogen a material usually holds, % by mass as it comes; a wide guess where the library has none. */
export function typicalNitrogen(material: Material): Range {
  const holding = materialHolds(material, 'N');
  return holding.kind === 'typical' ? holding.figure.percent : { low: 0.2, mid: 1, high: 3 };
}
