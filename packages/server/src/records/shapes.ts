import type { JournalAction, RecordKind } from '@wheat-ledger/contract';
import type { Table } from './rows.js';

/** What a list is asked for. */
export interface ListQuery {
  readonly after?: string | undefined;
  readonly limit?: number | undefined;
  /** Removed records instead of the present ones. */
  readonly removed?: boolean | undefined;
  /** Only those of a record of another kind, by that kind's name. */
  readonly of?: Readonly<Partial<Record<RecordKind, string>>>;
  /** Only those of the kind's day from this one on. */
  readonly from?: string | undefined;
  readonly to?: string | undefined;
}

/** Rows that belong to a record and are kept in a table of their own. */
export interface Lines {
  /** The record's property that holds them. */
  readonly property: string;
  readonly entity: Table;
  /** The line's property that points back. */
  readonly owner: string;
}

/** An input as it is written: the record's own columns, its name among them, and its lines in their order. */
export interface Columns {
  readonly own: { readonly name: string } & Readonly<Record<string, unknown>>;
  readonly lines?: Readonly<Record<string, readonly object[]>>;
}

/** A new record before it is written. */
export interface NewRecord<Input> {
  readonly input: Input;
  readonly id?: string;
  /** It comes as one that had been taken out. */
  readonly removed?: boolean;
}

/** A change as the book keeps it. */
export interface Change<Input> {
  readonly id: string;
  readonly name: string;
  readonly action: JournalAction;
  readonly before: Input | null;
  readonly after: Input;
}
