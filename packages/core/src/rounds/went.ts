import { literal, product as times, quotient, sum, type Figure } from '../figure/index.js';
import { analyteName, type Analyte } from '../nutrient/index.js';
import { printDay } from '../quantity/index.js';
import { applied, bagAs, unknownCrop, type Brought, type Season, type Where } from '../season/index.js';
import type { Product } from '../shelf/index.js';

/** What was really done, as far as it is reckoned with. */
export interface LogEntry {
  readonly id: string;
  readonly on: string;
  readonly what: string;
  /** Ground it went on, m². */
  readonly areaM2: number;
  readonly items: readonly {
    readonly product: Product | undefined;
    readonly amount: number;
    readonly unit: string;
  }[];
  readonly corrects?: string | undefined;
  /** The task of a round that it ticked off. */
  readonly task?: string | undefined;
  readonly where?: Where['kind'] | undefined;
  /** That it took. */
  readonly minutes?: number | undefined;
}
/** The entries that stand: what was corrected gives way to what corrects it. @example standing(entries).length */
export function standing<E extends Pick<LogEntry, 'id' | 'corrects'>>(entries: readonly E[]): readonly E[] {
  const corrected = new Set(entries.flatMap((e) => e.corrects ?? []));
  return entries.filter((e) => !corrected.has(e.id));
}

/** All of the plot, whatever grows on it. */
const ALL_GROUND: Season = { crop: unknownCrop('', 'The plot'), from: '2000-01-01', share: 1 };

const WHOLE_PLOT = { share: 1 };

/** What one bag of an entry brought, through the one function that reckons doses. */
export interface Went {
  readonly product: Product;
  /** kg in all; undefined where that cannot be told. */
  readonly kg: Figure | undefined;
  readonly brings: readonly Brought[];
}
/** Entries never change: what one comes to is worked out once. */
const worked = new WeakMap<LogEntry, readonly Went[]>();
export function wentOn(entry: LogEntry): readonly Went[] {
  const known = worked.get(entry);
  if (known) return known;
  const went = entry.items.flatMap(({ product, amount, unit }): Went[] => {
    if (!product || amount === 0) return [];
    const dose = applied(
      {
        amount: { kind: 'whole', amount: { low: amount, mid: amount, high: amount }, unit },
        when: { kind: 'date', on: entry.on },
        where: { kind: 'surface' },
        part: WHOLE_PLOT,
      },
      bagAs(product),
      { areaM2: entry.areaM2 },
      ALL_GROUND,
    );
    return dose.kind === 'applied'
      ? [{ product, kg: dose.whole, brings: dose.brings }]
      : [{ product, kg: undefined, brings: [] }];
  });
  worked.set(entry, went);
  return went;
}

/** What one entry brought of an element to the whole plot, kg, bag by bag. */
export function broughtKg(entry: LogEntry, analyte: Analyte): readonly Figure[] {
  return wentOn(entry).flatMap(({ product, brings }) => {
    const found = brings.find((b) => b.analyte === analyte);
    return found
      ? [
          times(`${analyteName(analyte)} of ${product.name}, ${printDay(entry.on)}`, 'kg', [
            found.figure,
            literal('ground it went on', entry.areaM2 / 10_000, 'ha', 'chosen', 'log entry'),
          ]),
        ]
      : [];
  });
}

/** A sum over the plot as kg/ha of it. */
export const overPlot = (label: string, of: readonly Figure[], areaM2: number): Figure | undefined => {
  const [only] = of;
  if (!only) return undefined;
  const all = of.length === 1 ? only : sum(label, 'kg', of);
  return quotient(label, 'kg/ha', all, literal('area of the plot', areaM2 / 10_000, 'ha', 'chosen', 'plot record'));
};
