import type { Figure } from '../figure/index.js';
import type { Condition, PlotKnown } from '../ground/index.js';
import type { Crop } from '../season/index.js';
import type { Nutrient } from '../nutrient/index.js';
import type { Product } from '../shelf/index.js';
import type { Answer, CheckKey } from './checks.js';
import type { Promised, Search } from './evidence.js';
import type { ClaimKindKey } from './kinds.js';
import type { Slips } from './shortBag.js';
import type { Study } from './study.js';

/** What those who say it earn by it. */
export const INTERESTS = ['seller', 'paid', 'independent', 'unknown'] as const;
export type Interest = (typeof INTERESTS)[number];

/** A condition under which a claim is true. */
export interface ClaimCondition {
  readonly condition: Condition;
  /** Whether it has to hold, or must not. */
  readonly holds: boolean;
}

/** What a person says of a check: a note, or an answer of their own with the reason; the program's is kept beside it. */
export interface CheckNote {
  readonly check: CheckKey;
  /** Undefined where it is only a note. */
  readonly answer?: Answer | undefined;
  readonly reason: string;
}

/** A claim taken apart. */
export interface Claim {
  readonly statement: string;
  /** With the rates that it is judged at. */
  readonly product: Product;
  /** Whether those are of one's own and not the label's. */
  readonly ownDose?: boolean | undefined;
  /** Elements the asserted mechanism cannot do without; empty when the mechanism is not a supply of nutrients. */
  readonly needs: readonly Nutrient[];
  readonly crop: Crop;
  /** A supply where it needs elements, something else otherwise, unless said. */
  readonly kind?: ClaimKindKey | undefined;
  readonly conditions?: readonly ClaimCondition[] | undefined;
  readonly promise?: Promised | undefined;
  readonly interest?: Interest | undefined;
  readonly studies?: readonly Study[] | undefined;
  readonly searches?: readonly Search[] | undefined;
  readonly notes?: readonly CheckNote[] | undefined;
  readonly slips?: Slips | undefined;
}

/** What stands around a claim: the plot, how its nitrogen arrives there, and the bags it is compared with. */
export interface Around {
  readonly plot?: PlotKnown | undefined;
  /** Shares of its nitrogen that are available after four weeks, and by the end of the crop’s window. */
  readonly arrives?: { readonly early: Figure; readonly inAll: Figure } | 'underway' | undefined;
  readonly shelf?: readonly Product[] | undefined;
}

export interface CheckResult {
  readonly check: CheckKey;
  readonly answer: Answer;
  readonly text: string;
  readonly figures: readonly Figure[];
  /** What a person says of it; an answer of theirs counts in the place of this one. */
  readonly note?: CheckNote | undefined;
}

/** What a dose is called. */
export const doseWords = ({ ownDose }: Pick<Claim, 'ownDose'>): string => (ownDose ? 'Your dose' : 'The label rate');

/** The harshest of several answers: one against outweighs, one unknown leaves it open. */
export function joinAnswers(answers: readonly Answer[]): Answer {
  if (answers.length === 0) return 'notRelevant';
  for (const answer of ['against', 'cannotTell'] as const) if (answers.includes(answer)) return answer;
  return 'supports';
}
