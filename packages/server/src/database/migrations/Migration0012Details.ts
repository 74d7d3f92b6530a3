import { Migration } from '@mikro-orm/migrations';

/** Plain fields of a bag that had a column each, with the key they are kept under. */
const MOVED = [
  ['carbonToNitrogen', 'carbon_to_nitrogen', 'double precision'],
  ['saltIndex', 'salt_index', 'double precision'],
  ['limingPer100Kg', 'liming_per_100_kg', 'double precision'],
  ['storage', 'storage', 'text'],
] as const;

/** The plain fields of a bag stand together, so that a new one needs no column. */
export class Migration0012Details extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table product add column details jsonb not null default '{}'`);
    const pairs = MOVED.map(([key, column]) => `'${key}', ${column}`).join(', ');
    this.addSql(`update product set details = jsonb_strip_nulls(jsonb_build_object(${pairs}))`);
    this.addSql(`alter table product ${MOVED.map(([, column]) => `drop column ${column}`).join(', ')}`);
  }

  override async down(): Promise<void> {
    for (const [key, column, type] of MOVED) {
      this.addSql(`alter table product add column ${column} ${type}`);
      this.addSql(`update product set ${column} = (details ->> '${key}')::${type}`);
    }
    this.addSql('alter table product drop column details');
  }
}
