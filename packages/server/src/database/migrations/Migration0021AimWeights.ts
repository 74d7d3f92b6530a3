import { Migration } from '@mikro-orm/migrations';

/** A recipe may make several things small together, each counting as much as is said. */
export class Migration0021AimWeights extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table recipe add column weights jsonb');
  }

  override async down(): Promise<void> {
    this.addSql(`update recipe set aim = null where aim = 'weighted'`);
    this.addSql('alter table recipe drop column weights');
  }
}
