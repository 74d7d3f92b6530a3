import { Migration } from '@mikro-orm/migrations';

/** Tables of lines, and the record each line belongs to. */
const LINES = [
  ['analysis_figure', 'product_id', 'product'],
  ['offer', 'product_id', 'product'],
  ['recipe_part', 'recipe_id', 'recipe'],
  ['soil_figure', 'report_id', 'soil_report'],
] as const;

/** Lines say whose they are, and belong to a record of the same workspace; a recipe's parts point at bags of it. */
export class Migration0008Lines extends Migration {
  override async up(): Promise<void> {
    for (const [table, column, owner] of LINES) {
      this.addSql(`alter table ${table} add column workspace_id uuid`);
      this.addSql(
        `update ${table} set workspace_id = owner.workspace_id from ${owner} owner where owner.id = ${column}`,
      );
      this.addSql(`alter table ${table} alter column workspace_id set not null`);
      this.addSql(`alter table ${table} drop constraint ${table}_${column}_fkey`);
      this.addSql(
        `alter table ${table} add constraint ${table}_of_${owner} foreign key (workspace_id, ${column}) references ${owner} (workspace_id, id) on delete cascade`,
      );
    }
    this.addSql('alter table recipe_part drop constraint recipe_part_product_id_fkey');
    this.addSql(
      'alter table recipe_part add constraint recipe_part_product foreign key (workspace_id, product_id) references product (workspace_id, id)',
    );
  }

  override async down(): Promise<void> {
    this.addSql('alter table recipe_part drop constraint recipe_part_product');
    this.addSql('alter table recipe_part add foreign key (product_id) references product (id)');
    for (const [table, column, owner] of LINES) {
      this.addSql(`alter table ${table} drop constraint ${table}_of_${owner}`);
      this.addSql(`alter table ${table} drop column workspace_id`);
      this.addSql(`alter table ${table} add foreign key (${column}) references ${owner} (id) on delete cascade`);
    }
  }
}
