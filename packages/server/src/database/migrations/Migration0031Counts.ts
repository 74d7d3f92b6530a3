import { Migration } from '@mikro-orm/migrations';

/** How many requests came from whom in a minute, counted over all servers of the database. */
export class Migration0031Counts extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create unlogged table request_count (
      who text not null,
      ends timestamptz not null,
      hits integer not null,
      primary key (who, ends))`);
  }

  override async down(): Promise<void> {
    this.addSql('drop table request_count');
  }
}
