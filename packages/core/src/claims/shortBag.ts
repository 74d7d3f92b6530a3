import { analyteName, symbolIn, type Nutrient } from '../nutrient/index.js';
import { declaredRange, formatGiven, formatGivenRange, formatTrimmed, type Range } from '../quantity/index.js';
import { bestLine, type AnalysisFigure, type Product } from '../shelf/index.js';
import { tQuantile } from '../statistics/index.js';
import type { Answer } from './checks.js';

/** What a laboratory found in one lot, in the unit and the formula in which the label gives it. */
export interface LabSlip {
  readonly nutrient: Nutrient;
  readonly found: number;
  /** Half the width of its 95 % interval, sampling included, in the same unit; undefined where nobody said. */
  readonly error?: number | undefined;
  readonly lot: string;
  /** ISO date. */
  readonly on?: string | undefined;
  readonly laboratory: string;
}
/** Lab slips of a bag, and how far it may fall short by local code. */
export interface Slips {
  /** As a share of the guarantee, from local code; nothing where nobody said. */
  readonly tolerance?: number | undefined;
  readonly slips: readonly LabSlip[];
}

/** How far above (or below zero, short of) the guarantee, as a share of it; 95 %. */
export interface LotFinding {
  readonly lot: string;
  readonly nutrient: Nutrient;
  readonly over: Range;
  readonly answer: Answer;
  readonly text: string;
}
/** What all lots say together. */
export interface ShortBag {
  readonly findings: readonly LotFinding[];
  /** The mean over lots with its 95 % interval by Student’s t; undefined for fewer than two lots. */
  readonly mean: Range | undefined;
  readonly answer: Answer;
  readonly text: string;
}

/** Where a slip does not tell its error: sampling and laboratory together, as a share of what was found; a usual size, replaced by the slip’s own. */
export const USUAL_ERROR = 0.05;

const answerOf = ({ low, high }: Range, tolerance: number): Answer =>
  high < -tolerance ? 'against' : low >= -tolerance ? 'supports' : 'cannotTell';
const LOT_WORDS: Readonly<Record<'supports' | 'against' | 'cannotTell', string>> = {
  supports: 'that holds the guarantee',
  against: 'that is short',
  cannotTell: 'that could be either',
};
const wordsOf = (answer: Answer): string =>
  LOT_WORDS[answer === 'supports' || answer === 'against' ? answer : 'cannotTell'];

/** A share above or below, as per cent with its sign. */
const signed = (share: number): string => `${share < 0 ? '−' : '+'}${formatTrimmed(Math.abs(share) * 100, 2)} %`;
const within = ({ low, high }: Range): string => `${signed(low)} to ${signed(high)}`;

/** The least of what the label promises: a guarantee is a minimum. */
function guaranteed(product: Product, nutrient: Nutrient): { line: AnalysisFigure; least: number } | undefined {
  const line = bestLine(
    product.analysis.filter((l) => l.provenance === 'label'),
    nutrient,
  );
  const least = line && declaredRange(line.value).low;
  return line && least !== undefined && least > 0 ? { line, least } : undefined;
}

function lotFinding(product: Product, slip: LabSlip, tolerance: number): LotFinding {
  const { nutrient, found, lot, laboratory } = slip;
  const promised = guaranteed(product, nutrient);
  if (!promised) {
    const text = `The label guarantees no ${analyteName(nutrient)}, so nothing can be short of it.`;
    return { lot, nutrient, over: { low: NaN, mid: NaN, high: NaN }, answer: 'notRelevant', text };
  }
  const { line, least } = promised;
  const error = slip.error ?? USUAL_ERROR * found;
  const share = (value: number): number => value / least - 1;
  const over = { low: share(found - error), mid: share(found), high: share(found + error) };
  const answer = answerOf(over, tolerance);
  const unit = `${line.unit} ${symbolIn(nutrient, line.basis)}`;
  const said =
    slip.error === undefined
      ? `taken as ± ${formatTrimmed(error, 2)}, since the slip does not say`
      : `± ${formatGiven(error)}`;
  const text = `${lot || 'A lot without a number'}${laboratory ? `, by ${laboratory}` : ''}: ${formatGiven(found)} ${unit} (${said}) of ${formatGivenRange(declaredRange(line.value))} guaranteed, ${within(over)}: ${wordsOf(answer)}.`;
  return { lot, nutrient, over, answer, text };
}

/**
 * What several lots come to, of one bag or of all bags of a seller: each lot counts once, as the mean of its slips.
 * @param tolerance as a share of the guarantee
 */
export function runningVerdict(findings: readonly LotFinding[], tolerance: number): Omit<ShortBag, 'findings'> {
  const told = findings.filter((f) => f.answer !== 'notRelevant');
  const [only] = told;
  if (!only) return { mean: undefined, answer: 'notRelevant', text: 'No slip speaks of what the label guarantees.' };
  const lots = new Map<string, number[]>();
  told.forEach((f, i) => {
    const key = f.lot.trim().toLowerCase() || `unnamed ${i}`;
    lots.set(key, [...(lots.get(key) ?? []), f.over.mid]);
  });
  const allowed = tolerance > 0 ? `, with ${formatTrimmed(tolerance * 100, 2)} % allowed` : '';
  if (lots.size < 2) {
    const { answer } = only;
    return {
      mean: undefined,
      answer,
      text: `One lot only: ${wordsOf(answer)}${allowed}. Another lot would tell more.`,
    };
  }
  const means = [...lots.values()].map((v) => v.reduce((a, b) => a + b, 0) / v.length);
  const n = means.length;
  const mid = means.reduce((a, b) => a + b, 0) / n;
  const sd = Math.sqrt(means.reduce((s, m) => s + (m - mid) ** 2, 0) / (n - 1));
  const half = (tQuantile(0.975, n - 1) * sd) / Math.sqrt(n);
  const mean = { low: mid - half, mid, high: mid + half };
  const answer = answerOf(mean, tolerance);
  return {
    mean,
    answer,
    text: `${n} lots lie ${within(mean)} of the guarantee on average${allowed}: ${wordsOf(answer)}.`,
  };
}

/**
 * Whether a bag is short of what its label guarantees, by lab slips with their error and the tolerance that local code allows.
 * @example shortBag(bag, { tolerance: 0.05, slips: [{ nutrient: 'N', found: 10.8, error: 0.3, lot: 'A', laboratory: '' }] }).answer // 'against' for 12 % N
 */
export function shortBag(product: Product, { tolerance = 0, slips }: Slips): ShortBag {
  const findings = slips.map((slip) => lotFinding(product, slip, tolerance));
  return { findings, ...runningVerdict(findings, tolerance) };
}
