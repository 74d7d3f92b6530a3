import type { Nutrient } from '@wheat-ledger/core';

/** Nutrients with a pattern of their own; the rest share the plain dots of "other". */
const PATTERNED = ['N', 'P', 'K', 'Ca', 'Mg', 'S'] as const;
type Patterned = (typeof PATTERNED)[number] | 'other';

const keyOf = (nutrient: Nutrient): Patterned =>
  (PATTERNED as readonly string[]).includes(nutrient) ? (nutrient as Patterned) : 'other';

/** The fill of a nutrient, the same everywhere: pattern first, colour second. */
export const fillOf = (nutrient: Nutrient): string => `url(#pattern-${keyOf(nutrient)})`;
export const inkOf = (nutrient: Nutrient): string => `var(--${keyOf(nutrient).toLowerCase()})`;

const MARKS: Readonly<Record<Patterned, { readonly size: number; readonly mark: React.ReactNode }>> = {
  N: { size: 6, mark: <path d="M-1 7 7 -1M-1 1 1 -1M5 7 7 5" strokeWidth="1.8" /> },
  P: { size: 6, mark: <circle cx="3" cy="3" r="1.5" fill="currentColor" stroke="none" /> },
  K: { size: 9, mark: <circle cx="4.5" cy="4.5" r="2.8" fill="none" strokeWidth="1.3" /> },
  Ca: { size: 5, mark: <path d="M0 2.5h5" strokeWidth="1.5" /> },
  Mg: { size: 8, mark: <path d="M4 1.5v5M1.5 4h5" strokeWidth="1.3" /> },
  S: { size: 5, mark: <path d="M2.5 0v5" strokeWidth="1.5" /> },
  other: { size: 8, mark: <path d="M1.5 5.5 4 2.5l2.5 3" fill="none" strokeWidth="1.1" /> },
};

/** The patterns themselves, drawn once per page. */
export function PatternDefs() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true">
      <defs>
        {Object.entries(MARKS).map(([key, { size, mark }]) => (
          <pattern key={key} id={`pattern-${key}`} width={size} height={size} patternUnits="userSpaceOnUse">
            <rect width={size} height={size} fill="var(--paper)" />
            <rect width={size} height={size} fill={`var(--${key.toLowerCase()})`} opacity="0.18" />
            <g style={{ color: `var(--${key.toLowerCase()})` }} stroke="currentColor">
              {mark}
            </g>
          </pattern>
        ))}
        <pattern id="pattern-rest" width="13" height="11" patternUnits="userSpaceOnUse">
          <path
            d="M2 3h.01M9 1.5h.01M6 7h.01M12 8.5h.01M1.5 9.5h.01"
            stroke="var(--line-strong)"
            strokeWidth="1.3"
            strokeLinecap="round"
          />
        </pattern>
      </defs>
    </svg>
  );
}

/** A small square of a nutrient's pattern, beside its letter. */
export const Swatch = ({ nutrient, size = 14 }: { nutrient: Nutrient; size?: number }) => (
  <svg width={size} height={size} aria-hidden="true" className="inline-block shrink-0 align-[-2px]">
    <rect x="0.5" y="0.5" width={size - 1} height={size - 1} fill={fillOf(nutrient)} stroke={inkOf(nutrient)} />
  </svg>
);
