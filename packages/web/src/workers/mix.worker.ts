import { expose } from 'comlink';
import {
  around,
  planHeap,
  blend,
  insideBag,
  withInside,
  saltCurve,
  type Around,
  type Blend,
  type BlendTarget,
  type Brief,
  type HeapPart,
  type HeapPlan,
  type InsideBag,
  type Product,
  type SaltStep,
} from '@wheat-ledger/core';
import { highs } from './highs';

const mixWorker = {
  /** What a label leaves room for of each ingredient. The solver is loaded when first asked. */
  async inside(product: Product): Promise<InsideBag> {
    return insideBag(product, await highs());
  },
  /** Bags with what their labels leave room for of each ingredient. */
  async insides(products: readonly Product[]): Promise<readonly Product[]> {
    const solver = await highs();
    return products.map((product) => withInside(product, solver));
  },
  /** The best mix of these products that meets the target and the rules. */
  async blend(products: readonly Product[], target: BlendTarget, brief: Brief): Promise<Blend> {
    return blend(products, target, await highs(), brief);
  },
  /** The largest heap that works, from what is at hand. */
  async heap(atHand: readonly HeapPart[], binL: number | undefined): Promise<HeapPlan | undefined> {
    return planHeap(atHand, binL, await highs());
  },
  /** What lies around the best mix, and cost against salt; nothing where there is no mix. */
  async around(
    products: readonly Product[],
    target: BlendTarget,
    brief: Brief,
  ): Promise<{ readonly around: Around; readonly curve: readonly SaltStep[] } | undefined> {
    const solver = await highs();
    const best = blend(products, target, solver, brief);
    if (best.kind !== 'recipe') return undefined;
    return { around: around(products, target, solver, brief, best), curve: saltCurve(products, target, solver, brief) };
  },
};

export type MixWorker = typeof mixWorker;
expose(mixWorker);
