import type { TrialLayout } from './layout.js';

const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));
const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
const range = (n: number): readonly number[] => Array.from({ length: n }, (_, i) => i);

/** Up to so many distinct arrangements all are gone through; beyond, they are drawn. */
export const MOST_EXACT = 200_000;
/** Arrangements that are drawn where there are too many to go through them all. */
export const DRAWS = 10_000;

/** Ways to hand some things out to as many places, alike things not told apart. @example distinctOrders([5, 5]) // 252 */
export const distinctOrders = (counts: readonly number[]): number => {
  let [ways, placed] = [1, 0];
  for (const count of counts)
    for (let i = 1; i <= count; i++) {
      placed += 1;
      ways = (ways * placed) / i;
    }
  return Math.round(ways);
};
/** How often each Latin square comes up when rows, columns and names are mixed but the first row and column stay. */
export const squareRepeats = (arms: number): number => range(arms).filter((k) => gcd(k, arms) === 1).length;
/** Latin squares that the layout can draw: the cyclic square with its rows, columns and names mixed. @example latinSquares(4) // 432 */
export const latinSquares = (arms: number): number =>
  (factorial(arms - 1) ** 2 * factorial(arms)) / squareRepeats(arms);

/** How many distinct arrangements a layout has when no unit is lost. @example arrangementsOf('random', 2, 5) // 252 */
export function arrangementsOf(layout: TrialLayout, arms: number, replicates: number): number {
  if (layout === 'latin') return latinSquares(arms);
  if (layout === 'blocks') return factorial(arms) ** replicates;
  return distinctOrders(Array.from({ length: arms }, () => replicates));
}

/** Puts a list into its next order, from its smallest to its largest; false where it was the last, and is the first again. */
function nextOrder(list: Int32Array): boolean {
  let i = list.length - 2;
  while (i >= 0 && (list[i] as number) >= (list[i + 1] as number)) i--;
  if (i < 0) {
    list.reverse();
    return false;
  }
  let j = list.length - 1;
  while ((list[j] as number) <= (list[i] as number)) j--;
  const [a, b] = [list[i] as number, list[j] as number];
  list[i] = b;
  list[j] = a;
  list.subarray(i + 1).reverse();
  return true;
}

/** All distinct arrangements of arms within groups of places, each written into the same array. */
export function* everyArrangement(start: Int32Array, groups: readonly (readonly number[])[]): Generator<Int32Array> {
  const now = Int32Array.from(start);
  const orders = groups.map((group) => Int32Array.from(group, (i) => start[i] ?? 0).sort());
  const write = (g: number): void => groups[g]?.forEach((place, k) => (now[place] = orders[g]?.[k] ?? 0));
  groups.forEach((_, g) => write(g));
  const toNext = (): boolean =>
    orders.some((order, g) => {
      const more = nextOrder(order);
      write(g);
      return more;
    });
  do yield now;
  while (toNext());
}
/** Every order of some numbers. */
function* ordersOf(numbers: readonly number[]): Generator<readonly number[]> {
  const list = Int32Array.from(numbers);
  do yield [...list];
  while (nextOrder(list));
}
/** Every Latin square that the layout can draw, each as often as any other. */
export function* everySquare(arms: number): Generator<readonly (readonly number[])[]> {
  const [first, ...rest] = range(arms);
  for (const rows of ordersOf(rest))
    for (const columns of ordersOf(rest))
      for (const names of ordersOf(range(arms)))
        yield [first ?? 0, ...rows].map((r) => [first ?? 0, ...columns].map((c) => names[(r + c) % arms] ?? 0));
}
/** Mixes the arms of some places in place (Fisher & Yates); from whatever order they stand in. */
export function shuffleWithin(armAt: Int32Array, places: readonly number[], draw: () => number): void {
  for (let i = places.length - 1; i > 0; i--) {
    const from = places[i] as number;
    const to = places[Math.floor(draw() * (i + 1))] as number;
    const arm = armAt[from] ?? 0;
    armAt[from] = armAt[to] ?? 0;
    armAt[to] = arm;
  }
}
/** Arrangements that stand out as far as the best there is whatever was measured: names of the treated changed, and one of them with the control. */
const alike = (arms: number): number => 2 * factorial(arms - 1);

/**
 * The least p that the permutation test of a layout can reach, with the best separated data there are: 2 (t − 1)! of all its distinct arrangements. Where
 * arrangements are drawn, p is never below one in so many.
 * @example leastP('blocks', 3, 3) // 4/216 = 0.0185
 */
export function leastP(layout: TrialLayout, arms: number, replicates: number, draws = DRAWS): number {
  const all = arrangementsOf(layout, arms, replicates);
  const least = Math.min(1, alike(arms) / all);
  return all <= MOST_EXACT ? least : Math.max(least, 1 / (draws + 1));
}
/**
 * The least p when one treatment alone stands far out and the others are alike: any arm may take its places.
 * @example leastPAlone('blocks', 3, 3) // 1/9
 */
export function leastPAlone(layout: TrialLayout, arms: number, replicates: number): number {
  if (layout === 'blocks') return Math.min(1, arms ** (1 - replicates));
  if (layout === 'latin') return Math.min(1, 1 / factorial(arms - 1));
  return Math.min(1, arms / distinctOrders([replicates, (arms - 1) * replicates]));
}
/** Blocks that are needed until a p can be reached. @example blocksToReach(0.05, 2) // 6 */
export function blocksToReach(p: number, arms: number, least: typeof leastPAlone = leastP): number {
  let blocks = 1;
  while (least('blocks', arms, blocks) > p * (1 + 1e-12)) blocks += 1;
  return blocks;
}
