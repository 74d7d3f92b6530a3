/** The ledger that an address without one means. */
export const HOME_LEDGER = 'home';

/** A ledger of this installation. */
export interface Ledger {
  /** Its part of an address: `/l/rosewood` of a page, `/api/v1/ledgers/rosewood` before any route. */
  readonly slug: string;
  readonly name: string;
}

/** What a copy brought. */
export interface CopyDone {
  readonly operation: string | null;
  /** The copy's own id in this ledger. */
  readonly id: string;
  /** Records new here, the copy and what it refers to. */
  readonly added: number;
  readonly alreadyHere: number;
}
