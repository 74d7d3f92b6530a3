import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { CsvProgress } from '@wheat-ledger/contract';
import { WorkspaceScope } from './workspaceScope.js';

/** Work that somebody left is forgotten after an hour. */
const KEPT = '1 hour';
/** Told no oftener than so, ms: nobody reads faster. */
const APART_MS = 150;

/** How far long work is, told through the database: whoever asks may reach another server than the one that works. */
@Injectable()
export class Progress {
  private readonly told = new Map<string, number>();

  constructor(
    private readonly em: EntityManager,
    private readonly scope: WorkspaceScope,
  ) {}

  /** Says how far a job is, beside whatever transaction the work runs in. */
  async tell(job: string, { rows, bytes, ofBytes }: CsvProgress): Promise<void> {
    const now = Date.now();
    if (now - (this.told.get(job) ?? 0) < APART_MS) return;
    this.told.set(job, now);
    await this.em.fork().execute(
      `insert into progress (workspace_id, job, rows, bytes, of_bytes) values (?, ?, ?, ?, ?)
       on conflict (workspace_id, job) do update set rows = excluded.rows, bytes = excluded.bytes, at = now()`,
      [this.scope.id, job, rows, bytes, ofBytes ?? null],
    );
  }

  async of(job: string): Promise<CsvProgress | undefined> {
    const [found] = await this.em.execute<{ rows: number; bytes: string; of_bytes: string | null }[]>(
      'select rows, bytes, of_bytes from progress where workspace_id = ? and job = ?',
      [this.scope.id, job],
    );
    return (
      found && {
        rows: found.rows,
        bytes: Number(found.bytes),
        ofBytes: found.of_bytes === null ? undefined : Number(found.of_bytes),
      }
    );
  }

  async done(job: string): Promise<void> {
    this.told.delete(job);
    await this.em
      .fork()
      .execute(`delete from progress where workspace_id = ? and (job = ? or at < now() - interval '${KEPT}')`, [
        this.scope.id,
        job,
      ]);
  }
}
