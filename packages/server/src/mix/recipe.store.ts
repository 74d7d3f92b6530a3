import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import { recipeProblems, type FieldProblem, type RecipeInput, type RecipeRuleInput } from '@wheat-ledger/contract';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { missingProducts } from '../shelf/knownProducts.js';
import { Recipe, RecipePart, RecipeRule, type RecipeRow, type RuleSaying } from './recipe.entity.js';

@Injectable()
export class RecipeStore extends RecordStore<RecipeRow, RecipeInput> {
  readonly kind = 'recipe';
  protected readonly entity = Recipe;
  protected override readonly lines = [
    { property: 'parts', entity: RecipePart, owner: 'recipe' },
    { property: 'rules', entity: RecipeRule, owner: 'recipe' },
  ];

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override async problems(input: RecipeInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    const named = [
      ...input.parts.map((p, i) => ({ path: `parts.${i}.productId`, id: p.productId })),
      ...(input.rules ?? []).flatMap(({ productId }, i) =>
        productId ? [{ path: `rules.${i}.productId`, id: productId }] : [],
      ),
    ];
    return [...recipeProblems(input), ...(await missingProducts(em, this.scope.id, named))];
  }

  protected columns({
    name,
    target,
    strength,
    tolerance,
    by,
    batchKg,
    parts,
    aim,
    weights,
    rules,
    onePart,
    madeFor,
    hold,
  }: RecipeInput): Columns {
    const told = {
      aim: aim ?? null,
      weights: weights ? instanceToPlain(weights) : null,
      onePart: onePart || null,
      madeFor: madeFor || null,
      hold: hold ?? null,
    };
    return {
      own: { name, target, strength, tolerance, by, batchKg, ...told },
      lines: {
        parts: parts.map((p) => ({ productId: p.productId, parts: p.parts, unit: p.unit ?? null })),
        rules: (rules ?? []).map(toLine),
      },
    };
  }

  protected toInput(recipe: RecipeRow): RecipeInput {
    const { name, target, strength, tolerance, by, batchKg, aim, weights, onePart, madeFor, hold } = recipe;
    return {
      name,
      target,
      strength,
      tolerance,
      by,
      parts: recipe.parts.map(({ productId, parts, unit }) => ({
        productId,
        parts,
        ...(unit === null ? {} : { unit }),
      })),
      batchKg,
      ...(aim === null ? {} : { aim }),
      ...(weights === null ? {} : { weights }),
      ...(onePart === null ? {} : { onePart }),
      ...(madeFor === null ? {} : { madeFor }),
      ...(hold === null ? {} : { hold }),
      ...(recipe.rules.length === 0 ? {} : { rules: recipe.rules.map(fromLine) }),
    };
  }
}

const toLine = ({ productId, ...saying }: RecipeRuleInput): object => ({
  productId: productId ?? null,
  saying: instanceToPlain(saying, { exposeUnsetFields: false }) as RuleSaying,
});
const fromLine = ({ productId, saying }: RecipeRule): RecipeRuleInput => ({
  ...saying,
  ...(productId === null ? {} : { productId }),
});
