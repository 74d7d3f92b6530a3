import { Migration } from '@mikro-orm/migrations';

/** A plot, a bag and a season may carry figures of the grower's own in the place of assumptions. */
export class Migration0016OwnFigures extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table plot add column own_figures jsonb');
    this.addSql('alter table product add column own_figures jsonb');
    this.addSql('alter table season add column fed_until text, add column nitrogen_kg_per_ha double precision');
  }

  override async down(): Promise<void> {
    this.addSql('alter table season drop column nitrogen_kg_per_ha, drop column fed_until');
    this.addSql('alter table product drop column own_figures');
    this.addSql('alter table plot drop column own_figures');
  }
}
