import { Migration } from '@mikro-orm/migrations';

/** Photos of the units of a trial. */
export class Migration0027UnitPhotos extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table attachment add column trial_id uuid, add column unit integer');
    this.addSql(
      'alter table attachment add constraint attachment_of_trial foreign key (workspace_id, trial_id) references trial (workspace_id, id)',
    );
    this.addSql('alter table attachment drop constraint attachment_of_one');
    this.addSql(
      'alter table attachment add constraint attachment_of_one check (num_nonnulls(product_id, entry_id, trial_id) = 1 and (unit is null or trial_id is not null))',
    );
    this.addSql('create index attachment_trial on attachment (workspace_id, trial_id)');
  }

  override async down(): Promise<void> {
    this.addSql('delete from attachment where trial_id is not null');
    this.addSql('alter table attachment drop constraint attachment_of_one');
    this.addSql('alter table attachment drop constraint attachment_of_trial');
    this.addSql('alter table attachment drop column trial_id, drop column unit');
    this.addSql(
      'alter table attachment add constraint attachment_of_one check ((product_id is null) <> (entry_id is null))',
    );
  }
}
