import { CLIMATES, type ClimateType } from '@wheat-ledger/contract';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

interface Weather {
  readonly meanC: number;
  readonly swingC: number;
  /** Day of the year of the warmest air. */
  readonly warmest: number;
  /** Chance of a wet day in midwinter and midsummer. */
  readonly wetWinter: number;
  readonly wetSummer: number;
  /** Mean rain on a wet day, mm. */
  readonly wetDayMm: number;
  /** Reference evapotranspiration in midwinter and midsummer, mm a day. */
  readonly etWinter: number;
  readonly etSummer: number;
}

/** Invented climates, each of a kind. */
const WEATHER: Readonly<Record<ClimateType, Weather>> = {
  coolTemperate: {
    meanC: 10,
    swingC: 7,
    warmest: 203,
    wetWinter: 0.5,
    wetSummer: 0.36,
    wetDayMm: 4.6,
    etWinter: 0.4,
    etSummer: 3.4,
  },
  continental: {
    meanC: 9,
    swingC: 13,
    warmest: 200,
    wetWinter: 0.3,
    wetSummer: 0.34,
    wetDayMm: 5.4,
    etWinter: 0.2,
    etSummer: 4.6,
  },
  mediterranean: {
    meanC: 16,
    swingC: 8,
    warmest: 212,
    wetWinter: 0.36,
    wetSummer: 0.04,
    wetDayMm: 7.5,
    etWinter: 1.1,
    etSummer: 6.2,
  },
  humidSubtropical: {
    meanC: 18,
    swingC: 9,
    warmest: 205,
    wetWinter: 0.3,
    wetSummer: 0.38,
    wetDayMm: 10.5,
    etWinter: 1.3,
    etSummer: 4.9,
  },
  dryHighland: {
    meanC: 11,
    swingC: 12,
    warmest: 200,
    wetWinter: 0.12,
    wetSummer: 0.14,
    wetDayMm: 4.2,
    etWinter: 0.8,
    etSummer: 6.6,
  },
};

export interface StationOrder {
  readonly climate: ClimateType;
  /** ISO date of the first day. */
  readonly from: string;
  readonly days: number;
  readonly seed: number;
}

/**
 * Readings of the simulated weather and soil station as the CSV file a real one would write: air at noon and midnight, soil at 10 cm, rain and
 * evapotranspiration of the day. The same order gives the same file. One day in forty the soil probe sends nothing, as probes do.
 */
export function stationCsv({ climate, from, days, seed }: StationOrder): string {
  const w = WEATHER[climate];
  const random = xoroshiro128plus(seed * 7919 + CLIMATES.indexOf(climate));
  const uniform = (): number => ((random.next() >>> 0) + 0.5) / 2 ** 32;
  /** Sum of uniforms: near enough to a bell for weather. */
  const bell = (): number => uniform() + uniform() + uniform() + uniform() - 2;
  const first = Date.parse(`${from}T00:00:00Z`);
  const lines = ['time,air temperature °C,soil temperature 10 cm °C,rain mm,ET mm'];
  let spell = 0;
  let soil: number | undefined;
  let wet = false;
  for (let i = 0; i < days; i++) {
    const date = new Date(first + i * 86_400_000);
    const day = Math.floor((date.getTime() - Date.UTC(date.getUTCFullYear(), 0, 1)) / 86_400_000);
    const season = Math.cos((2 * Math.PI * (day - w.warmest)) / 365);
    const summer = (1 + season) / 2;
    spell = 0.75 * spell + 1.6 * bell();
    const air = w.meanC + w.swingC * season + spell;
    // Soil follows the air of the last week or so, and swings less.
    soil =
      soil === undefined
        ? w.meanC + 0.85 * w.swingC * Math.cos((2 * Math.PI * (day - w.warmest - 9)) / 365)
        : soil + 0.14 * (w.meanC + 0.9 * (air - w.meanC) - soil);
    const chance = w.wetWinter + (w.wetSummer - w.wetWinter) * summer;
    wet = uniform() < chance * (wet ? 1.35 : 0.82);
    const rain = wet ? -w.wetDayMm * Math.log(uniform()) : 0;
    const et = Math.max(
      0,
      (w.etWinter + (w.etSummer - w.etWinter) * summer) * (wet ? 0.6 : 1.08) * (1 + 0.12 * bell()),
    );
    const stamp = date.toISOString().slice(0, 10);
    const probe = uniform() < 1 / 40 ? '' : soil.toFixed(1);
    lines.push(
      `${stamp} 00:00,${(air - 3.5).toFixed(1)},${probe},${rain.toFixed(1)},${et.toFixed(1)}`,
      `${stamp} 12:00,${(air + 3.5).toFixed(1)},${probe},,`,
    );
  }
  return `${lines.join('\n')}\n`;
}
