import type { Range } from '../quantity/index.js';
import type { Figure } from './figure.js';

/** A figure of the user's own that stands in an assumption's place. */
export interface OwnFigure {
  /** Which assumption it replaces. */
  readonly key: string;
  readonly value: Range;
  readonly source: string;
}

/**
 * An assumption that can be replaced: with the user's own figure where there is one, else as it is. It keeps its key, and the usual range beside an own one.
 * @example owned(assumption('Q10', 2, '×', 'usual'), 'q10', [{ key: 'q10', value: exact(2.4), source: 'jars' }]).value.mid // 2.4
 */
export function owned(figure: Figure, key: string, own: readonly OwnFigure[] = []): Figure {
  if (figure.how.kind !== 'assumption') return figure;
  const found = own.find((o) => o.key === key);
  const { source } = figure.how;
  if (!found) return { ...figure, how: { kind: 'assumption', source, key } };
  return {
    ...figure,
    value: found.value,
    how: { kind: 'assumption', source: found.source || 'your own figure', key, usual: figure.value },
  };
}
