import { Migration } from '@mikro-orm/migrations';
import { KEPT } from './kept.js';

/** Searches of the catalogue that are kept under a name. */
export class Migration0032Searches extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create table catalogue_search (${KEPT},
      search jsonb not null)`);
    this.addSql('create index catalogue_search_by_name on catalogue_search (workspace_id, name, id)');
  }

  override async down(): Promise<void> {
    this.addSql('drop table catalogue_search');
    this.addSql('alter table journal disable trigger journal_append_only');
    this.addSql(`delete from journal where kind = 'search'`);
    this.addSql('alter table journal enable trigger journal_append_only');
  }
}
