import { Migration } from '@mikro-orm/migrations';

const NUTRIENTS = ['n', 'p2o5', 'k2o', 'ca', 'mg', 's'] as const;
const SHOWN = [
  ...['list_id', 'name', 'seller', 'form', 'organic', 'price_per_kg', 'seen_on', 'in_stock', 'chloride_high'],
  ...NUTRIENTS.flatMap((n) => [`${n}_low`, `${n}_high`]),
];

/**
 * The words a product is found by stand in the indexes it is ranked by: what a word finds may be dear, and all that is cheaper is passed over on the way
 * to it, from the index alone.
 */
export class Migration0033WordsRanked extends Migration {
  override async up(): Promise<void> {
    this.rank([...SHOWN, 'words']);
  }

  override async down(): Promise<void> {
    this.rank(SHOWN);
  }

  private rank(shown: readonly string[]): void {
    for (const n of NUTRIENTS) {
      this.addSql(`drop index catalogue_by_${n}`);
      this.addSql(`create index catalogue_by_${n} on catalogue_product (workspace_id, currency, ${n}_cost, id)
        include (${shown.join(', ')}) where ${n}_cost is not null`);
    }
  }
}
