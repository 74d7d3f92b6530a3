/**
 * Nitrate moved through a column of equally wet mixed cells by water that drains through all of them: the Erlang series, the exact
 * solution for the whole column at once, so neither the order of cells nor the size of the step matters.
 *
 * @param cells amounts from the top down; changed in place
 * @param drainedMm water that drains through
 * @param cellMm water that each cell holds
 * @returns the amount that left below the last cell
 * @example drainCells(Float64Array.of(1), 10, 20) // 1 − e^−0.5
 */
export function drainCells(cells: Float64Array, drainedMm: number, cellMm: number): number {
  if (!(drainedMm > 0)) return 0;
  const before = cells.reduce((a, b) => a + b, 0);
  const x = drainedMm / Math.max(cellMm, 1e-6);
  const stays = Math.exp(-x);
  for (let to = cells.length - 1; to >= 0; to--) {
    let term = stays;
    let amount = 0;
    for (let from = to; from >= 0; from--) {
      amount += (cells[from] ?? 0) * term;
      term *= x / (to - from + 1);
    }
    cells[to] = amount;
  }
  return before - cells.reduce((a, b) => a + b, 0);
}
