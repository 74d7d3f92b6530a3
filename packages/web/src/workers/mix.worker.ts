import { expose } from 'comlink';
import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';
import { blend, type Blend, type BlendTarget, type LpSolver, type Product } from '@wheat-ledger/core';
import { loadedOnce } from './loadedOnce';

const solver = loadedOnce(() => loadHighs({ locateFile: () => wasmUrl }) as Promise<unknown> as Promise<LpSolver>);

const mixWorker = {
  /** The cheapest mix of these products that meets the target. The solver is loaded when first asked. */
  async blend(products: readonly Product[], target: BlendTarget): Promise<Blend> {
    return blend(products, target, await solver());
  },
};

export type MixWorker = typeof mixWorker;
expose(mixWorker);
