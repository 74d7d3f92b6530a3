import { assumption, literal, type Figure } from '../figure/index.js';
import { biologyFactor, type Medium } from '../ground/index.js';
import type { Range } from '../quantity/index.js';
import { ORGANIC_CLASS_NAMES, type OrganicClass } from '../shelf/index.js';
import {
  ORGANIC_LABELS,
  ORGANIC_PARAMETERS,
  ORGANIC_SOURCE,
  SHARED_PARAMETERS,
  WATER_FILLED_PORE_SPACE,
  type OrganicParameters,
  type Parameter,
} from './defaults.js';
import type { ReleaseParameters } from './simulate.js';

/** Each parameter of a run as an assumption with its range. */
export type ParameterFigures = Readonly<Record<keyof ReleaseParameters, Figure>>;

const asFigure = ({ label, range, unit, source }: Parameter): Figure => assumption(label, range, unit, source);

/** Equal-weight average of class ranges. */
function averageOf(classes: readonly OrganicClass[], key: keyof OrganicParameters): Range {
  const ranges = classes.map((c) => ORGANIC_PARAMETERS[c][key]);
  const mean = (pick: (range: Range) => number): number =>
    ranges.reduce((s, range) => s + pick(range), 0) / ranges.length;
  return { low: mean((x) => x.low), mid: mean((x) => x.mid), high: mean((x) => x.high) };
}

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

/** The parameters of a run for a material class, a medium and a soil pH, each an assumption to be named and replaced; a measured C:N replaces the class average. */
export function parametersFor(
  classes: readonly OrganicClass[],
  medium: Medium,
  pH: number | undefined,
  measuredCN?: number,
): ParameterFigures {
  const organic = (key: keyof OrganicParameters): Figure => {
    const { label, unit } = ORGANIC_LABELS[key];
    return classes.length > 0
      ? assumption(
          label,
          averageOf(classes, key),
          unit,
          `${ORGANIC_SOURCE}: ${classes.map((c) => ORGANIC_CLASS_NAMES[c]).join('; ')}`,
        )
      : assumption(label, 1, unit, 'no organic nitrogen: not used');
  };
  return {
    q10: asFigure(SHARED_PARAMETERS.q10),
    nitrificationPerDay: asFigure(SHARED_PARAMETERS.nitrificationPerDay),
    ureaHydrolysisPerDay: asFigure(SHARED_PARAMETERS.ureaHydrolysisPerDay),
    weibullShape: asFigure(SHARED_PARAMETERS.weibullShape),
    carbonUse: asFigure(SHARED_PARAMETERS.carbonUse),
    microbialCN: asFigure(SHARED_PARAMETERS.microbialCN),
    microbialDeathPerDay: asFigure(SHARED_PARAMETERS.microbialDeathPerDay),
    humified: asFigure(SHARED_PARAMETERS.humified),
    volatileShare: asFigure(volatileParameter(pH)),
    fastShare: organic('fastShare'),
    kFastPerDay: organic('kFastPerDay'),
    kSlowPerDay: organic('kSlowPerDay'),
    carbonToNitrogen:
      measuredCN === undefined
        ? organic('carbonToNitrogen')
        : literal(ORGANIC_LABELS.carbonToNitrogen.label, measuredCN, 'kg/kg', 'measured', 'product record'),
    biology: biologyFactor(medium),
    waterFilled: asFigure(WATER_FILLED_PORE_SPACE),
  };
}

/** A plain-number parameter set, each drawn from its range by `pick`. */
export function numbersFrom(
  figures: ParameterFigures,
  pick: (range: Range) => number = (range) => range.mid,
): ReleaseParameters {
  return Object.fromEntries(
    Object.entries(figures).map(([key, figure]) => [key, pick(figure.value)]),
  ) as unknown as ReleaseParameters;
}
