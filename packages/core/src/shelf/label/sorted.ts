import type { FoundValue, Told } from '../../reading/index.js';
import type { AnalysisFigure } from '../product.js';
import type { Choice } from './reading.js';

/** Values of a line, sorted by what they tell. */
export interface Sorted {
  readonly figures: AnalysisFigure[];
  /** What is counted elsewhere or is no content, in words. */
  readonly asides: string[];
  /** Values without a name that is known. */
  readonly unread: string[];
  readonly told: Told[];
  readonly choices: Choice[];
  liming?: number;
  limingBare?: true;
  /** Why nothing of the line can be taken. */
  refused?: string;
}
export const nothingSorted = (): Sorted => ({ figures: [], asides: [], unread: [], told: [], choices: [] });

/** Puts down what became of a value. */
export const tell = (sorted: Sorted, found: FoundValue, fate: Told['fate'], why: string): void =>
  void sorted.told.push({ start: found.start, end: found.end, fate, why });
