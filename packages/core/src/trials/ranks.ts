import type { TrialLayout } from './layout.js';
import type { Placed } from './permute.js';

/** Units that change places with each other: those of a block, or all. */
export function groupsOf(units: readonly Pick<Placed, 'block'>[], layout: TrialLayout): readonly (readonly number[])[] {
  if (layout !== 'blocks') return [units.map((_, i) => i)];
  const blocks = new Map<number, number[]>();
  units.forEach((u, i) => {
    const own = blocks.get(u.block ?? 0);
    if (own) own.push(i);
    else blocks.set(u.block ?? 0, [i]);
  });
  return [...blocks.values()];
}

/** Values turned into ranks within a block, ties sharing theirs: for scores, and whatever has no even steps. @example ranked([3, 1, 3]) // [2.5, 1, 2.5] */
export function ranked(values: readonly number[]): readonly number[] {
  return values.map((v) => {
    if (Number.isNaN(v)) return Number.NaN;
    const less = values.filter((w) => w < v).length;
    const same = values.filter((w) => w === v).length;
    return less + (same + 1) / 2;
  });
}
/** Units with their values as ranks: within their block, or among all. */
export function rankedUnits(units: readonly Placed[], layout: TrialLayout): readonly Placed[] {
  const made = units.map((u) => ({ ...u, values: [...u.values] }));
  const outcomes = units[0]?.values.length ?? 0;
  for (const group of groupsOf(units, layout))
    for (let k = 0; k < outcomes; k++) {
      const ranks = ranked(group.map((i) => units[i]?.values[k] ?? Number.NaN));
      group.forEach((i, at) => {
        const unit = made[i];
        if (unit) unit.values[k] = ranks[at] ?? Number.NaN;
      });
    }
  return made;
}
