import { EntityManager, LockMode } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { benchProblems, type Bench, type BenchKind, type FieldProblem } from '@wheat-ledger/contract';
import { invalid } from '../common/problems.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { Recipe } from '../mix/recipe.entity.js';
import { missingRecords, type Named } from '../records/missing.js';
import { Rows } from '../records/rows.js';
import { missingProducts } from '../shelf/knownProducts.js';
import { BenchPlace } from './benchPlace.entity.js';
import { Workspace } from './workspace.entity.js';

/** The bench of the request's ledger: read and laid as a whole, the last one laid stands. */
@Injectable()
export class BenchService {
  private readonly rows: Rows;

  constructor(
    private readonly em: EntityManager,
    private readonly scope: WorkspaceScope,
  ) {
    this.rows = new Rows(em, scope);
  }

  async read(): Promise<Bench> {
    const found = await this.rows.find<BenchPlace>(BenchPlace, {}, { orderBy: [{ position: 'asc' }] });
    return { places: found.flatMap(toPlace) };
  }

  /** @throws ProblemException 422 when something is not in this ledger, or lies there twice */
  async lay(bench: Bench): Promise<Bench> {
    const problems = await this.problems(bench);
    if (problems.length > 0) throw invalid(problems);
    await this.em.transactional(async () => {
      // Two who lay it at once come one after the other.
      await this.em.findOneOrFail(Workspace, this.scope.id, { lockMode: LockMode.PESSIMISTIC_WRITE });
      await this.rows.delete(BenchPlace, {});
      await this.rows.insert(
        BenchPlace,
        bench.places.map(({ kind, id, aside }, position) => ({
          position,
          productId: kind === 'product' ? id : null,
          recipeId: kind === 'recipe' ? id : null,
          aside,
        })),
      );
    });
    return this.read();
  }

  /** What of a bench does not fit this ledger. */
  async problems(bench: Bench): Promise<readonly FieldProblem[]> {
    const named = (kind: BenchKind): Named[] =>
      bench.places.flatMap((p, i) => (p.kind === kind ? [{ path: `places.${i}.id`, id: p.id }] : []));
    const here = this.scope.id;
    return [
      ...benchProblems(bench),
      ...(await missingProducts(this.em, here, named('product'))),
      ...(await missingRecords(this.em, Recipe, here, named('recipe'), 'That recipe is not in this ledger.')),
    ];
  }
}

function toPlace({ productId, recipeId, aside }: BenchPlace): Bench['places'] {
  if (productId !== null) return [{ kind: 'product', id: productId, aside }];
  return recipeId === null ? [] : [{ kind: 'recipe', id: recipeId, aside }];
}
