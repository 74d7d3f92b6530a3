import { literal, product as times, sum, type Figure } from '../figure/index.js';
import { handlingCost, pricePerKg, type HourlyRate } from '../price/index.js';
import { inCurrency, measure, per } from '../quantity/index.js';
import { standing, wentOn, type LogEntry } from './went.js';

/** What the material of some entries cost. */
export interface MaterialCost {
  /** Undefined where nothing of it has a price. */
  readonly figure: Figure | undefined;
  /** Bags without a price, or of which the weight cannot be told: the cost is without them. */
  readonly unpriced: readonly string[];
}

/**
 * What the material that went on would cost at the prices last seen, each bag at its cheapest by weight.
 * @example materialCost(entriesOf2026, 'EUR').figure?.value.mid
 */
export function materialCost(entries: readonly LogEntry[], currency: string): MaterialCost {
  const unpriced = new Set<string>();
  const costs = standing(entries)
    .flatMap(wentOn)
    .flatMap(({ product, kg }): Figure[] => {
      const price = pricePerKg(product, currency);
      if (price && kg) return [times(product.name, inCurrency(currency), [kg, price.figure])];
      unpriced.add(product.name);
      return [];
    });
  const [only] = costs;
  const figure = costs.length <= 1 ? only : sum('Material that went on', inCurrency(currency), costs);
  return { figure, unpriced: [...unpriced] };
}

/** What some entries cost, part by part; a part is undefined where nothing is said of it, which is not nothing. */
export interface LoggedCost {
  readonly material: Figure | undefined;
  readonly haulage: Figure | undefined;
  readonly work: Figure | undefined;
  readonly all: Figure | undefined;
  readonly unpriced: readonly string[];
  /** Entries whose time nobody wrote down, where an hour has a price. */
  readonly untimed: number;
}
/** Work that was timed, at what an hour is worth. */
function workOf(entries: readonly LogEntry[], hour: HourlyRate | undefined, currency: string): Figure | undefined {
  const minutes = entries.reduce((all, e) => all + (e.minutes ?? 0), 0);
  if (minutes <= 0 || hour?.currency !== currency) return undefined;
  const hours = literal('hours written down', minutes / 60, 'hours', 'measured', 'the log');
  const worth = literal('an hour', hour.amount, per(inCurrency(currency), measure('hour')), 'chosen', 'as you set it');
  return times('work', inCurrency(currency), [hours, worth]);
}

/**
 * What some entries cost: material at the prices last seen, haulage as said of each bag, and the work that was timed.
 * @param hour what an hour of work is worth; work is not counted where it is missing
 * @example loggedCost(entriesOf2026, 'EUR', { amount: 15, currency: 'EUR' }).all?.value.mid
 */
export function loggedCost(entries: readonly LogEntry[], currency: string, hour: HourlyRate | undefined): LoggedCost {
  const done = standing(entries);
  const { figure: material, unpriced } = materialCost(entries, currency);
  const hauled = done
    .flatMap(wentOn)
    .flatMap(({ product, kg }) => (kg ? (handlingCost(product, kg.value.mid, undefined, currency) ?? []) : []));
  const money = inCurrency(currency);
  const [only] = hauled;
  const haulage = hauled.length > 1 ? sum('haulage', money, hauled) : only;
  const work = workOf(done, hour, currency);
  const parts = [material, haulage, work].filter((p) => p !== undefined);
  const all = parts.length > 1 ? sum('material, haulage and work', money, parts) : parts[0];
  const untimed = hour ? done.filter((e) => e.minutes === undefined).length : 0;
  return { material, haulage, work, all, unpriced, untimed };
}
