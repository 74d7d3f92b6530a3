import { Migration } from '@mikro-orm/migrations';
import { KEPT } from './kept.js';

const KINDS = ['plot', 'product', 'recipe', 'claim', 'soil', 'attachment', 'jar', 'logger'];
const kindsAre = (kinds: readonly string[]): string =>
  `alter table journal add constraint journal_kind_check check (kind in (${kinds.map((k) => `'${k}'`).join(', ')}))`;

/** Filters of the shelf that are kept under a name. */
export class Migration0005Filters extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create table shelf_filter (${KEPT},
      filter jsonb not null)`);
    this.addSql('create index shelf_filter_by_name on shelf_filter (workspace_id, name, id)');
    this.addSql('alter table journal drop constraint journal_kind_check');
    this.addSql(kindsAre([...KINDS, 'filter']));
  }

  override async down(): Promise<void> {
    this.addSql('drop table shelf_filter');
    this.addSql(`delete from journal where kind = 'filter'`);
    this.addSql('alter table journal drop constraint journal_kind_check');
    this.addSql(kindsAre(KINDS));
  }
}
