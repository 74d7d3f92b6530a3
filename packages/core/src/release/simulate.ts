import { COATING_REFERENCE_C } from './defaults.js';
import type { NitrogenPools } from './nitrogenPools.js';
import { ROOT_LAYER_M } from '../ground/index.js';
import { easedLife } from './responses.js';
import {
  add,
  CELL_M,
  emptyLayer,
  nitrateIn,
  type Dose,
  type MeasuredCurve,
  type NitrogenState,
  type SoilStart,
} from './state.js';
import { step, type Day, type Laws } from './step.js';

/** How one organic material of a dose decomposes, and what share of the dose's organic nitrogen is its own. */
export interface OrganicNumbers {
  readonly share: number;
  readonly fastShare: number;
  readonly kFastPerDay: number;
  readonly kSlowPerDay: number;
  readonly carbonToNitrogen: number;
}

/** Plain numbers for one run; the ranges behind them are in `defaults.ts`. */
export interface ReleaseParameters extends Laws {
  /** Share of ammonium left on the surface that goes off as ammonia. */
  readonly volatileAmmonium: number;
  /** Life in the medium relative to mineral soil, in its first weeks. */
  readonly biology: number;
  /** 0 at wilting, 1 at field capacity, when no weather says. */
  readonly wetness: number;
  /** How deep the crop roots, m: what drains below is lost. */
  readonly rootingM: number;
  /** Mineral nitrogen that the soil has of its own, kg/ha. */
  readonly soilMineralKgPerHa: number;
  readonly organic: readonly OrganicNumbers[];
  /** The bag's own curve, where it has one. */
  readonly own?: (MeasuredCurve & { readonly share: number }) | undefined;
  /** Share of the nitrogen that is not organic, where the label leaves it open. */
  readonly notOrganic?: number | undefined;
  /** Longevity of a coating whose label gives none. */
  readonly longevityDays?: number | undefined;
}

/** What happens around the dose. */
export interface Surroundings {
  /** Daily mean soil temperature in °C, one per day of the run. */
  readonly temperatureC: readonly number[];
  /** Days the dose lies on the surface before it is worked in or watered in by 12 mm; 0 when worked in at once. */
  readonly daysOnSurface: number;
  /** How deep it is worked in, m. */
  readonly workedInM: number;
  /** kg N/ha applied: what the soil can lend and the crop can take are measured against it. */
  readonly doseKgPerHa: number;
  /** Whether the medium's first life eases to that of mineral soil over ten weeks. */
  readonly lifeEases: boolean;
  /** The layer's water on each day; the parameter's constant wetness, and no drainage, when missing. */
  readonly water?:
    | {
        readonly wetness: readonly number[];
        readonly waterFilled: readonly number[];
        readonly drainedMm: readonly number[];
        readonly storedMm: readonly number[];
      }
    | undefined;
  /** What the crop takes up by the end of each day, kg N/ha, index 0 the start; nothing when missing. */
  readonly demandKgPerHa?: readonly number[] | undefined;
  readonly longevity: { readonly days: number; readonly referenceC: number } | undefined;
}

const RECORDED = [
  'available',
  'mineral',
  'takenUp',
  'urea',
  'coated',
  'undecomposed',
  'microbial',
  'humus',
  'volatilised',
  'leached',
  'denitrified',
  'nitrate',
  'soilOrganic',
] as const;

/**
 * Shares of the nitrogen applied, at the end of each day; index 0 is the day of application before anything happens. `mineral` is ammonium
 * and nitrate in the layer, less what decomposers owe the soil: negative while nitrogen is tied up. `available` is that and what the crop has
 * taken up of it: what drained away or went off as gas is not in it. `nitrate` is part of `mineral`.
 */
export type ReleaseRun = Readonly<Record<(typeof RECORDED)[number], Float64Array>>;

/** So much nitrogen of a product as it goes into a layer. @param nitrogen in the layer's unit */
export const toDose = (
  pools: NitrogenPools,
  longevity: Dose['longevity'],
  p: Pick<ReleaseParameters, 'organic' | 'volatileAmmonium' | 'own' | 'notOrganic' | 'longevityDays'>,
  nitrogen: number,
  workedInM: Dose['workedInM'],
): Dose => {
  // Where how much is organic has to be supposed, the shares of the pools are at the middle of it.
  const [quick, slow] =
    pools.notOrganic && p.notOrganic !== undefined
      ? [p.notOrganic / pools.notOrganic.mid, (1 - p.notOrganic) / (1 - pools.notOrganic.mid)]
      : [1, 1];
  return {
    nitrate: nitrogen * pools.nitrate * quick,
    ammonium: nitrogen * pools.ammonium * quick,
    urea: nitrogen * pools.urea * quick,
    coated: nitrogen * pools.coated * quick,
    coatedForms: pools.coatedForms,
    longevity: longevity ?? (p.longevityDays ? { days: p.longevityDays, referenceC: COATING_REFERENCE_C } : undefined),
    organic: p.organic.map(({ share, ...rest }) => ({ ...rest, nitrogen: nitrogen * pools.organic * slow * share })),
    measured:
      p.own && pools.measured !== undefined
        ? { nitrogen: nitrogen * pools.measured, share: p.own.share, curve: p.own }
        : undefined,
    volatileAmmonium: p.volatileAmmonium,
    workedInM,
  };
};

/** A dose and the day it is given on; what lies on top goes into the soil as a later day begins. */
export interface DatedDose {
  readonly day: number;
  readonly dose: Dose;
  readonly settlesOn?: number | undefined;
}

const sum = <T>(list: readonly T[], of: (item: T) => number): number => list.reduce((total, x) => total + of(x), 0);

function record(run: ReleaseRun, day: number, state: NitrogenState, microbialCN: number): void {
  const nitrate = nitrateIn(state);
  run.nitrate[day] = nitrate;
  run.mineral[day] = state.ammonium + state.exposedAmmonium + nitrate - state.lent;
  run.takenUp[day] = state.takenUp;
  run.available[day] = (run.mineral[day] ?? 0) + state.takenUp;
  run.urea[day] = state.urea + state.surfaceUrea;
  run.coated[day] = sum(state.coated, (c) => c.applied - c.released);
  run.undecomposed[day] =
    sum(state.organic, (o) => (o.fastC + o.slowC) / o.carbonToNitrogen) +
    sum(state.measured, (m) => m.coming + m.never);
  run.microbial[day] = state.microbialC / microbialCN;
  run.humus[day] = state.humus;
  run.soilOrganic[day] = state.soilOrganic;
  run.volatilised[day] = state.volatilised;
  run.leached[day] = state.leached;
  run.denitrified[day] = state.denitrified;
}

/** What is around any number of doses, the crop's wish in the layer's unit. */
export interface Around extends Pick<Surroundings, 'temperatureC' | 'lifeEases' | 'water'> {
  readonly demand?: readonly number[] | undefined;
  /** The soil's own nitrogen, where it is counted. */
  readonly soil?: SoilStart | undefined;
}

/** What is carried from one stretch of days to the next. */
export interface Carried {
  readonly state: NitrogenState;
  readonly run: ReleaseRun;
}

/** Cells of the upper layer, whose water is followed and whose mineral nitrogen is tested. */
const UPPER_CELLS = Math.round(ROOT_LAYER_M / CELL_M);

/** A layer before its first day. @param rootingM its depth; @param lendable mineral nitrogen of the soil's own */
export function startRun(around: Pick<Around, 'temperatureC' | 'soil'>, rootingM: number, lendable: number): Carried {
  const length = around.temperatureC.length + 1;
  // What the soil has is there to lend already.
  const state = emptyLayer(rootingM, around.soil ? 0 : lendable, around.soil);
  const upper = Math.min(UPPER_CELLS, state.nitrate.length);
  state.nitrate.fill((around.soil?.mineralKgPerHa ?? 0) / upper, 0, upper);
  return {
    state,
    run: Object.fromEntries(RECORDED.map((name) => [name, new Float64Array(length)])) as ReleaseRun,
  };
}

/** What a day is like in a layer of so many cells. */
function dayOf(
  { temperatureC, water, demand }: Around,
  day: number,
  p: ReleaseParameters,
): Omit<Day, 'biology' | 'settles'> {
  return {
    temperatureC: temperatureC[day] ?? 0,
    wetness: water?.wetness[day] ?? p.wetness,
    waterFilled: water?.waterFilled[day] ?? 0,
    drainedMm: water?.drainedMm[day] ?? 0,
    // Deeper soil is taken to be as wet as the upper layer, and what drains from that to go through it.
    cellMm: (water?.storedMm[day] ?? 0) / UPPER_CELLS,
    uptake: demand ? (demand[day + 1] ?? 0) - (demand[day] ?? 0) : 0,
  };
}

/**
 * Follows a layer from one day up to another: doses are added as their day begins, then `step` moves the layer on. Changes what is carried in place.
 * @param stepsADay how finely the day is cut; one gives what more give, to half a per cent
 */
export function followDays(
  { state, run }: Carried,
  doses: readonly DatedDose[],
  around: Around,
  p: ReleaseParameters,
  from: number,
  to: number,
  stepsADay = 1,
): void {
  for (let day = from; day < to; day++) {
    for (const { dose, day: on } of doses) if (on === day) add(state, dose);
    if (day === 0) record(run, 0, state, p.microbialCN);
    const settles = doses.some((d) => d.settlesOn === day);
    for (let part = 0; part < stepsADay; part++) {
      const life = around.lifeEases ? easedLife(p.biology, day + part / stepsADay) : p.biology;
      const today = dayOf(around, day, p);
      step(state, { ...today, biology: life, settles: part === 0 && settles }, p, 1 / stepsADay);
    }
    record(run, day + 1, state, p.microbialCN);
  }
}

/** Follows a layer through all its days. @param lendable mineral nitrogen of the soil's own */
export function follow(
  doses: readonly DatedDose[],
  around: Around,
  p: ReleaseParameters,
  lendable: number,
  stepsADay = 1,
): ReleaseRun {
  const carried = startRun(around, p.rootingM, lendable);
  followDays(carried, doses, around, p, 0, around.temperatureC.length, stepsADay);
  return carried.run;
}

/**
 * One dose of 1 kg N followed day by day, in a layer that holds nothing else of it.
 * @returns arrays of length days + 1, kg N per kg N applied
 * @example simulate(pools, around, parameters).available[28] // share the crop can have had by week 4
 */
export function simulate(pools: NitrogenPools, around: Surroundings, p: ReleaseParameters, stepsADay = 1): ReleaseRun {
  const { daysOnSurface, workedInM, longevity, doseKgPerHa, demandKgPerHa } = around;
  const dose = toDose(pools, longevity, p, 1, daysOnSurface > 0 ? 'surface' : workedInM);
  return follow(
    [{ day: 0, dose, settlesOn: daysOnSurface > 0 ? daysOnSurface : undefined }],
    { ...around, demand: demandKgPerHa?.map((kg) => kg / doseKgPerHa) },
    p,
    p.soilMineralKgPerHa / doseKgPerHa,
    stepsADay,
  );
}

/** Everything the nitrogen can be in on a day, added up: 1 when the balance closes. */
export const nitrogenBalance = (run: ReleaseRun, day: number): number =>
  sum(
    [
      run.available,
      run.urea,
      run.coated,
      run.undecomposed,
      run.microbial,
      run.humus,
      run.volatilised,
      run.leached,
      run.denitrified,
      run.soilOrganic,
    ],
    (pool) => pool[day] ?? 0,
  );
