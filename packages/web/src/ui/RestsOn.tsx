import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { MarginNote } from './MarginNotes';

/** Something that is not known, why it matters, and where it is entered. */
export interface Missing {
  readonly what: string;
  readonly why?: string;
  readonly to?: string;
}

interface RestsOnProps {
  readonly assumed: readonly ReactNode[];
  /** Undefined where the sheet itself says what is missing. */
  readonly missing?: readonly Missing[];
}

/** What a sheet rests on: what it takes for granted, and what is not known yet. */
export const RestsOn = ({ assumed, missing }: RestsOnProps) => (
  <MarginNote title="What this rests on">
    <ul className="flex flex-col gap-1.5" data-testid="rests-on">
      {assumed.map((words, i) => (
        <li key={i} className="flex gap-2">
          <span aria-hidden="true" className="w-3 shrink-0 text-slate">
            ≈
          </span>
          <span>{words}</span>
        </li>
      ))}
      {missing?.map(({ what, why, to }) => (
        <li key={what} className="flex gap-2">
          <span aria-hidden="true" className="w-3 shrink-0 font-bold text-beet">
            ?
          </span>
          <span>
            <span className="sr-only">Not known: </span>
            {to ? (
              <Link to={to} className="plain">
                {what}
              </Link>
            ) : (
              what
            )}
            {why && <span className="text-faint">: {why}</span>}
          </span>
        </li>
      ))}
      {missing?.length === 0 && (
        <li className="flex gap-2">
          <span aria-hidden="true" className="w-3 shrink-0 text-moss">
            ✓
          </span>
          <span className="text-faint">Nothing it asks for is missing.</span>
        </li>
      )}
    </ul>
  </MarginNote>
);
