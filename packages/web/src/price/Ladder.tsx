import { useMemo } from 'react';
import {
  costAtOffer,
  COUNTED_WORDS,
  formatGiven,
  formatRange,
  isExact,
  type CostQuestion,
  type RankedCost,
} from '@wheat-ledger/core';
import { useNarrow } from '../ui/useNarrow';
import { FigureButton } from '../ui/FigureButton';
import { spread } from '../ui/spread';
import { ladderScale } from './ladderScale';

const ROW = 30;
/** Where the rails and the labels stand, in pixels from the left. */
const WIDE = { left: 64, right: 250, labels: 292 };
const NARROW = { left: 44, right: 88, labels: 112 };

/** The figure of a rung, made for the rungs that are shown. */
function Rung({ cost: { product, offer, value }, question }: { cost: RankedCost; question: CostQuestion }) {
  const cost = useMemo(() => costAtOffer(product, offer, question), [product, offer, question]);
  return cost.kind === 'cost' ? (
    <FigureButton figure={cost.figure}>{formatRange(cost.figure.value)}</FigureButton>
  ) : (
    formatRange(value)
  );
}

/** A ladder on a log scale: each product a rung at its cost, the cheapest at the foot. */
export function Ladder({
  ranked,
  unit,
  question,
}: {
  ranked: readonly RankedCost[];
  unit: string;
  question: CostQuestion;
}) {
  const { left, right, labels: edge } = useNarrow() ? NARROW : WIDE;
  const scale = ladderScale(ranked.flatMap((r) => [r.value.low, r.value.mid, r.value.high]).filter((v) => v > 0));
  const height = Math.max(170, ranked.length * ROW + 30);
  const yOf = (value: number): number => height - 14 - scale.at(value) * (height - 28);
  const rungs = [...ranked].sort((a, b) => b.value.mid - a.value.mid).map((r) => ({ ...r, y: yOf(r.value.mid) }));
  const labels = spread(
    rungs.map((r) => r.y),
    ROW,
    height - 14,
  );
  return (
    <figure className="my-4" data-testid="ladder">
      <figcaption className="mb-1 text-sm text-faint">{unit}, logarithmic; dearest at the top</figcaption>
      <div className="relative overflow-x-auto" style={{ height }}>
        <svg width={edge} height={height} className="absolute top-0 left-0" aria-hidden="true">
          {scale.ticks.map((t) => (
            <g key={t}>
              <path d={`M${left - 7} ${yOf(t)}H${left}`} stroke="var(--line-strong)" />
              <text x={left - 11} y={yOf(t) + 4} textAnchor="end" fontSize="12.5" fill="var(--faint)">
                {formatGiven(t)}
              </text>
            </g>
          ))}
          <path d={`M${left} 0V${height}M${right} 0V${height}`} stroke="var(--pine)" strokeWidth="4" />
          {rungs.map((r, i) => {
            const { low, high } = r.value;
            const top = yOf(high);
            const thickness = Math.max(4, low > 0 ? yOf(low) - top : height - 14 - top);
            const y = isExact(r.value) ? r.y - 2 : top;
            return (
              <g key={r.product.id}>
                <rect
                  x={left}
                  y={y}
                  width={right - left}
                  height={thickness}
                  fill={r.rank === 1 ? 'var(--wheat)' : 'var(--slate)'}
                  fillOpacity={isExact(r.value) ? 1 : 0.45}
                />
                <path
                  d={`M${right} ${r.y}H${right + 8}L${edge - 10} ${labels[i] ?? r.y}H${edge - 2}`}
                  fill="none"
                  stroke="var(--line-strong)"
                />
              </g>
            );
          })}
        </svg>
        <ol aria-label={`Ladder, ${unit}, dearest first`} style={{ marginLeft: edge }}>
          {rungs.map((r, i) => (
            <li
              key={r.product.id}
              className="absolute flex items-baseline gap-2 leading-tight"
              style={{ top: (labels[i] ?? r.y) - 11, left: edge + 2, right: 0 }}
            >
              <span className="min-w-16 shrink-0 text-right whitespace-nowrap font-slab text-[1.0625rem] font-semibold">
                <Rung cost={r} question={question} />
              </span>
              <span className="min-w-0 truncate">{r.product.name}</span>
              {r.tied && <span className="shrink-0 border border-line-strong px-1 text-xs">tied with the best</span>}
              {COUNTED_WORDS[r.counted] && (
                <span className="shrink-0 text-xs text-faint">{COUNTED_WORDS[r.counted]}</span>
              )}
            </li>
          ))}
        </ol>
      </div>
    </figure>
  );
}
