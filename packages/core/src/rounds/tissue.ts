import { literal, product as times, type Figure } from '../figure/index.js';
import { analyteName, type Nutrient } from '../nutrient/index.js';
import { formatTrimmed, exact } from '../quantity/index.js';
import type { Crop, TissueBand } from '../season/index.js';

/** A leaf or stalk test of a crop: what was sampled, when, of how many plants, and what was found in the dry matter. */
export interface TissueTest {
  readonly on: string;
  readonly part: string;
  readonly samples: number | undefined;
  readonly found: readonly { readonly nutrient: Nutrient; readonly percent: number }[];
}
export const TISSUE_STANDINGS = ['below', 'within', 'above', 'unknown'] as const;
export type TissueStanding = (typeof TISSUE_STANDINGS)[number];

/** Where one element of a test stands, and what that does to next year's rate. */
export interface TissueResult {
  readonly nutrient: Nutrient;
  readonly percent: number;
  /** Undefined where nothing is known of this crop. */
  readonly band: TissueBand | undefined;
  readonly standing: TissueStanding;
  /** What next year's rate is multiplied by; 1 within the band, undefined where there is none. */
  readonly factor: number | undefined;
}

/** A rate is moved by a tenth where the grower sets no other step, %. */
export const USUAL_STEP_PERCENT = 10;
/** Fewer leaves than this say little of a plot. */
export const FEWEST_SAMPLES = 20;

function standingOf(percent: number, band: TissueBand | undefined): TissueStanding {
  if (!band) return 'unknown';
  if (percent < band.lowPercent) return 'below';
  return percent > band.highPercent ? 'above' : 'within';
}

/**
 * A test against the bands of its crop: below raises and above lowers next year's rate by the step; both edges lie within the band.
 * @param stepPercent how far a rate is moved, above 0 and below 100
 * @throws RangeError for a step outside that
 * @example judgeTissue(tomato, { found: [{ nutrient: 'N', percent: 2.4 }], … }, 10)[0].factor // 1.1: the band begins at 2.8 %
 */
export function judgeTissue(
  { tissue }: Pick<Crop, 'tissue'>,
  test: TissueTest,
  stepPercent: number = USUAL_STEP_PERCENT,
): readonly TissueResult[] {
  if (!(stepPercent > 0 && stepPercent < 100))
    throw new RangeError(`Read a step of ${stepPercent} %, expected one above 0 and below 100.`);
  const step = stepPercent / 100;
  const factors = { below: 1 + step, within: 1, above: 1 - step, unknown: undefined } as const;
  return test.found.map(({ nutrient, percent }) => {
    const band = tissue.find((b) => b.nutrient === nutrient);
    const standing = standingOf(percent, band);
    return { nutrient, percent, band, standing, factor: factors[standing] };
  });
}

const plain = (text: string): string => text.trim().toLowerCase();
/** What makes a test say less than it seems to. @example tissueDoubts(tomato, test) // ['The band is for a leaf opposite the newest truss at first fruit: a petiole was sampled.'] */
export function tissueDoubts(
  { tissue }: Pick<Crop, 'tissue'>,
  { part, samples, found }: TissueTest,
): readonly string[] {
  const bands = tissue.filter((b) => found.some((f) => f.nutrient === b.nutrient));
  const other = bands.find((b) => b.part !== '' && plain(b.part) !== plain(part));
  return [
    ...(other
      ? [`The bands are for the ${other.part}, ${other.when}: “${part || 'a part that is not said'}” was sampled.`]
      : []),
    ...(samples === undefined
      ? ['It is not said of how many plants it is.']
      : samples < FEWEST_SAMPLES
        ? [`It is of ${formatTrimmed(samples)} leaves: fewer than ${FEWEST_SAMPLES} say little of a plot.`]
        : []),
  ];
}

/**
 * Next year's rate of an element: this year's, moved by what a test found. Undefined where there is no band to move it by.
 * @param thisYear kg/ha that went on
 * @example nextRate(result, rateOf120) // 132 kg/ha after a test below the band
 */
export function nextRate({ nutrient, factor, standing }: TissueResult, thisYear: Figure): Figure | undefined {
  if (factor === undefined) return undefined;
  if (factor === 1) return thisYear;
  return times(`${analyteName(nutrient)} next year`, thisYear.unit.text, [
    thisYear,
    literal(`step for a test ${standing} the band`, exact(factor), '', 'chosen', 'leaf test'),
  ]);
}

/**
 * Where a value lies against its band, for a picture: 0 at its low edge, 1 at its high one.
 * @throws RangeError for a band without width
 * @example placeInBand(2.4, { lowPercent: 2.8, highPercent: 4.5, … }) // −0.24
 */
export function placeInBand(percent: number, { lowPercent, highPercent }: TissueBand): number {
  if (!(highPercent > lowPercent))
    throw new RangeError(`Read a band from ${lowPercent} to ${highPercent} %, expected its end above its beginning.`);
  return (percent - lowPercent) / (highPercent - lowPercent);
}
