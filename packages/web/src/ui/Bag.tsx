import { formatTrimmed, type Product } from '@wheat-ledger/core';
import { bagContents } from './bagContents';
import { spread } from './spread';
import { fillOf, inkOf } from './patterns';

const WIDTH = 100;
const HEIGHT = 132;
const TOP = 20;
const FLOOR = 128;
const SIDE = 10;
/** Room for names beside the bag, and how close two of them may stand. */
const NAMES_WIDTH = 60;
const NAME_GAP = 13;
const MOST_NAMED = 7;

const OUTLINE = `M${SIDE} ${TOP} C${SIDE - 3} ${TOP + 40} ${SIDE - 3} ${FLOOR - 34} ${SIDE} ${FLOOR - 5} Q${SIDE} ${FLOOR} ${SIDE + 6} ${FLOOR} H${WIDTH - SIDE - 6} Q${WIDTH - SIDE} ${FLOOR} ${WIDTH - SIDE} ${FLOOR - 5} C${WIDTH - SIDE + 3} ${FLOOR - 34} ${WIDTH - SIDE + 3} ${TOP + 40} ${WIDTH - SIDE} ${TOP} Z`;
const TORN = `M${SIDE} ${TOP} l8 -5 7 6 9 -8 8 7 8 -6 7 6 9 -7 8 7 8 -6 8 6`;

interface BagProps {
  readonly product: Product;
  readonly basis: 'oxide' | 'element';
  readonly width?: number;
  /** Names and per cents beside the layers; left out where the bag is too small for them. */
  readonly letters?: boolean;
}

/**
 * A bag cut open, to scale by mass: each declared nutrient a layer with its pattern, settled from the floor up, the
 * rest honestly left as everything else.
 */
export function Bag({ product, basis, width = 92, letters = true }: BagProps) {
  const shares = bagContents(product, basis);
  const across = letters ? WIDTH + NAMES_WIDTH : WIDTH;
  const whole = Math.max(
    1,
    shares.reduce((s, p) => s + p.share, 0),
  );
  const room = FLOOR - TOP;
  const clip = `bag-${stableId(product.id || product.name)}`;
  let y = FLOOR;
  const layers = shares.map((s) => {
    const height = (s.share / whole) * room;
    y -= height;
    return { ...s, y, height };
  });
  const named = [...layers].reverse().slice(-MOST_NAMED);
  const names = spread(
    named.map((l) => l.y + l.height / 2),
    NAME_GAP,
    FLOOR - 4,
  );
  const title = `${product.name}, cut open: ${shares.map((s) => `${formatTrimmed(s.share * 100)} % ${s.symbol}`).join(', ') || 'nothing declared'}`;
  return (
    <svg
      viewBox={`0 0 ${across} ${HEIGHT}`}
      width={(width * across) / WIDTH}
      height={(width * HEIGHT) / WIDTH}
      role="img"
      aria-label={title}
    >
      <clipPath id={clip}>
        <path d={OUTLINE} />
      </clipPath>
      <path d={OUTLINE} fill="var(--paper)" />
      <path d={OUTLINE} fill="url(#pattern-rest)" />
      <g clipPath={`url(#${clip})`}>
        {layers.map((l) => (
          <g key={l.nutrient}>
            <rect x="0" y={l.y} width={WIDTH} height={l.height} fill="var(--paper)" />
            <rect x="0" y={l.y} width={WIDTH} height={l.height} fill={fillOf(l.nutrient)} />
            <path
              d={`M0 ${l.y}H${WIDTH}`}
              stroke={inkOf(l.nutrient)}
              strokeWidth="0.8"
              strokeDasharray={l.uncertain ? '3 2' : undefined}
            />
          </g>
        ))}
      </g>
      <path d={OUTLINE} fill="none" stroke="var(--pine)" strokeWidth="1.6" />
      <path d={TORN} fill="none" stroke="var(--pine)" strokeWidth="1.2" strokeLinejoin="round" />
      {letters &&
        named.map((l, i) => (
          <g key={l.nutrient}>
            <path
              d={`M${WIDTH - SIDE + 2} ${l.y + l.height / 2}H${WIDTH - 3}L${WIDTH + 3} ${names[i] ?? 0}`}
              fill="none"
              stroke="var(--line-strong)"
              strokeWidth="0.9"
            />
            <text x={WIDTH + 5} y={(names[i] ?? 0) + 3.8} fontSize="11" fill="var(--pine)">
              <tspan fontWeight="700">{l.symbol}</tspan> {formatTrimmed(l.share * 100, 2)}
            </text>
          </g>
        ))}
    </svg>
  );
}

/** An id fit for url(#…): letters and digits only. */
const stableId = (text: string): string => text.replace(/[^a-zA-Z0-9]/g, '');
