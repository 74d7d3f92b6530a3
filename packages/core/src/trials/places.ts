import type { TrialUnit } from './layout.js';

/** Ground between units and between blocks, m. */
export const GAP_M = { unit: 0.1, block: 0.3 } as const;
/** Blocks are moved in steps of so many metres. */
export const STEP_M = 0.1;

/** A left upper corner, m from that of the plot. */
export interface Place {
  readonly xM: number;
  readonly yM: number;
}
export interface UnitSize {
  readonly widthM: number;
  readonly depthM: number;
}
interface Box extends Place, UnitSize {}

/** The block of a unit; all units are one where the layout has none. */
export const blockOf = (u: Pick<TrialUnit, 'block'>): number => u.block ?? 0;

/** Where the units of a block stand within it. */
const inBlock = (u: TrialUnit, { widthM, depthM }: UnitSize): Place => ({
  xM: u.column * (widthM + GAP_M.unit),
  yM: u.block === undefined ? u.row * (depthM + GAP_M.unit) : 0,
});

/** Blocks one below the other, as they stand until somebody moves them. */
export function placesInRows(units: readonly TrialUnit[], size: UnitSize): readonly Place[] {
  const blocks = 1 + Math.max(0, ...units.map(blockOf));
  return Array.from({ length: blocks }, (_, block) => ({ xM: 0, yM: block * (size.depthM + GAP_M.block) }));
}

/** Each unit's left upper corner on the plot. @param places of the blocks, in their order */
export const unitPlaces = (
  units: readonly TrialUnit[],
  size: UnitSize,
  places: readonly Place[],
): ReadonlyMap<number, Place> =>
  new Map(
    units.map((u) => {
      const [own, at] = [inBlock(u, size), places[blockOf(u)]];
      return [u.number, { xM: (at?.xM ?? 0) + own.xM, yM: (at?.yM ?? 0) + own.yM }];
    }),
  );

/** The ground each block takes. */
export function blockBoxes(units: readonly TrialUnit[], size: UnitSize, places: readonly Place[]): readonly Box[] {
  return places.map((place, block) => {
    const own = units.filter((u) => blockOf(u) === block).map((u) => inBlock(u, size));
    return {
      ...place,
      widthM: Math.max(0, ...own.map((p) => p.xM)) + size.widthM,
      depthM: Math.max(0, ...own.map((p) => p.yM)) + size.depthM,
    };
  });
}

const HAIR = 1e-9;
/** Blocks that reach beyond a plot, by their numbers from 0. @example offPlot(boxes, { widthM: 3, depthM: 2 }) // [1] */
export const offPlot = (boxes: readonly Box[], plot: UnitSize): readonly number[] =>
  boxes.flatMap((b, i) => (b.xM + b.widthM > plot.widthM + HAIR || b.yM + b.depthM > plot.depthM + HAIR ? [i] : []));

/** Blocks that lie on each other, as pairs of their numbers from 0. @example overlapping([a, b]) // [] where they stand apart */
export const overlapping = (boxes: readonly Box[]): readonly (readonly [number, number])[] =>
  boxes.flatMap((a, i) =>
    boxes.slice(i + 1).flatMap((b, j): readonly (readonly [number, number])[] => {
      const apart =
        a.xM + a.widthM <= b.xM + HAIR ||
        b.xM + b.widthM <= a.xM + HAIR ||
        a.yM + a.depthM <= b.yM + HAIR ||
        b.yM + b.depthM <= a.yM + HAIR;
      return apart ? [] : [[i, i + 1 + j]];
    }),
  );

const stepped = (m: number): number => Number((Math.max(0, Math.round(m / STEP_M)) * STEP_M).toFixed(2));
/** Blocks after one of them was moved, in steps of 0.1 m and never off the plot's upper left. */
export const moved = (places: readonly Place[], block: number, by: Place): readonly Place[] =>
  places.map((p, i) => (i === block ? { xM: stepped(p.xM + by.xM), yM: stepped(p.yM + by.yM) } : p));
