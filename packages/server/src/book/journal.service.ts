import { EntityManager, type FilterQuery } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable } from '@nestjs/common';
import {
  ofToday,
  type BatchUndone,
  type JournalRecord,
  type Kept,
  type Page,
  type RecordKind,
} from '@wheat-ledger/contract';
import { ProblemException, notFound } from '../common/problems.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { JournalEntry } from './journal.entity.js';
import { Stores } from './stores.service.js';

export interface JournalQuery {
  readonly before?: string | undefined;
  readonly limit?: number | undefined;
  readonly recordId?: string | undefined;
}

/** Reads the journal and takes changes back. An undo is itself a change, so it can be undone too. */
@Injectable()
export class JournalService {
  constructor(
    private readonly em: EntityManager,
    private readonly scope: WorkspaceScope,
    private readonly stores: Stores,
  ) {}

  async list({ before, limit = 50, recordId }: JournalQuery): Promise<Page<JournalRecord>> {
    const where: FilterQuery<JournalEntry> = {
      workspace: this.scope.id,
      ...(before === undefined ? {} : { id: { $lt: before } }),
      ...(recordId === undefined ? {} : { recordId }),
    };
    const found = await this.em.find(JournalEntry, where, { orderBy: { id: 'desc' }, limit: limit + 1 });
    const items = found.slice(0, limit);
    const latest = await this.latestOf(items.map((e) => e.recordId));
    return {
      items: items.map((e) => toRecord(e, latest.get(e.recordId) === e.id)),
      next: found.length > limit ? (items.at(-1)?.id ?? null) : null,
    };
  }

  /** Takes back a record's latest change. @throws ProblemException 409 when something newer stands on it. */
  async undo(id: string): Promise<Kept> {
    const entry = await this.em.findOne(JournalEntry, { id, workspace: this.scope.id });
    if (!entry) throw notFound('entry');
    if ((await this.latestOf([entry.recordId])).get(entry.recordId) !== entry.id)
      throw new ProblemException(
        'not-latest',
        HttpStatus.CONFLICT,
        'Something was changed after it. Undo the newer change first.',
      );
    const store = this.stores.of(entry.kind);
    const { version } = await store.get(entry.recordId);
    switch (entry.action) {
      case 'create':
      case 'restore':
        return store.remove(entry.recordId, version, entry.id);
      case 'remove':
        return store.restore(entry.recordId, version, entry.id);
      case 'update':
        return store.update(entry.recordId, version, ofToday(entry.kind, entry.before as object), entry.id);
    }
  }

  /**
   * Takes back an import: every record it brought in that nobody changed since is taken out, all in one transaction.
   * @throws ProblemException 404 when no import has that name
   */
  async undoBatch(batch: string): Promise<BatchUndone> {
    const rows = await this.em.getConnection().execute<{ kind: RecordKind; record_id: string; latest: boolean }[]>(
      `select kind, record_id, not exists (select 1 from journal later where later.workspace_id = j.workspace_id and later.record_id = j.record_id and later.id > j.id and later.batch is distinct from j.batch) as latest
       from journal j where workspace_id = ? and batch = ? and action = 'create'`,
      [this.scope.id, batch],
    );
    if (rows.length === 0) throw notFound('import');
    const untouched = rows.filter((r) => r.latest);
    await this.em.transactional(async () => {
      // What points to others goes first.
      for (const kind of [...new Set(untouched.map((r) => r.kind))].reverse())
        await this.stores.of(kind).removeMany(untouched.filter((r) => r.kind === kind).map((r) => r.record_id));
    });
    return { takenOut: untouched.length, changedSince: rows.length - untouched.length };
  }

  /** Id of the newest entry of each record. */
  private async latestOf(recordIds: readonly string[]): Promise<Map<string, string>> {
    if (recordIds.length === 0) return new Map();
    const unique = [...new Set(recordIds)];
    const rows = await this.em
      .getConnection()
      .execute<{ record_id: string; id: string }[]>(
        `select record_id, max(id)::text as id from journal where workspace_id = ? and record_id in (${unique.map(() => '?').join(',')}) group by record_id`,
        [this.scope.id, ...unique],
      );
    return new Map(rows.map((row) => [row.record_id, row.id]));
  }
}

const toRecord = (e: JournalEntry, undoable: boolean): JournalRecord => ({
  id: e.id,
  at: e.at.toISOString(),
  who: e.who,
  kind: e.kind,
  recordId: e.recordId,
  name: e.name,
  action: e.action,
  undoes: e.undoes,
  before: e.before,
  after: e.after,
  undoable,
});
