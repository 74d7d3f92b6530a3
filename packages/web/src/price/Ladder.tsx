import { formatNumber, formatRange, isExact, type RankedCost } from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { ladderScale, spread } from './ladderScale';

const ROW = 30;
const LEFT = 64;
const RIGHT = 250;
const LABELS = 292;

/** A ladder on a log scale: each product a rung at its cost, the cheapest at the foot. */
export function Ladder({ ranked, unit }: { ranked: readonly RankedCost[]; unit: string }) {
  const scale = ladderScale(ranked.flatMap((r) => [r.cost.figure.value.low, r.cost.figure.value.mid, r.cost.figure.value.high]).filter((v) => v > 0));
  const height = Math.max(170, ranked.length * ROW + 30);
  const yOf = (value: number): number => height - 14 - scale.at(value) * (height - 28);
  const rungs = [...ranked].sort((a, b) => b.cost.figure.value.mid - a.cost.figure.value.mid).map((r) => ({ ...r, y: yOf(r.cost.figure.value.mid) }));
  const labels = spread(rungs.map((r) => r.y), ROW, height - 14);
  return (
    <figure className="my-4" data-testid="ladder">
      <figcaption className="mb-1 text-sm text-faint">{unit}, logarithmic; dearest at the top</figcaption>
      <div className="relative overflow-x-auto" style={{ height }}>
        <svg width={LABELS} height={height} className="absolute top-0 left-0" aria-hidden="true">
          {scale.ticks.map((t) => (
            <g key={t}>
              <path d={`M${LEFT - 7} ${yOf(t)}H${LEFT}`} stroke="var(--line-strong)" />
              <text x={LEFT - 11} y={yOf(t) + 4} textAnchor="end" fontSize="12.5" fill="var(--faint)">{formatNumber(t, 2)}</text>
            </g>
          ))}
          <path d={`M${LEFT} 0V${height}M${RIGHT} 0V${height}`} stroke="var(--pine)" strokeWidth="4" />
          {rungs.map((r, i) => {
            const { low, high } = r.cost.figure.value;
            const top = yOf(high);
            const thickness = Math.max(4, low > 0 ? yOf(low) - top : height - 14 - top);
            const y = isExact(r.cost.figure.value) ? r.y - 2 : top;
            return (
              <g key={r.product.id}>
                <rect x={LEFT} y={y} width={RIGHT - LEFT} height={thickness} fill={r.rank === 1 ? 'var(--wheat)' : 'var(--slate)'} fillOpacity={isExact(r.cost.figure.value) ? 1 : 0.45} />
                <path d={`M${RIGHT} ${r.y}H${RIGHT + 8}L${LABELS - 10} ${labels[i] ?? r.y}H${LABELS - 2}`} fill="none" stroke="var(--line-strong)" />
              </g>
            );
          })}
        </svg>
        <ol aria-label={`Ladder, ${unit}, dearest first`} style={{ marginLeft: LABELS }}>
          {rungs.map((r, i) => (
            <li key={r.product.id} className="absolute flex items-baseline gap-2 leading-tight" style={{ top: (labels[i] ?? r.y) - 11, left: LABELS + 2, right: 0 }}>
              <span className="w-16 shrink-0 text-right font-slab text-[1.0625rem] font-semibold"><FigureButton figure={r.cost.figure}>{formatRange(r.cost.figure.value)}</FigureButton></span>
              <span className="min-w-0 truncate">{r.product.name}</span>
              {r.tied && <span className="shrink-0 border border-line-strong px-1 text-xs">tie</span>}
            </li>
          ))}
        </ol>
      </div>
    </figure>
  );
}
