import { literal, product as times, sum, type Figure } from '../figure/index.js';
import { printDay, unitOf } from '../quantity/index.js';
import { densityFigure } from './density.js';
import type { Product } from './product.js';

/** Why an amount came or went. */
export const STOCK_REASONS = ['bought', 'used', 'counted', 'spoiled', 'givenAway', 'made'] as const;
export type StockReason = (typeof STOCK_REASONS)[number];
export const STOCK_REASON_WORDS: Readonly<Record<StockReason, string>> = {
  bought: 'bought',
  used: 'used',
  counted: 'set right by a count',
  spoiled: 'spoiled or lost',
  givenAway: 'given away',
  made: 'mixed here',
};

/** One amount that came (above zero) or went (below). */
export interface StockMovement {
  readonly amount: number;
  /** A unit of weight or volume. */
  readonly unit: string;
  readonly reason: StockReason;
  readonly on: string;
  /** The batch printed on the bag; empty when nobody wrote it down. */
  readonly lot: string;
}

export type StockOnHand =
  /** kg, or L where everything was measured by volume. */
  | { readonly kind: 'figure'; readonly figure: Figure }
  | { readonly kind: 'none' }
  /** Some was weighed and some measured by volume, and no density is entered to add them up. */
  | { readonly kind: 'needsDensity' };

/** The amount each movement brought or took, in kg or L, as a figure. */
function amountFigure(movement: StockMovement, byWeight: boolean, density: Figure | undefined): Figure | undefined {
  const { amount, unit, reason, on, lot } = movement;
  const { factor, dimension } = unitOf(unit);
  const label = `${STOCK_REASON_WORDS[reason]}, ${printDay(on)}${lot === '' ? '' : `, lot ${lot}`}`;
  const isMass = dimension === 'mass';
  const moved = literal(label, amount * factor, isMass ? 'kg' : 'L', 'measured', `typed as ${amount} ${unit}`);
  if (isMass || !byWeight) return moved;
  return density && times(`${label}, by weight`, 'kg', [moved, density]);
}

/**
 * What is left of a product: the sum of what came and went, in kg; in L where everything was measured by volume.
 * @example stockOnHand(bag, [{ amount: 20, unit: 'kg', reason: 'bought', … }, { amount: -3, unit: 'kg', reason: 'used', … }]) // 17 kg
 */
export function stockOnHand(
  product: Pick<Product, 'name' | 'densityKgPerL'>,
  movements: readonly StockMovement[],
): StockOnHand {
  if (movements.length === 0) return { kind: 'none' };
  const byWeight = movements.some((m) => unitOf(m.unit).dimension === 'mass');
  const density = densityFigure(product);
  const parts = movements.map((m) => amountFigure(m, byWeight, density));
  const known = parts.filter((p) => p !== undefined);
  if (known.length < parts.length) return { kind: 'needsDensity' };
  return { kind: 'figure', figure: sum(`${product.name} on hand`, byWeight ? 'kg' : 'L', known) };
}

/**
 * The lot that is used first: of those something is left of, the one that came first; empty where none is, or nobody wrote lots down.
 * @example openLot(bag, [{ amount: 20, unit: 'kg', reason: 'bought', on: '2026-02-20', lot: 'A1' }]) // 'A1'
 */
export function openLot(product: Pick<Product, 'name' | 'densityKgPerL'>, movements: readonly StockMovement[]): string {
  const byDay = [...movements].sort((a, b) => a.on.localeCompare(b.on));
  const left = (lot: string): boolean => {
    const stock = stockOnHand(
      product,
      byDay.filter((m) => m.lot === lot),
    );
    return stock.kind === 'needsDensity' || (stock.kind === 'figure' && stock.figure.value.mid > 0);
  };
  return [...new Set(byDay.map((m) => m.lot))].find(left) ?? '';
}
