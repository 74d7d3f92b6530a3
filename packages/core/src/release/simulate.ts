import type { NitrogenPools } from './nitrogenPools.js';
import { coatedRelease, moistureResponse, temperatureResponse } from './responses.js';

/** Plain numbers for one run; the ranges behind them are in `defaults.ts`. */
export interface ReleaseParameters {
  readonly q10: number;
  readonly nitrificationPerDay: number;
  readonly ureaHydrolysisPerDay: number;
  readonly weibullShape: number;
  readonly carbonUse: number;
  readonly microbialCN: number;
  readonly microbialDeathPerDay: number;
  readonly humified: number;
  /** Share of hydrolysed urea lost while it lies on the surface. */
  readonly volatileShare: number;
  readonly fastShare: number;
  readonly kFastPerDay: number;
  readonly kSlowPerDay: number;
  readonly carbonToNitrogen: number;
  /** Life in the medium relative to mineral soil. */
  readonly biology: number;
  readonly waterFilled: number;
}

/** What happens around the dose. */
export interface Surroundings {
  /** Daily mean soil temperature in °C, one per day of the run. */
  readonly temperatureC: readonly number[];
  /** Days the dose lies on the surface before it is worked in or watered in by 12 mm; 0 when worked in at once. */
  readonly daysOnSurface: number;
  /** Share of pore space filled with water on each day, from rain and evapotranspiration; the parameter's constant when missing. */
  readonly waterFilled?: readonly number[] | undefined;
  /** Water that drains below the layer on each day and what the layer still holds, mm; nothing is leached when missing. */
  readonly drainage?: { readonly drainedMm: readonly number[]; readonly storedMm: readonly number[] } | undefined;
  readonly longevity: { readonly days: number; readonly referenceC: number } | undefined;
}

/** Shares of the nitrogen applied, at the end of each day; index 0 is the day of application before anything happens. */
export interface ReleaseRun {
  /** Ammonium + nitrate made available so far, what drained away since included, less what decomposers took from the soil: negative while nitrogen is tied up. */
  readonly mineral: Float64Array;
  readonly urea: Float64Array;
  readonly coated: Float64Array;
  readonly undecomposed: Float64Array;
  readonly microbial: Float64Array;
  readonly humus: Float64Array;
  readonly volatilised: Float64Array;
  /** The part of `mineral` that drained below the layer as nitrate, as if no crop took any. */
  readonly leached: Float64Array;
  /** The nitrate still in the layer, never below zero. */
  readonly nitrate: Float64Array;
}

/**
 * One dose of 1 kg N followed day by day through the pools: soluble forms, urea, coating, and a fast and a slow organic
 * pool decomposed by microbes that keep their own C:N (Manzoni & Porporato 2009), all scaled by temperature
 * (Stanford, Frere & Schwaninger 1973), moisture and the medium's life. With
 * drainage, the layer's nitrate leaves with its water: each day drained ÷ (drained + stored) of it (after Burns 1974).
 *
 * Daily steps are exact exponentials, so every step conserves nitrogen to rounding:
 * mineral + urea + coated + undecomposed + microbial + humus + volatilised = 1.
 *
 * @returns arrays of length days + 1, kg N per kg N applied
 */
export function simulate(pools: NitrogenPools, around: Surroundings, p: ReleaseParameters): ReleaseRun {
  const days = around.temperatureC.length;
  const make = (): Float64Array => new Float64Array(days + 1);
  const run: ReleaseRun = {
    mineral: make(),
    urea: make(),
    coated: make(),
    undecomposed: make(),
    microbial: make(),
    humus: make(),
    volatilised: make(),
    leached: make(),
    nitrate: make(),
  };
  const usualMoisture = moistureResponse(p.waterFilled);

  let nitrate = pools.nitrate;
  let ammonium = pools.ammonium;
  /** Nitrogen the decomposers have borrowed from the soil beyond what the dose had available. */
  let borrowed = 0;
  let { urea } = pools;
  let coatedReleased = 0;
  let thermalDays = 0;
  let fastC = pools.organic * p.fastShare * p.carbonToNitrogen;
  let slowC = pools.organic * (1 - p.fastShare) * p.carbonToNitrogen;
  let microbialC = 0;
  let humus = 0;
  let volatilised = 0;
  let leached = 0;

  const record = (day: number): void => {
    run.mineral[day] = ammonium + nitrate + leached - borrowed;
    run.nitrate[day] = nitrate;
    run.urea[day] = urea;
    run.coated[day] = pools.coated * (1 - coatedReleased);
    run.undecomposed[day] = (fastC + slowC) / p.carbonToNitrogen;
    run.microbial[day] = microbialC / p.microbialCN;
    run.humus[day] = humus;
    run.volatilised[day] = volatilised;
    run.leached[day] = leached;
  };
  record(0);

  for (let day = 0; day < days; day++) {
    const temperatureC = around.temperatureC[day] ?? 0;
    const filled = around.waterFilled?.[day];
    const moisture = filled === undefined ? usualMoisture : moistureResponse(filled);
    const warmth = temperatureResponse(temperatureC, p.q10) * moisture;
    const life = warmth * p.biology;

    if (around.longevity && pools.coated > 0) {
      thermalDays += temperatureResponse(temperatureC, p.q10, around.longevity.referenceC);
      const released = coatedRelease(thermalDays, around.longevity.days, p.weibullShape);
      urea += pools.coated * (released - coatedReleased);
      coatedReleased = released;
    }

    const hydrolysed = urea * (1 - Math.exp(-p.ureaHydrolysisPerDay * warmth));
    const lost = day < around.daysOnSurface ? hydrolysed * p.volatileShare : 0;
    urea -= hydrolysed;
    volatilised += lost;

    const fastGone = fastC * (1 - Math.exp(-p.kFastPerDay * life));
    const slowGone = slowC * (1 - Math.exp(-p.kSlowPerDay * life));
    const died = microbialC * (1 - Math.exp(-p.microbialDeathPerDay * life));
    const eaten = fastGone + slowGone;
    fastC -= fastGone;
    slowC -= slowGone;
    microbialC += p.carbonUse * eaten - died;
    humus += (p.humified * died) / p.microbialCN;
    const net =
      eaten / p.carbonToNitrogen - (p.carbonUse * eaten) / p.microbialCN + ((1 - p.humified) * died) / p.microbialCN;

    ammonium += hydrolysed - lost + net;
    // Decomposers take ammonium first, then nitrate, then what the soil itself holds; debts are repaid first.
    if (ammonium < 0) {
      const fromNitrate = Math.min(nitrate, -ammonium);
      nitrate -= fromNitrate;
      borrowed += -ammonium - fromNitrate;
      ammonium = 0;
    } else if (borrowed > 0) {
      const repaid = Math.min(borrowed, ammonium);
      borrowed -= repaid;
      ammonium -= repaid;
    }
    const nitrified = ammonium * (1 - Math.exp(-p.nitrificationPerDay * warmth));
    ammonium -= nitrified;
    nitrate += nitrified;
    const drained = around.drainage?.drainedMm[day] ?? 0;
    if (drained > 0) {
      const washed = (nitrate * drained) / (drained + (around.drainage?.storedMm[day] ?? 0));
      nitrate -= washed;
      leached += washed;
    }
    record(day + 1);
  }
  return run;
}

/** Everything the nitrogen can be in on a day, added up: 1 when the balance closes. */
export const nitrogenBalance = (run: ReleaseRun, day: number): number =>
  [run.mineral, run.urea, run.coated, run.undecomposed, run.microbial, run.humus, run.volatilised].reduce(
    (s, pool) => s + (pool[day] ?? 0),
    0,
  );
