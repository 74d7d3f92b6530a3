import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import {
  programmeProblems,
  type ApplicationInput,
  type FieldProblem,
  type ProgrammeInput,
} from '@wheat-ledger/contract';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { Recipe } from '../mix/recipe.entity.js';
import { missingRecords, type Named } from '../records/missing.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { missingProducts } from '../shelf/knownProducts.js';
import { ApplicationLine, ProgrammeEntity, type Doing, type ProgrammeRow } from './programme.entity.js';
import { SeasonEntity } from './season.store.js';

@Injectable()
export class ProgrammeStore extends RecordStore<ProgrammeRow, ProgrammeInput> {
  readonly kind = 'programme';
  protected readonly entity = ProgrammeEntity;
  protected override readonly lines = [{ property: 'applications', entity: ApplicationLine, owner: 'programme' }];

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override async problems(input: ProgrammeInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    const named = (what: 'product' | 'recipe', key: 'productId' | 'recipeId'): Named[] =>
      input.applications.flatMap((a, i) => {
        const id = a.what === what ? a[key] : undefined;
        return id ? [{ path: `applications.${i}.${key}`, id }] : [];
      });
    const season = [{ path: 'seasonId', id: input.seasonId }];
    const here = this.scope.id;
    return [
      ...programmeProblems(input),
      ...(await missingRecords(em, SeasonEntity, here, season, 'That season is not in this ledger.')),
      ...(await missingProducts(em, here, named('product', 'productId'))),
      ...(await missingRecords(em, Recipe, here, named('recipe', 'recipeId'), 'That recipe is not in this ledger.')),
    ];
  }

  protected columns({ name, seasonId, note, applications }: ProgrammeInput): Columns {
    return { own: { name, seasonId, note }, lines: { applications: applications.map(toLine) } };
  }

  protected toInput({ name, seasonId, note, applications }: ProgrammeRow): ProgrammeInput {
    return { name, seasonId, note, applications: applications.map(fromLine) };
  }
}

function toLine({ productId, recipeId, ...doing }: ApplicationInput): object {
  return {
    productId: doing.what === 'product' ? (productId ?? null) : null,
    recipeId: doing.what === 'recipe' ? (recipeId ?? null) : null,
    doing: instanceToPlain(doing, { exposeUnsetFields: false }) as Doing,
  };
}

const fromLine = ({ productId, recipeId, doing }: ApplicationLine): ApplicationInput => ({
  ...doing,
  ...(productId === null ? {} : { productId }),
  ...(recipeId === null ? {} : { recipeId }),
});
