import { polygonPlan, type Point, type PolygonPlan, type Shape } from '@wheat-ledger/core';

const BOX = 240;
const EDGE = 14;

/** Corner points and circles of a shape in metres, ready to be drawn to one scale. @param onTurn turns a corner in or out */
function outline(
  shape: Shape,
  onTurn: ((corner: number) => void) | undefined,
): {
  readonly width: number;
  readonly height: number;
  readonly draw: (x: (m: number) => number, y: (m: number) => number, scale: number) => React.ReactNode;
} {
  const polygon = (points: readonly Point[], plan?: PolygonPlan) => {
    const left = Math.min(...points.map(([px]) => px));
    const low = Math.min(...points.map(([, py]) => py));
    const moved = points.map(([px, py]) => [px - left, py - low] as const);
    return {
      width: Math.max(...moved.map(([px]) => px)),
      height: Math.max(...moved.map(([, py]) => py)),
      draw: (x: (m: number) => number, y: (m: number) => number) => (
        <>
          <path d={`M${moved.map(([px, py]) => `${x(px)} ${y(py)}`).join('L')}Z`} />
          {plan &&
            onTurn &&
            moved.map(([px, py], i) => (
              <Corner
                key={i}
                number={i + 1}
                at={[x(px), y(py)]}
                inward={plan.inward[i] === true}
                onTurn={() => onTurn(i)}
              />
            ))}
        </>
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
      const plan = polygonPlan(shape);
      return polygon(plan.corners, plan);
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

/** A corner that is turned in or out by pressing it. */
function Corner({
  number,
  at: [x, y],
  inward,
  onTurn,
}: {
  number: number;
  at: Point;
  inward: boolean;
  onTurn: () => void;
}) {
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={inward}
      aria-label={`Corner ${number} turns ${inward ? 'in' : 'out'}`}
      className="cursor-pointer"
      onClick={onTurn}
      onKeyDown={(e) => {
        if (e.key !== 'Enter' && e.key !== ' ') return;
        e.preventDefault();
        onTurn();
      }}
    >
      <circle cx={x} cy={y} r="12" fill="transparent" stroke="none" />
      <circle cx={x} cy={y} r="7.5" style={{ fill: inward ? 'var(--wheat)' : 'var(--paper)' }} />
      <text x={x} y={y + 4} textAnchor="middle" fontSize="10.5" stroke="none" fill={inward ? '#17302B' : 'var(--pine)'}>
        {number}
      </text>
    </g>
  );
}

interface SketchProps {
  readonly shape: Shape;
  readonly onTurn?: (corner: number) => void;
  /** Whether the shape is only supposed, and its edge dashed. */
  readonly supposed?: boolean;
}

/** The plot to scale as its numbers are typed, with a rule of a round length beside it. */
export function PlotSketch({ shape, onTurn, supposed = false }: SketchProps) {
  const { width, height, draw } = outline(shape, onTurn);
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
      <g
        fill="url(#pattern-rest)"
        stroke="var(--pine)"
        strokeWidth="1.5"
        strokeDasharray={supposed ? '5 4' : undefined}
      >
        {draw(x, y, scale)}
      </g>
      <path d={`M${EDGE} ${tall - 16}v6h${rule * scale}v-6`} fill="none" stroke="var(--pine)" />
      <text x={EDGE + rule * scale + 6} y={tall - 8} fontSize="12" fill="var(--faint)">
        {rule} m
      </text>
    </svg>
  );
}
