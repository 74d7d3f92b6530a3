import { analyteName, type Nutrient } from '../nutrient/index.js';
import { commonestCurrency, costsPerUnit } from '../price/index.js';
import { formatTrimmedRange } from '../quantity/index.js';
import type { Figure } from '../figure/index.js';
import type { Product } from '../shelf/index.js';
import type { Around, CheckResult, Claim } from './claim.js';
import { practicesFor, type Practice } from './practices.js';
import { kindOfClaim } from './surroundings.js';

const none = (answer: CheckResult['answer'], text: string): CheckResult => ({
  check: 'alternative',
  answer,
  text,
  figures: [],
});

/** What a kg of an element costs in a bag, in a currency. */
function costOf(product: Product, nutrient: Nutrient, currency: string): Figure | undefined {
  for (const cost of costsPerUnit(product, { nutrient, basis: 'element', perUnit: 'kg' }))
    if (cost.kind === 'cost' && cost.currency === currency) return cost.figure;
  return undefined;
}

const MOST_NAMED = 4;
/** Practices in words, the first few by name. */
function practiceWords(practices: readonly Practice[]): string {
  if (practices.length === 0) return '';
  const names = practices.slice(0, MOST_NAMED).map((p) => p.name.toLowerCase());
  const more = practices.length > MOST_NAMED ? `, and ${practices.length - MOST_NAMED} more` : '';
  return `Without buying: ${names.join('; ')}${more}.`;
}

/** Check 8, alternative: the cheapest bag of the shelf for the same nutrient, side by side, and what can be done without buying. */
export function alternativeCheck(claim: Claim, around: Around): CheckResult {
  const practices = practiceWords(practicesFor(kindOfClaim(claim).key));
  const bag = cheapestBag(claim, around);
  if (!bag) return none(practices === '' ? 'notRelevant' : 'cannotTell', practices || 'It is no supply of nutrients.');
  return { ...bag, text: [bag.text, practices].filter(Boolean).join(' ') };
}

/** The cheapest bag of the shelf for what a claim needs first; undefined where it needs no nutrient. */
function cheapestBag({ product, needs }: Claim, { shelf = [] }: Around): CheckResult | undefined {
  const [nutrient] = needs;
  if (!nutrient) return undefined;
  const currency = commonestCurrency([product, ...shelf]);
  const own = currency === undefined ? undefined : costOf(product, nutrient, currency);
  if (!own || currency === undefined)
    return none('cannotTell', `What a kg of ${analyteName(nutrient)} costs in it is not known.`);
  const others = shelf
    .filter((p) => p.id !== product.id)
    .flatMap((p) => {
      const cost = costOf(p, nutrient, currency);
      return cost ? [{ product: p, cost }] : [];
    })
    .sort((a, b) => a.cost.value.mid - b.cost.value.mid);
  const [cheapest] = others;
  const told = `A kg of ${analyteName(nutrient)} costs ${formatTrimmedRange(own.value, 3)} ${currency} in it`;
  if (!cheapest) return { ...none('cannotTell', `${told}; no other bag with a price brings any.`), figures: [own] };
  const beside = `${told}, and ${formatTrimmedRange(cheapest.cost.value, 3)} ${currency} in ${cheapest.product.name}.`;
  const figures = [own, cheapest.cost];
  if (cheapest.cost.value.high < own.value.low) return { ...none('against', beside), figures };
  return { ...none(own.value.high < cheapest.cost.value.low ? 'supports' : 'cannotTell', beside), figures };
}
