import { analyteName } from '../nutrient/index.js';
import { formatGiven, formatGivenRange } from '../quantity/index.js';
import type { Crop, Mycorrhiza } from './crop.js';

/** Something that can be known of a crop; `words` is missing where it is not, which is not the same as none. */
export interface CropFact {
  readonly name: string;
  readonly words: string | undefined;
}

const MYCORRHIZA_WORDS: Readonly<Record<Mycorrhiza, string>> = {
  arbuscular: 'arbuscular',
  ecto: 'ectomycorrhiza',
  ericoid: 'ericoid',
  none: 'none',
};

/**
 * What is known of a crop besides its uptake, and what is not: one list for every view.
 * @example cropFacts(blueberry).find((f) => f.name === 'Mycorrhiza')?.words // 'ericoid'
 */
export function cropFacts(crop: Crop): readonly CropFact[] {
  const { pH, salt, spacing, rootingM, latestNitrogen, mycorrhiza, metals, ages } = crop;
  const said: readonly (readonly [string, string | undefined | false])[] = [
    ['pH', pH && `${formatGiven(pH.low)} to ${formatGiven(pH.high)}`],
    ['Nitrogen it prefers', crop.nitrogenTaste],
    ['Chloride', crop.chloride],
    ['Boron', crop.boron],
    [
      'Salt',
      salt &&
        `yield falls from ${formatGiven(salt.thresholdMsPerCm)} mS/cm, ${formatGiven(salt.slopePercent)} % for each more`,
    ],
    ['Spacing', spacing && `rows ${formatGiven(spacing.rowM)} m, ${formatGiven(spacing.plantM)} m in the row`],
    ['Roots down to', rootingM && `${formatGivenRange(rootingM)} m`],
    ['Mycorrhiza', mycorrhiza && MYCORRHIZA_WORDS[mycorrhiza]],
    [
      'Last nitrogen',
      latestNitrogen &&
        `${latestNitrogen.days} days before ${latestNitrogen.before === 'frost' ? 'the first frost' : 'harvest'}`,
    ],
    ['Takes up readily', metals.length > 0 && metals.map(analyteName).join(', ')],
    // Only woody plants are fed by age.
    ...(ages ? [['By age', `of ${ages.grade}, at most ${formatGiven(ages.capG)} g a plant and year`] as const] : []),
  ];
  return said.map(([name, words]): CropFact => ({ name, words: words || undefined }));
}
