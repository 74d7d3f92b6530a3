import { Migration } from '@mikro-orm/migrations';
import { KEPT } from './kept.js';

/** Studies, and which of them are weighed for which claim; a claim says more of itself. */
export class Migration0022Studies extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create table study (${KEPT},
      doi text not null,
      details jsonb not null,
      note text not null,
      unique (workspace_id, id))`);
    this.addSql('create index study_by_order on study (workspace_id, name, id) where deleted_at is null');
    this.addSql('create index study_removed on study (workspace_id, name, id) where deleted_at is not null');
    this.addSql(`alter table claim add column details jsonb not null default '{}'`);
    this.addSql(`create table claim_study (
      id bigserial primary key,
      workspace_id uuid not null,
      claim_id uuid not null,
      position integer not null,
      study_id uuid not null,
      left_out text not null,
      foreign key (workspace_id, claim_id) references claim (workspace_id, id) on delete cascade,
      foreign key (workspace_id, study_id) references study (workspace_id, id))`);
    this.addSql('create index claim_study_claim on claim_study (claim_id, position)');
    this.addSql('create index claim_study_of_study on claim_study (workspace_id, study_id)');
  }

  override async down(): Promise<void> {
    this.addSql('drop table claim_study');
    this.addSql('alter table claim drop column details');
    this.addSql('drop table study');
    this.addSql('alter table journal disable trigger journal_append_only');
    this.addSql(`delete from journal where kind = 'study'`);
    this.addSql('alter table journal enable trigger journal_append_only');
  }
}
