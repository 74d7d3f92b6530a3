import { addDays, type Range } from '../quantity/index.js';
import type { Amount, When } from './application.js';

/**
 * A time moved by so many days; a growth stage stays what it is.
 * @example movedWhen({ kind: 'afterPlanting', days: 20 }, 7) // 27 days after planting
 */
export function movedWhen(when: When, days: number): When {
  switch (when.kind) {
    case 'date':
      return { kind: 'date', on: addDays(when.on, days) };
    case 'afterPlanting':
      return { kind: 'afterPlanting', days: when.days + days };
    case 'repeat':
      return { ...when, from: addDays(when.from, days), to: addDays(when.to, days) };
    case 'stage':
      return when;
  }
}

/** Figures that a moved amount keeps: nobody weighs out a fourth. */
const KEPT = 3;
const scaled = ({ low, mid, high }: Range, factor: number): Range => {
  const by = (n: number): number => Number((n * factor).toPrecision(KEPT));
  return { low: by(low), mid: by(mid), high: by(high) };
};

/**
 * So many times an amount, to three figures. Of a feed the strength changes, not the water.
 * @example scaledAmount(amount of 40 g/m², 1.5) // 60 g/m²
 */
export function scaledAmount(amount: Amount, factor: number): Amount {
  switch (amount.kind) {
    case 'rate': {
      const { least, amount: most, ...rest } = amount.rate;
      const by = (n: number): number => Number((n * factor).toPrecision(KEPT));
      return { ...amount, rate: { ...rest, amount: by(most), ...(least === undefined ? {} : { least: by(least) }) } };
    }
    case 'measure':
      return { ...amount, count: scaled(amount.count, factor) };
    case 'layer':
      return { ...amount, thicknessM: scaled(amount.thicknessM, factor) };
    case 'whole':
      return { ...amount, amount: scaled(amount.amount, factor) };
  }
}
