/** The ledger that an address without one means. */
export const HOME_LEDGER = 'home';

/** The header that says who writes, as a page's settings know it; URI-encoded, since a header holds plain letters only. */
export const WHO_HEADER = 'X-Written-By';

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

/** How much lies on a bench at most. */
export const MOST_ON_BENCH = 8;

/** What can lie on a bench. */
export const BENCH_KINDS = ['product', 'recipe'] as const;
export type BenchKind = (typeof BENCH_KINDS)[number];

/** A bag or a recipe on the bench; set aside, it stays there but is left out of comparisons. */
export interface BenchPlace {
  readonly kind: BenchKind;
  readonly id: string;
  readonly aside: boolean;
}

/** What lies on a ledger's bench, in its order. It is not kept in the book: whoever lays it last is right. */
export interface Bench {
  readonly places: readonly BenchPlace[];
}
