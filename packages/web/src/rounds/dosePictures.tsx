import { formatTrimmed } from '@wheat-ledger/core';

const SIZE = 150;
/** A ring around a stem, to scale, with its edges. */
export function RingPicture({ innerM, outerM }: { innerM: number; outerM: number }) {
  const scale = (SIZE / 2 - 16) / outerM;
  const c = SIZE / 2;
  return (
    <svg
      width={SIZE + 70}
      height={SIZE}
      role="img"
      aria-label={`A ring from ${formatTrimmed(innerM * 100, 3)} to ${formatTrimmed(outerM * 100, 3)} cm around the stem`}
      className="text-[12px]"
      fill="var(--faint)"
    >
      <path
        fillRule="evenodd"
        fill="var(--wheat)"
        fillOpacity={0.35}
        stroke="var(--wheat)"
        d={[outerM, innerM]
          .map((r) => r * scale)
          .map((r) => `M${c - r} ${c}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`)
          .join('')}
      />
      <circle cx={c} cy={c} r={3.5} fill="var(--pine)" />
      <line x1={c} x2={c + outerM * scale} y1={c} y2={c} stroke="var(--pine)" />
      <text x={c + outerM * scale + 6} y={c + 4}>
        {formatTrimmed(outerM * 100, 3)} cm out
      </text>
    </svg>
  );
}

const CAN = { width: 90, height: 110, top: 14 };
/** The grower's can with its fill line: how high the product stands before water is filled up. */
export function CanPicture({ litres, share }: { litres: number; share: number }) {
  const full = CAN.height * Math.min(1, share);
  const bottom = CAN.top + CAN.height;
  return (
    <svg
      width={CAN.width + 130}
      height={bottom + 10}
      role="img"
      aria-label={`A can of ${formatTrimmed(litres, 3)} L with ${formatTrimmed(litres * share * 1000, 3)} mL of product at its foot`}
      className="text-[12px]"
      fill="var(--faint)"
    >
      <rect x={2} y={CAN.top} width={CAN.width} height={CAN.height} fill="var(--slate)" fillOpacity={0.12} />
      <rect x={2} y={bottom - full} width={CAN.width} height={full} fill="var(--moss)" fillOpacity={0.6} />
      <path
        d={`M2 ${CAN.top - 6}V${bottom}H${CAN.width + 2}V${CAN.top - 6}`}
        fill="none"
        stroke="var(--line-strong)"
        strokeWidth={2}
      />
      <line x1={0} x2={CAN.width + 8} y1={CAN.top} y2={CAN.top} stroke="var(--pine)" strokeDasharray="4 3" />
      <text x={CAN.width + 12} y={CAN.top + 4}>
        fill up to {formatTrimmed(litres, 3)} L
      </text>
      <text x={CAN.width + 12} y={Math.max(CAN.top + 22, bottom - full + 4)}>
        {formatTrimmed(litres * share * 1000, 3)} mL first
      </text>
    </svg>
  );
}
