import { Migration } from '@mikro-orm/migrations';

/** Nutrients a catalogue is ranked by, as its columns call them. */
const NUTRIENTS = ['n', 'p2o5', 'k2o', 'ca', 'mg', 's'] as const;

/** Sellers’ whole lists: a narrow row for each product, its costs worked out from its own price and fractions, and the whole record beside it. */
export class Migration0028Catalogue extends Migration {
  override async up(): Promise<void> {
    this.addSql('create extension if not exists pg_trgm');
    this.addSql(`create table catalogue_list (
      id uuid primary key,
      workspace_id uuid not null,
      name text not null,
      seller text not null default '',
      revision integer not null default 0,
      products integer not null default 0,
      taken_at timestamptz,
      unique (workspace_id, name),
      unique (workspace_id, id))`);
    const columns = NUTRIENTS.flatMap((n) => [
      `${n}_low real`,
      `${n}_high real`,
      `${n}_cost double precision generated always as (price_per_kg / nullif((${n}_low + ${n}_high) / 2, 0)) stored`,
    ]);
    this.addSql(`create table catalogue_product (
      id bigint generated always as identity primary key,
      workspace_id uuid not null,
      list_id uuid not null,
      key text not null,
      name text not null,
      words text not null,
      seller text not null,
      form text not null,
      organic text not null,
      origins text[] not null,
      currency text,
      price_per_kg double precision,
      seen_on date,
      in_stock boolean,
      chloride_high real,
      ${columns.join(',\n      ')},
      foreign key (workspace_id, list_id) references catalogue_list (workspace_id, id) on delete cascade,
      unique (workspace_id, list_id, key))`);
    // What a line of the list shows stands in the index, so that a page is read from it alone.
    const shown = NUTRIENTS.flatMap((n) => [`${n}_low`, `${n}_high`]).join(', ');
    for (const n of NUTRIENTS)
      this.addSql(`create index catalogue_by_${n} on catalogue_product (workspace_id, currency, ${n}_cost, id)
        include (list_id, name, seller, form, organic, price_per_kg, seen_on, in_stock, chloride_high, ${shown})
        where ${n}_cost is not null`);
    this.addSql('create index catalogue_words on catalogue_product using gin (words gin_trgm_ops)');
    this.addSql('create index catalogue_by_name on catalogue_product (workspace_id, name, id)');
    this.addSql(`create table catalogue_record (
      product_id bigint primary key references catalogue_product (id) on delete cascade,
      workspace_id uuid not null,
      record jsonb not null)`);
    this.addSql(`create table catalogue_change (
      id bigint generated always as identity primary key,
      workspace_id uuid not null,
      list_id uuid not null,
      revision integer not null,
      key text not null,
      kind text not null check (kind in ('new', 'dearer', 'cheaper', 'reformulated', 'changed', 'gone')),
      before jsonb,
      price_before double precision,
      price_after double precision,
      at timestamptz not null default now(),
      foreign key (workspace_id, list_id) references catalogue_list (workspace_id, id) on delete cascade)`);
    this.addSql('create index catalogue_change_of on catalogue_change (workspace_id, list_id, revision, kind, id)');
    this.addSql(`create unlogged table catalogue_staging (
      import_id uuid not null,
      workspace_id uuid not null,
      row integer not null,
      at timestamptz not null default now(),
      key text not null,
      name text not null,
      words text not null,
      seller text not null,
      form text not null,
      organic text not null,
      origins text[] not null,
      currency text,
      price_per_kg double precision,
      seen_on date,
      in_stock boolean,
      chloride_high real,
      ${NUTRIENTS.flatMap((n) => [`${n}_low real`, `${n}_high real`]).join(', ')},
      record jsonb not null)`);
    this.addSql('create index catalogue_staging_of on catalogue_staging (workspace_id, import_id, key)');
  }

  override async down(): Promise<void> {
    for (const table of ['staging', 'change', 'record', 'product', 'list'])
      this.addSql(`drop table catalogue_${table}`);
    this.addSql('drop extension pg_trgm');
  }
}
