import { Migration } from '@mikro-orm/migrations';

/** What lies on a ledger's bench. It was kept in the browser before, where another browser did not see it. */
export class Migration0014Bench extends Migration {
  override up(): void {
    this.addSql(`create table bench_place (
      id bigserial primary key,
      workspace_id uuid not null references workspace (id),
      position integer not null,
      product_id uuid,
      recipe_id uuid,
      aside boolean not null,
      check ((product_id is null) <> (recipe_id is null)),
      unique (workspace_id, position),
      foreign key (workspace_id, product_id) references product (workspace_id, id),
      foreign key (workspace_id, recipe_id) references recipe (workspace_id, id))`);
    for (const column of ['product_id', 'recipe_id'])
      this.addSql(`create index bench_place_of_${column} on bench_place (workspace_id, ${column})`);
  }

  override down(): void {
    this.addSql('drop table bench_place');
  }
}
