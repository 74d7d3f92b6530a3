import { Migration } from '@mikro-orm/migrations';

/** The append-only rule stands aside while the journal itself is moved. */
const moving = (...sql: readonly string[]): readonly string[] => [
  'alter table journal disable trigger journal_append_only',
  ...sql,
  'alter table journal enable trigger journal_append_only',
];

/**
 * Changes are grouped by operation: an import becomes one, every other change its own. Lists by plot and day; a new kind of record needs no
 * change to the journal.
 */
export class Migration0009Operations extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create table operation (
      id uuid primary key,
      workspace_id uuid not null references workspace (id),
      at timestamptz not null,
      who text not null,
      why text not null,
      undoes uuid,
      unique (workspace_id, id),
      foreign key (workspace_id, undoes) references operation (workspace_id, id))`);
    this.addSql('alter table journal add column operation uuid');
    for (const sql of moving('update journal set operation = coalesce(batch, gen_random_uuid())')) this.addSql(sql);
    this.addSql(`insert into operation (id, workspace_id, at, who, why)
      select operation, workspace_id, min(at), min(who), case when count(batch) > 0 then 'import' else '' end from journal group by operation, workspace_id`);
    this.addSql(`update operation o set undoes = undone.operation
      from journal entry join journal undone on undone.id = entry.undoes where entry.operation = o.id`);
    this.addSql('alter table journal alter column operation set not null');
    this.addSql('drop index journal_batch');
    this.addSql('alter table journal drop column undoes, drop column batch, drop constraint journal_kind_check');
    this.addSql(
      'alter table journal add constraint journal_operation_fk foreign key (workspace_id, operation) references operation (workspace_id, id)',
    );
    this.addSql('create index journal_operation on journal (workspace_id, operation)');
    for (const table of ['soil_report', 'logger', 'jar_test'])
      this.addSql(`create index ${table}_of_plot on ${table} (workspace_id, plot_id) where deleted_at is null`);
    for (const table of ['claim', 'attachment'])
      this.addSql(`create index ${table}_of_product on ${table} (workspace_id, product_id) where deleted_at is null`);
    this.addSql('create index recipe_part_of_product on recipe_part (workspace_id, product_id)');
    for (const [table, day] of [
      ['soil_report', 'sampled_on'],
      ['logger', 'from_day'],
    ] as const)
      this.addSql(`create index ${table}_by_day on ${table} (workspace_id, ${day}, id) where deleted_at is null`);
  }

  override async down(): Promise<void> {
    for (const index of [
      'soil_report_of_plot',
      'logger_of_plot',
      'jar_test_of_plot',
      'claim_of_product',
      'attachment_of_product',
      'recipe_part_of_product',
      'soil_report_by_day',
      'logger_by_day',
      'journal_operation',
    ])
      this.addSql(`drop index ${index}`);
    this.addSql('alter table journal drop constraint journal_operation_fk');
    this.addSql('alter table journal add column undoes bigint references journal (id), add column batch uuid');
    for (const sql of moving(
      `update journal j set undoes = (select max(u.id) from journal u, operation o where o.id = j.operation and u.operation = o.undoes and u.record_id = j.record_id)`,
      `update journal set batch = operation where operation in (select operation from journal group by operation having count(*) > 1)`,
    ))
      this.addSql(sql);
    this.addSql('create index journal_batch on journal (workspace_id, batch) where batch is not null');
    this.addSql('alter table journal drop column operation');
    this.addSql('drop table operation');
    this.addSql(
      `alter table journal add constraint journal_kind_check check (kind in ('plot', 'product', 'recipe', 'claim', 'soil', 'attachment', 'jar', 'logger', 'filter')) not valid`,
    );
  }
}
