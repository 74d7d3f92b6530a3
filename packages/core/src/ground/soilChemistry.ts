import {
  assumption,
  computed,
  constant,
  difference,
  literal,
  product,
  quotient,
  sum,
  type Figure,
} from '../figure/index.js';
import { addRanges, divideRanges, NO_UNIT, ofWhat, PH, type Range } from '../quantity/index.js';
import type { Texture } from './site.js';
import { CMOL_MG, type Cation } from './soilReport.js';

/** mg per mmol of charge. */
const EQUIVALENT_MG = { Na: 22.99, Ca: 20.04, Mg: 12.15 } as const;

const toCharge = (cation: keyof typeof EQUIVALENT_MG, inExtract: Figure): Figure => {
  if (inExtract.unit.powers['mol'] === 1) return inExtract;
  const figure = quotient(
    `${cation}`,
    'mmol_c/L',
    inExtract,
    constant(`equivalent of ${cation}`, EQUIVALENT_MG[cation], 'mg/mmol_c', 'atomic weight ÷ charge'),
  );
  if (!figure) throw new RangeError('An equivalent weight is never zero.');
  return figure;
};

/** A range through a formula that rises with it. */
const through = ({ low, mid, high }: Range, formula: (x: number) => number): Range => ({
  low: formula(low),
  mid: formula(mid),
  high: formula(high),
});

/**
 * Sodium adsorption ratio of a saturated paste extract: SAR = Na ÷ √((Ca + Mg) ÷ 2), all in mmol_c/L (USDA Handbook 60, 1954).
 * @param dissolved sodium, calcium and magnesium in mg/L or mmol_c/L
 * @returns a figure; undefined when calcium and magnesium can both be zero
 * @example sodiumAdsorptionRatio({ Na: 230, Ca: 80, Mg: 24 } as figures) // 10.0 ÷ √((4.0 + 2.0) ÷ 2) = 5.8
 */
export function sodiumAdsorptionRatio(dissolved: Readonly<Record<'Na' | 'Ca' | 'Mg', Figure>>): Figure | undefined {
  const [na, ca, mg] = [toCharge('Na', dissolved.Na), toCharge('Ca', dissolved.Ca), toCharge('Mg', dissolved.Mg)];
  const root = through(addRanges(ca.value, mg.value), (both) => Math.sqrt(both / 2));
  const value = divideRanges(na.value, root);
  return (
    value &&
    computed('sodium adsorption ratio', value, '', 'SAR', 'Na ÷ √((Ca + Mg) ÷ 2), USDA Handbook 60 (1954)', [
      na,
      ca,
      mg,
    ])
  );
}

/** Exchangeable sodium percentage from SAR: 100(0.01475 SAR − 0.0126) ÷ (1 + 0.01475 SAR − 0.0126); never below zero. */
export const exchangeableSodium = (sar: Figure): Figure =>
  computed(
    'exchangeable sodium percentage',
    through(sar.value, (ratio) => {
      const x = 0.01475 * ratio - 0.0126;
      return Math.max(0, (100 * x) / (1 + x));
    }),
    '%',
    'ESP',
    'from SAR, USDA Handbook 60 (1954)',
    [sar],
  );

/** Where a soil counts as sodic: two schools. */
export const SODIC_SCHOOLS = { US: 15, Australia: 6 } as const;
export type SodicSchool = keyof typeof SODIC_SCHOOLS;

/** Bulk density of topsoil by its texture, kg/L. */
export const BULK_DENSITY: Readonly<Record<Texture, Range>> = {
  sand: { low: 1.3, mid: 1.5, high: 1.7 },
  loam: { low: 1.1, mid: 1.3, high: 1.5 },
  clay: { low: 1, mid: 1.2, high: 1.4 },
  peat: { low: 0.15, mid: 0.3, high: 0.5 },
};

/** Mass of a soil layer per m². @param depthM layer depth @param measured its bulk density, kg/L; by its texture when not measured */
export const soilMass = (depthM: number, texture: Texture, measured?: Figure): Figure =>
  product('soil in the layer', 'kg/m²', [
    literal('depth of the layer', depthM, 'm', 'measured', 'as typed'),
    measured ??
      assumption(
        `bulk density of ${texture}`,
        BULK_DENSITY[texture],
        'kg/L',
        'usual for topsoil of this texture; a figure in the soil report replaces it',
      ),
    constant('L per m³', 1000, 'L/m³', 'by definition'),
  ]);

const GYPSUM_PURITY = assumption(
  'purity of the gypsum',
  { low: 0.75, mid: 0.9, high: 1 },
  'kg/kg',
  'usual for mined gypsum; the label’s figure replaces it',
);
const EXCHANGE_EFFICIENCY = assumption(
  'share of the calcium that takes sodium’s place',
  { low: 0.6, mid: 0.8, high: 1 },
  'kg/kg',
  'typical; the rest is leached unused',
);

/**
 * Gypsum for a sodic soil, kg/m²: (ESP now − goal) ÷ 100 × CEC × 0.01 × soil mass × 0.08609, divided by the purity of the material and by how
 * much of its calcium takes sodium's place.
 * @param cec the exchange capacity, cmol_c/kg
 * @param purity share of CaSO4·2H2O in what is at hand; usual for mined gypsum unless said
 * @returns zero when the goal is already met
 */
export function gypsumNeed(
  espNow: Figure,
  espGoal: number,
  cec: Figure,
  soil: Figure,
  purity: Figure = GYPSUM_PURITY,
): Figure {
  const excess = computed(
    'sodium to replace',
    through(espNow.value, (esp) => Math.max(0, esp - espGoal) / 100),
    ofWhat(NO_UNIT, 'of the exchange sites'),
    'excess',
    `ESP less the goal of ${espGoal} %, never below zero`,
    [espNow],
  );
  const pure = product('as pure gypsum, all exchanged', 'kg/m²', [
    excess,
    cec,
    constant('mol per cmol', 0.01, 'mol_c/cmol_c', 'by definition'),
    soil,
    constant('gypsum per mol of charge', 0.08609, 'kg/mol_c', 'CaSO4·2H2O: 172.17 g ÷ 2'),
  ]);
  const yielding = product('share of the material that works', 'kg/kg', [purity, EXCHANGE_EFFICIENCY]);
  return quotient('gypsum needed', 'kg/m²', pure, yielding) ?? pure;
}

/** How strongly a soil holds its pH, mmol H⁺ per kg and pH unit. */
export const PH_BUFFERING: Readonly<Record<Texture, Range>> = {
  sand: { low: 8, mid: 15, high: 25 },
  loam: { low: 25, mid: 35, high: 50 },
  clay: { low: 45, mid: 60, high: 85 },
  peat: { low: 70, mid: 100, high: 150 },
};
/** The buffering of a texture as an assumption. */
export const pHBuffering = (texture: Texture): Figure =>
  assumption(
    `pH buffering of ${texture}`,
    PH_BUFFERING[texture],
    'mmol/kg per pH',
    'class average; a measured figure in the soil report replaces it',
  );

const wantedPH = (goal: number): Figure => literal('pH wanted', goal, PH, 'chosen', 'as typed, in water');
/** A difference of which the part below zero is nothing to be done. */
const notNegative = (figure: Figure): Figure =>
  figure.value.low >= 0
    ? figure
    : computed(
        figure.label,
        through(figure.value, (x) => Math.max(0, x)),
        figure.unit,
        'notNegative',
        'never below zero: at that end nothing is needed',
        [figure],
      );

/** pH from which a soil may hold free lime. */
const LIME_FROM_PH = 7.2;
const unmeasuredLime = (pH: number): Figure =>
  pH < LIME_FROM_PH
    ? assumption('free lime, not measured', 0, 'kg/kg', `none stays below pH ${LIME_FROM_PH}`)
    : assumption(
        'free lime, not measured',
        { low: 0, mid: 0, high: 0.02 },
        'kg/kg',
        `taken as none; a soil from pH ${LIME_FROM_PH} on may hold much more: test it`,
      );

/**
 * Elemental sulfur to lower pH, kg/m²: ΔpH × buffering × soil mass ÷ 2 × 32.06·10⁻⁶, plus what free lime eats (0.32 kg S per kg CaCO3).
 * @param freeLime kg CaCO3 per kg soil; when not measured it is an assumption of its own, with a range where lime can be
 */
export function sulfurNeed(phNow: Figure, phGoal: number, buffering: Figure, soil: Figure, freeLime?: Figure): Figure {
  const change = notNegative(difference('pH to lose', 'pH', phNow, wantedPH(phGoal)));
  const acid = product('sulfur for the acid', 'kg/m²', [
    change,
    buffering,
    soil,
    constant('kg S per mmol of acid', 32.06e-6 / 2, 'kg/mmol', 'two acids from each sulfur'),
  ]);
  const lime = product('sulfur that free lime eats', 'kg/m²', [
    freeLime ?? unmeasuredLime(phNow.value.high),
    soil,
    constant('S per CaCO3', 0.32, 'kg/kg', '32.06 ÷ 100.09'),
  ]);
  return sum('elemental sulfur needed', 'kg/m²', [acid, lime]);
}

/**
 * Lime to raise pH, kg/m²: ΔpH × buffering × soil mass × 50.04·10⁻⁶ ÷ neutralising value.
 * @param neutralisingValue share of pure CaCO3, 0–1.4; undefined for pure lime
 */
export function limeNeed(
  phNow: Figure,
  phGoal: number,
  buffering: Figure,
  soil: Figure,
  neutralisingValue?: Figure,
): Figure {
  const change = notNegative(difference('pH to gain', 'pH', wantedPH(phGoal), phNow));
  const pure = product('as pure CaCO₃', 'kg/m²', [
    change,
    buffering,
    soil,
    constant('kg CaCO₃ per mmol of acid', 50.04e-6, 'kg/mmol', 'CaCO3: 100.09 g ÷ 2'),
  ]);
  return (neutralisingValue && quotient('lime needed', 'kg/m²', pure, neutralisingValue)) ?? pure;
}

/**
 * Cation exchange capacity as the sum of exchangeable cations, cmol_c/kg, and each one's share of it.
 * @param mgPerKg exchangeable cations
 * @param acidity in cmol_c/kg; an assumption when not measured
 */
export function cationExchange(
  mgPerKg: Readonly<Record<Cation, Figure>>,
  acidity?: Figure,
): { readonly cec: Figure; readonly saturation: Readonly<Record<Cation, Figure>> } {
  const charge = (Object.keys(CMOL_MG) as Cation[]).map(
    (c) =>
      [
        c,
        product(c, 'cmol_c/kg', [
          mgPerKg[c],
          constant(`cmol_c per mg of ${c}`, 1 / CMOL_MG[c], 'cmol_c/mg', 'charge ÷ atomic weight'),
        ]),
      ] as const,
  );
  const cec = sum('cation exchange capacity', 'cmol_c/kg', [
    ...charge.map(([, f]) => f),
    acidity ??
      assumption(
        'exchangeable acidity, not measured',
        0,
        'cmol_c/kg',
        'taken as none, which holds above pH 5.5; a sour soil has some',
      ),
  ]);
  // Lowest where the cation is least and all others most.
  const share = (own: number, ownInWhole: number, whole: number): number =>
    own + whole - ownInWhole > 0 ? (100 * own) / (own + whole - ownInWhole) : 0;
  const shares = ({ value: c }: Figure): Range => ({
    low: share(c.low, c.high, cec.value.high),
    mid: share(c.mid, c.mid, cec.value.mid),
    high: share(c.high, c.low, cec.value.low),
  });
  const saturation = Object.fromEntries(
    charge.map(([c, f]) => [
      c,
      computed(`${c} saturation`, shares(f), '% of CEC', 'share', 'its charge over the whole', [f, cec]),
    ]),
  ) as Record<Cation, Figure>;
  return { cec, saturation };
}

/** What a layer of soil holds of what was measured in mg/kg: mg/kg × soil mass. @returns g/m² */
export const soilStock = (name: string, mgPerKg: Figure, soil: Figure): Figure =>
  product(`${name} in the layer`, 'g/m²', [mgPerKg, soil, constant('g per mg', 0.001, 'g/mg', 'by definition')]);
