import { assumption, constant, identified, literal, product as times, type Figure } from '../figure/index.js';
import { analyteName, type Nutrient } from '../nutrient/index.js';
import { between, formatGiven, type Range } from '../quantity/index.js';
import type { Crop } from './crop.js';

/** Uptake of trace elements in a season by field and garden crops in general, kg/ha: wide, since figures of their own are not at hand. */
export const TRACE_UPTAKE_KG_PER_HA: Readonly<Partial<Record<Nutrient, Range>>> = {
  Fe: between(0.3, 0.7, 1.5),
  Mn: between(0.15, 0.4, 1),
  Zn: between(0.1, 0.25, 0.6),
  Cu: between(0.02, 0.06, 0.15),
  B: between(0.03, 0.12, 0.4),
  Mo: between(0.002, 0.008, 0.03),
  Ni: between(0.001, 0.003, 0.01),
  Cl: between(2, 8, 25),
};

/** A figure, or the plain reason why there is none. */
export type CropFigure =
  { readonly kind: 'figure'; readonly figure: Figure } | { readonly kind: 'unknown'; readonly why: string };

const notKnown = (crop: Crop, what: string): CropFigure => ({
  kind: 'unknown',
  why: `${what} is not known here for ${crop.name.toLowerCase()}.`,
});

/** What a crop takes up of an element in a season, kg/ha: its own figure, or for traces what crops in general do. @example cropUptake(wheat, 'N') */
export function cropUptake(crop: Crop, nutrient: Nutrient): CropFigure {
  const own = crop.uptakeKgPerHa[nutrient];
  const uptake = own ?? TRACE_UPTAKE_KG_PER_HA[nutrient];
  if (!uptake) return notKnown(crop, `The uptake of ${analyteName(nutrient)}`);
  const until = own && crop.fedTo !== undefined ? ` until fruit set, ${formatGiven(100 * crop.fedTo)} % of all` : '';
  const label = `${own ? crop.name : 'crops in general'}, uptake of ${analyteName(nutrient)}${until}`;
  if (nutrient === 'N' && crop.ownNitrogenKgPerHa !== undefined)
    return { kind: 'figure', figure: literal(label, uptake, 'kg/ha', 'chosen', 'your own figure for this season') };
  return {
    kind: 'figure',
    figure: identified(
      assumption(label, uptake, 'kg/ha', own ? 'typical for a moderate yield' : 'typical of field and garden crops'),
      `crop ${crop.key} uptake ${nutrient}`,
    ),
  };
}

/**
 * What a harvest takes away of an element, kg/ha: yield × content.
 * @param yieldTPerHa fresh harvest; the crop's usual yield when it is not said
 */
export function cropRemoval(crop: Crop, nutrient: Nutrient, yieldTPerHa?: Figure): CropFigure {
  const content = crop.removedKgPerT[nutrient];
  if (!content) return notKnown(crop, `The ${analyteName(nutrient)} in a tonne of the harvest`);
  const harvest =
    yieldTPerHa ??
    (crop.yieldTPerHa &&
      identified(
        assumption(`usual yield of ${crop.name.toLowerCase()}`, crop.yieldTPerHa, 't/ha', 'class average'),
        `crop ${crop.key} yield`,
      ));
  if (!harvest) return notKnown(crop, 'The yield');
  return {
    kind: 'figure',
    figure: times(`${analyteName(nutrient)} taken away by the harvest`, 'kg/ha', [
      harvest,
      identified(
        assumption(`${analyteName(nutrient)} in a tonne of it`, content, 'kg/t', 'class average'),
        `crop ${crop.key} content ${nutrient}`,
      ),
    ]),
  };
}

/** Plants on a square metre by the crop's usual spacing. */
export function cropStand(crop: Crop): CropFigure {
  if (!crop.spacing) return notKnown(crop, 'The spacing');
  const { rowM, plantM } = crop.spacing;
  const usual = 1 / (rowM * plantM);
  return {
    kind: 'figure',
    figure: identified(
      assumption(
        'plants on a square metre',
        between(0.8 * usual, usual, 1.25 * usual),
        'plants/m²',
        `usual spacing of ${crop.name.toLowerCase()}: rows ${rowM} m apart, ${plantM} m in the row`,
      ),
      `crop ${crop.key} stand`,
    ),
  };
}

/** A season's need of an element on a square metre, g/m²; undefined when it is not known. */
export function cropNeed(crop: Crop, nutrient: Nutrient): Figure | undefined {
  const uptake = cropUptake(crop, nutrient);
  return uptake.kind === 'unknown'
    ? undefined
    : times(`${crop.name}, season’s ${analyteName(nutrient)}`, 'g/m²', [
        uptake.figure,
        constant('g/m² per kg/ha', 0.1, 'g/m² per kg/ha', 'by definition'),
      ]);
}
