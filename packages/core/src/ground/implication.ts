import type { Figure } from '../figure/index.js';
import type { SoilAnalyte } from './soilReport.js';

/** A figure that follows from a report or an analysis, or what is missing for it. */
export interface Implication {
  readonly name: string;
  readonly figure: Figure | undefined;
  /** What is missing, when there is no figure. */
  readonly lacks: string;
  /** For the whole plot, where the figure is a need of ground. */
  readonly whole?: Figure | undefined;
  /** What of a soil it speaks of, where a word of it may need explaining. */
  readonly about?: SoilAnalyte | undefined;
}
