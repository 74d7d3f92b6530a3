import type { RecordKind } from './kinds.js';

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null;

/** Four uneven sides are a polygon now, and a plot’s crop is a season of its own. */
function plotOfToday(input: object): object {
  const { crop, plantedOn, ...rest } = input as Readonly<Record<string, unknown>>;
  const { shape } = rest;
  const kept = hasSeason(crop, plantedOn) ? rest : input;
  return isObject(shape) && shape.kind === 'fourSides' ? { ...kept, shape: { ...shape, kind: 'polygon' } } : kept;
}

/** What stood in a plot before there were seasons. What is neither is left where it stands, to be refused by name. */
const hasSeason = (crop: unknown, plantedOn: unknown): boolean =>
  typeof crop === 'string' && typeof plantedOn === 'string';

/** The crop an older ledger’s file gives with a plot, as the season it is today; undefined where there is none. */
export function seasonOfToday(plotId: string, input: object): object | undefined {
  const { crop, plantedOn } = input as { readonly crop?: unknown; readonly plantedOn?: unknown };
  return hasSeason(crop, plantedOn) ? { plotId, crop, from: plantedOn, share: 1, note: '' } : undefined;
}

/** A rate's one unit, such as lb/1000 ft², is two now: of the product, and what it is for each of. */
function directionOf(unit: unknown, rest: object, of = ''): object {
  const [, left, count, right] = /^([^/]+)\/(?:(\d+) )?(.+)$/.exec(String(unit)) ?? [];
  return { use: '', ...rest, unit: left, per: { amount: Number(count ?? 1), unit: `${right}${of}` } };
}

/** What was left of a bag stood in the bag; it is a stock movement now. */
const isAmount = (stock: unknown): stock is { readonly amount: number; readonly unit: string } =>
  isObject(stock) && typeof stock.amount === 'number' && typeof stock.unit === 'string';

/** The stock an older ledger's file gives with a bag, as the movement it is today; undefined where there is none. */
export function stockOfToday(productId: string, input: object, on: string): object | undefined {
  const { stock } = input as { readonly stock?: unknown };
  return isAmount(stock) && stock.amount !== 0
    ? { productId, amount: stock.amount, unit: stock.unit, reason: 'counted', on, lot: '', note: '' }
    : undefined;
}

/** The one label rate and the one dilution are directions now. What is neither is left where it stands, to be refused by name. */
function productOfToday(input: object): object {
  const { labelRate, dilution, stock, ...rest } = input as Readonly<Record<string, unknown>>;
  const rates = [labelRate, dilution].filter((rate) => rate !== undefined);
  if (rates.length === 0) return stock === undefined || !isAmount(stock) ? input : rest;
  if (rates.some((rate) => rate !== null && !isObject(rate))) return input;
  const directions = [
    ...(isObject(labelRate)
      ? [directionOf(labelRate.unit, { amount: labelRate.amount, perYear: labelRate.perYear })]
      : []),
    ...(isObject(dilution) ? [directionOf(dilution.unit, { amount: dilution.amount }, ' of water')] : []),
  ];
  return directions.length > 0 ? { ...rest, directions } : rest;
}

/** An input as it is written today, from one that an older ledger exported or keeps in its book. */
export const ofToday = (kind: RecordKind, input: object): object =>
  kind === 'plot' ? plotOfToday(input) : kind === 'product' ? productOfToday(input) : input;
