import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { studyProblems, type FieldProblem, type StudyInput } from '@wheat-ledger/contract';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { detailsOf } from '../records/details.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { Stored } from '../records/stored.entity.js';

type Details = Omit<StudyInput, 'title' | 'doi' | 'note'>;

/** A study; its title is its name. */
@Entity({ tableName: 'study' })
export class StudyEntity extends Stored {
  @Property({ type: 'text' })
  doi!: string;

  /** What it is cited by besides, how it was made and what it found. */
  @Property({ type: 'json' })
  details!: Details;

  @Property({ type: 'text' })
  note!: string;
}

@Injectable()
export class StudyStore extends RecordStore<StudyEntity, StudyInput> {
  readonly kind = 'study';
  protected readonly entity = StudyEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override problems(input: StudyInput): Promise<readonly FieldProblem[]> {
    return Promise.resolve(studyProblems(input));
  }

  protected columns({ title, doi, note, ...details }: StudyInput): Columns {
    return { own: { name: title, doi, note, details: detailsOf(details) } };
  }

  protected toInput({ name, doi, note, details }: StudyEntity): StudyInput {
    return { title: name, doi, ...details, note };
  }
}
