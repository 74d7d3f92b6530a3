/** Moves label positions apart until none is closer than `gap`, keeping their order; positions ascending. */
export function spread(positions: readonly number[], gap: number, most: number): readonly number[] {
  const placed = [...positions];
  for (let i = 1; i < placed.length; i++) placed[i] = Math.max(placed[i] ?? 0, (placed[i - 1] ?? 0) + gap);
  let ceiling = most;
  for (let i = placed.length - 1; i >= 0; i--) {
    placed[i] = Math.min(placed[i] ?? 0, ceiling);
    ceiling = (placed[i] ?? 0) - gap;
  }
  return placed;
}
