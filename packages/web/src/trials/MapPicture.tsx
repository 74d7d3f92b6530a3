import { formatTrimmed, type TrialUnit } from '@wheat-ledger/core';

/** Ground between units and between blocks, m. */
const GAP = { unit: 0.1, block: 0.3 } as const;
const WIDE = 700;
/** The smaller side of a unit is drawn so large at most, pixels. */
const CELL = 62;

interface MapPictureProps {
  readonly units: readonly TrialUnit[];
  readonly widthM: number;
  readonly depthM: number;
  /** Names of the arms, where the key is shown; codes alone otherwise. */
  readonly arms?: readonly string[] | undefined;
  /** Units that were lost or are odd. */
  readonly odd: ReadonlySet<number>;
}
/** A trial to scale: each unit where it stands, with its number and its blind code. */
export function MapPicture({ units, widthM, depthM, arms, odd }: MapPictureProps) {
  const columns = 1 + Math.max(0, ...units.map((u) => u.column));
  const rows = 1 + Math.max(0, ...units.map((u) => u.row));
  const rowGap = units.some((u) => u.block !== undefined) ? GAP.block : GAP.unit;
  const wholeM = { w: columns * (widthM + GAP.unit) - GAP.unit, h: rows * (depthM + rowGap) - rowGap };
  const scale = Math.min(WIDE / wholeM.w, CELL / Math.min(widthM, depthM));
  const size = { w: wholeM.w * scale, h: wholeM.h * scale };
  const cell = { w: widthM * scale, h: depthM * scale };
  const letter = Math.max(9, Math.min(15, cell.w / 4.2));
  return (
    <figure data-testid="map">
      <svg
        viewBox={`-28 -4 ${size.w + 36} ${size.h + 30}`}
        className="h-auto max-w-full"
        width={size.w + 36}
        height={size.h + 30}
        role="img"
        aria-label={`${units.length} units in ${rows} rows of ${columns}`}
      >
        {units.map((u) => {
          const x = u.column * (widthM + GAP.unit) * scale;
          const y = u.row * (depthM + rowGap) * scale;
          return (
            <g key={u.number} transform={`translate(${x} ${y})`}>
              <rect
                width={cell.w}
                height={cell.h}
                fill="var(--paper)"
                stroke={odd.has(u.number) ? 'var(--beet)' : 'var(--line-strong)'}
                strokeDasharray={odd.has(u.number) ? '5 3' : undefined}
                strokeWidth={1.5}
              />
              <text
                x={cell.w / 2}
                y={cell.h / 2}
                textAnchor="middle"
                fontSize={letter}
                fill="var(--pine)"
                fontWeight={600}
              >
                {u.code}
              </text>
              <text
                x={cell.w / 2}
                y={cell.h / 2 + letter * 1.15}
                textAnchor="middle"
                fontSize={letter * 0.8}
                fill="var(--faint)"
              >
                {arms ? (arms[u.arm] ?? '') : u.number}
              </text>
            </g>
          );
        })}
        {Array.from({ length: rows }, (_, r) => (
          <text
            key={r}
            x={-8}
            y={r * (depthM + rowGap) * scale + cell.h / 2 + 4}
            textAnchor="end"
            fontSize={12}
            fill="var(--faint)"
          >
            {r + 1}
          </text>
        ))}
        <line x1={0} x2={scale} y1={size.h + 12} y2={size.h + 12} stroke="var(--pine)" strokeWidth={2} />
        <text x={scale + 6} y={size.h + 16} fontSize={12} fill="var(--faint)">
          1 m
        </text>
      </svg>
      <figcaption className="text-sm text-faint">
        {formatTrimmed(wholeM.w, 3)} × {formatTrimmed(wholeM.h, 3)} m with the paths between; each unit is{' '}
        {formatTrimmed(widthM, 3)} × {formatTrimmed(depthM, 3)} m.
      </figcaption>
    </figure>
  );
}
