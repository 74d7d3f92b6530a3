import { Migration } from '@mikro-orm/migrations';

/** A recipe may keep rules and what of it is made small; its parts may be told in units of their own. */
export class Migration0018RecipeRules extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table recipe add column aim text, add column one_part text');
    this.addSql('alter table recipe_part add column unit text');
    this.addSql(`create table recipe_rule (
      id bigserial primary key,
      workspace_id uuid not null,
      recipe_id uuid not null,
      position integer not null,
      product_id uuid,
      saying jsonb not null,
      foreign key (workspace_id, recipe_id) references recipe (workspace_id, id) on delete cascade,
      foreign key (workspace_id, product_id) references product (workspace_id, id))`);
    this.addSql('create index recipe_rule_recipe on recipe_rule (recipe_id, position)');
    this.addSql('create index recipe_rule_of_product on recipe_rule (workspace_id, product_id)');
  }

  override async down(): Promise<void> {
    this.addSql('drop table recipe_rule');
    this.addSql('alter table recipe_part drop column unit');
    this.addSql('alter table recipe drop column aim, drop column one_part');
  }
}
