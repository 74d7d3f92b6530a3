import { QuantityError } from '../errors.js';

export type Point = readonly [number, number];

/** A polygon measured by its sides and the diagonals from its first corner; all in metres. */
export interface MeasuredPolygon {
  readonly sidesM: readonly number[];
  readonly diagonalsM: readonly number[];
  /** Corners, counted from 0, that turn in, as the person who measured it says. */
  readonly inward?: readonly number[] | undefined;
  /** Which of the outlines that have the same lengths and corners, counted from 0; the first unless said. */
  readonly outline?: number | undefined;
}

export const MOST_SIDES = 12;

/** How a measured polygon lies: its corners, which of them turn in, and on which side of the diagonal before each triangle stands. */
export interface PolygonPlan {
  readonly corners: readonly Point[];
  readonly inward: readonly boolean[];
  /** 1 for a triangle that adds to the area, −1 for one that folds back and is taken away. */
  readonly signs: readonly (1 | -1)[];
  /** Whether every corner turns as it was said to. */
  readonly asSaid: boolean;
  /** How many outlines have the same lengths and as many corners as said; this is one of them. */
  readonly outlines: number;
  readonly areaM2: number;
}

type Triangle = readonly [before: number, side: number, after: number];

/**
 * The triangles that a polygon's diagonals cut it into, each as its three sides: the diagonal before, the side, the diagonal after.
 * @throws QuantityError when it has fewer than four or more than twelve sides, or not three diagonals fewer than sides
 */
export function fan({ sidesM, diagonalsM }: MeasuredPolygon): readonly Triangle[] {
  const sides = sidesM.length;
  if (sides < 4 || sides > MOST_SIDES)
    throw new QuantityError('shape.sides', `Read ${sides} sides, expected 4 to ${MOST_SIDES}.`, 'sidesM');
  if (diagonalsM.length !== sides - 3)
    throw new QuantityError(
      'shape.diagonals',
      `Read ${diagonalsM.length} diagonals for ${sides} sides, expected ${sides - 3}.`,
      'diagonalsM',
    );
  const spokes = [sidesM[0] ?? 0, ...diagonalsM, sidesM[sides - 1] ?? 0];
  return Array.from({ length: sides - 2 }, (_, i): Triangle => [
    spokes[i] ?? 0,
    sidesM[i + 1] ?? 0,
    spokes[i + 1] ?? 0,
  ]);
}

/** Corners of the fan when each triangle is set on its side of the diagonal before it. */
function lay(triangles: readonly Triangle[], signs: readonly (1 | -1)[]): readonly Point[] {
  let angle = 0;
  const corners: Point[] = [
    [0, 0],
    [triangles[0]?.[0] ?? 0, 0],
  ];
  triangles.forEach(([before, side, after], i) => {
    const cosine = (before ** 2 + after ** 2 - side ** 2) / (2 * before * after);
    angle += (signs[i] ?? 1) * Math.acos(Math.max(-1, Math.min(1, cosine)));
    corners.push([after * Math.cos(angle), after * Math.sin(angle)]);
  });
  return corners;
}

/** Twice the signed area of the triangle of three points. */
const turn = (a: Point, b: Point, c: Point): number => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
const at = (corners: readonly Point[], i: number): Point => corners[(i + corners.length) % corners.length] ?? [0, 0];
const signedArea = (corners: readonly Point[]): number =>
  corners.reduce((s, [x, y], i) => s + x * at(corners, i + 1)[1] - at(corners, i + 1)[0] * y, 0) / 2;

/** Whether two sides that are not neighbours meet. */
function crosses(corners: readonly Point[], slack: number): boolean {
  const n = corners.length;
  for (let i = 0; i < n; i++)
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      const [a, b, c, d] = [at(corners, i), at(corners, i + 1), at(corners, j), at(corners, j + 1)];
      const apart = (p: number, q: number): boolean => (p > slack && q > slack) || (p < -slack && q < -slack);
      if (!apart(turn(a, b, c), turn(a, b, d)) && !apart(turn(c, d, a), turn(c, d, b))) return true;
    }
  return false;
}

/**
 * How a polygon lies that was measured by its sides and the diagonals from its first corner. The lengths leave open on which side of each
 * diagonal the next triangle stands: of all outlines whose sides do not cross, the one is taken whose corners turn as they are said to, out
 * unless said. Where several do, the person chooses by looking.
 * @throws QuantityError when its sides cross however its corners are turned
 * @example polygonPlan({ sidesM: [2, 2, 2, 4, 4, 2], diagonalsM: […], inward: [1] }).areaM2 // an L measured from one of its ends
 */
export function polygonPlan(shape: MeasuredPolygon): PolygonPlan {
  const triangles = fan(shape);
  const n = shape.sidesM.length;
  const size = Math.max(...shape.sidesM, ...shape.diagonalsM);
  const slack = 1e-9 * size * size;
  const wanted = new Set(shape.inward ?? []);
  const found: (Omit<PolygonPlan, 'outlines'> & { readonly missed: number; readonly folds: number })[] = [];
  for (let mask = 0; mask < 2 ** (n - 3); mask++) {
    const signs = triangles.map((_, i): 1 | -1 => (i > 0 && mask & (1 << (i - 1)) ? -1 : 1));
    const corners = lay(triangles, signs);
    if (crosses(corners, slack)) continue;
    const area = signedArea(corners);
    const facing = Math.sign(area);
    const inward = corners.map((corner, i) => facing * turn(at(corners, i - 1), corner, at(corners, i + 1)) < -slack);
    const missed = inward.filter((turnsIn, i) => turnsIn !== wanted.has(i)).length;
    const own = facing < 0 ? signs.map((sign): 1 | -1 => (sign === 1 ? -1 : 1)) : signs;
    const folds = own.filter((sign) => sign < 0).length;
    found.push({ corners, inward, signs: own, areaM2: Math.abs(area), asSaid: missed === 0, missed, folds });
  }
  const least = Math.min(...found.map((plan) => plan.missed));
  const matching = found
    .filter((plan) => plan.missed === least)
    .sort((x, y) => x.folds - y.folds || y.areaM2 - x.areaM2)
    .filter((plan, i, all) => !all.slice(0, i).some((p) => Math.abs(p.areaM2 - plan.areaM2) < 1e-6 * plan.areaM2));
  const best = matching[(shape.outline ?? 0) % Math.max(1, matching.length)];
  if (!best)
    throw new QuantityError(
      'shape.crossing',
      'With these lengths its sides would cross, however its corners turn: one of the lengths is off, or stands in another’s place.',
      'sidesM',
    );
  const { corners, inward, signs, asSaid, areaM2 } = best;
  return { corners, inward, signs, asSaid, outlines: matching.length, areaM2 };
}
