import { Migration } from '@mikro-orm/migrations';

const COSTS = ['n', 'p2o5', 'k2o', 'ca', 'mg', 's'].map((n) => `${n}_cost`);

/** The words of each list, with the cheapest that any product with it sells each nutrient for: where a search by words begins to look. */
export class Migration0034CatalogueWords extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create table catalogue_word (
      workspace_id uuid not null,
      list_id uuid not null,
      currency text not null,
      word text not null,
      ${COSTS.map((c) => `${c} double precision`).join(', ')},
      primary key (workspace_id, list_id, currency, word),
      foreign key (workspace_id, list_id) references catalogue_list (workspace_id, id) on delete cascade)`);
    this.addSql('create index catalogue_word_letters on catalogue_word using gin (word gin_trgm_ops)');
    this.addSql(`insert into catalogue_word (workspace_id, list_id, currency, word, ${COSTS.join(', ')})
      select p.workspace_id, p.list_id, p.currency, w.word, ${COSTS.map((c) => `min(p.${c})`).join(', ')}
      from catalogue_product p, regexp_split_to_table(p.words, '[\\x01-\\x60\\x7b-\\x7f]+') as w (word)
      where p.currency is not null and w.word <> ''
      group by 1, 2, 3, 4`);
  }

  override async down(): Promise<void> {
    this.addSql('drop table catalogue_word');
  }
}
