import { Migration } from '@mikro-orm/migrations';
import { KEPT } from './kept.js';
import { HOME_WORKSPACE } from '../../ledgers/workspace.entity.js';

/** Workspace, plots, products with their analysis figures and offers, recipes, claims and the journal. */
export class Migration0001First extends Migration {
  override async up(): Promise<void> {
    this.addSql('create table workspace (id uuid primary key, name text not null)');
    this.addSql(`insert into workspace (id, name) values ('${HOME_WORKSPACE}', 'home')`);

    this.addSql(`create table plot (${KEPT},
      area_m2 double precision not null check (area_m2 > 0),
      crop text not null,
      medium text not null check (medium in ('mineralSoil', 'organicPotting', 'inertPotting')),
      texture text not null check (texture in ('sand', 'loam', 'clay', 'peat')),
      ph double precision check (ph between 2 and 11),
      temperature jsonb not null,
      planted_on date not null)`);

    this.addSql(`create table product (${KEPT},
      seller text not null,
      form text not null,
      density_kg_per_l double precision check (density_kg_per_l > 0),
      grade text,
      derived_from text[] not null,
      label_rate jsonb,
      longevity jsonb,
      note text not null)`);

    this.addSql(`create table analysis_figure (
      id bigserial primary key,
      product_id uuid not null references product (id) on delete cascade,
      position integer not null,
      analyte text not null,
      basis text not null,
      kind text not null,
      value double precision,
      low double precision,
      high double precision,
      unit text not null check (unit in ('%', 'g/kg', 'mg/kg', '% w/v', 'g/L')),
      provenance text not null check (provenance in ('measured', 'label', 'published', 'typical', 'guess')),
      source text not null,
      check (case kind
        when 'number' then value >= 0 and low is null and high is null
        when 'range' then 0 <= low and low <= value and value <= high
        when 'below' then value is null and low is null and high >= 0
        else false end))`);
    this.addSql('create index analysis_figure_product on analysis_figure (product_id, position)');

    this.addSql(`create table offer (
      id bigserial primary key,
      product_id uuid not null references product (id) on delete cascade,
      position integer not null,
      size double precision not null check (size > 0),
      unit text not null,
      price numeric(13, 4) check (price >= 0),
      currency text check (currency ~ '^[A-Z]{3}$'),
      seen_on date,
      check ((price is null) = (currency is null)))`);
    this.addSql('create index offer_product on offer (product_id, position)');

    this.addSql(`create table recipe (${KEPT},
      target text not null,
      strength text not null check (strength in ('grade', 'ratio')),
      tolerance double precision not null check (tolerance between 0 and 0.5),
      measured_by text not null check (measured_by in ('weight', 'volume')),
      batch_kg double precision not null check (batch_kg > 0))`);
    this.addSql(`create table recipe_part (
      id bigserial primary key,
      recipe_id uuid not null references recipe (id) on delete cascade,
      position integer not null,
      product_id uuid not null references product (id),
      parts double precision not null check (parts >= 0))`);
    this.addSql('create index recipe_part_recipe on recipe_part (recipe_id, position)');

    this.addSql(`create table claim (${KEPT},
      said_by text not null,
      product_id uuid not null references product (id),
      crop text not null,
      needs text[] not null)`);

    for (const table of ['plot', 'product', 'recipe', 'claim'])
      this.addSql(`create index ${table}_by_name on ${table} (workspace_id, name, id)`);

    this.addSql(`create table journal (
      id bigserial primary key,
      workspace_id uuid not null references workspace (id),
      at timestamptz not null,
      who text not null,
      kind text not null check (kind in ('plot', 'product', 'recipe', 'claim')),
      record_id uuid not null,
      name text not null,
      action text not null check (action in ('create', 'update', 'remove', 'restore')),
      undoes bigint references journal (id),
      before jsonb,
      after jsonb)`);
    this.addSql('create index journal_record on journal (workspace_id, record_id, id)');
    this.addSql(`create function journal_is_append_only() returns trigger language plpgsql as $$
      begin raise exception 'the journal is append-only'; end $$`);
    this.addSql(
      'create trigger journal_append_only before update or delete on journal for each row execute function journal_is_append_only()',
    );
  }

  override async down(): Promise<void> {
    this.addSql(
      'drop table if exists journal, claim, recipe_part, recipe, offer, analysis_figure, product, plot, workspace cascade',
    );
    this.addSql('drop function if exists journal_is_append_only');
  }
}
