/** The chance of being wrong once that all looks share. */
const ALPHA = 0.05;

/**
 * How small p has to be at a look for stopping to be fair, however often one looks: 0.05 × 6 ÷ (π² k²) at the k-th look. All looks together then err in at
 * most 5 of 100 trials, whatever they have to do with each other (the union of all looks: Σ 1/k² = π²/6).
 * @param look counted from 1
 * @throws RangeError below 1
 * @example fairP(1) // 0.0304; at the fourth look 0.0019
 */
export function fairP(look: number, alpha = ALPHA): number {
  if (!(look >= 1)) throw new RangeError(`Read look ${look}, expected the first or a later one.`);
  return (alpha * 6) / (Math.PI * Math.round(look)) ** 2;
}
/** Whether stopping at a look is fair. @param least the least p that the layout can reach */
export function peek(
  look: number,
  p: number,
  least: number,
): { readonly fair: boolean; readonly needed: number; readonly never: boolean } {
  const needed = fairP(look);
  return { fair: p <= needed, needed, never: least > needed };
}
/** The last look at which a layout can still reach what is needed; 0 where not even at the first. @example lastUsefulLook(1/4096) // 11 */
export const lastUsefulLook = (least: number, alpha = ALPHA): number =>
  Math.floor(Math.sqrt((alpha * 6) / (Math.PI ** 2 * least)) + 1e-12);
