import { assumption, constant, inPercent, literal, product as times, quotient, type Figure } from '../figure/index.js';
import { cropNeed } from '../season/index.js';
import { analyteName, type Nutrient } from '../nutrient/index.js';
import {
  formatTrimmedRange,
  rateBasis,
  measure,
  per,
  rateFactor,
  rateMeasure,
  rateRange,
  rateUnit,
  unitOf,
  type RateBasis,
} from '../quantity/index.js';
import { densityFigure, directionsBy, supplyFraction, type Direction, type Product } from '../shelf/index.js';
import type { Answer } from './checks.js';
import { doseWords, joinAnswers, type CheckResult, type Claim } from './claim.js';

/** Shares of a season's need that decide the dose check. Below the first it cannot matter; from the second on it can. */
export const DOSE_RULE = { tooLittle: 0.05, material: 0.25 } as const;

/** What one rate told by ground comes to in a year, kg/m²; undefined when it is by volume and no density is entered. */
function yearly(direction: Direction, density: Figure | undefined): Figure | undefined {
  const byVolume = unitOf(direction.unit).dimension === 'volume';
  if (byVolume && !density) return undefined;
  const unit = rateUnit(direction);
  const canonical = byVolume ? 'L/m²' : 'kg/m²';
  return times(`label rate${direction.use === '' ? '' : `, ${direction.use}`}, a year`, 'kg/m²', [
    literal('label rate, one application', rateRange(direction), rateMeasure(direction), 'label', 'product record'),
    constant(
      `${canonical} per ${unit}`,
      rateFactor(direction),
      per(measure(canonical), rateMeasure(direction)),
      'by definition',
    ),
    direction.perYear === undefined
      ? assumption('applications a year', 1, 'applications', 'the label does not say how often')
      : literal('applications a year', direction.perYear, 'applications', 'label', 'product record'),
    ...(byVolume && density ? [density] : []),
  ]);
}

/**
 * The yearly amount of product the label asks for, kg/m²: of several rates told by ground, the one that brings most.
 * @returns why there is none when no rate is told by ground, or a volume has no density
 */
export function yearlyRate(
  product: Product,
):
  | { readonly kind: 'figure'; readonly figure: Figure; readonly direction: Direction }
  | { readonly kind: 'unknown'; readonly why: string } {
  const byGround = directionsBy(product, 'area');
  const figures = byGround.flatMap((direction) => {
    const figure = yearly(direction, densityFigure(product));
    return figure ? [{ kind: 'figure' as const, figure, direction }] : [];
  });
  const [most] = figures.sort((a, b) => b.figure.value.high - a.figure.value.high);
  if (most) return most;
  const others = [...new Set(product.directions.map((d) => OTHER_WORDS[rateBasis(d)]))];
  return {
    kind: 'unknown',
    why:
      byGround.length > 0
        ? 'The label rate is by volume and the density is not entered.'
        : others.length > 0
          ? `The label gives rates by ${others.join(' and by ')} only, and none for a square metre, so no dose can be worked out.`
          : 'The label gives no rate, so no dose can be worked out.',
  };
}
const OTHER_WORDS: Readonly<Record<RateBasis, string>> = {
  area: 'ground',
  plant: 'the plant',
  row: 'the row',
  water: 'the water it is fed with',
  medium: 'the medium',
};

/** What a yearly amount of product brings of an element it holds so much of. @returns g/m² */
export const broughtPerYear = (rate: Figure, fraction: Figure, nutrient: Nutrient): Figure =>
  times(`${analyteName(nutrient)} brought a year`, 'g/m²', [
    rate,
    fraction,
    constant('g per kg', 1000, 'g/kg', 'by definition'),
  ]);

/** As per cent of one season's need; undefined when the need is not bounded above zero. */
export function asShareOfNeed(brought: Figure, need: Figure, nutrient: Nutrient): Figure | undefined {
  const ratio = quotient('brought ÷ needed', '', brought, need);
  return (
    ratio &&
    inPercent(`Share of one season’s ${analyteName(nutrient)}`, '% of need', 'as per cent of the crop’s uptake', ratio)
  );
}

interface Finding {
  readonly answer: Answer;
  readonly text: string;
  readonly share?: Figure;
}

/** Delivered ÷ needed for one element, as per cent of a season's need. */
export function shareOfNeed(claim: Claim, nutrient: Nutrient): Finding {
  const name = analyteName(nutrient);
  const rate = yearlyRate(claim.product);
  const need = cropNeed(claim.crop, nutrient);
  const reading = supplyFraction(claim.product, nutrient);
  if (rate.kind === 'unknown') return { answer: 'cannotTell', text: rate.why };
  if (!need)
    return {
      answer: 'cannotTell',
      text: `What ${claim.crop.name.toLowerCase()} takes up of ${name} is not known here.`,
    };
  if (reading.kind !== 'figure' && reading.kind !== 'below')
    return { answer: 'cannotTell', text: `Without a figure for ${name} there is no dose.` };
  const fraction = reading.kind === 'figure' ? reading.figure : reading.limit;
  const share = asShareOfNeed(broughtPerYear(rate.figure, fraction, nutrient), need, nutrient);
  if (!share) return { answer: 'cannotTell', text: `The need for ${name} is not bounded above zero.` };
  const text = `${doseWords(claim)} brings ${formatTrimmedRange(share.value)} % of one season’s ${name} for ${claim.crop.name.toLowerCase()}.`;
  if (share.value.high < 100 * DOSE_RULE.tooLittle) return { answer: 'against', text, share };
  return { answer: share.value.low >= 100 * DOSE_RULE.material ? 'supports' : 'cannotTell', text, share };
}

/** Check 2, dose: at the label rate, g/m² of each needed element against what the crop takes up. */
export function doseCheck(claim: Claim): CheckResult {
  if (claim.needs.length === 0)
    return { check: 'dose', answer: 'notRelevant', text: 'The mechanism is not a supply of nutrients.', figures: [] };
  const findings = claim.needs.map((nutrient) => shareOfNeed(claim, nutrient));
  return {
    check: 'dose',
    answer: joinAnswers(findings.map((f) => f.answer)),
    text: [...new Set(findings.map((f) => f.text))].join(' '),
    figures: findings.flatMap((f) => (f.share ? [f.share] : [])),
  };
}
