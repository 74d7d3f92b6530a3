import { Migration } from '@mikro-orm/migrations';
import { KEPT } from './kept.js';

/** Compost heaps, with what is on them and what was found in them day by day. */
export class Migration0020Heaps extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create table heap (${KEPT},
      begun_on date,
      bin_l double precision check (bin_l > 0),
      parts jsonb not null,
      log jsonb not null,
      note text not null,
      unique (workspace_id, id))`);
    this.addSql('create index heap_by_order on heap (workspace_id, name, id) where deleted_at is null');
    this.addSql('create index heap_removed on heap (workspace_id, name, id) where deleted_at is not null');
  }

  override async down(): Promise<void> {
    this.addSql('drop table heap');
    this.addSql('alter table journal disable trigger journal_append_only');
    this.addSql(`delete from journal where kind = 'heap'`);
    this.addSql('alter table journal enable trigger journal_append_only');
  }
}
