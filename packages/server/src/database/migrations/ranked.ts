import type { Migration } from '@mikro-orm/migrations';

const NUTRIENTS = ['n', 'p2o5', 'k2o', 'ca', 'mg', 's'] as const;
/** What a line of the catalogue shows. */
export const SHOWN_IN_RANKING: readonly string[] = [
  ...['list_id', 'name', 'seller', 'form', 'organic', 'price_per_kg', 'seen_on', 'in_stock', 'chloride_high'],
  ...NUTRIENTS.flatMap((n) => [`${n}_low`, `${n}_high`]),
];

/** Makes the indexes anew that a catalogue is ranked by. @param held columns that are read from the index alone */
export function rankAnew(migration: Migration, held: readonly string[]): void {
  for (const n of NUTRIENTS) {
    migration.addSql(`drop index catalogue_by_${n}`);
    migration.addSql(`create index catalogue_by_${n} on catalogue_product (workspace_id, currency, ${n}_cost, id)
        include (${held.join(', ')}) where ${n}_cost is not null`);
  }
}
