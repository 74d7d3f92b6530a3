import type { Figure } from '../figure/index.js';

/** A figure that follows from a report or an analysis, or what is missing for it. */
export interface Implication {
  readonly name: string;
  readonly figure: Figure | undefined;
  /** What is missing, when there is no figure. */
  readonly lacks: string;
  /** For the whole plot, where the figure is a need of ground. */
  readonly whole?: Figure | undefined;
  /** What it is, where it is often taken for something else. */
  readonly explained?: string | undefined;
}
