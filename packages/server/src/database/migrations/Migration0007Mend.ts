import { Migration } from '@mikro-orm/migrations';

const MEDIA = ['mineralSoil', 'organicPotting', 'inertPotting'];
const mediumIn = (media: readonly string[]): string =>
  `alter table plot add constraint plot_medium_check check (medium in (${media.map((m) => `'${m}'`).join(', ')}))`;

/** A medium of half soil, half potting mix. */
export class Migration0007Mend extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table plot drop constraint plot_medium_check');
    this.addSql(mediumIn([...MEDIA, 'halfPotting']));
  }

  override async down(): Promise<void> {
    this.addSql(`update plot set medium = 'mineralSoil' where medium = 'halfPotting'`);
    this.addSql('alter table plot drop constraint plot_medium_check');
    this.addSql(mediumIn(MEDIA));
  }
}
