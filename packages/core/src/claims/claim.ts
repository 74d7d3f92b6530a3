import type { Figure } from '../figure/index.js';
import type { Crop } from '../season/index.js';
import type { Nutrient } from '../nutrient/index.js';
import type { Product } from '../shelf/index.js';
import type { Answer, CheckKey } from './checks.js';

/** A claim taken apart as far as content and dose need. */
export interface Claim {
  readonly statement: string;
  readonly product: Product;
  /** Elements the asserted mechanism cannot do without; empty when the mechanism is not a supply of nutrients. */
  readonly needs: readonly Nutrient[];
  readonly crop: Crop;
}

export interface CheckResult {
  readonly check: CheckKey;
  readonly answer: Answer;
  readonly text: string;
  readonly figures: readonly Figure[];
}

/** The harshest of several answers: one against outweighs, one unknown leaves it open. */
export function joinAnswers(answers: readonly Answer[]): Answer {
  if (answers.length === 0) return 'notRelevant';
  for (const answer of ['against', 'cannotTell'] as const) if (answers.includes(answer)) return answer;
  return 'supports';
}
