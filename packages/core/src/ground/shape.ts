import { computed, constant, difference, literal, product, sum, type Figure } from '../figure/index.js';
import { QuantityError } from '../errors.js';
import { fan, polygonPlan, type MeasuredPolygon } from './polygon.js';

/** The shape of a plot as it is measured with a tape; all lengths in metres. */
export type Shape =
  | { readonly kind: 'rectangle'; readonly lengthM: number; readonly widthM: number }
  | { readonly kind: 'circle'; readonly acrossM: number }
  /** A ring round a stem. `outerM` and `innerM` are distances from the middle. */
  | { readonly kind: 'ring'; readonly innerM: number; readonly outerM: number }
  | { readonly kind: 'triangle'; readonly sidesM: readonly [number, number, number] }
  /** Four to twelve sides in order, and the diagonals from the first corner to the third, the fourth and so on, which fix the shape. */
  | ({ readonly kind: 'polygon' } & MeasuredPolygon)
  | { readonly kind: 'beds'; readonly lengthM: number; readonly widthM: number; readonly count: number }
  | { readonly kind: 'rows'; readonly lengthM: number; readonly spacingM: number; readonly count: number }
  /** Pots and tubs known by what they hold: the surface is that of their openings. */
  | { readonly kind: 'containers'; readonly acrossM: number; readonly litres: number; readonly count: number };
export const SHAPES = ['rectangle', 'circle', 'ring', 'triangle', 'polygon', 'beds', 'rows', 'containers'] as const;
export type ShapeKind = (typeof SHAPES)[number];

const measured = (label: string, value: number, unit = 'm'): Figure =>
  literal(label, value, unit, 'measured', 'with a tape');
const square = (label: string, radius: Figure): Figure => product(label, 'm²', [radius, radius]);
const PI = constant('π', Math.PI, '', 'by definition');

function positive(values: Readonly<Record<string, number>>): void {
  for (const [path, value] of Object.entries(values))
    if (!(value > 0) || !Number.isFinite(value))
      throw new QuantityError('shape.length', `Read ${value}, expected a length above zero.`, path);
}

function triangle(label: string, sides: readonly [number, number, number]): Figure {
  const [a, b, c] = sides;
  positive({ a, b, c });
  const longest = Math.max(a, b, c);
  if (longest > a + b + c - longest)
    throw new QuantityError(
      'shape.triangle',
      `Read sides of ${a}, ${b} and ${c} m: they do not meet, since the longest is more than the other two together.`,
      'sidesM',
    );
  const s = (a + b + c) / 2;
  const area = Math.sqrt(Math.max(0, s * (s - a) * (s - b) * (s - c)));
  return computed(
    label,
    area,
    'm²',
    'heron',
    'from its three sides (Heron)',
    sides.map((side, i) => measured(`side ${i + 1}`, side)),
  );
}

/**
 * The area of a shape in m², with its working.
 * @throws QuantityError when a length is not above zero, sides do not meet, or a ring's inner edge is outside its outer one
 * @example plotArea({ kind: 'ring', innerM: 0.3, outerM: 0.9 }) // π(0.9² − 0.3²) = 2.26 m²
 */
export function plotArea(shape: Shape): Figure {
  switch (shape.kind) {
    case 'rectangle':
      positive({ lengthM: shape.lengthM, widthM: shape.widthM });
      return product('area', 'm²', [measured('length', shape.lengthM), measured('width', shape.widthM)]);
    case 'circle':
      positive({ acrossM: shape.acrossM });
      return product('area', 'm²', [
        PI,
        square(
          'radius squared',
          product('radius', 'm', [measured('across', shape.acrossM), constant('half', 0.5, '', 'by definition')]),
        ),
      ]);
    case 'ring': {
      positive({ outerM: shape.outerM });
      if (!(shape.innerM >= 0) || shape.innerM >= shape.outerM)
        throw new QuantityError(
          'shape.ring',
          `Read an inner edge at ${shape.innerM} m, expected less than the outer edge at ${shape.outerM} m.`,
          'innerM',
        );
      const outer = square('outer edge squared', measured('outer edge, from the middle', shape.outerM));
      const inner = square('inner edge squared', measured('inner edge, from the middle', shape.innerM));
      const between = computed(
        'outer less inner',
        outer.value.mid - inner.value.mid,
        'm²',
        'difference',
        'outer squared less inner squared',
        [outer, inner],
      );
      return product('area', 'm²', [PI, between]);
    }
    case 'triangle':
      return triangle('area', shape.sidesM);
    case 'polygon':
      return polygonArea(shape);
    case 'beds':
      positive({ lengthM: shape.lengthM, widthM: shape.widthM, count: shape.count });
      return product('area', 'm²', [
        measured('length of a bed', shape.lengthM),
        measured('width of a bed', shape.widthM),
        measured('beds', shape.count, ''),
      ]);
    case 'rows':
      positive({ lengthM: shape.lengthM, spacingM: shape.spacingM, count: shape.count });
      return product('area', 'm²', [
        measured('length of a row', shape.lengthM),
        measured('from row to row', shape.spacingM),
        measured('rows', shape.count, ''),
      ]);
    case 'containers':
      positive({ acrossM: shape.acrossM, litres: shape.litres, count: shape.count });
      return product('area', 'm²', [
        plotArea({ kind: 'circle', acrossM: shape.acrossM }),
        measured('containers', shape.count, ''),
      ]);
  }
}

/** The triangles of the fan added up; those where the bed folds back behind a diagonal are taken away. */
function polygonArea(shape: MeasuredPolygon): Figure {
  const triangles = fan(shape).map((sides, i) => triangle(`triangle ${i + 1}`, sides));
  const { signs } = polygonPlan(shape);
  const added = triangles.filter((_, i) => signs[i] === 1);
  const taken = triangles.filter((_, i) => signs[i] === -1);
  if (taken.length === 0) return sum('area', 'm²', added);
  return difference(
    'area',
    'm²',
    sum('triangles that add', 'm²', added),
    sum('triangles where it folds back', 'm²', taken),
  );
}

/** The medium in containers, in litres, with its working; undefined for shapes that are not containers. */
export const mediumVolume = (shape: Shape): Figure | undefined =>
  shape.kind === 'containers'
    ? product('medium in the containers', 'L', [
        measured('one holds', shape.litres, 'L'),
        measured('containers', shape.count, ''),
      ])
    : undefined;
