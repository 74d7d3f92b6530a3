import { Migration } from '@mikro-orm/migrations';

/** What a shelf keeps beyond the label: its own words, listing, origin, chemistry beside the analysis, stock, and who asked which price. */
export class Migration0002Shelf extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table product
      add column label_text text check (length(label_text) <= 20000),
      add column organic jsonb,
      add column origins text[],
      add column carbon_to_nitrogen double precision check (carbon_to_nitrogen > 0),
      add column salt_index double precision check (salt_index >= 0),
      add column liming_per_100_kg double precision,
      add column stock jsonb,
      add column storage text`);
    this.addSql('alter table offer add column seller text');
  }

  override async down(): Promise<void> {
    this.addSql('alter table offer drop column seller');
    this.addSql(
      'alter table product drop column label_text, drop column organic, drop column origins, drop column carbon_to_nitrogen, drop column salt_index, drop column liming_per_100_kg, drop column stock, drop column storage',
    );
  }
}
