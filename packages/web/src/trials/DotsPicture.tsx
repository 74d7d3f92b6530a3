import { formatTrimmed, type ArmReading } from '@wheat-ledger/core';

const WIDE = 620;
const ROW = 46;
const LEFT = 150;

interface DotsPictureProps {
  readonly arms: readonly ArmReading[];
  readonly names: readonly string[];
  readonly control: number;
  readonly unit: string;
  /** Units whose time was not over: drawn open. */
  readonly notOver?: ReadonlySet<number>;
}
const NONE: ReadonlySet<number> = new Set();
/** Every unit as a dot, the mean of each arm as an upright line with its interval; the control's mean goes through all. */
export function DotsPicture({ arms, names, control, unit, notOver = NONE }: DotsPictureProps) {
  const all = arms.flatMap((a) => [
    ...a.values.map((v) => v.value),
    ...(a.interval ? [a.interval.low, a.interval.high] : []),
  ]);
  if (all.length === 0) return null;
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const pad = (most - least || 1) * 0.06;
  const x = (value: number): number => LEFT + ((value - least + pad) / (most - least + 2 * pad)) * (WIDE - LEFT - 20);
  const high = arms.length * ROW + 30;
  const controlMean = arms[control]?.mean ?? Number.NaN;
  return (
    <div className="relative overflow-x-auto">
      <svg
        viewBox={`0 0 ${WIDE} ${high}`}
        className="w-full min-w-[34rem] max-w-3xl"
        role="img"
        data-testid="dots"
        aria-label={arms
          .map((a) => `${names[a.arm] ?? ''}: mean ${formatTrimmed(a.mean, 3)} ${unit} of ${a.values.length}`)
          .join('; ')}
      >
        {!Number.isNaN(controlMean) && (
          <line
            x1={x(controlMean)}
            x2={x(controlMean)}
            y1={4}
            y2={arms.length * ROW}
            stroke="var(--faint)"
            strokeDasharray="4 4"
          />
        )}
        {arms.map((a, i) => {
          const y = i * ROW + ROW / 2;
          return (
            <g key={a.arm}>
              <text x={LEFT - 12} y={y + 4} textAnchor="end" fontSize={14} fill="var(--pine)">
                {names[a.arm]}
              </text>
              {a.interval && (
                <rect
                  x={x(a.interval.low)}
                  width={Math.max(1, x(a.interval.high) - x(a.interval.low))}
                  y={y - 10}
                  height={20}
                  fill="var(--wheat)"
                  fillOpacity={0.28}
                />
              )}
              {a.values.map((v) => (
                <circle
                  key={v.unit}
                  cx={x(v.value)}
                  cy={y + ((v.unit * 7) % 5) * 3 - 6}
                  r={3.6}
                  fill="var(--moss)"
                  fillOpacity={notOver.has(v.unit) ? 0 : 0.75}
                  stroke="var(--moss)"
                >
                  <title>
                    unit {v.unit}: {notOver.has(v.unit) ? 'more than ' : ''}
                    {formatTrimmed(v.value, 4)} {unit}
                  </title>
                </circle>
              ))}
              {!Number.isNaN(a.mean) && (
                <line x1={x(a.mean)} x2={x(a.mean)} y1={y - 13} y2={y + 13} stroke="var(--pine)" strokeWidth={2.5} />
              )}
            </g>
          );
        })}
        {[least, (least + most) / 2, most].map((value) => (
          <text key={value} x={x(value)} y={high - 8} textAnchor="middle" fontSize={12} fill="var(--faint)">
            {formatTrimmed(value, 3)} {unit}
          </text>
        ))}
      </svg>
      {notOver.size > 0 && <p className="text-sm text-faint">An open dot was not over when watching stopped.</p>}
    </div>
  );
}
