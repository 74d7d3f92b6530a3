import { effectWords, formatFixed, DESIGN_WORDS, type Evidence, type Interval, type Weighed } from '@wheat-ledger/core';

const ROW = 34;
const LEFT = 250;
const WIDE = 300;
const RIGHT = 150;
const TOP = 26;

/** A mark for the design of a study: a square in the field, a round in pots, a diamond in jars, a stroke for what people say. */
function Mark({ weighed, x, y, size }: { weighed: Weighed; x: number; y: number; size: number }) {
  const counts = weighed.study.leftOut === undefined;
  const paint = { fill: counts ? 'var(--slate)' : 'none', stroke: 'var(--slate)', strokeWidth: 1.5 };
  switch (weighed.study.design) {
    case 'field':
      return <rect x={x - size} y={y - size} width={2 * size} height={2 * size} {...paint} />;
    case 'pot':
      return <circle cx={x} cy={y} r={size} {...paint} />;
    case 'incubation':
      return <path d={`M${x - size} ${y}L${x} ${y - size}L${x + size} ${y}L${x} ${y + size}Z`} {...paint} />;
    case 'survey':
    case 'testimonial':
      return <path d={`M${x} ${y - size}V${y + size}`} {...paint} />;
  }
}

/** The ends of the picture: all intervals, and nothing in it, with a little room; very wide ones are cut. */
function reach(evidence: Evidence): Interval {
  const all = evidence.studies.flatMap((w) => w.interval ?? []);
  const prediction = evidence.pooled?.prediction;
  const shown = prediction ? [...all, prediction] : all;
  const low = Math.max(-3, Math.min(0, ...shown.map((i) => i.low)));
  const high = Math.min(3, Math.max(0, ...shown.map((i) => i.high)));
  const room = (high - low) * 0.06 || 0.1;
  return { low: low - room, high: high + room };
}

const dose = (multiple: number | undefined): string =>
  multiple === undefined ? 'dose not told' : multiple === 1 ? 'label rate' : `${formatFixed(multiple, 1)} × label rate`;

/** Studies as lines around nothing, the heavier the larger, and what they come to together. */
export function ForestPicture({ evidence, less }: { evidence: Evidence; less: boolean }) {
  const drawn = evidence.studies.filter((w) => w.effect);
  if (drawn.length === 0) return null;
  const { low, high } = reach(evidence);
  const at = (effect: number): number => LEFT + ((Math.min(high, Math.max(low, effect)) - low) / (high - low)) * WIDE;
  const { pooled, scale, units } = evidence;
  // Arms of one trial share the weight of it.
  const weights = new Map(
    units.flatMap((u, i) => u.studies.map((s) => [s.id, (pooled?.weights[i] ?? 1) / u.studies.length] as const)),
  );
  const rows = drawn.length + (pooled ? 1 : 0) + (pooled?.prediction ? 1 : 0);
  const bottom = TOP + rows * ROW;
  const interval = (i: Interval, y: number, dashed: boolean) => (
    <line
      x1={at(i.low)}
      x2={at(i.high)}
      y1={y}
      y2={y}
      stroke="var(--slate)"
      strokeWidth={1.5}
      strokeDasharray={dashed ? '4 3' : undefined}
    />
  );
  const words = (effect: number, i: Interval): string =>
    `${effectWords(effect, scale)} (${effectWords(i.low, scale)} to ${effectWords(i.high, scale)})`;
  return (
    <div className="overflow-x-auto" data-testid="forest">
      <svg
        width={LEFT + WIDE + RIGHT}
        height={bottom + 22}
        role="img"
        aria-label={`${drawn.length} studies with their 95 % intervals. ${evidence.text}`}
        className="text-[13px]"
        fill="var(--pine)"
      >
        <text x={at(0) - 8} y={14} textAnchor="end" fill="var(--faint)">
          {less ? 'better' : 'worse'}
        </text>
        <text x={at(0) + 8} y={14} fill="var(--faint)">
          {less ? 'worse' : 'better'}
        </text>
        <line x1={at(0)} x2={at(0)} y1={TOP - 8} y2={bottom} stroke="var(--pine)" strokeWidth={1} />
        {drawn.map((w, i) => {
          const y = TOP + i * ROW + ROW / 2;
          const out = w.study.leftOut !== undefined;
          return (
            <g key={w.study.id} opacity={out ? 0.55 : 1}>
              <text x={0} y={y - 2}>
                {w.study.name.slice(0, 34)}
                {w.study.sample ? ' (sample)' : ''}
              </text>
              <text x={0} y={y + 13} fill="var(--faint)" fontSize={12}>
                {DESIGN_WORDS[w.study.design]}, {dose(w.study.doseMultiple)}
              </text>
              {w.interval && interval(w.interval, y, out)}
              <Mark
                weighed={w}
                x={at(w.effect?.effect ?? 0)}
                y={y}
                size={4 + 8 * Math.sqrt(weights.get(w.study.id) ?? 0)}
              />
              <text x={LEFT + WIDE + 10} y={y + 4} fontSize={12}>
                {out ? 'left out' : w.effect && w.interval ? effectWords(w.effect.effect, scale) : ''}
              </text>
            </g>
          );
        })}
        {pooled && (
          <g>
            <line
              x1={0}
              x2={LEFT + WIDE + RIGHT}
              y1={TOP + drawn.length * ROW}
              y2={TOP + drawn.length * ROW}
              stroke="var(--line-strong)"
            />
            <text x={0} y={TOP + drawn.length * ROW + ROW / 2 + 4} fontWeight={600}>
              Together
            </text>
            <path
              d={`M${at(pooled.interval.low)} ${TOP + drawn.length * ROW + ROW / 2}L${at(pooled.effect)} ${TOP + drawn.length * ROW + ROW / 2 - 8}L${at(pooled.interval.high)} ${TOP + drawn.length * ROW + ROW / 2}L${at(pooled.effect)} ${TOP + drawn.length * ROW + ROW / 2 + 8}Z`}
              fill="var(--wheat)"
              stroke="var(--pine)"
            />
            <text x={LEFT + WIDE + 10} y={TOP + drawn.length * ROW + ROW / 2 + 4} fontSize={12} fontWeight={600}>
              {effectWords(pooled.effect, scale)}
            </text>
          </g>
        )}
        {pooled?.prediction && (
          <g>
            <text x={0} y={TOP + (drawn.length + 1) * ROW + ROW / 2 + 4}>
              In one more place like these
            </text>
            {interval(pooled.prediction, TOP + (drawn.length + 1) * ROW + ROW / 2, true)}
            <text x={LEFT + WIDE + 10} y={TOP + (drawn.length + 1) * ROW + ROW / 2 + 4} fontSize={12}>
              95 %
            </text>
          </g>
        )}
      </svg>
      {pooled && <p className="text-sm text-faint">Together {words(pooled.effect, pooled.interval)}.</p>}
    </div>
  );
}
