import { Migration } from '@mikro-orm/migrations';

/** A plot keeps the limits of local code that its grower entered. */
export class Migration0024Limits extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table plot add column limits jsonb');
  }

  override async down(): Promise<void> {
    this.addSql('alter table plot drop column limits');
  }
}
