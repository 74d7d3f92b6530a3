import { Migration } from '@mikro-orm/migrations';
import { KEPT } from './kept.js';

const lists = (table: string, sort: string): readonly string[] => [
  `create index ${table}_by_order on ${table} (workspace_id, ${sort}, id) where deleted_at is null`,
  `create index ${table}_removed on ${table} (workspace_id, ${sort}, id) where deleted_at is not null`,
];

/** Own crops, seasons and programmes. A plot’s crop and planting day become its first season, with its entry in the book. */
export class Migration0013Seasons extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create table crop (${KEPT}, details jsonb not null, note text not null, unique (workspace_id, id))`);
    this.addSql(`create table season (${KEPT},
      plot_id uuid not null,
      crop text,
      crop_id uuid,
      from_day date not null,
      to_day date check (to_day >= from_day),
      share double precision not null check (share > 0 and share <= 1),
      note text not null,
      check ((crop is null) <> (crop_id is null)),
      unique (workspace_id, id),
      foreign key (workspace_id, plot_id) references plot (workspace_id, id),
      foreign key (workspace_id, crop_id) references crop (workspace_id, id))`);
    this.addSql(`create table programme (${KEPT},
      season_id uuid not null,
      note text not null,
      unique (workspace_id, id),
      foreign key (workspace_id, season_id) references season (workspace_id, id))`);
    this.addSql(`create table application (
      id bigserial primary key,
      workspace_id uuid not null,
      programme_id uuid not null,
      position integer not null,
      product_id uuid,
      recipe_id uuid,
      doing jsonb not null,
      check (product_id is null or recipe_id is null),
      foreign key (workspace_id, programme_id) references programme (workspace_id, id) on delete cascade,
      foreign key (workspace_id, product_id) references product (workspace_id, id),
      foreign key (workspace_id, recipe_id) references recipe (workspace_id, id))`);
    for (const index of [...lists('crop', 'name'), ...lists('season', 'from_day'), ...lists('programme', 'name')])
      this.addSql(index);
    for (const [table, column] of [
      ['season', 'plot_id'],
      ['season', 'crop_id'],
      ['programme', 'season_id'],
    ] as const)
      this.addSql(`create index ${table}_of_${column} on ${table} (workspace_id, ${column}) where deleted_at is null`);
    for (const column of ['programme_id', 'product_id', 'recipe_id'])
      this.addSql(`create index application_of_${column} on application (workspace_id, ${column})`);
    this.addSql(`insert into season (id, workspace_id, name, deleted_at, plot_id, crop, from_day, share, note)
      select gen_random_uuid(), workspace_id, crop || ' from ' || to_char(planted_on, 'YYYY-MM-DD'), deleted_at, id, crop, planted_on, 1, ''
      from plot`);
    this.addSql(`with moved as (select m.*, gen_random_uuid() as operation from season m),
      meant as (insert into operation (id, workspace_id, at, who, why)
        select operation, workspace_id, now(), 'gardener', 'the plot’s crop became a season' from moved)
      insert into journal (workspace_id, at, who, kind, record_id, name, action, operation, before, after)
      select workspace_id, now(), 'gardener', 'season', id, name, 'create', operation, null,
        jsonb_build_object('plotId', plot_id, 'crop', crop, 'from', to_char(from_day, 'YYYY-MM-DD'), 'share', share, 'note', note)
      from moved`);
    this.addSql('alter table plot drop column crop, drop column planted_on');
  }

  override async down(): Promise<void> {
    this.addSql(
      `alter table plot add column crop text not null default 'wheat', add column planted_on date not null default '2026-03-15'`,
    );
    this.addSql(`update plot p set crop = s.crop, planted_on = s.from_day from
      (select distinct on (workspace_id, plot_id) workspace_id, plot_id, crop, from_day from season where crop is not null
        order by workspace_id, plot_id, deleted_at nulls first, from_day desc) s
      where s.plot_id = p.id and s.workspace_id = p.workspace_id`);
    this.addSql('alter table plot alter column crop drop default, alter column planted_on drop default');
    this.addSql('drop table application, programme, season, crop');
    this.addSql('alter table journal disable trigger journal_append_only');
    this.addSql(`delete from journal where kind in ('season', 'programme', 'crop')`);
    this.addSql('alter table journal enable trigger journal_append_only');
  }
}
