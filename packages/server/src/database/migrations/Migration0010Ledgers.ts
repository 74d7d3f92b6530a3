import { Migration } from '@mikro-orm/migrations';
import { HOME_WORKSPACE } from '../../ledgers/workspace.entity.js';

/** Several ledgers in one installation, each with a part of the address of its own. */
export class Migration0010Ledgers extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table workspace add column slug text');
    this.addSql(`update workspace set slug = case when id = '${HOME_WORKSPACE}' then 'home' else id::text end`);
    this.addSql(`update workspace set name = 'My garden' where id = '${HOME_WORKSPACE}' and name = 'home'`);
    this.addSql('alter table workspace alter column slug set not null, add constraint workspace_slug unique (slug)');
  }

  override async down(): Promise<void> {
    this.addSql('alter table workspace drop column slug');
  }
}
