import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';
import type { LpSolver } from '@wheat-ledger/core';
import { loadedOnce } from './loadedOnce';

/** The solver of linear programmes, loaded when it is first asked for. */
export const highs = loadedOnce(
  () => loadHighs({ locateFile: () => wasmUrl }) as Promise<unknown> as Promise<LpSolver>,
);
