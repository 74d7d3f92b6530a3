import { Migration } from '@mikro-orm/migrations';
import { KEPT } from './kept.js';

/** What was really done, with the stock it used; and what was harvested. */
export class Migration0023Log extends Migration {
  override async up(): Promise<void> {
    const onPlot = `
      plot_id uuid not null,
      season_id uuid,
      on_day date not null`;
    const ofPlot = `
      unique (workspace_id, id),
      foreign key (workspace_id, plot_id) references plot (workspace_id, id),
      foreign key (workspace_id, season_id) references season (workspace_id, id)`;
    this.addSql(`create table log_entry (${KEPT}, ${onPlot},
      task text,
      corrects uuid,
      details jsonb not null, ${ofPlot})`);
    this.addSql(`create table log_item (
      id bigserial primary key,
      workspace_id uuid not null,
      entry_id uuid not null,
      position integer not null,
      product_id uuid not null,
      amount double precision not null check (amount >= 0),
      unit text not null,
      lot text not null,
      foreign key (workspace_id, entry_id) references log_entry (workspace_id, id) on delete cascade,
      foreign key (workspace_id, product_id) references product (workspace_id, id))`);
    this.addSql('create index log_item_entry on log_item (entry_id, position)');
    this.addSql('create index log_item_product on log_item (workspace_id, product_id)');
    // A task is ticked off once, and an entry corrected once.
    this.addSql(
      'create unique index log_entry_task on log_entry (workspace_id, task) where deleted_at is null and task is not null',
    );
    this.addSql(
      'create unique index log_entry_corrects on log_entry (workspace_id, corrects) where deleted_at is null and corrects is not null',
    );
    this.addSql(`create table harvest (${KEPT}, ${onPlot},
      kg double precision not null check (kg > 0),
      count double precision, note text not null, ${ofPlot})`);
    for (const table of ['log_entry', 'harvest']) {
      this.addSql(`create index ${table}_by_day on ${table} (workspace_id, on_day, id) where deleted_at is null`);
      this.addSql(`create index ${table}_removed on ${table} (workspace_id, on_day, id) where deleted_at is not null`);
      this.addSql(`create index ${table}_of_plot on ${table} (workspace_id, plot_id)`);
    }
    this.addSql('alter table stock_movement add column entry_id uuid');
    this.addSql(
      'alter table stock_movement add constraint stock_movement_of_entry foreign key (workspace_id, entry_id) references log_entry (workspace_id, id)',
    );
    this.addSql('create index stock_movement_entry on stock_movement (workspace_id, entry_id)');
  }

  override async down(): Promise<void> {
    this.addSql('alter table stock_movement drop constraint stock_movement_of_entry');
    this.addSql('alter table stock_movement drop column entry_id');
    this.addSql('drop table log_item');
    this.addSql('drop table log_entry');
    this.addSql('drop table harvest');
    this.addSql('alter table journal disable trigger journal_append_only');
    this.addSql(`delete from journal where kind in ('entry', 'harvest')`);
    this.addSql('alter table journal enable trigger journal_append_only');
  }
}
