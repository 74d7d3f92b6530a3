import type { OrganicClass } from '../shelf/index.js';
import { between, type Measure, NO_UNIT, ofWhat, type Range } from '../quantity/index.js';

/** An assumed parameter of the release model: its name as users read it, its range, its unit and where it comes from. */
export interface Parameter {
  readonly label: string;
  readonly range: Range;
  readonly unit: Measure | string;
  readonly source: string;
}

const CLASS_AVERAGE = 'class average at 25 °C in moist mineral soil';

/** Parameters every run shares. */
export const SHARED_PARAMETERS = {
  q10: {
    label: 'speed-up per 10 °C (Q10)',
    range: between(1.6, 2, 3),
    unit: '×',
    source: 'first-order mineralization with temperature, Stanford, Frere & Schwaninger 1973',
  },
  nitrificationPerDay: {
    label: 'nitrification of ammonium at 25 °C',
    range: between(0.05, 0.1, 0.2),
    unit: '/day',
    source: CLASS_AVERAGE,
  },
  ureaHydrolysisPerDay: {
    label: 'urea hydrolysis at 25 °C',
    range: between(0.1, 0.5, 1.2),
    unit: '/day',
    source: CLASS_AVERAGE,
  },
  weibullShape: {
    label: 'shape of the coated release curve (m)',
    range: between(1.2, 1.8, 2.5),
    unit: '',
    source: 'sigmoid release in thermal time, Trenkel 2010',
  },
  coatingQ10: {
    label: 'speed-up of a coating per 10 °C (Q10)',
    range: between(1.5, 2, 2.5),
    unit: '×',
    source: 'typical of polymer coatings',
  },
  criticalCN: {
    label: 'C:N above which nitrogen is tied up first',
    range: between(15, 20, 30),
    unit: 'kg/kg',
    source: 'decomposer stoichiometry, Manzoni & Porporato 2009; decomposers of C:N 8',
  },
  microbialDeathPerDay: {
    label: 'turnover of the decomposers',
    range: between(0.01, 0.02, 0.04),
    unit: '/day',
    source: CLASS_AVERAGE,
  },
  humified: {
    label: 'share of dead decomposers that becomes humus',
    range: between(0.2, 0.3, 0.4),
    unit: 'kg/kg',
    source: CLASS_AVERAGE,
  },
  denitrificationPerDay: {
    label: 'loss of nitrate as gas at 25 °C in ground full of water',
    range: between(0.01, 0.05, 0.2),
    unit: '/day',
    source: 'first order above 80 % of pores filled with water; typical',
  },
  wetness: {
    label: 'how much of the plant-available water is there',
    range: between(0.5, 0.8, 1),
    unit: ofWhat(NO_UNIT, 'of field capacity'),
    source: 'watered garden soil between rains',
  },
  rootingM: {
    label: 'how deep the crop roots',
    range: between(0.2, 0.3, 0.6),
    unit: 'm',
    source: 'not known of this crop; what drains below is lost',
  },
  soilMineralKgPerHa: {
    label: 'mineral nitrogen the soil has of its own to lend',
    range: between(10, 40, 100),
    unit: 'kg N/ha',
    source: 'usual range of garden and field soil at planting; a soil test replaces it',
  },
  volatileBelow65: {
    label: 'share of urea lost as ammonia from the surface, soil below pH 6.5',
    range: between(0, 0.1, 0.25),
    unit: 'kg/kg',
    source: 'surface-applied urea without an inhibitor',
  },
  volatileTo75: {
    label: 'share of urea lost as ammonia from the surface, soil pH 6.5–7.5',
    range: between(0.05, 0.2, 0.35),
    unit: 'kg/kg',
    source: 'surface-applied urea without an inhibitor',
  },
  volatileAbove75: {
    label: 'share of urea lost as ammonia from the surface, soil above pH 7.5',
    range: between(0.15, 0.35, 0.5),
    unit: 'kg/kg',
    source: 'surface-applied urea without an inhibitor',
  },
  ammoniumOnLime: {
    label: 'share of ammonium lost as ammonia from the surface of limy soil',
    range: between(0.05, 0.15, 0.3),
    unit: 'kg/kg',
    source: 'ammonium salts on soil above pH 7.5; sulfate and diammonium phosphate most',
  },
  ammoniumOfManure: {
    label: 'share of the ammonium of manure or urine lost as ammonia from the surface',
    range: between(0.1, 0.3, 0.6),
    unit: 'kg/kg',
    source: 'manures, digestate and urine left on top; a cover of soil or compost lowers it',
  },
} as const satisfies Readonly<Record<string, Parameter>>;

/** C:N of decomposers. */
export const MICROBIAL_CN = 8;

/** How a class of organic material decomposes. */
export interface OrganicParameters {
  readonly fastShare: Range;
  readonly kFastPerDay: Range;
  readonly kSlowPerDay: Range;
  readonly carbonToNitrogen: Range;
}

/** Class defaults at 25 °C, moist, mineral soil, mid values with their ranges; averages, so always drawn with a band. */
export const ORGANIC_PARAMETERS: Readonly<Record<OrganicClass, OrganicParameters>> = {
  animalMeal: {
    fastShare: between(0.6, 0.75, 0.9),
    kFastPerDay: between(0.03, 0.08, 0.2),
    kSlowPerDay: between(0.002, 0.004, 0.008),
    carbonToNitrogen: between(3.5, 4, 4.5),
  },
  // Keratin pressed into pellets has no class of its own: a meal at half the speed, with a wide range.
  keratinPellet: {
    fastShare: between(0.3, 0.55, 0.8),
    kFastPerDay: between(0.01, 0.035, 0.08),
    kSlowPerDay: between(0.001, 0.003, 0.006),
    carbonToNitrogen: between(3.5, 4.5, 6),
  },
  seedMeal: {
    fastShare: between(0.55, 0.7, 0.85),
    kFastPerDay: between(0.03, 0.07, 0.15),
    kSlowPerDay: between(0.002, 0.004, 0.008),
    carbonToNitrogen: between(5, 6, 7),
  },
  alfalfaMeal: {
    fastShare: between(0.4, 0.55, 0.7),
    kFastPerDay: between(0.025, 0.05, 0.1),
    kSlowPerDay: between(0.0015, 0.003, 0.006),
    carbonToNitrogen: between(12, 13.5, 15),
  },
  poultryManure: {
    fastShare: between(0.35, 0.5, 0.65),
    kFastPerDay: between(0.03, 0.06, 0.12),
    kSlowPerDay: between(0.001, 0.002, 0.004),
    carbonToNitrogen: between(7, 8.5, 10),
  },
  wholeGrain: {
    fastShare: between(0.5, 0.65, 0.8),
    kFastPerDay: between(0.03, 0.06, 0.12),
    kSlowPerDay: between(0.0015, 0.003, 0.006),
    carbonToNitrogen: between(22, 25, 28),
  },
  compostedManure: {
    fastShare: between(0.05, 0.15, 0.25),
    kFastPerDay: between(0.01, 0.02, 0.04),
    kSlowPerDay: between(0.0003, 0.0006, 0.0012),
    carbonToNitrogen: between(11, 13, 15),
  },
  greenCompost: {
    fastShare: between(0.02, 0.06, 0.12),
    kFastPerDay: between(0.01, 0.02, 0.04),
    kSlowPerDay: between(0.0002, 0.0004, 0.0008),
    carbonToNitrogen: between(12, 16, 20),
  },
  greenCuttings: {
    fastShare: between(0.45, 0.6, 0.75),
    kFastPerDay: between(0.03, 0.06, 0.12),
    kSlowPerDay: between(0.0015, 0.003, 0.006),
    carbonToNitrogen: between(10, 12.5, 15),
  },
  straw: {
    fastShare: between(0.2, 0.35, 0.5),
    kFastPerDay: between(0.01, 0.02, 0.04),
    kSlowPerDay: between(0.0005, 0.001, 0.002),
    carbonToNitrogen: between(70, 80, 100),
  },
  woodChips: {
    fastShare: between(0.05, 0.1, 0.2),
    kFastPerDay: between(0.005, 0.01, 0.02),
    kSlowPerDay: between(0.0002, 0.0005, 0.001),
    carbonToNitrogen: between(200, 350, 500),
  },
  // Charred: what nitrogen it holds does not come free in this decade.
  biochar: {
    fastShare: between(0, 0, 0),
    kFastPerDay: between(0, 0, 0),
    kSlowPerDay: between(0, 0, 0),
    carbonToNitrogen: between(50, 120, 300),
  },
};

export const ORGANIC_LABELS: Readonly<
  Record<keyof OrganicParameters, { readonly label: string; readonly unit: string }>
> = {
  fastShare: { label: 'fast share of the organic nitrogen', unit: 'kg/kg' },
  kFastPerDay: { label: 'decomposition of the fast part at 25 °C', unit: '/day' },
  kSlowPerDay: { label: 'decomposition of the slow part at 25 °C', unit: '/day' },
  carbonToNitrogen: { label: 'C:N of the material', unit: 'kg/kg' },
};
export const ORGANIC_SOURCE = CLASS_AVERAGE;

/** Which way an unspecified share of several organic ingredients leans: 0 is equal masses, 1 is all of the first listed. */
/** Where the rated longevity of a coating is not entered, days at `COATING_REFERENCE_C`: two to nine months. */
export const COATED_LONGEVITY: Parameter = {
  label: 'rated longevity of the coating, not entered',
  range: between(60, 120, 270),
  unit: 'days',
  source: 'typical of coated fertilisers; the label’s own replaces it',
};
export const COATING_REFERENCE_C = 21;
export const LISTING: Parameter = {
  label: 'how far the first organic ingredient listed outweighs the others',
  range: between(0, 0.5, 1),
  unit: ofWhat(NO_UNIT, 'from equal (0) to all (1)'),
  source: 'ingredients are listed in descending order by custom, not everywhere by law',
};
