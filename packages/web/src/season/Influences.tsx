import type { Influence } from '@wheat-ledger/core';
import { MarginNote } from '../ui/MarginNotes';

const TOLD = 4;
const LEAST = 0.03;
/** Which assumption moves the answer most, drawn as a short list. */
export function Influences({ influences }: { influences: readonly Influence[] }) {
  const told = influences.filter((i) => i.share >= LEAST).slice(0, TOLD);
  if (told.length === 0) return null;
  return (
    <MarginNote title="Measure this first">
      <ol data-testid="influences">
        {told.map(({ figure, of, share }) => (
          <li key={`${of} ${figure.label}`} className="mb-2">
            <span className="flex items-center gap-2">
              <svg width="54" height="8" aria-hidden="true" className="shrink-0">
                <rect width="54" height="8" fill="var(--rule)" />
                <rect width={54 * share} height="8" fill="var(--slate)" />
              </svg>
              <b>{Math.round(share * 100)} %</b>
            </span>
            {figure.label}
          </li>
        ))}
      </ol>
      <p className="text-sm text-faint">
        How much of the spread in what the crop can have had comes from each alone. Measuring the first narrows it most.
      </p>
    </MarginNote>
  );
}
