import { Migration } from '@mikro-orm/migrations';

/** The shape a plot was measured by, and reports on its soil with the method of every figure. */
export class Migration0003Ground extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table plot add column shape jsonb');
    this.addSql(`create table soil_report (
      id uuid primary key,
      workspace_id uuid not null references workspace (id),
      name text not null check (length(name) between 1 and 500),
      version integer not null default 1,
      updated_at timestamptz not null default now(),
      deleted_at timestamptz,
      plot_id uuid not null references plot (id),
      sampled_on date not null,
      depth_m double precision not null check (depth_m > 0),
      note text not null)`);
    this.addSql('create index soil_report_by_name on soil_report (workspace_id, name, id)');
    this.addSql('create index soil_report_plot on soil_report (plot_id, sampled_on)');
    this.addSql(`create table soil_figure (
      id bigserial primary key,
      report_id uuid not null references soil_report (id) on delete cascade,
      position integer not null,
      analyte text not null,
      value jsonb not null,
      unit text not null,
      method text not null)`);
    this.addSql('create index soil_figure_report on soil_figure (report_id, position)');
    this.addSql('alter table journal drop constraint journal_kind_check');
    this.addSql(
      `alter table journal add constraint journal_kind_check check (kind in ('plot', 'product', 'recipe', 'claim', 'soil'))`,
    );
  }

  override async down(): Promise<void> {
    this.addSql('drop table soil_figure, soil_report');
    this.addSql('alter table plot drop column shape');
  }
}
