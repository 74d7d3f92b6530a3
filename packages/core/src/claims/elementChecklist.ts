import { constant, product as times, type Figure } from '../figure/index.js';
import { cropNeed, type Crop } from '../season/index.js';
import { BENEFICIAL, CONTAMINANTS, ESSENTIAL, groupOf, type ElementGroup, type Nutrient } from '../nutrient/index.js';
import { massFraction, type Product } from '../shelf/index.js';
import { asShareOfNeed, broughtPerYear, DOSE_RULE, yearlyRate } from './dose.js';

/** What is known of an element in a product: found, found to be below detection, taken from literature, or never tested. Four different things. */
export type ElementMark = 'detected' | 'below' | 'literature' | 'notTested';
export const MARK_WORDS: Readonly<Record<ElementMark, string>> = {
  detected: 'detected',
  below: 'below detection',
  literature: 'from literature',
  notTested: 'not tested',
};

export interface ElementRow {
  readonly element: Nutrient;
  readonly group: ElementGroup;
  readonly mark: ElementMark;
  /** kg per kg; the limit when below detection. */
  readonly fraction: Figure | undefined;
  /** What the label rate brings in a year, g/m²; at most that when below detection. */
  readonly perYear: Figure | undefined;
  /** As per cent of one season's need of the crop. */
  readonly shareOfNeed: Figure | undefined;
  /** Whether the dose can matter: at least a twentieth of the need. Unknown where dose, figure or need is. */
  readonly usable: 'yes' | 'no' | 'unknown';
}

function usableBy(share: Figure | undefined, mark: ElementMark): ElementRow['usable'] {
  if (!share) return 'unknown';
  const least = 100 * DOSE_RULE.tooLittle;
  if (share.value.high < least) return 'no';
  return mark !== 'below' && share.value.low >= least ? 'yes' : 'unknown';
}

/**
 * Which elements a product brings at a usable dose, not merely above zero: each with how it is known, what the label rate brings in a year, and what share of
 * one season's need of the crop that is.
 * @returns essential elements first, then beneficial ones, then metals that are only a load
 * @example elementChecklist(bag, wheat).find((r) => r.element === 'Mg')?.usable
 */
export function elementChecklist(product: Product, crop: Crop): readonly ElementRow[] {
  const rate = yearlyRate(product);
  return [...ESSENTIAL, ...BENEFICIAL, ...CONTAMINANTS].map((element): ElementRow => {
    const group = groupOf(element);
    const reading = massFraction(product, element);
    if (reading.kind === 'notDeclared' || reading.kind === 'needsDensity')
      return {
        element,
        group,
        mark: reading.kind === 'needsDensity' ? 'detected' : 'notTested',
        fraction: undefined,
        perYear: undefined,
        shareOfNeed: undefined,
        usable: 'unknown',
      };
    const fraction = reading.kind === 'figure' ? reading.figure : reading.limit;
    const provenance = reading.declared?.provenance ?? 'label';
    const mark: ElementMark =
      reading.kind === 'below'
        ? 'below'
        : provenance === 'label' || provenance === 'measured'
          ? 'detected'
          : 'literature';
    const perYear = rate.kind === 'figure' ? broughtPerYear(rate.figure, fraction, element) : undefined;
    const need = group === 'contaminant' ? undefined : cropNeed(crop, element);
    const shareOfNeed = perYear && need && asShareOfNeed(perYear, need, element);
    return { element, group, mark, fraction, perYear, shareOfNeed, usable: usableBy(shareOfNeed, mark) };
  });
}

/** A yearly load over a hectare. @returns g/ha */
export const loadPerHa = (perYear: Figure): Figure =>
  times('load a year', 'g/ha', [perYear, constant('m² per ha', 10_000, 'm²/ha', 'by definition')]);
