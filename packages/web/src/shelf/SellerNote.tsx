import { useState } from 'react';
import type { Taught } from '@wheat-ledger/core';
import { readKept, writeKept } from '../app/keep';

const NOTES = 'papers.sellers';
type Notes = Readonly<Record<string, Taught>>;
const keyOf = (seller: string): string => seller.trim().toLowerCase();

/** What was kept of a seller's papers; nothing for one without a name or a note. */
export const noteOf = (seller: string): Taught | undefined => (readKept<Notes>(NOTES) ?? {})[keyOf(seller)];

const words = ({ eitherAs, mark }: Taught): string =>
  [
    eitherAs === undefined ? '' : `“phosphate (P)” is the ${eitherAs}`,
    mark === undefined ? '' : `12,500 is ${mark === 'comma' ? '12.5' : '12 500'}`,
  ]
    .filter(Boolean)
    .join(', ');

interface SellerNoteProps {
  readonly seller: string;
  readonly onSeller: (seller: string) => void;
  /** What the answers on this paper say. */
  readonly taught: Taught | undefined;
  /** Called when a note was kept or dropped. */
  readonly onKept: () => void;
}

/** Whose paper it is: what its answers say can be kept for other papers of the same seller. */
export function SellerNote({ seller, onSeller, taught, onKept }: SellerNoteProps) {
  const [kept, setKept] = useState(0);
  const note = noteOf(seller);
  const keep = (next: Taught | undefined): void => {
    const others = Object.fromEntries(
      Object.entries(readKept<Notes>(NOTES) ?? {}).filter(([key]) => key !== keyOf(seller)),
    );
    writeKept(NOTES, next ? { ...others, [keyOf(seller)]: next } : others);
    setKept(kept + 1);
    onKept();
  };
  return (
    <div data-testid="seller-note">
      <label className="text-sm text-faint">
        Whose paper is it?
        <input
          className="field block text-base text-pine"
          value={seller}
          maxLength={80}
          placeholder="a seller or laboratory"
          onChange={(e) => onSeller(e.target.value)}
        />
      </label>
      {note && (
        <p className="mt-1">
          Kept for its papers: {words(note)}.{' '}
          <button type="button" className="plain" onClick={() => keep(undefined)}>
            Forget it
          </button>
        </p>
      )}
      {!note && taught && keyOf(seller) !== '' && (
        <p className="mt-1">
          Your answer says that {words(taught)}.{' '}
          <button type="button" className="plain" onClick={() => keep(taught)}>
            Keep it for papers of {seller.trim()}
          </button>
        </p>
      )}
    </div>
  );
}
