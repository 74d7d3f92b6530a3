import { literal, product as times, sum, type Figure } from '../figure/index.js';
import { analyteName, ANALYTES, type Analyte, type Nutrient } from '../nutrient/index.js';
import { massFraction, supplyFraction, type Counted, type Product, type Reading } from '../shelf/index.js';
import type { Given } from './given.js';

/** What one application brings of an element or a form of nitrogen, kg/ha of the part it is given to. */
export interface Brought {
  readonly analyte: Analyte;
  readonly figure: Figure;
  /** What of it a crop can have where that is less than all: P and K as a grade means them. */
  readonly supply: Figure | undefined;
  readonly counted: Counted;
  /** Parts that say nothing of it: it may be more. */
  readonly silent: readonly string[];
}

const isElement = (analyte: Analyte): analyte is Nutrient => !analyte.startsWith('N.');
const readingFigure = (reading: Reading): Figure | undefined =>
  reading.kind === 'figure' ? reading.figure : reading.kind === 'below' ? reading.limit : undefined;

/** kg/ha of an element from each part that tells it, added up. */
function added(
  analyte: Analyte,
  given: Given,
  perHa: Figure,
  of: (product: Product) => Figure | undefined,
): { readonly figure: Figure | undefined; readonly silent: readonly string[] } {
  const silent: string[] = [];
  const name = analyteName(analyte);
  const figures = given.parts.flatMap(({ product, share }) => {
    const fraction = of(product);
    if (!fraction) {
      silent.push(product.name);
      return [];
    }
    const shares = share === 1 ? [] : [literal(`share of ${product.name}`, share, '', 'chosen', 'the recipe')];
    return [times(`${name} from ${product.name}`, 'kg/ha', [perHa, ...shares, fraction])];
  });
  const [first, ...rest] = figures;
  return { figure: rest.length === 0 ? first : sum(`${name} brought`, 'kg/ha', figures), silent };
}

/** What an amount for each hectare brings of everything its parts tell. */
export function broughtBy(given: Given, perHa: Figure): readonly Brought[] {
  return ANALYTES.flatMap((analyte): Brought[] => {
    const { figure, silent } = added(analyte, given, perHa, (p) => readingFigure(massFraction(p, analyte)));
    if (!figure) return [];
    const supplies = isElement(analyte) ? given.parts.map((p) => supplyFraction(p.product, analyte)) : [];
    const counted = supplies.flatMap((s) => (s.kind === 'figure' && s.counted !== 'declared' ? [s.counted] : []))[0];
    if (!counted || !isElement(analyte)) return [{ analyte, figure, supply: undefined, counted: 'declared', silent }];
    const supply = added(analyte, given, perHa, (p) => {
      const found = supplyFraction(p, analyte);
      return found.kind === 'figure' ? found.figure : undefined;
    }).figure;
    return [{ analyte, figure, supply, counted, silent }];
  });
}
