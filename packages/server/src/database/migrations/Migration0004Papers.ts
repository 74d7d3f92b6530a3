import { Migration } from '@mikro-orm/migrations';
import { KEPT } from './kept.js';

/** Photos and PDFs of labels, jar tests, loggers, the water of a plot; uneven shapes of any number of sides; extracts beside totals, and dilutions; entries that came in together. */
export class Migration0004Papers extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table plot add column climate jsonb, add column water jsonb');
    this.addSql('alter table product add column dilution jsonb');
    this.addSql(`alter table analysis_figure add column extract text check (extract in ('available'))`);
    this.addSql(`update plot set shape = jsonb_set(shape, '{kind}', '"polygon"') where shape ->> 'kind' = 'fourSides'`);

    this.addSql(`create table attachment_content (
      workspace_id uuid not null references workspace (id),
      sha256 text not null check (sha256 ~ '^[0-9a-f]{64}$'),
      type text not null check (type in ('image/jpeg', 'image/png', 'image/webp', 'application/pdf')),
      bytes integer not null check (bytes > 0),
      data bytea not null,
      primary key (workspace_id, sha256))`);
    this.addSql(`create table attachment (${KEPT},
      product_id uuid not null references product (id),
      sha256 text not null,
      type text not null,
      bytes integer not null,
      foreign key (workspace_id, sha256) references attachment_content (workspace_id, sha256))`);
    this.addSql('create index attachment_by_name on attachment (workspace_id, name, id)');

    this.addSql(`create table jar_test (${KEPT},
      plot_id uuid not null references plot (id),
      kind text not null check (kind in ('dispersion', 'texture')),
      started_at timestamptz,
      readings jsonb not null,
      note text not null)`);
    this.addSql('create index jar_test_by_name on jar_test (workspace_id, name, id)');

    this.addSql(`create table logger (${KEPT},
      plot_id uuid not null references plot (id),
      from_day date not null,
      series jsonb not null)`);
    this.addSql('create index logger_by_name on logger (workspace_id, name, id)');

    this.addSql('alter table journal add column batch uuid');
    this.addSql('create index journal_batch on journal (workspace_id, batch) where batch is not null');
    this.addSql('alter table journal drop constraint journal_kind_check');
    this.addSql(
      `alter table journal add constraint journal_kind_check check (kind in ('plot', 'product', 'recipe', 'claim', 'soil', 'attachment', 'jar', 'logger'))`,
    );
  }

  override async down(): Promise<void> {
    this.addSql('alter table journal drop column batch');
    this.addSql('drop table attachment, attachment_content, jar_test, logger');
    this.addSql(`update plot set shape = jsonb_set(shape, '{kind}', '"fourSides"') where shape ->> 'kind' = 'polygon'`);
    this.addSql('alter table plot drop column climate, drop column water');
    this.addSql('alter table product drop column dilution');
    this.addSql('alter table analysis_figure drop column extract');
  }
}
