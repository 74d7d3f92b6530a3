import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { FieldProblem, RecipeInput } from '@wheat-ledger/contract';
import { parseGrade } from '@wheat-ledger/core';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { missingProducts } from '../shelf/knownProducts.js';
import { Recipe, RecipePart, type RecipeRow } from './recipe.entity.js';

@Injectable()
export class RecipeStore extends RecordStore<RecipeRow, RecipeInput> {
  readonly kind = 'recipe';
  protected readonly entity = Recipe;
  protected override readonly lines = [{ property: 'parts', entity: RecipePart, owner: 'recipe' }];

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override async problems(input: RecipeInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    const target = input.target ? parseGrade(input.target) : undefined;
    const unread = target?.kind === 'none' ? [{ path: 'target', message: target.reason }] : [];
    const missing = await missingProducts(
      em,
      this.scope.id,
      input.parts.map((p, i) => ({ path: `parts.${i}.productId`, id: p.productId })),
    );
    return [...unread, ...missing];
  }

  protected columns({ name, target, strength, tolerance, by, batchKg, parts }: RecipeInput): Columns {
    return {
      own: { name, target, strength, tolerance, by, batchKg },
      lines: { parts: parts.map((p) => ({ productId: p.productId, parts: p.parts })) },
    };
  }

  protected toInput(recipe: RecipeRow): RecipeInput {
    const { name, target, strength, tolerance, by, batchKg } = recipe;
    return {
      name,
      target,
      strength,
      tolerance,
      by,
      parts: recipe.parts.map(({ productId, parts }) => ({ productId, parts })),
      batchKg,
    };
  }
}
