import { computed, type Figure } from '../figure/index.js';
import { CONTAMINANTS, analyteName } from '../nutrient/index.js';
import { formatTrimmedRange } from '../quantity/index.js';
import { saltIndexOf } from '../season/index.js';
import { cautionsOf, readIngredients } from '../shelf/index.js';
import { doseWords, type CheckResult, type Claim } from './claim.js';
import { yearlyRate } from './dose.js';
import { elementChecklist, loadPerHa } from './elementChecklist.js';

/** g of sodium nitrate’s worth of salt on a square metre in a year above which roots are at risk in dry ground; a usual caution, not a limit. */
export const SALT_CAUTION_G_PER_M2 = 50;

/** Salt at the label rate, g of sodium nitrate’s worth a square metre and year. */
function saltAtRate({ product }: Claim): Figure | undefined {
  const rate = yearlyRate(product);
  const index = saltIndexOf(product);
  if (rate.kind === 'unknown' || !index) return undefined;
  const at = (end: 'low' | 'mid' | 'high'): number => (rate.figure.value[end] * 1000 * index.value[end]) / 100;
  return computed(
    'salt at the label rate',
    { low: at('low'), mid: at('mid'), high: at('high') },
    'g/m²',
    'salt',
    'g of product × salt index ÷ 100: so many grams of sodium nitrate would be as salty',
    [rate.figure, index],
  );
}

/** Check 7, harm: salt at the label rate, metals a hectare and year, and what else to mind. */
export function harmCheck(claim: Claim): CheckResult {
  const { product, crop } = claim;
  const salt = saltAtRate(claim);
  const loads = elementChecklist(product, crop)
    .filter((row) => CONTAMINANTS.includes(row.element) && row.perYear)
    .map((row) => ({ row, load: loadPerHa(row.perYear as Figure) }));
  const known = readIngredients(product.derivedFrom).known;
  const silentMetals = known.some((m) => m.traits.includes('metals')) && loads.length === 0;
  const salty = salt !== undefined && salt.value.low > SALT_CAUTION_G_PER_M2;
  const parts = [
    ...(salt
      ? [
          `${doseWords(claim)} is as salty as ${formatTrimmedRange(salt.value, 2)} g of sodium nitrate on a square metre a year.`,
        ]
      : []),
    ...loads.map(({ row, load }) => `${analyteName(row.element)}: ${formatTrimmedRange(load.value, 2)} g/ha a year.`),
    ...(silentMetals ? ['No figure is given for metals: that is unknown, not clean.'] : []),
    ...cautionsOf([product]),
  ];
  const answer = salty ? 'against' : silentMetals || !salt ? 'cannotTell' : 'supports';
  return {
    check: 'harm',
    answer,
    text: parts.length > 0 ? parts.join(' ') : 'Neither its salt nor its metals are known.',
    figures: [...(salt ? [salt] : []), ...loads.map((l) => l.load)],
  };
}
