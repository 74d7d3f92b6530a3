import { useFormContext, useWatch } from 'react-hook-form';
import { polygonLengths, SHAPE_LENGTHS, toShape, type PlotInput } from '@wheat-ledger/contract';
import {
  capital,
  fan,
  mediumVolume,
  MOST_SIDES,
  plotArea,
  SHAPES,
  type Shape,
  type ShapeKind,
} from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { SelectField, TextField } from '../ui/Field';
import type { PlotText } from './plotText';

const SHAPE_NAMES: Readonly<Record<ShapeKind, string>> = {
  rectangle: 'a rectangle',
  circle: 'a circle',
  ring: 'a ring round a stem',
  triangle: 'a triangle',
  polygon: 'uneven sides',
  beds: 'equal beds',
  rows: 'rows',
  containers: 'pots or tubs',
};

/** How the area is known: typed, or worked out from lengths measured with a tape. */
export function ShapeFields({ plain, readable }: { plain: PlotInput; readable: boolean }) {
  const { control } = useFormContext<PlotText>();
  const kind = useWatch({ control, name: 'shape' });
  const sides = useWatch({ control, name: 'sides' });
  const spec = (SHAPES as readonly string[]).includes(kind) ? SHAPE_LENGTHS[kind as ShapeKind] : undefined;
  const volume = readable && plain.shape ? mediumVolume(toShape(plain.shape)) : undefined;
  return (
    <>
      <SelectField
        name="shape"
        label="Its shape"
        options={[{ value: '', text: 'area as typed' }, ...SHAPES.map((s) => ({ value: s, text: SHAPE_NAMES[s] }))]}
      />
      {!spec && <TextField name="area" label="Area" placeholder="120 m² or 0.75 acre" />}
      {kind === 'polygon' && (
        <SelectField
          name="sides"
          label="How many sides"
          options={Array.from({ length: MOST_SIDES - 3 }, (_, i) => ({ value: String(i + 4), text: String(i + 4) }))}
        />
      )}
      {(kind === 'polygon' ? polygonLengths(Number(sides)) : spec?.lengths)?.map((name, i) => (
        <TextField key={name} name={`lengths.${i}`} label={capital(name)} placeholder="2.5 m or 8 ft" />
      ))}
      {spec?.counted && <TextField name="count" label={`How many ${spec.counted}`} inputMode="numeric" />}
      {spec?.holds && <TextField name="litres" label="One holds" placeholder="12 L or 3 US gal" />}
      {kind === 'polygon' && (
        <p className="col-span-2 self-end text-sm text-faint">
          Go round with the tape, then measure from the first corner to every corner that is not its neighbour.
        </p>
      )}
      {kind === 'containers' && (
        <p className="col-span-2 self-end text-sm text-faint">
          Two measures: the surface of the openings, and the litres of medium. In a deep pot they differ much; a dose
          says which it goes by.
        </p>
      )}
      {kind === 'ring' && (
        <p className="col-span-2 self-end text-sm text-faint">
          A “2-foot ring” is two feet across or two feet out, a fourfold difference. Measure both edges from the middle,
          and keep the inner one off the stem.
        </p>
      )}
      {spec && (
        <div className="self-end pb-1">
          {readable && plain.shape ? (
            <>
              Area <FigureButton figure={plotArea(toShape(plain.shape))} /> m²
              {volume && (
                <>
                  , <FigureButton figure={volume} /> L of medium
                </>
              )}
            </>
          ) : (
            <span className="text-faint">The area follows from the lengths.</span>
          )}
        </div>
      )}
    </>
  );
}

const BOX = 240;
const EDGE = 14;

/** Corner points and circles of a shape in metres, ready to be drawn to one scale. */
function outline(shape: Shape): {
  readonly width: number;
  readonly height: number;
  readonly draw: (x: (m: number) => number, y: (m: number) => number, scale: number) => React.ReactNode;
} {
  const polygon = (points: readonly (readonly [number, number])[]) => {
    const left = Math.min(...points.map(([px]) => px));
    const low = Math.min(...points.map(([, py]) => py));
    const moved = points.map(([px, py]) => [px - left, py - low] as const);
    return {
      width: Math.max(...moved.map(([px]) => px)),
      height: Math.max(...moved.map(([, py]) => py)),
      draw: (x: (m: number) => number, y: (m: number) => number) => (
        <path d={`M${moved.map(([px, py]) => `${x(px)} ${y(py)}`).join('L')}Z`} />
      ),
    };
  };
  /** The corner that is `b` from the first and `c` from the second point of a base of length `a`. */
  const apex = (a: number, b: number, c: number): readonly [number, number] => {
    const px = (a * a + b * b - c * c) / (2 * a);
    return [px, Math.sqrt(Math.max(0, b * b - px * px))];
  };
  const strips = (length: number, breadth: number, count: number, gap: number) => ({
    width: length,
    height: count * breadth + (count - 1) * gap,
    draw: (x: (m: number) => number, y: (m: number) => number, scale: number) =>
      Array.from({ length: Math.min(count, 200) }, (_, i) => (
        <rect
          key={i}
          x={x(0)}
          y={y(i * (breadth + gap) + breadth)}
          width={length * scale}
          height={Math.max(1, breadth * scale)}
        />
      )),
  });
  switch (shape.kind) {
    case 'rectangle':
      return strips(shape.lengthM, shape.widthM, 1, 0);
    case 'beds':
      return strips(shape.lengthM, shape.widthM, shape.count, shape.widthM * 0.4);
    case 'rows':
      return strips(shape.lengthM, shape.spacingM, shape.count, 0);
    case 'circle':
      return {
        width: shape.acrossM,
        height: shape.acrossM,
        draw: (x, y, scale) => (
          <circle cx={x(shape.acrossM / 2)} cy={y(shape.acrossM / 2)} r={(shape.acrossM / 2) * scale} />
        ),
      };
    case 'ring':
      return {
        width: 2 * shape.outerM,
        height: 2 * shape.outerM,
        draw: (x, y, scale) => (
          <>
            <circle cx={x(shape.outerM)} cy={y(shape.outerM)} r={shape.outerM * scale} />
            <circle
              cx={x(shape.outerM)}
              cy={y(shape.outerM)}
              r={shape.innerM * scale}
              style={{ fill: 'var(--chalk)' }}
            />
            <circle cx={x(shape.outerM)} cy={y(shape.outerM)} r="3" style={{ fill: 'var(--pine)' }} />
          </>
        ),
      };
    case 'triangle':
      return polygon([[0, 0], [shape.sidesM[0], 0], apex(shape.sidesM[0], shape.sidesM[2], shape.sidesM[1])]);
    case 'polygon': {
      // Each triangle of the fan is set beside the one before, turned about the first corner.
      let angle = 0;
      const corners: (readonly [number, number])[] = [
        [0, 0],
        [shape.sidesM[0] ?? 0, 0],
      ];
      for (const [before, side, after] of fan(shape)) {
        angle += Math.acos(Math.max(-1, Math.min(1, (before ** 2 + after ** 2 - side ** 2) / (2 * before * after))));
        corners.push([after * Math.cos(angle), after * Math.sin(angle)]);
      }
      return polygon(corners);
    }
    case 'containers': {
      const across = Math.min(shape.count, 8);
      const down = Math.ceil(Math.min(shape.count, 200) / across);
      const step = shape.acrossM * 1.15;
      return {
        width: (across - 1) * step + shape.acrossM,
        height: (down - 1) * step + shape.acrossM,
        draw: (x, y, scale) =>
          Array.from({ length: Math.min(shape.count, 200) }, (_, i) => (
            <circle
              key={i}
              cx={x((i % across) * step + shape.acrossM / 2)}
              cy={y(Math.floor(i / across) * step + shape.acrossM / 2)}
              r={(shape.acrossM / 2) * scale}
            />
          )),
      };
    }
  }
}

const ROUND_LENGTHS = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000] as const;

/** The plot to scale as its numbers are typed, with a rule of a round length beside it. */
export function PlotSketch({ shape }: { shape: Shape }) {
  const { width, height, draw } = outline(shape);
  const scale = (BOX - 2 * EDGE) / Math.max(width, height, 1e-6);
  const tall = height * scale + 2 * EDGE + 26;
  const x = (m: number): number => EDGE + m * scale;
  const y = (m: number): number => EDGE + (height - m) * scale;
  const rule = [...ROUND_LENGTHS].reverse().find((l) => l * scale <= BOX / 2.5) ?? ROUND_LENGTHS[0];
  return (
    <svg
      viewBox={`0 0 ${BOX} ${tall}`}
      role="img"
      aria-label={`The plot to scale, ${width.toFixed(1)} by ${height.toFixed(1)} m over all`}
      className="max-h-72 w-full"
    >
      <g fill="url(#pattern-rest)" stroke="var(--pine)" strokeWidth="1.5">
        {draw(x, y, scale)}
      </g>
      <path d={`M${EDGE} ${tall - 16}v6h${rule * scale}v-6`} fill="none" stroke="var(--pine)" />
      <text x={EDGE + rule * scale + 6} y={tall - 8} fontSize="12" fill="var(--faint)">
        {rule} m
      </text>
    </svg>
  );
}
