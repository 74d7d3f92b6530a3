import { assumption, literal, type Figure } from '../figure/index.js';
import { libraryEntry, readIngredients, type Product } from '../shelf/index.js';

/** kg of CaCO3 for 100 kg of it. */
const UNIT = '%';
/** The liming effect of a bag: as declared, else what is usual of the one thing it is made of. @example limingFigure(limestone)?.value.mid // 95 */
export function limingFigure({ name, limingPer100Kg, derivedFrom }: Product): Figure | undefined {
  if (limingPer100Kg !== undefined)
    return literal(`liming effect of ${name}, as CaCO₃`, limingPer100Kg, UNIT, 'label', 'product record');
  const { known, complete } = readIngredients(derivedFrom);
  const [only, other] = known;
  const usual = only && !other && complete ? libraryEntry(only.name)?.limingPer100Kg : undefined;
  return usual && assumption(`liming effect of ${name}, as CaCO₃`, usual, UNIT, 'typical of the material');
}
