import { EntityManager, type FilterQuery } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable } from '@nestjs/common';
import {
  ofToday,
  RECORD_KINDS,
  type JournalRecord,
  type OperationUndone,
  type Page,
  type RecordKind,
} from '@wheat-ledger/contract';
import { ProblemException, notFound } from '../common/problems.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { Operations } from '../records/operations.js';
import { Operation } from '../records/operation.entity.js';
import { Stores } from '../records/stores.service.js';
import { JournalEntry } from './journal.entity.js';

export interface JournalQuery {
  readonly before?: string | undefined;
  readonly limit?: number | undefined;
  readonly recordId?: string | undefined;
}

interface Touched {
  readonly id: string;
  readonly kind: RecordKind;
  readonly record_id: string;
  readonly name: string;
  readonly action: JournalEntry['action'];
  /** Another operation changed the record after this one. */
  readonly changed_since: boolean;
}

/** What an operation did to one record altogether. */
interface Net {
  readonly id: string;
  readonly kind: RecordKind;
  readonly before: 'absent' | 'removed' | 'present';
  readonly now: 'removed' | 'present';
  /** The entry that holds the content from before. */
  readonly update: string | undefined;
}
const BEFORE = { create: 'absent', restore: 'removed', update: 'present', remove: 'present' } as const;

/** @param entries one record's entries of an operation, in their order; at least one */
function netOf(entries: readonly Touched[]): Net {
  const [first] = entries;
  const last = entries.at(-1);
  if (!first || !last) throw new RangeError('Expected at least one entry.');
  return {
    id: first.record_id,
    kind: first.kind,
    before: BEFORE[first.action],
    now: last.action === 'remove' ? 'removed' : 'present',
    update: entries.find((e) => e.action === 'update')?.id,
  };
}
const idsOf = (nets: readonly Net[], kind: RecordKind, which: (net: Net) => boolean): readonly string[] =>
  nets.filter((n) => n.kind === kind && which(n)).map((n) => n.id);

/** Reads the journal and takes operations back. An undo is itself an operation, so undoing it does the first again. */
@Injectable()
export class JournalService {
  constructor(
    private readonly em: EntityManager,
    private readonly scope: WorkspaceScope,
    private readonly stores: Stores,
    private readonly operations: Operations,
  ) {}

  async list({ before, limit = 50, recordId }: JournalQuery): Promise<Page<JournalRecord>> {
    const where: FilterQuery<JournalEntry> = {
      workspace: this.scope.id,
      ...(before === undefined ? {} : { id: { $lt: before } }),
      ...(recordId === undefined ? {} : { recordId }),
    };
    const found = await this.em.find(JournalEntry, where, { orderBy: { id: 'desc' }, limit: limit + 1 });
    const items = found.slice(0, limit);
    const names = [...new Set(items.map((e) => e.operation))];
    const meant = new Map(
      (await this.em.find(Operation, { workspace: this.scope.id, id: { $in: names } })).map((o) => [o.id, o]),
    );
    const standing = await this.standing(names);
    return {
      items: items.map((e) => toRecord(e, meant.get(e.operation), standing.has(e.operation))),
      next: found.length > limit ? (items.at(-1)?.id ?? null) : null,
    };
  }

  /**
   * Takes back everything an operation changed, all of it or nothing.
   * @param leaving leaves what was changed since as it is, instead of refusing
   * @throws ProblemException 404 for an operation that is not here, 409 when something of it was changed since
   */
  async undo(id: string, leaving: boolean): Promise<OperationUndone> {
    const operation = await this.em.findOne(Operation, { id, workspace: this.scope.id });
    if (!operation) throw notFound('operation');
    return this.operations.run(() => this.takeBack(id, leaving), { why: operation.why, undoes: id });
  }

  private async takeBack(id: string, leaving: boolean): Promise<OperationUndone> {
    const first = await this.touched(id);
    for (const kind of RECORD_KINDS) {
      const ids = first.filter((t) => t.kind === kind).map((t) => t.record_id);
      if (ids.length > 0) await this.stores.of(kind).hold(ids);
    }
    // Asked again now that nobody else can change them.
    const all = await this.touched(id);
    const changed = new Set(all.filter((t) => t.changed_since).map((t) => t.record_id));
    if (changed.size > 0 && !leaving)
      throw new ProblemException(
        'not-latest',
        HttpStatus.CONFLICT,
        `${[...new Set(all.filter((t) => t.changed_since).map((t) => t.name))].slice(0, 3).join(', ')} was changed after it. Undo the newer change first.`,
      );
    const byRecord = new Map<string, Touched[]>();
    for (const t of all.filter((each) => !changed.has(each.record_id)))
      byRecord.set(t.record_id, [...(byRecord.get(t.record_id) ?? []), t]);
    const nets = [...byRecord.values()].map(netOf);
    // What is referred to comes back first, and what refers goes first.
    for (const kind of RECORD_KINDS)
      await this.stores.of(kind).restoreMany(idsOf(nets, kind, (n) => n.before === 'present' && n.now === 'removed'));
    for (const { kind, id, update } of nets.filter((n) => n.before !== 'absent'))
      if (update) await this.undoUpdate(kind, id, update);
    for (const kind of [...RECORD_KINDS].reverse())
      await this.stores.of(kind).removeMany(idsOf(nets, kind, (n) => n.before !== 'present' && n.now === 'present'));
    return { operation: await this.operations.current(), undone: nets.length, changedSince: changed.size };
  }

  /** The content from before an update, as an input of today. */
  private async undoUpdate(kind: RecordKind, recordId: string, entryId: string): Promise<void> {
    const store = this.stores.of(kind);
    const entry = await this.em.findOneOrFail(JournalEntry, { id: entryId, workspace: this.scope.id });
    const { version } = await store.get(recordId);
    await store.update(recordId, version, ofToday(kind, entry.before as object));
  }

  /** What an operation did, in its order. */
  private touched(id: string): Promise<Touched[]> {
    return this.em.execute<Touched[]>(
      `select j.id::text as id, kind, record_id, name, action, exists (
         select 1 from journal later where later.workspace_id = j.workspace_id and later.record_id = j.record_id and later.id > j.id and later.operation <> j.operation) as changed_since
       from journal j where workspace_id = ? and operation = ? order by j.id`,
      [this.scope.id, id],
    );
  }

  /** Which operations nothing was built on since. */
  private async standing(ids: readonly string[]): Promise<ReadonlySet<string>> {
    if (ids.length === 0) return new Set();
    const rows = await this.em.execute<{ operation: string }[]>(
      `select operation from journal j where workspace_id = ? and operation in (${ids.map(() => '?').join(',')})
       group by operation having not bool_or(exists (
         select 1 from journal later where later.workspace_id = j.workspace_id and later.record_id = j.record_id and later.id > j.id and later.operation <> j.operation))`,
      [this.scope.id, ...ids],
    );
    return new Set(rows.map((row) => row.operation));
  }
}

const toRecord = (e: JournalEntry, operation: Operation | undefined, undoable: boolean): JournalRecord => ({
  id: e.id,
  at: e.at.toISOString(),
  who: e.who,
  kind: e.kind,
  recordId: e.recordId,
  name: e.name,
  action: e.action,
  operation: e.operation,
  why: operation?.why ?? '',
  undoes: operation?.undoes ?? null,
  before: e.before,
  after: e.after,
  undoable,
});
