import { Migration } from '@mikro-orm/migrations';
import { KEPT } from './kept.js';

/** Trials, and what was measured in them sheet by sheet. */
export class Migration0026Trials extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create table trial (${KEPT},
      plot_id uuid,
      claim_id uuid,
      details jsonb not null,
      unique (workspace_id, id),
      foreign key (workspace_id, plot_id) references plot (workspace_id, id),
      foreign key (workspace_id, claim_id) references claim (workspace_id, id))`);
    this.addSql('create index trial_by_order on trial (workspace_id, name, id) where deleted_at is null');
    this.addSql('create index trial_removed on trial (workspace_id, name, id) where deleted_at is not null');
    this.addSql('create index trial_of_plot on trial (workspace_id, plot_id)');
    this.addSql('create index trial_of_claim on trial (workspace_id, claim_id)');
    this.addSql(`create table trial_sheet (${KEPT},
      trial_id uuid not null,
      on_day date not null,
      details jsonb not null,
      unique (workspace_id, id),
      foreign key (workspace_id, trial_id) references trial (workspace_id, id))`);
    this.addSql('create index trial_sheet_by_day on trial_sheet (workspace_id, on_day, id) where deleted_at is null');
    this.addSql(
      'create index trial_sheet_removed on trial_sheet (workspace_id, on_day, id) where deleted_at is not null',
    );
    this.addSql('create index trial_sheet_of_trial on trial_sheet (workspace_id, trial_id)');
  }

  override async down(): Promise<void> {
    this.addSql('drop table trial_sheet');
    this.addSql('drop table trial');
    this.addSql('alter table journal disable trigger journal_append_only');
    this.addSql(`delete from journal where kind in ('trial', 'sheet')`);
    this.addSql('alter table journal enable trigger journal_append_only');
  }
}
