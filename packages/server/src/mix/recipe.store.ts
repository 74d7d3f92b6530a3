import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { FieldProblem, RecipeInput } from '@wheat-ledger/contract';
import { parseGrade } from '@wheat-ledger/core';
import { RecordStore } from '../common/recordStore.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { missingProducts } from '../shelf/knownProducts.js';
import { Recipe, RecipePart } from './recipe.entity.js';

@Injectable()
export class RecipeStore extends RecordStore<Recipe, RecipeInput> {
  readonly kind = 'recipe';
  protected readonly entity = Recipe;
  protected override readonly populate = ['parts'];

  constructor(em: EntityManager, scope: WorkspaceScope) {
    super(em, scope);
  }

  protected blank(): Recipe {
    return new Recipe();
  }

  protected override async problems(input: RecipeInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    const target = input.target ? parseGrade(input.target) : undefined;
    const unread = target?.kind === 'none' ? [{ path: 'target', message: target.reason }] : [];
    const missing = await missingProducts(em, this.scope.id, input.parts.map((p, i) => ({ path: `parts.${i}.productId`, id: p.productId })));
    return [...unread, ...missing];
  }

  protected fill(recipe: Recipe, input: RecipeInput, em: EntityManager): void {
    const { name, target, strength, tolerance, by, batchKg } = input;
    Object.assign(recipe, { name, target, strength, tolerance, by, batchKg });
    recipe.parts.set(input.parts.map(({ productId, parts }, position) => em.create(RecipePart, { recipe, position, productId, parts })));
  }

  protected toInput(recipe: Recipe): RecipeInput {
    const { name, target, strength, tolerance, by, batchKg } = recipe;
    return { name, target, strength, tolerance, by, parts: recipe.parts.getItems().map(({ productId, parts }) => ({ productId, parts })), batchKg };
  }
}
