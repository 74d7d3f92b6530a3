import { condition, CONDITION_NAMES } from '../ground/index.js';
import { analyteName } from '../nutrient/index.js';
import { formatTrimmedRange, rateBasis, scaleRange } from '../quantity/index.js';
import type { Answer } from './checks.js';
import type { Around, CheckResult, Claim } from './claim.js';
import { claimKind, type ClaimKind } from './kinds.js';
import { DOSE_RULE, shareOfNeed } from './dose.js';

/** The kind of a claim: as it was said, else a supply where it needs elements. */
export const kindOfClaim = ({ kind, needs }: Pick<Claim, 'kind' | 'needs'>): ClaimKind =>
  claimKind(kind ?? (needs.length > 0 ? 'supplies' : 'other'));

const result = (
  check: CheckResult['check'],
  answer: Answer,
  text: string,
  figures: CheckResult['figures'] = [],
): CheckResult => ({ check, answer, text, figures });

/** Shares that decide the timing check: what is set free after four weeks, and by the end of the crop’s window. */
export const TIMING_RULE = { gone: 0.8, lasting: 0.6, most: 0.5, little: 0.25 } as const;

/** Check 3, timing: does its nitrogen arrive in the time promised? */
export function timingCheck(claim: Claim, { arrives }: Around): CheckResult {
  const { key } = kindOfClaim(claim);
  const asked = key === 'feedsAllSeason' || ((key === 'supplies' || key === 'replaces') && claim.needs.includes('N'));
  if (!asked) return result('timing', 'notRelevant', 'No time is promised that the program reckons.');
  if (!arrives) return result('timing', 'notYet', 'When its nitrogen arrives needs a plot and a season.');
  if (arrives === 'underway') return result('timing', 'notYet', 'When its nitrogen arrives is being worked out.');
  const { early, inAll } = arrives;
  const share = (f: typeof early): string => `${formatTrimmedRange(scaleRange(f.value, 100), 2)} %`;
  const text = `${share(early)} of its nitrogen is set free after four weeks, ${share(inAll)} by the end of what ${claim.crop.name.toLowerCase()} takes up.`;
  const figures = [early, inAll];
  const { gone, lasting, most, little } = TIMING_RULE;
  if (key === 'feedsAllSeason') {
    if (early.value.low > gone || inAll.value.high < most) return result('timing', 'against', text, figures);
    const lasts = early.value.high < lasting && inAll.value.low >= most;
    return result('timing', lasts ? 'supports' : 'cannotTell', text, figures);
  }
  if (inAll.value.high < little) return result('timing', 'against', text, figures);
  return result('timing', inAll.value.low >= most ? 'supports' : 'cannotTell', text, figures);
}

/** Check 4, condition: is the claim true only in some soils, and is this one of them? */
export function conditionCheck({ conditions = [], ...claim }: Claim, { plot }: Around): CheckResult {
  const { decides, about } = kindOfClaim(claim);
  if (conditions.length === 0)
    return about === 'effect' && !decides.includes('condition')
      ? result('condition', 'notRelevant', 'No condition is named.')
      : result('condition', 'cannotTell', 'Nobody said in which soil it is true.');
  const found = conditions.map(({ condition: which, holds }) => {
    const name = CONDITION_NAMES[which];
    const wanted = holds ? name : `not ${name}`;
    if (!plot) return { answer: 'cannotTell' as const, text: `True where the ground is ${wanted}: choose a plot.` };
    const answered = condition(which, plot.site, plot.report, plot.school, plot.jar);
    if (answered.answer === 'unknown')
      return {
        answer: 'cannotTell' as const,
        text: `True where the ground is ${wanted}. Test this first: ${answered.test}.`,
      };
    const fits = (answered.answer === 'yes') === holds;
    return {
      answer: fits ? ('supports' as const) : ('against' as const),
      text: `True where the ground is ${wanted}; here it is ${answered.answer === 'yes' ? '' : 'not '}${name} (${answered.because}).`,
    };
  });
  return result(
    'condition',
    found.reduce<Answer>(
      (worst, { answer }) =>
        worst === 'against' || answer === 'against'
          ? 'against'
          : worst === 'cannotTell' || answer === 'cannotTell'
            ? 'cannotTell'
            : 'supports',
      'supports',
    ),
    found.map((f) => f.text).join(' '),
  );
}

/** What else may come with a product that could do the same, at its label rate. */
const BESIDES = ['N', 'P', 'K'] as const;
/** Check 5, confounder: what else came along that could do the same? */
export function confounderCheck(claim: Claim): CheckResult {
  if (kindOfClaim(claim).about === 'figure')
    return result('confounder', 'notRelevant', 'A figure is not muddled by what comes along.');
  const counted = (claim.studies ?? []).filter((s) => s.leftOut === undefined);
  if (counted.length > 0 && counted.every((s) => s.control === 'sameNutrients'))
    return result('confounder', 'supports', 'The studies gave the control the same nutrients.');
  const shares = BESIDES.filter((n) => !claim.needs.includes(n)).flatMap((n) => {
    const { share } = shareOfNeed(claim, n);
    return share && share.value.high >= 100 * DOSE_RULE.material ? [{ n, share }] : [];
  });
  const brings = shares.map(
    ({ n, share }) => `${formatTrimmedRange(share.value, 2)} % of a season’s ${analyteName(n)}`,
  );
  const wet = claim.product.form === 'liquid' || claim.product.directions.some((d) => rateBasis(d) === 'water');
  const alongside = [
    ...(brings.length > 0 ? [`it brings ${brings.join(' and ')}, which alone could do it`] : []),
    ...(wet ? ['it comes with water: give the control the same'] : []),
  ];
  return alongside.length > 0
    ? result(
        'confounder',
        'against',
        `Beside what is claimed ${alongside.join('; and ')}.`,
        shares.map((s) => s.share),
      )
    : result(
        'confounder',
        'cannotTell',
        'Nothing else is known to come along. Water, digging and bigger pots still can.',
      );
}

/** Check 9, interest: who says it, what do they earn by it, and was a figure given at all? */
export function interestCheck({ interest = 'unknown', product }: Claim): CheckResult {
  const noFigures = product.analysis.length === 0 ? ' The bag gives no analysis at all.' : '';
  switch (interest) {
    case 'seller':
      return result('interest', 'against', `Those who say it sell it.${noFigures}`);
    case 'paid':
      return result('interest', 'against', `Those who say it are paid for it.${noFigures}`);
    case 'independent':
      return result('interest', 'supports', `Those who say it earn nothing by it.${noFigures}`);
    case 'unknown':
      return result('interest', 'cannotTell', `Nobody says what they earn by it.${noFigures}`);
  }
}
