import { Migration } from '@mikro-orm/migrations';
import { KEPT } from './kept.js';

const TABLES = ['leaf_test', 'pour_reading'];

/** Leaf tests and what ran through pots; photos of what was done. */
export class Migration0025Measured extends Migration {
  override async up(): Promise<void> {
    for (const table of TABLES) {
      this.addSql(`create table ${table} (${KEPT},
        plot_id uuid not null,
        season_id uuid,
        on_day date not null,
        details jsonb not null,
        unique (workspace_id, id),
        foreign key (workspace_id, plot_id) references plot (workspace_id, id),
        foreign key (workspace_id, season_id) references season (workspace_id, id))`);
      this.addSql(`create index ${table}_by_day on ${table} (workspace_id, on_day, id) where deleted_at is null`);
      this.addSql(`create index ${table}_removed on ${table} (workspace_id, on_day, id) where deleted_at is not null`);
      this.addSql(`create index ${table}_of_plot on ${table} (workspace_id, plot_id)`);
    }
    this.addSql('alter table attachment alter column product_id drop not null');
    this.addSql('alter table attachment add column entry_id uuid');
    this.addSql(
      'alter table attachment add constraint attachment_of_entry foreign key (workspace_id, entry_id) references log_entry (workspace_id, id)',
    );
    this.addSql(
      'alter table attachment add constraint attachment_of_one check ((product_id is null) <> (entry_id is null))',
    );
    this.addSql('create index attachment_entry on attachment (workspace_id, entry_id)');
  }

  override async down(): Promise<void> {
    this.addSql('delete from attachment where entry_id is not null');
    this.addSql('alter table attachment drop constraint attachment_of_one');
    this.addSql('alter table attachment drop constraint attachment_of_entry');
    this.addSql('alter table attachment drop column entry_id');
    this.addSql('alter table attachment alter column product_id set not null');
    for (const table of TABLES) this.addSql(`drop table ${table}`);
    this.addSql('alter table journal disable trigger journal_append_only');
    this.addSql(`delete from journal where kind in ('leaf', 'pour')`);
    this.addSql('alter table journal enable trigger journal_append_only');
  }
}
