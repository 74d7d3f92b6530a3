import { CATALOGUE_CHANGES, type CatalogueDifferences, type CatalogueList } from '@wheat-ledger/contract';
import { SHARED_LISTS } from './catalogueRows.js';

/** A list as the database keeps it. */
export interface ListRow {
  readonly workspace_id: string;
  readonly id: string;
  readonly name: string;
  readonly seller: string;
  readonly revision: number;
  readonly products: number;
  readonly taken_at: string | Date | null;
}
export const LIST_COLUMNS = 'id, workspace_id, name, seller, revision, products, taken_at';

export const asList = ({ taken_at, workspace_id, ...list }: ListRow): CatalogueList => ({
  ...list,
  takenAt: taken_at === null ? null : new Date(taken_at).toISOString(),
  shared: workspace_id === SHARED_LISTS,
});

/** How many there are of each kind of change; none of a kind is 0. */
export const asDifferences = (
  rows: readonly { readonly kind: string; readonly count: number }[],
): CatalogueDifferences =>
  Object.fromEntries(
    CATALOGUE_CHANGES.map((kind) => [kind, rows.find((r) => r.kind === kind)?.count ?? 0]),
  ) as CatalogueDifferences;
