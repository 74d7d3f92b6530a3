import { assumption, literal, owned, type Figure, type OwnFigure } from '../figure/index.js';
import { biologyFactor, type Medium } from '../ground/index.js';
import type { Range } from '../quantity/index.js';
import { ORGANIC_CLASS_NAMES, typicalNitrogen, type InsideBound, type OrganicMaterial } from '../shelf/index.js';
import type { OwnCurve } from './calibrate.js';
import {
  COATED_LONGEVITY,
  LISTING,
  MICROBIAL_CN,
  ORGANIC_LABELS,
  ORGANIC_PARAMETERS,
  ORGANIC_SOURCE,
  SHARED_PARAMETERS,
  type OrganicParameters,
  type Parameter,
} from './defaults.js';
import { materialKey } from './ownBounds.js';
import type { OrganicNumbers, ReleaseParameters } from './simulate.js';

/** An organic material's parameters, each an assumption or a measurement, and what nitrogen it usually holds. */
export type OrganicFigures = Readonly<Record<keyof OrganicParameters, Figure>> & {
  readonly name: string;
  readonly nitrogenPercent: Figure;
  /** What it weighs of the bag, where that was worked out. */
  readonly massShare: Figure | undefined;
};

type SharedKey = Exclude<keyof ReleaseParameters, 'organic' | 'microbialCN' | 'own' | 'notOrganic' | 'longevityDays'>;

/** Each parameter of a run as an assumption with its range. */
export interface ParameterFigures {
  readonly shared: Readonly<Record<SharedKey, Figure>>;
  readonly organic: readonly OrganicFigures[];
  /** How several organic ingredients share the mass. */
  readonly listing: Figure;
  /** The bag's own curve: share that comes, rate in the jar, and what the jar was like. */
  readonly own?: OwnFigures | undefined;
  /** How much of the nitrogen is not organic, where that has to be supposed. */
  readonly notOrganic?: Figure | undefined;
  /** The rated longevity of a coating where it is not entered. */
  readonly longevityDays?: Figure | undefined;
}
export interface OwnFigures {
  readonly share: Figure;
  readonly kPerDay: Figure;
  readonly temperatureC: number;
  readonly biology: number;
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
function organicFigures(
  material: OrganicMaterial,
  measuredCN: number | undefined,
  own: readonly OwnFigure[] | undefined,
  inside: readonly InsideBound[] | undefined,
): OrganicFigures {
  const source = `${ORGANIC_SOURCE}: ${ORGANIC_CLASS_NAMES[material.organic]}`;
  const figure = (key: keyof OrganicParameters): Figure => {
    const { label, unit } = ORGANIC_LABELS[key];
    const usual = assumption(label, ORGANIC_PARAMETERS[material.organic][key], unit, source);
    return owned(usual, materialKey(key, material.name), own);
  };
  const nitrogen = assumption(
    `nitrogen usual in ${material.name}`,
    typicalNitrogen(material),
    '% N',
    'typical of the material',
  );
  return {
    name: material.name,
    nitrogenPercent: owned(nitrogen, materialKey('nitrogenPercent', material.name), own),
    massShare: massShareOf(material.name, inside, own),
    fastShare: figure('fastShare'),
    kFastPerDay: figure('kFastPerDay'),
    kSlowPerDay: figure('kSlowPerDay'),
    carbonToNitrogen:
      measuredCN === undefined
        ? figure('carbonToNitrogen')
        : literal(ORGANIC_LABELS.carbonToNitrogen.label, measuredCN, 'kg/kg', 'measured', 'product record'),
  };
}

/** What a material weighs of a bag; where the label leaves room, anything between. */
function massShareOf(
  name: string,
  inside: readonly InsideBound[] | undefined,
  own: readonly OwnFigure[] | undefined,
): Figure | undefined {
  const bound = inside?.find((b) => b.name === name);
  if (!bound) return undefined;
  const { low, high } = bound;
  const share = assumption(
    `${name} in the bag, by mass`,
    { low, mid: (low + high) / 2, high },
    'kg/kg',
    low === high ? 'by its recipe' : 'what its analysis and its list of ingredients leave room for',
  );
  return owned(share, materialKey('massShare', name), own);
}

const ownFigures = ({ n0, kPerDay, temperatureC, medium, source }: OwnCurve): OwnFigures => ({
  share: assumption('share of its nitrogen that is released in the end (N0)', n0, 'kg/kg', source),
  kPerDay: assumption(`rate of its release at ${temperatureC} °C (k)`, kPerDay, '/day', source),
  temperatureC,
  biology: biologyFactor(medium).value.mid,
});

/** The parameters of a run for some organic materials, a medium and a soil pH in water, each an assumption to be named and replaced. */
export function parametersFor(
  materials: readonly OrganicMaterial[],
  medium: Medium,
  pH: number | undefined,
  {
    measuredCN,
    fromManure = false,
    curve,
    ofPlot,
    ofBag,
    inside,
    rootingM,
    notOrganic,
    coatedWithout = false,
  }: {
    readonly measuredCN?: number | undefined;
    readonly fromManure?: boolean;
    readonly curve?: OwnCurve | undefined;
    readonly ofPlot?: readonly OwnFigure[] | undefined;
    readonly ofBag?: readonly OwnFigure[] | undefined;
    readonly inside?: readonly InsideBound[] | undefined;
    /** How deep the crop roots; undefined where that is not known. */
    readonly rootingM?: Range | undefined;
    /** How much of the nitrogen is not organic, where the label leaves it open. */
    readonly notOrganic?: Range | undefined;
    /** Whether some of it is coated and nobody says for how long. */
    readonly coatedWithout?: boolean;
  } = {},
): ParameterFigures {
  const shared: ParameterFigures['shared'] = {
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
    rootingM: rootingM
      ? assumption(SHARED_PARAMETERS.rootingM.label, rootingM, 'm', 'typical of the crop')
      : asFigure(SHARED_PARAMETERS.rootingM),
    soilMineralKgPerHa: asFigure(SHARED_PARAMETERS.soilMineralKgPerHa),
  };
  return {
    shared: Object.fromEntries(
      Object.entries(shared).map(([key, figure]) => [key, owned(figure, key, ofPlot)]),
    ) as ParameterFigures['shared'],
    organic: materials.map((m) => organicFigures(m, measuredCN, ofBag, inside)),
    listing: owned(asFigure(LISTING), 'listing', ofBag),
    own: curve && ownFigures(curve),
    notOrganic:
      notOrganic &&
      owned(
        assumption(
          'share of its nitrogen that is not organic',
          notOrganic,
          'kg/kg',
          'by mass of its ingredients in the order they are listed; forms on the label replace it',
        ),
        'notOrganic',
        ofBag,
      ),
    longevityDays: coatedWithout ? owned(asFigure(COATED_LONGEVITY), 'longevityDays', ofBag) : undefined,
  };
}

/** Masses guessed from the order of listing: from equal ones to all of the first. */
const listedMasses = (count: number, listing: number): readonly number[] =>
  Array.from({ length: count }, (_, i) => (1 - listing) / count + (i === 0 ? listing : 0));

/** Shares of the organic nitrogen by material, from their masses and what each holds: straw cannot carry half of a feather meal's. */
function nitrogenShares(percents: readonly number[], masses: readonly number[]): readonly number[] {
  const brought = percents.map((n, i) => n * (masses[i] ?? 0));
  const whole = brought.reduce((a, b) => a + b, 0);
  return brought.map((n) => (whole > 0 ? n / whole : 1 / percents.length));
}

/** Takes a number from a parameter's range; what is shared by all materials has no name of one. */
export type Pick = (range: Range, parameter: Figure, material: string) => number;

/** What the materials weigh: by what the label leaves room for, else guessed from their order. */
function massesOf(organic: readonly OrganicFigures[], listing: Figure, pick: Pick): readonly number[] {
  const known = organic.flatMap(({ massShare, name }) => (massShare ? [pick(massShare.value, massShare, name)] : []));
  return known.length === organic.length
    ? known
    : listedMasses(organic.length, pick(listing.value, listing, 'listing'));
}

/** A plain-number parameter set, each drawn from its range by `pick`. */
export function numbersFrom(
  { shared, organic, listing, own, notOrganic, longevityDays }: ParameterFigures,
  pick: Pick = (range) => range.mid,
): ReleaseParameters {
  const numbers = Object.fromEntries(
    Object.entries(shared).map(([key, figure]) => [key, pick(figure.value, figure, '')]),
  ) as Readonly<Record<SharedKey, number>>;
  const several = organic.length > 1;
  const shares = several
    ? nitrogenShares(
        organic.map((o) => pick(o.nitrogenPercent.value, o.nitrogenPercent, o.name)),
        massesOf(organic, listing, pick),
      )
    : [1];
  return {
    ...numbers,
    microbialCN: MICROBIAL_CN,
    notOrganic: notOrganic && pick(notOrganic.value, notOrganic, 'forms'),
    longevityDays: longevityDays && pick(longevityDays.value, longevityDays, 'coating'),
    own: own && {
      share: pick(own.share.value, own.share, 'own'),
      kPerDay: pick(own.kPerDay.value, own.kPerDay, 'own'),
      temperatureC: own.temperatureC,
      biology: own.biology,
    },
    organic: organic.map((o, i): OrganicNumbers => ({
      share: shares[i] ?? 0,
      fastShare: pick(o.fastShare.value, o.fastShare, o.name),
      kFastPerDay: pick(o.kFastPerDay.value, o.kFastPerDay, o.name),
      kSlowPerDay: pick(o.kSlowPerDay.value, o.kSlowPerDay, o.name),
      carbonToNitrogen: pick(o.carbonToNitrogen.value, o.carbonToNitrogen, o.name),
    })),
  };
}
