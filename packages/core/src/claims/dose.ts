import { computed, constant, literal, product as times, quotient, assumption, type Figure } from '../figure/index.js';
import { TRACE_UPTAKE_KG_PER_HA, type CropTemplate } from '../ground/index.js';
import { analyteName, type Nutrient } from '../nutrient/index.js';
import { formatTrimmedRange, scaleRange, unitOf } from '../quantity/index.js';
import { massFraction, type Product } from '../shelf/index.js';
import type { Answer } from './checks.js';
import { joinAnswers, type CheckResult, type Claim } from './claim.js';

/** Shares of a season's need that decide the dose check. Below the first it cannot matter; from the second on it can. */
export const DOSE_RULE = { tooLittle: 0.05, material: 0.25 } as const;

/** The yearly amount of product the label asks for, in kg/m²; undefined when no rate is given or a volume has no density. */
export function yearlyRate(product: Product): Figure | undefined {
  if (!product.labelRate) return undefined;
  const { amount, unit: symbol, perYear } = product.labelRate;
  const unit = unitOf(symbol);
  const rate = literal('label rate, one application', amount, symbol, 'label', 'product record');
  const times_ = literal('applications a year', perYear, '/year', 'label', 'product record');
  const canonical = unit.dimension === 'arealVolume' ? 'L/m²' : 'kg/m²';
  const factor = constant(`${canonical} per ${symbol}`, unit.factor, `${canonical} per ${symbol}`, 'by definition');
  if (unit.dimension !== 'arealVolume') return times('label rate, a year', 'kg/m²', [rate, factor, times_]);
  if (product.densityKgPerL === undefined) return undefined;
  const density = literal('density', product.densityKgPerL, 'kg/L', 'label', 'product record');
  return times('label rate, a year', 'kg/m²', [rate, factor, times_, density]);
}

/** What a crop takes up of an element in a season, g/m²; undefined when the template does not know it. */
export function cropNeed(crop: CropTemplate, nutrient: Nutrient): Figure | undefined {
  const own = crop.uptakeKgPerHa[nutrient];
  const uptake = own ?? TRACE_UPTAKE_KG_PER_HA[nutrient];
  return (
    uptake &&
    times(`${crop.name}, season’s ${analyteName(nutrient)}`, 'g/m²', [
      assumption(`${own ? crop.name : 'crops in general'}, uptake of ${analyteName(nutrient)}`, uptake, 'kg/ha', own ? 'typical for a moderate yield' : 'typical of field and garden crops'),
      constant('g/m² per kg/ha', 0.1, 'g/m² per kg/ha', 'by definition'),
    ])
  );
}

/** What a yearly amount of product brings of an element it holds so much of. @returns g/m² */
export const broughtPerYear = (rate: Figure, fraction: Figure, nutrient: Nutrient): Figure =>
  times(`${analyteName(nutrient)} brought a year`, 'g/m²', [rate, fraction, constant('g per kg', 1000, 'g/kg', 'by definition')]);

/** As per cent of one season's need; undefined when the need is not bounded above zero. */
export function asShareOfNeed(brought: Figure, need: Figure, nutrient: Nutrient): Figure | undefined {
  const ratio = quotient('brought ÷ needed', '', brought, need);
  return ratio && computed(`Share of one season’s ${analyteName(nutrient)}`, scaleRange(ratio.value, 100), '% of need', 'percent', 'as per cent of the crop’s uptake', [ratio]);
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
  const reading = massFraction(claim.product, nutrient);
  if (!rate) return { answer: 'cannotTell', text: claim.product.labelRate ? 'The label rate is by volume and the density is not entered.' : 'The label gives no rate, so no dose can be worked out.' };
  if (!need) return { answer: 'cannotTell', text: `What ${claim.crop.name.toLowerCase()} takes up of ${name} is not known here.` };
  if (reading.kind !== 'figure' && reading.kind !== 'below') return { answer: 'cannotTell', text: `Without a figure for ${name} there is no dose.` };
  const fraction = reading.kind === 'figure' ? reading.figure : reading.limit;
  const share = asShareOfNeed(broughtPerYear(rate, fraction, nutrient), need, nutrient);
  if (!share) return { answer: 'cannotTell', text: `The need for ${name} is not bounded above zero.` };
  const text = `The label rate brings ${formatTrimmedRange(share.value)} % of one season’s ${name} for ${claim.crop.name.toLowerCase()}.`;
  if (share.value.high < 100 * DOSE_RULE.tooLittle) return { answer: 'against', text, share };
  return { answer: share.value.low >= 100 * DOSE_RULE.material ? 'supports' : 'cannotTell', text, share };
}

/** Check 2, dose: at the label rate, g/m² of each needed element against what the crop takes up. */
export function doseCheck(claim: Claim): CheckResult {
  if (claim.needs.length === 0) return { check: 'dose', answer: 'notRelevant', text: 'The mechanism is not a supply of nutrients.', figures: [] };
  const findings = claim.needs.map((nutrient) => shareOfNeed(claim, nutrient));
  return {
    check: 'dose',
    answer: joinAnswers(findings.map((f) => f.answer)),
    text: [...new Set(findings.map((f) => f.text))].join(' '),
    figures: findings.flatMap((f) => (f.share ? [f.share] : [])),
  };
}
