import { randomUUID } from 'node:crypto';
import { HttpStatus, Injectable } from '@nestjs/common';
import { EntityManager } from '@mikro-orm/postgresql';
import type { EntryInput, EntryItemInput, FieldProblem, Kept, MovementInput } from '@wheat-ledger/contract';
import { formatGiven, stockOnHand, type StockMovement } from '@wheat-ledger/core';
import { ProblemException, invalid } from '../common/problems.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { detailsOf } from '../records/details.js';
import { missingRecords } from '../records/missing.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { missingProducts } from '../shelf/knownProducts.js';
import { MovementEntity, MovementStore } from '../shelf/movement.store.js';
import { ProductEntity } from '../shelf/product.entity.js';
import { EntryEntity, EntryItem, type EntryRow } from './entry.entity.js';
import { missingGround } from './missingGround.js';

const kept = (what: string): ProblemException =>
  new ProblemException(
    'log-entry',
    HttpStatus.CONFLICT,
    `A log entry is never ${what}. Correct it by a new one, or undo it in the book.`,
  );
/** Below this share of what was used, what is missing is the rounding of a scale. */
const NEAR = 1e-6;

/** The log: what was really done. An entry lowers the stock of what it used, in the same operation; a correction gives back what the entry before it took. */
@Injectable()
export class EntryStore extends RecordStore<EntryRow, EntryInput> {
  readonly kind = 'entry';
  protected readonly entity = EntryEntity;
  protected override readonly lines = [{ property: 'items', entity: EntryItem, owner: 'entry' }];

  constructor(
    em: EntityManager,
    scope: WorkspaceScope,
    operations: Operations,
    private readonly movements: MovementStore,
  ) {
    super(em, scope, operations);
  }

  protected override async problems(input: EntryInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    const bags = input.items.map(({ productId: id }, i) => ({ path: `items.${i}.productId`, id }));
    return [...(await missingGround(em, this.scope.id, input)), ...(await missingProducts(em, this.scope.id, bags))];
  }

  /** The stock of what is used, and of what the entry that is corrected used: nobody judges it while another takes from it. */
  override async holdScarce(inputs: readonly EntryInput[]): Promise<void> {
    const corrected = inputs.flatMap(({ corrects }) => corrects ?? []);
    const taken =
      corrected.length > 0
        ? await this.em.find(MovementEntity, { workspace: this.scope.id, deletedAt: null, entryId: { $in: corrected } })
        : [];
    await this.movements.holdStockOf([
      ...inputs.flatMap(({ items }) => items.map((i) => i.productId)),
      ...taken.map((m) => m.productId),
    ]);
  }

  /** Writes the entry and what it does to the stock, both or neither. */
  override create(input: EntryInput, id: string = randomUUID()): Promise<EntryInput & Kept> {
    return this.operations.run(async () => {
      await this.holdScarce([input]);
      await this.onlyOnce(input);
      await this.correctsOneOfHere(input);
      const made = await super.create(input, id);
      if (input.corrects) await this.giveBack(input.corrects);
      for (const [i, item] of input.items.entries()) await this.use(id, input, item, `items.${i}.amount`);
      return made;
    });
  }

  override async update(id: string): Promise<never> {
    await this.get(id);
    throw kept('changed');
  }
  override async remove(id: string): Promise<never> {
    await this.get(id);
    throw kept('taken out');
  }
  override async restore(id: string): Promise<never> {
    await this.get(id);
    throw kept('put back');
  }

  /** What comes in a file is taken as it stands: the entry it corrects may come behind it. */
  private async correctsOneOfHere({ corrects }: EntryInput): Promise<void> {
    const named = corrects ? [{ path: 'corrects', id: corrects }] : [];
    const problems = await missingRecords(this.em, EntryEntity, this.scope.id, named, 'That entry is not in this log.');
    if (problems.length > 0) throw invalid(problems);
  }

  /** Taken back in the book, but not behind a correction that counts on it. */
  override async removeMany(ids: readonly string[]): Promise<void> {
    const where = { workspace: this.scope.id, deletedAt: null, corrects: { $in: [...ids] }, id: { $nin: [...ids] } };
    if (ids.length > 0 && (await this.em.count(EntryEntity, where)) > 0)
      throw new ProblemException(
        'not-latest',
        HttpStatus.CONFLICT,
        'This entry was corrected since. Undo the correction first.',
      );
    return super.removeMany(ids);
  }

  /** A task is ticked off once and an entry corrected once, however many ask at the same time. */
  private async onlyOnce({ task, corrects }: EntryInput): Promise<void> {
    if (!task && !corrects) return;
    const workspace = this.scope.id;
    // One after the other: who comes second sees what the first wrote.
    await this.em.execute('select pg_advisory_xact_lock(hashtext(?))', [`${workspace} ${task ?? corrects}`]);
    const there = { workspace, deletedAt: null };
    if (task && (await this.em.count(EntryEntity, { ...there, task })) > 0)
      throw new ProblemException('already-done', HttpStatus.CONFLICT, 'This is ticked off already.');
    if (corrects && (await this.em.count(EntryEntity, { ...there, corrects })) > 0)
      throw new ProblemException(
        'already-corrected',
        HttpStatus.CONFLICT,
        'This entry was corrected already: correct the newer one.',
      );
  }

  private async movementsOf(where: { productId?: string; entryId?: string }): Promise<readonly MovementEntity[]> {
    return this.em.find(MovementEntity, { workspace: this.scope.id, deletedAt: null, ...where });
  }

  /** What an entry took comes back to where it was taken from. */
  private async giveBack(entryId: string): Promise<void> {
    for (const { productId, amount, unit, reason, on, lot } of await this.movementsOf({ entryId }))
      await this.movements.create({ productId, amount: -amount, unit, reason, on, lot, note: 'corrected', entryId });
  }

  /** Lowers the stock of a bag that is kept count of: not of one that nothing was ever counted of, nor by what went on before anything was. */
  private async use(
    entryId: string,
    { on, beyondStock }: EntryInput,
    item: EntryItemInput,
    path: string,
  ): Promise<void> {
    const { productId, amount, unit, lot } = item;
    if (amount === 0) return;
    const before = await this.movementsOf({ productId });
    if (!before.some((m) => m.on <= on)) return;
    const movement: MovementInput = { productId, amount: -amount, unit, reason: 'used', on, lot, note: '', entryId };
    const short = beyondStock ? undefined : await this.shortBy(productId, before, movement);
    if (short !== undefined) throw invalid([{ path, message: short }]);
    await this.movements.create(movement);
  }

  /** Why the stock does not reach; undefined where it does, or where nobody can tell. */
  private async shortBy(
    productId: string,
    before: readonly MovementEntity[],
    movement: MovementInput,
  ): Promise<string | undefined> {
    const product = await this.em.findOneOrFail(ProductEntity, { id: productId, workspace: this.scope.id });
    const bag = { name: product.name, densityKgPerL: product.densityKgPerL ?? undefined };
    const has = stockOnHand(bag, before);
    const left = stockOnHand(bag, [...before, movement] as readonly StockMovement[]);
    if (has.kind !== 'figure' || left.kind !== 'figure') return undefined;
    const { value, unit } = left.figure;
    if (value.mid >= -NEAR * Math.max(1, has.figure.value.mid)) return undefined;
    const hand = `${formatGiven(Number(has.figure.value.mid.toPrecision(4)))} ${unit.text}`;
    return `Read ${formatGiven(-movement.amount)} ${movement.unit} of ${product.name}, expected at most the ${hand} on hand. Count it again, or say why more went on.`;
  }

  protected columns({ plotId, seasonId, on, what, task, corrects, items, ...details }: EntryInput): Columns {
    return {
      own: {
        name: what,
        plotId,
        seasonId: seasonId ?? null,
        on,
        task: task ?? null,
        corrects: corrects ?? null,
        details: detailsOf(details),
      },
      lines: { items: items.map(({ productId, amount, unit, lot }) => ({ productId, amount, unit, lot })) },
    };
  }

  protected toInput({ name, plotId, seasonId, on, task, corrects, details, items }: EntryRow): EntryInput {
    return {
      plotId,
      ...(seasonId === null ? {} : { seasonId }),
      on,
      what: name,
      ...(task === null ? {} : { task }),
      items: items.map(({ productId, amount, unit, lot }) => ({ productId, amount, unit, lot })),
      ...details,
      ...(corrects === null ? {} : { corrects }),
    };
  }
}
