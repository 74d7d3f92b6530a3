import { Migration } from '@mikro-orm/migrations';

/** A recipe may bring amounts of nutrients in all, for so many plants or an area, and hold them even at the low end of what bags say. */
export class Migration0019RecipeAmounts extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table recipe drop constraint recipe_strength_check');
    this.addSql(
      `alter table recipe add constraint recipe_strength_check check (strength in ('grade', 'ratio', 'amount'))`,
    );
    this.addSql('alter table recipe add column made_for text, add column hold text');
  }

  override async down(): Promise<void> {
    this.addSql(`update recipe set strength = 'ratio' where strength = 'amount'`);
    this.addSql('alter table recipe drop constraint recipe_strength_check');
    this.addSql(`alter table recipe add constraint recipe_strength_check check (strength in ('grade', 'ratio'))`);
    this.addSql('alter table recipe drop column made_for, drop column hold');
  }
}
