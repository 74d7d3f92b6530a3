import { Migration } from '@mikro-orm/migrations';

/** A soil report may carry what the laboratory recommends to give. */
export class Migration0017Advice extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table soil_report add column advice text');
  }

  override async down(): Promise<void> {
    this.addSql('alter table soil_report drop column advice');
  }
}
