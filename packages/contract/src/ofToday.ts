import type { RecordKind } from './records.js';

/** An input as it is written today, from one that an older ledger exported or keeps in its book: four uneven sides are a polygon now. */
export function ofToday(kind: RecordKind, input: object): object {
  const { shape } = input as { readonly shape?: unknown };
  const old = kind === 'plot' && typeof shape === 'object' && shape !== null && 'kind' in shape && shape.kind === 'fourSides';
  return old ? { ...input, shape: { ...shape, kind: 'polygon' } } : input;
}
