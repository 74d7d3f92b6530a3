import { Migration } from '@mikro-orm/migrations';

/** How far long work is, for whichever server is asked. */
export class Migration0029Progress extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create unlogged table progress (
      workspace_id uuid not null,
      job uuid not null,
      rows integer not null,
      bytes bigint not null,
      of_bytes bigint,
      at timestamptz not null default now(),
      primary key (workspace_id, job))`);
  }

  override async down(): Promise<void> {
    this.addSql('drop table progress');
  }
}
