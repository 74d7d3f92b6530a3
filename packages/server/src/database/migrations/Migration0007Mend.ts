import { Migration } from '@mikro-orm/migrations';

const MEDIA = ['mineralSoil', 'organicPotting', 'inertPotting'];
const mediumIn = (media: readonly string[]): string =>
  `alter table plot add constraint plot_medium_check check (medium in (${media.map((m) => `'${m}'`).join(', ')}))`;

/** Lists of words, which an array of text lost where a word was NULL or had a quote: as jsonb every word is kept as it was typed. */
const WORD_LISTS = [
  ['product', 'derived_from'],
  ['product', 'origins'],
  ['claim', 'needs'],
] as const;
/** Kept tables, each listed by name; what is removed is listed apart. */
const KEPT_TABLES = [
  'plot',
  'product',
  'recipe',
  'claim',
  'soil_report',
  'attachment',
  'jar_test',
  'logger',
  'shelf_filter',
] as const;
/** References inside one workspace: a record cannot point at one that another workspace holds. */
const REFERENCES = [
  ['claim', 'product_id', 'product'],
  ['attachment', 'product_id', 'product'],
  ['soil_report', 'plot_id', 'plot'],
  ['jar_test', 'plot_id', 'plot'],
  ['logger', 'plot_id', 'plot'],
] as const;

/** A medium of half soil, half potting mix; word lists as jsonb; records and what they refer to in one workspace; removed records listed by an index of their own. */
export class Migration0007Mend extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table plot drop constraint plot_medium_check');
    this.addSql(mediumIn([...MEDIA, 'halfPotting']));
    for (const [table, column] of WORD_LISTS)
      this.addSql(
        `alter table ${table} alter column ${column} type jsonb using to_jsonb(array_remove(${column}, null))`,
      );
    for (const table of KEPT_TABLES) {
      this.addSql(`alter table ${table} add constraint ${table}_in_workspace unique (workspace_id, id)`);
      this.addSql(`drop index ${table}_by_name`);
      this.addSql(`create index ${table}_by_name on ${table} (workspace_id, name, id) where deleted_at is null`);
      this.addSql(`create index ${table}_removed on ${table} (workspace_id, name, id) where deleted_at is not null`);
    }
    for (const [table, column, to] of REFERENCES)
      this.addSql(
        `alter table ${table} add constraint ${table}_${to}_in_workspace foreign key (workspace_id, ${column}) references ${to} (workspace_id, id)`,
      );
  }

  override async down(): Promise<void> {
    for (const [table, , to] of REFERENCES)
      this.addSql(`alter table ${table} drop constraint ${table}_${to}_in_workspace`);
    for (const table of KEPT_TABLES) {
      this.addSql(`drop index ${table}_removed`);
      this.addSql(`drop index ${table}_by_name`);
      this.addSql(`create index ${table}_by_name on ${table} (workspace_id, name, id)`);
      this.addSql(`alter table ${table} drop constraint ${table}_in_workspace`);
    }
    // A type cannot be changed by a query over its own rows, so the list is copied.
    for (const [table, column] of WORD_LISTS) {
      this.addSql(`alter table ${table} rename column ${column} to ${column}_json`);
      this.addSql(`alter table ${table} add column ${column} text[]`);
      this.addSql(
        `update ${table} set ${column} = (select coalesce(array_agg(word), '{}') from jsonb_array_elements_text(${column}_json) as word) where ${column}_json is not null`,
      );
      this.addSql(`alter table ${table} drop column ${column}_json`);
    }
    this.addSql(`alter table product alter column derived_from set not null`);
    this.addSql(`alter table claim alter column needs set not null`);
    this.addSql(`update plot set medium = 'mineralSoil' where medium = 'halfPotting'`);
    this.addSql('alter table plot drop constraint plot_medium_check');
    this.addSql(mediumIn(MEDIA));
  }
}
