import { Migration } from '@mikro-orm/migrations';

/** A bag may carry the grower's own incubation. */
export class Migration0015Incubations extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table product add column incubation jsonb');
  }

  override async down(): Promise<void> {
    this.addSql('alter table product drop column incubation');
  }
}
