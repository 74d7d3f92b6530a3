import { assumption, literal, type Figure } from '../figure/index.js';
import { biologyFactor, type Medium } from '../ground/index.js';
import type { Range } from '../quantity/index.js';
import { ORGANIC_CLASS_NAMES, typicalNitrogen, type OrganicMaterial } from '../shelf/index.js';
import {
  LISTING,
  MICROBIAL_CN,
  ORGANIC_LABELS,
  ORGANIC_PARAMETERS,
  ORGANIC_SOURCE,
  SHARED_PARAMETERS,
  type OrganicParameters,
  type Parameter,
} from './defaults.js';
import type { OrganicNumbers, ReleaseParameters } from './simulate.js';

/** An organic material's parameters, each an assumption or a measurement, and what nitrogen it usually holds. */
export type OrganicFigures = Readonly<Record<keyof OrganicParameters, Figure>> & {
  readonly name: string;
  readonly nitrogenPercent: Figure;
};

type SharedKey = Exclude<keyof ReleaseParameters, 'organic' | 'microbialCN'>;

/** Each parameter of a run as an assumption with its range. */
export interface ParameterFigures {
  readonly shared: Readonly<Record<SharedKey, Figure>>;
  readonly organic: readonly OrganicFigures[];
  /** How several organic ingredients share the mass. */
  readonly listing: Figure;
}

const asFigure = ({ label, range, unit, source }: Parameter): Figure => assumption(label, range, unit, source);

/** The surface loss of urea by soil pH; between the classes when pH is unknown. */
export function volatileParameter(pH: number | undefined): Parameter {
  if (pH === undefined)
    return {
      ...SHARED_PARAMETERS.volatileTo75,
      range: { low: 0, mid: 0.2, high: 0.5 },
      label: 'share of urea lost as ammonia from the surface, soil pH not known',
    };
  if (pH < 6.5) return SHARED_PARAMETERS.volatileBelow65;
  return pH <= 7.5 ? SHARED_PARAMETERS.volatileTo75 : SHARED_PARAMETERS.volatileAbove75;
}

/** The surface loss of ammonium: manures lose it anywhere, salts on limy soil only. */
function volatileAmmoniumFigure(pH: number | undefined, fromManure: boolean): Figure {
  if (fromManure) return asFigure(SHARED_PARAMETERS.ammoniumOfManure);
  const { label, range, unit, source } = SHARED_PARAMETERS.ammoniumOnLime;
  if (pH === undefined)
    return assumption(`${label}, soil pH not known`, { low: 0, mid: 0, high: range.high }, unit, source);
  return pH > 7.5
    ? asFigure(SHARED_PARAMETERS.ammoniumOnLime)
    : assumption(label, 0, unit, 'soil at or below pH 7.5 keeps ammonium');
}

/** A material's parameters by its class; a measured C:N replaces the class average. */
function organicFigures(material: OrganicMaterial, measuredCN: number | undefined): OrganicFigures {
  const source = `${ORGANIC_SOURCE}: ${ORGANIC_CLASS_NAMES[material.organic]}`;
  const figure = (key: keyof OrganicParameters): Figure =>
    assumption(ORGANIC_LABELS[key].label, ORGANIC_PARAMETERS[material.organic][key], ORGANIC_LABELS[key].unit, source);
  return {
    name: material.name,
    nitrogenPercent: assumption(
      `nitrogen usual in ${material.name}`,
      typicalNitrogen(material),
      '% N',
      'typical of the material',
    ),
    fastShare: figure('fastShare'),
    kFastPerDay: figure('kFastPerDay'),
    kSlowPerDay: figure('kSlowPerDay'),
    carbonToNitrogen:
      measuredCN === undefined
        ? figure('carbonToNitrogen')
        : literal(ORGANIC_LABELS.carbonToNitrogen.label, measuredCN, 'kg/kg', 'measured', 'product record'),
  };
}

/** The parameters of a run for some organic materials, a medium and a soil pH in water, each an assumption to be named and replaced. */
export function parametersFor(
  materials: readonly OrganicMaterial[],
  medium: Medium,
  pH: number | undefined,
  { measuredCN, fromManure = false }: { readonly measuredCN?: number | undefined; readonly fromManure?: boolean } = {},
): ParameterFigures {
  return {
    shared: {
      q10: asFigure(SHARED_PARAMETERS.q10),
      coatingQ10: asFigure(SHARED_PARAMETERS.coatingQ10),
      nitrificationPerDay: asFigure(SHARED_PARAMETERS.nitrificationPerDay),
      ureaHydrolysisPerDay: asFigure(SHARED_PARAMETERS.ureaHydrolysisPerDay),
      denitrificationPerDay: asFigure(SHARED_PARAMETERS.denitrificationPerDay),
      weibullShape: asFigure(SHARED_PARAMETERS.weibullShape),
      criticalCN: asFigure(SHARED_PARAMETERS.criticalCN),
      microbialDeathPerDay: asFigure(SHARED_PARAMETERS.microbialDeathPerDay),
      humified: asFigure(SHARED_PARAMETERS.humified),
      volatileShare: asFigure(volatileParameter(pH)),
      volatileAmmonium: volatileAmmoniumFigure(pH, fromManure),
      biology: biologyFactor(medium),
      wetness: asFigure(SHARED_PARAMETERS.wetness),
      soilMineralKgPerHa: asFigure(SHARED_PARAMETERS.soilMineralKgPerHa),
    },
    organic: materials.map((m) => organicFigures(m, measuredCN)),
    listing: asFigure(LISTING),
  };
}

/** Shares of the organic nitrogen by material, from their masses and what each holds: straw cannot carry half of a feather meal's. */
function nitrogenShares(percents: readonly number[], listing: number): readonly number[] {
  const brought = percents.map((n, i) => ((1 - listing) / percents.length + (i === 0 ? listing : 0)) * n);
  const whole = brought.reduce((a, b) => a + b, 0);
  return brought.map((n) => (whole > 0 ? n / whole : 1 / percents.length));
}

/** A plain-number parameter set, each drawn from its range by `pick`. */
export function numbersFrom(
  { shared, organic, listing }: ParameterFigures,
  pick: (range: Range) => number = (range) => range.mid,
): ReleaseParameters {
  const numbers = Object.fromEntries(
    Object.entries(shared).map(([key, figure]) => [key, pick(figure.value)]),
  ) as Readonly<Record<SharedKey, number>>;
  const several = organic.length > 1;
  const shares = several
    ? nitrogenShares(
        organic.map((o) => pick(o.nitrogenPercent.value)),
        pick(listing.value),
      )
    : [1];
  return {
    ...numbers,
    microbialCN: MICROBIAL_CN,
    organic: organic.map((o, i): OrganicNumbers => ({
      share: shares[i] ?? 0,
      fastShare: pick(o.fastShare.value),
      kFastPerDay: pick(o.kFastPerDay.value),
      kSlowPerDay: pick(o.kSlowPerDay.value),
      carbonToNitrogen: pick(o.carbonToNitrogen.value),
    })),
  };
}
