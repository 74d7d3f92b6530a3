import { assumption, computed, type Figure } from '../figure/index.js';
import { between, type Range } from '../quantity/index.js';
import { dailyWater, loggedDays, type DailyWater } from './climate.js';
import type { Site, Texture } from './site.js';
import { YEAR_DAYS } from './soilTemperature.js';
import { wetness } from './wetness.js';

interface WaterHolding {
  readonly wilting: Range;
  readonly fieldCapacity: Range;
  /** Pore space. */
  readonly saturation: Range;
}

/** Water held by texture, m³ per m³ of soil; class averages. */
export const WATER_HOLDING: Readonly<Record<Texture, WaterHolding>> = {
  sand: {
    wilting: between(0.03, 0.06, 0.09),
    fieldCapacity: between(0.1, 0.15, 0.2),
    saturation: between(0.38, 0.42, 0.46),
  },
  loam: {
    wilting: between(0.09, 0.12, 0.15),
    fieldCapacity: between(0.23, 0.28, 0.32),
    saturation: between(0.43, 0.46, 0.5),
  },
  clay: {
    wilting: between(0.17, 0.22, 0.27),
    fieldCapacity: between(0.33, 0.38, 0.43),
    saturation: between(0.46, 0.5, 0.55),
  },
  peat: {
    wilting: between(0.18, 0.25, 0.32),
    fieldCapacity: between(0.4, 0.5, 0.6),
    saturation: between(0.7, 0.8, 0.88),
  },
};
/** Depth of the layer that is watched, m. */
export const ROOT_LAYER_M = 0.3;

/** The assumptions of the balance, to be named beside its result. */
export const waterAssumptions = (texture: Texture): readonly Figure[] => {
  const { wilting, fieldCapacity, saturation } = WATER_HOLDING[texture];
  const source = 'class average by texture; runs at its middle, which the band does not vary';
  return [
    assumption(`water left in ${texture} when plants wilt`, wilting, 'm³/m³', source),
    assumption(`water ${texture} holds against gravity`, fieldCapacity, 'm³/m³', source),
    assumption(`pore space of ${texture}`, saturation, 'm³/m³', source),
  ];
};

/** Water held, as plain numbers for one run, m³/m³. */
type Held = Readonly<Record<keyof WaterHolding, number>>;
const middle = ({ wilting, fieldCapacity, saturation }: WaterHolding): Held => ({
  wilting: wilting.mid,
  fieldCapacity: fieldCapacity.mid,
  saturation: saturation.mid,
});
/** The soils of a texture that keep least and most for plants. */
const extremes = ({ wilting, fieldCapacity, saturation }: WaterHolding): readonly [Held, Held] => [
  { wilting: wilting.high, fieldCapacity: fieldCapacity.low, saturation: saturation.mid },
  { wilting: wilting.low, fieldCapacity: fieldCapacity.high, saturation: saturation.mid },
];

/** The layer at the end of each day. */
export interface WaterBalance {
  /** Water in the layer, mm. */
  readonly storedMm: readonly number[];
  /** Water that left below on that day, mm. */
  readonly drainedMm: readonly number[];
  /** Share of pore space filled with water, 0–1. */
  readonly waterFilled: readonly number[];
  /** 0 at wilting, 1 at field capacity, 2 at saturation. */
  readonly wetness: readonly number[];
  /** Water given back to the air on that day, mm. */
  readonly evaporatedMm: readonly number[];
}

/**
 * A bucket for the upper 30 cm: each day rain and irrigation come in, evapotranspiration goes out (less as the layer nears wilting). What is above
 * field capacity stays for a day and drains on the next; what the pores cannot hold drains at once.
 *
 * Law: water in = change of storage + water given back to the air + drainage, to rounding.
 * @param water daily mm
 * @param held the middle of the texture's class average unless said
 * @param startMm water in the layer before the first day; field capacity unless said
 * @example waterBalance({ rainMm: [20, 0], irrigationMm: [0, 0], etMm: [2, 2] }, 'loam').drainedMm // [0, 16]
 */
export function waterBalance(
  water: DailyWater,
  texture: Texture,
  held: Held = middle(WATER_HOLDING[texture]),
  startMm: number = held.fieldCapacity * ROOT_LAYER_M * 1000,
): WaterBalance {
  const mm = (share: number): number => share * ROOT_LAYER_M * 1000;
  const [wilting, capacity, full] = [mm(held.wilting), mm(held.fieldCapacity), mm(held.saturation)];
  let stored = startMm;
  const days = water.rainMm.map((rain, day) => {
    const aboveCapacity = Math.max(0, stored - capacity);
    const wetted = stored + rain + (water.irrigationMm[day] ?? 0);
    // Plants take water freely until half of what is available is gone, then less and less.
    const ease = Math.max(0, Math.min(1, (Math.min(wetted, capacity) - wilting) / (0.5 * (capacity - wilting))));
    const evaporated = Math.min((water.etMm[day] ?? 0) * ease, Math.max(0, wetted - wilting));
    const left = wetted - evaporated;
    const fromYesterday = Math.min(aboveCapacity, Math.max(0, left - capacity));
    const drained = Math.max(fromYesterday, left - full);
    stored = left - drained;
    return { stored, drained, evaporated };
  });
  const layer = days.map((d) => d.stored);
  return {
    storedMm: layer,
    drainedMm: days.map((d) => d.drained),
    waterFilled: layer.map((mm) => Math.min(1, mm / full)),
    wetness: layer.map((mm) => wetness(mm / (ROOT_LAYER_M * 1000), held)),
    evaporatedMm: days.map((d) => d.evaporated),
  };
}

/**
 * The balance of a site from a date on; undefined where its weather is not known, and in potting media and pots, whose water this is not the model for.
 * It starts from what the year before that date leaves, not from a full soil.
 * @returns the daily water put in and what the layer made of it
 */
export function siteWaterBalance(
  site: WateredSite,
  from: string,
  days: number,
  held: Held = middle(WATER_HOLDING[site.texture]),
): { readonly daily: DailyWater; readonly balance: WaterBalance } | undefined {
  if (site.medium !== 'mineralSoil') return undefined;
  const daily = dailyWater(site, from, days);
  // A usual year is the same each year, so the year before is the one that leads up to this day.
  const before = dailyWater(site, from, YEAR_DAYS);
  if (!daily || !before) return daily && { daily, balance: waterBalance(daily, site.texture, held) };
  const start = waterBalance(before, site.texture, held).storedMm.at(-1);
  return { daily, balance: waterBalance(daily, site.texture, held, start) };
}
type WateredSite = Pick<Site, 'climate' | 'logged' | 'texture' | 'medium'>;

const YEAR_START = '2026-01-01';

/** A year's water as figures that open to their working, mm. */
export interface WaterYear {
  readonly rain: Figure;
  readonly irrigation: Figure;
  readonly evaporated: Figure;
  readonly drained: Figure;
}

/**
 * What comes, is given back and drains in a year on a site, with the range between the soils of its texture that keep least and most water.
 * @returns undefined where the balance is
 * @example waterYear(site)?.drained.value.mid
 */
export function waterYear(site: WateredSite): WaterYear | undefined {
  const known = siteWaterBalance(site, YEAR_START, YEAR_DAYS);
  if (!known) return undefined;
  const { daily, balance } = known;
  const total = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);
  const runs = [
    balance,
    ...extremes(WATER_HOLDING[site.texture]).flatMap(
      (held) => siteWaterBalance(site, YEAR_START, YEAR_DAYS, held)?.balance ?? [],
    ),
  ];
  const spread = (what: 'evaporatedMm' | 'drainedMm'): Range => {
    const totals = runs.map((run) => total(run[what]));
    return { low: Math.min(...totals), mid: totals[0] ?? 0, high: Math.max(...totals) };
  };
  const logged = (what: keyof DailyWater): string => {
    const days = loggedDays(site.logged ?? [], what);
    const usual = site.climate ? 'the usual year' : 'taken as none';
    return days === 0
      ? 'the months of a usual year'
      : days === YEAR_DAYS
        ? 'logged on every day'
        : `logged on ${days} days, ${usual} on the others`;
  };
  const given = (label: string, what: keyof DailyWater): Figure =>
    computed(label, total(daily[what]), 'mm a year', 'sum', logged(what), []);
  const rain = given('rain', 'rainMm');
  const toldOf = site.climate !== undefined || loggedDays(site.logged ?? [], 'irrigationMm') > 0;
  const irrigation = toldOf
    ? given('irrigation', 'irrigationMm')
    : assumption('irrigation', 0, 'mm a year', 'taken as none: neither a log nor a usual year tells of any');
  const asked = given('evapotranspiration asked for', 'etMm');
  const assumed = waterAssumptions(site.texture);
  return {
    rain,
    irrigation,
    evaporated: computed(
      'back to the air from soil and crop',
      spread('evaporatedMm'),
      'mm a year',
      'waterBalance',
      'day by day: what was asked for, less as the upper 30 cm near wilting',
      [asked, ...assumed],
    ),
    drained: computed(
      'drained below 30 cm',
      spread('drainedMm'),
      'mm a year',
      'waterBalance',
      'day by day: what the upper 30 cm could not hold against gravity',
      [rain, irrigation, asked, ...assumed],
    ),
  };
}
