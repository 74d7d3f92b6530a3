import { computed, literal, product as times, sum, type Figure } from '../figure/index.js';
import { libraryEntry, readIngredients, type InsideBound, type Product } from '../shelf/index.js';
import type { ComputedProgramme, ComputedRow } from './programme.js';

/** What a programme asks of the one who carries it out, and what it leaves on the ground besides nutrients. */
export interface Burden {
  /** Days on which something is given. */
  readonly passes: number;
  /** kg of product in all; undefined where nothing is given or no amount is known. */
  readonly carried: Figure | undefined;
  /** The most salt that one dose leaves on a square metre, g of sodium nitrate's worth; undefined where no salt index is known. */
  readonly salt: Figure | undefined;
  /** Names of what has no salt index. */
  readonly saltUnknown: readonly string[];
}

/** The salt index of a product: its own, or that of the one ingredient it is made of. By weight, sodium nitrate = 100. */
export function saltIndexOf(product: Product): Figure | undefined {
  if (product.saltIndex !== undefined)
    return literal(`salt index of ${product.name}`, product.saltIndex, '', 'label', 'product record');
  const { known, complete } = readIngredients(product.derivedFrom);
  if (!complete) return undefined;
  const [only, other] = known;
  const indexOf = (name: string): Figure | undefined => {
    const index = libraryEntry(name)?.saltIndex;
    return index && literal(`salt index of ${name}`, index.value, '', 'published', index.table);
  };
  if (!other) return only && indexOf(only.name);
  const parts = (product.inside ?? []).flatMap((bound) => {
    const index = indexOf(bound.name);
    return index ? [{ ...bound, index }] : [];
  });
  return parts.length === known.length ? saltIndexWithin(product.name, parts) : undefined;
}

type Salted = InsideBound & { readonly index: Figure };
/** The salt index of a mixture between what its shares leave room for: all that is not fixed goes to the least salty, or to the saltiest. */
function saltIndexWithin(name: string, parts: readonly Salted[]): Figure {
  const open = 1 - parts.reduce((sum, p) => sum + p.low, 0);
  const filled = (order: readonly Salted[]): number => {
    let left = open;
    return order.reduce((sum, { low, high, index }) => {
      const more = Math.max(0, Math.min(high - low, left));
      left -= more;
      return sum + (low + more) * index.value.mid;
    }, 0);
  };
  const byIndex = [...parts].sort((a, b) => a.index.value.mid - b.index.value.mid);
  const [low, high] = [filled(byIndex), filled([...byIndex].reverse())];
  return computed(
    `salt index of ${name}`,
    { low, mid: (low + high) / 2, high },
    '',
    'salt index',
    'its ingredients’ salt indexes by what they weigh in it, as far as the label leaves room',
    parts.map((p) => p.index),
  );
}

const timesOf = (row: ComputedRow): number => row.dates?.length ?? 0;

/** kg of a row in all, each time on its part. */
function carriedOf(row: ComputedRow): Figure | undefined {
  const often = timesOf(row);
  if (row.applied.kind !== 'applied' || often === 0 || row.doing.given.parts.length === 0) return undefined;
  return often === 1
    ? row.applied.whole
    : times(`${row.doing.given.name}, in all`, 'kg', [
        row.applied.whole,
        literal('times', often, 'applications', 'chosen', 'as planned'),
      ]);
}

/** Salt of one dose of a row, g of sodium nitrate's worth for each m² it is given to. */
function saltOf(row: ComputedRow, unknown: Set<string>): Figure | undefined {
  if (row.applied.kind !== 'applied' || timesOf(row) === 0) return undefined;
  const { perM2 } = row.applied;
  const parts = row.doing.given.parts.flatMap(({ product, share }): Figure[] => {
    const index = saltIndexOf(product);
    if (!index) {
      unknown.add(product.name);
      return [];
    }
    const at = (end: 'low' | 'mid' | 'high'): number => (perM2.value[end] * 1000 * share * index.value[end]) / 100;
    return [
      computed(
        `salt of ${product.name} in a dose`,
        { low: at('low'), mid: at('mid'), high: at('high') },
        'g/m²',
        'salt',
        'g of product × salt index ÷ 100: so many grams of sodium nitrate would be as salty (Rader, White & Whittaker 1943)',
        [perM2, index],
      ),
    ];
  });
  const [first] = parts;
  return parts.length > 1 ? sum(`salt of ${row.doing.given.name} in a dose`, 'g/m²', parts) : first;
}

/**
 * The burden of a programme: passes over the ground, kg to carry, and the saltiest dose.
 * @example programmeBurden(computeProgramme(…)).passes // 3
 */
export function programmeBurden({ rows }: ComputedProgramme): Burden {
  const days = new Set(rows.flatMap((row) => row.dates ?? []));
  const kilograms = rows.flatMap((row) => carriedOf(row) ?? []);
  const unknown = new Set<string>();
  const salts = rows.flatMap((row) => saltOf(row, unknown) ?? []);
  const [first] = kilograms;
  return {
    passes: days.size,
    carried: kilograms.length > 1 ? sum('carried in all', 'kg', kilograms) : first,
    salt: salts.reduce<Figure | undefined>((most, s) => (most && most.value.mid >= s.value.mid ? most : s), undefined),
    saltUnknown: [...unknown],
  };
}

/** kg of each product of a programme on its ground in all, by id. */
export function productsOf({
  rows,
}: ComputedProgramme): ReadonlyMap<string, { readonly product: Product; readonly kg: number }> {
  const found = new Map<string, { product: Product; kg: number }>();
  for (const row of rows) {
    const whole = carriedOf(row);
    if (!whole) continue;
    for (const { product, share } of row.doing.given.parts) {
      const kg = whole.value.mid * share;
      found.set(product.id, { product, kg: (found.get(product.id)?.kg ?? 0) + kg });
    }
  }
  return found;
}
