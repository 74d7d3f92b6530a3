import { kindOf, type RecordKind, type RecordOf } from '@wheat-ledger/contract';

export type AnyRecord = RecordOf<RecordKind>;

/** A field the registry names. */
const fieldOf = (record: AnyRecord, field: string): unknown =>
  (record as unknown as Readonly<Record<string, unknown>>)[field];

/** In a list's order, as the server keeps it: by what its kind is sorted by, then by id. */
const before = (kind: RecordKind, a: AnyRecord, b: AnyRecord): boolean => {
  const [x, y] = [a, b].map((record) => String(fieldOf(record, kindOf(kind).sort))) as [string, string];
  return x === y ? a.id < b.id : x < y;
};
/** The list with a record in its place; all others stay the very same objects. */
export const withRecord = (kind: RecordKind, records: readonly AnyRecord[], saved: AnyRecord): AnyRecord[] => {
  const others = records.filter((r) => r.id !== saved.id);
  const at = others.findIndex((r) => before(kind, saved, r));
  return at < 0 ? [...others, saved] : [...others.slice(0, at), saved, ...others.slice(at)];
};

/** What a list is asked by: removed records, or those that belong to another one. */
export interface Asked {
  readonly kind: RecordKind;
  readonly removed?: boolean;
  /** The other kind's name, with the id. */
  readonly of?: Readonly<Partial<Record<RecordKind, string>>>;
}
export const belongs = (record: AnyRecord, { kind, of = {} }: Asked): boolean =>
  kindOf(kind).refers.every(
    ({ at, to }) => of[to as RecordKind] === undefined || fieldOf(record, at) === of[to as RecordKind],
  );
