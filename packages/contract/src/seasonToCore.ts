import {
  asFed,
  libraryCrop,
  unknownCrop,
  type Amount,
  type Application,
  type Crop,
  type Given,
  type Nutrient,
  type Product,
  type Range,
  type Rate,
  type Season,
  type UptakeCourse,
  type When,
  type Where,
} from '@wheat-ledger/core';
import type { CourseInput, CropInput, NutrientRangeInput, RangeInput } from './crop.js';
import type { AmountInput, ApplicationInput, WhenInput, WhereInput } from './programme.js';
import type { SeasonInput } from './season.js';

const toRange = ({ low, mid, high }: RangeInput): Range => ({ low, mid, high });
const byNutrient = (list: readonly NutrientRangeInput[]): Partial<Record<Nutrient, Range>> =>
  Object.fromEntries(list.map((entry) => [entry.nutrient, toRange(entry)]));

function toCourse({ kind, baseC = 0, halfDegreeDays = 1, endDegreeDays = 2, months = [] }: CourseInput): UptakeCourse {
  if (kind === 'steady') return { kind };
  if (kind === 'warmth') return { kind, baseC, halfDegreeDays, endDegreeDays };
  const whole = months.reduce((a, b) => a + b, 0);
  return { kind, months: months.map((m) => (whole > 0 ? m / whole : 1 / 12)) };
}

/** A grower's own crop as the core reads it: what it says outranks the library's crop it is based on, field by field and element by element. */
export function toCrop(input: CropInput, id: string): Crop {
  const base = (input.basedOn === undefined ? undefined : libraryCrop(input.basedOn)) ?? unknownCrop(id, input.name);
  const { pHLow, pHHigh, saltThresholdMsPerCm, saltSlopePercent, rowM, plantM } = input;
  const said = <K extends 'group' | 'nitrogenTaste' | 'chloride' | 'boron' | 'mycorrhiza'>(key: K): Crop[K] =>
    (input[key] as Crop[K]) ?? base[key];
  return {
    ...base,
    key: id,
    name: input.name,
    group: said('group'),
    nitrogenTaste: said('nitrogenTaste'),
    chloride: said('chloride'),
    boron: said('boron'),
    mycorrhiza: said('mycorrhiza'),
    yieldTPerHa: rangeOr(input.yieldTPerHa, base.yieldTPerHa),
    rootingM: rangeOr(input.rootingM, base.rootingM),
    uptakeKgPerHa: { ...base.uptakeKgPerHa, ...byNutrient(input.uptakeKgPerHa ?? []) },
    removedKgPerT: { ...base.removedKgPerT, ...byNutrient(input.removedKgPerT ?? []) },
    course: input.course ? toCourse(input.course) : base.course,
    pH: both({ low: pHLow, high: pHHigh }, base.pH),
    salt: both({ thresholdMsPerCm: saltThresholdMsPerCm, slopePercent: saltSlopePercent }, base.salt),
    spacing: both({ rowM, plantM }, base.spacing),
    ages: input.ages ?? base.ages,
    tissue: input.tissue && input.tissue.length > 0 ? input.tissue : base.tissue,
  };
}

const rangeOr = (said: RangeInput | undefined, base: Range | undefined): Range | undefined =>
  said ? toRange(said) : base;

/** Fields that are known together or not at all: each as it is said, or as the library has it. */
function both<T extends Readonly<Record<string, number>>>(
  said: { readonly [K in keyof T]: number | undefined },
  base: T | undefined,
): T | undefined {
  const all = Object.fromEntries(Object.entries(said).map(([key, value]) => [key, value ?? base?.[key]]));
  return Object.values(all).every((value) => value !== undefined) ? (all as T) : undefined;
}

/** The crop a season names, of the library or the grower's own; one that nothing is known of when it is not there. */
export function cropOfSeason(
  { crop = '', cropId }: Pick<SeasonInput, 'crop' | 'cropId'>,
  own: readonly (CropInput & { readonly id: string })[],
): Crop {
  const found = cropId === undefined ? undefined : own.find((c) => c.id === cropId);
  if (found) return toCrop(found, found.id);
  return libraryCrop(crop) ?? unknownCrop(cropId ?? crop, 'A crop that is not here');
}

/** A season as the core reads it. */
export const toSeason = (
  input: Pick<SeasonInput, 'crop' | 'cropId' | 'from' | 'to' | 'share' | 'fedUntil' | 'nitrogenKgPerHa'>,
  own: readonly (CropInput & { readonly id: string })[] = [],
): Season => ({
  crop: asFed(cropOfSeason(input, own), {
    until: input.fedUntil ?? 'end',
    nitrogenKgPerHa: input.nitrogenKgPerHa ?? undefined,
  }),
  from: input.from,
  to: input.to ?? undefined,
  share: input.share,
});

const exactly = (value: number): Range => ({ low: value, mid: value, high: value });

function toAmount(input: AmountInput): Amount {
  const { kind, amount = 0, unit = 'kg', least } = input;
  switch (kind) {
    case 'rate': {
      const rate: Rate = {
        amount,
        ...(least === undefined || least === null ? {} : { least }),
        unit,
        per: input.per ?? { amount: 1, unit: 'm²' },
      };
      return { kind, rate, water: input.water && { litres: toRange(input.water.litres), per: input.water.per } };
    }
    case 'measure':
      return {
        kind,
        count: input.count ? toRange(input.count) : exactly(1),
        holds: { amount, unit },
        per: input.countedPer ?? 'part',
      };
    case 'layer':
      return { kind, thicknessM: input.thicknessM ? toRange(input.thicknessM) : exactly(0) };
    case 'whole':
      return {
        kind,
        amount:
          least === undefined || least === null
            ? exactly(amount)
            : { low: least, mid: (least + amount) / 2, high: amount },
        unit,
      };
  }
}

function toWhen({ kind, on = '', from = '', to = '', everyDays = 1, days = 0, stage = 'planting' }: WhenInput): When {
  switch (kind) {
    case 'date':
      return { kind, on };
    case 'repeat':
      return { kind, from, to, everyDays };
    case 'afterPlanting':
      return { kind, days };
    case 'stage':
      return { kind, stage };
  }
}

function toWhere({ kind, depthM = 0.15, innerM = 0, outerM = 0 }: WhereInput): Where {
  if (kind === 'workedIn') return { kind, depthM };
  return kind === 'ring' ? { kind, innerM, outerM } : { kind };
}

/** An application as the core works with it. */
export const toApplication = ({ amount, when, where, part }: ApplicationInput): Application => ({
  amount: toAmount(amount),
  when: toWhen(when),
  where: toWhere(where),
  part: {
    share: part.share,
    plants: part.plants ?? undefined,
    rowM: part.rowM ?? undefined,
    mediumL: part.mediumL ?? undefined,
  },
});

/** A recipe's bags by their shares of its mass, as what is given. @param kgOf what each part weighs */
export function recipeAs(name: string, parts: readonly { readonly product: Product; readonly kg: number }[]): Given {
  const whole = parts.reduce((sum, p) => sum + p.kg, 0);
  return { name, parts: whole > 0 ? parts.map(({ product, kg }) => ({ product, share: kg / whole })) : [] };
}

/** An amount as it is kept. */
export function fromAmount(amount: Amount): AmountInput {
  switch (amount.kind) {
    case 'rate': {
      const { rate, water } = amount;
      return {
        kind: 'rate',
        amount: rate.amount,
        ...(rate.least === undefined ? {} : { least: rate.least }),
        unit: rate.unit,
        per: { ...rate.per },
        ...(water ? { water: { litres: { ...water.litres }, per: water.per } } : {}),
      };
    }
    case 'measure':
      return { kind: 'measure', ...amount.holds, count: { ...amount.count }, countedPer: amount.per };
    case 'layer':
      return { kind: 'layer', thicknessM: { ...amount.thicknessM } };
    case 'whole': {
      const { low, high } = amount.amount;
      return { kind: 'whole', amount: high, ...(low < high ? { least: low } : {}), unit: amount.unit };
    }
  }
}
