import { ANALYTES, type Analyte } from '../nutrient/index.js';
import { overlap, type Range, ROUNDING } from '../quantity/index.js';
import { directionWords } from './directions.js';
import { massFraction, type Reading } from './massFraction.js';
import { densityMid } from './density.js';
import type { Offer, Product } from './product.js';

/** How one nutrient stands in two versions of a label. Ranges that overlap are a tie. */
export interface FigureChange {
  readonly analyte: Analyte;
  readonly before: Reading;
  readonly after: Reading;
  readonly change: 'same' | 'tie' | 'more' | 'less' | 'added' | 'dropped' | 'cannotTell';
}
/** Something other than a figure that differs. */
export interface WordChange {
  readonly what: string;
  readonly before: string;
  readonly after: string;
}
export interface LabelComparison {
  readonly figures: readonly FigureChange[];
  readonly words: readonly WordChange[];
}

const valueOf = (reading: Reading): Range | undefined =>
  reading.kind === 'figure' ? reading.figure.value : reading.kind === 'below' ? reading.limit.value : undefined;

function changeOf(before: Reading, after: Reading): FigureChange['change'] {
  if (before.kind === 'notDeclared') return 'added';
  if (after.kind === 'notDeclared') return 'dropped';
  const [a, b] = [valueOf(before), valueOf(after)];
  if (!a || !b) return 'cannotTell';
  // Of two figures below detection only this can be told: whether it is the same limit.
  if (before.kind === 'below' || after.kind === 'below')
    return before.kind === after.kind && a.high === b.high ? 'same' : 'cannotTell';
  if (
    (['low', 'mid', 'high'] as const).every((end) => Math.abs(a[end] - b[end]) <= ROUNDING * Math.max(a[end], b[end]))
  )
    return 'same';
  return overlap(a, b) ? 'tie' : b.mid > a.mid ? 'more' : 'less';
}

const packages = (offers: readonly Offer[]): string =>
  [...new Set(offers.map((o) => `${o.size} ${o.unit}`))].join(', ');
const list = (words: readonly string[]): string => words.join(', ');

/**
 * What the maker changed between two versions of a label, or what sets two bags apart: every nutrient by its element, in whatever basis and unit either was
 * declared, then the words.
 * @example compareLabels(lastYear, thisYear).figures.filter((f) => f.change === 'less')
 */
export function compareLabels(before: Product, after: Product): LabelComparison {
  const figures = ANALYTES.flatMap((analyte): FigureChange[] => {
    const [was, is] = [massFraction(before, analyte), massFraction(after, analyte)];
    return was.kind === 'notDeclared' && is.kind === 'notDeclared'
      ? []
      : [{ analyte, before: was, after: is, change: changeOf(was, is) }];
  });
  const gone = before.derivedFrom.filter((i) => !after.derivedFrom.includes(i));
  const come = after.derivedFrom.filter((i) => !before.derivedFrom.includes(i));
  const moved = gone.length === 0 && come.length === 0 && list(before.derivedFrom) !== list(after.derivedFrom);
  const pairs: readonly (readonly [string, string, string])[] = [
    ['name', before.name, after.name],
    ['grade line', before.grade ?? '', after.grade ?? ''],
    ['form', before.form, after.form],
    ['density, kg/L', String(densityMid(before) ?? ''), String(densityMid(after) ?? '')],
    ['ingredients only here', list(gone), list(come)],
    ['order of ingredients', moved ? list(before.derivedFrom) : '', moved ? list(after.derivedFrom) : ''],
    ['package sizes', packages(before.offers), packages(after.offers)],
    ['directions', directionsWords(before), directionsWords(after)],
    ['lasts', lastsWords(before), lastsWords(after)],
  ];
  return { figures, words: pairs.filter(([, a, b]) => a !== b).map(([what, a, b]) => ({ what, before: a, after: b })) };
}

const directionsWords = ({ directions }: Product): string => directions.map(directionWords).join('; ');
const lastsWords = ({ longevity: l }: Product): string => (l ? `${l.days} days at ${l.referenceC} °C` : '');

/** The words of a change. */
export const CHANGE_WORDS: Readonly<Record<FigureChange['change'], string>> = {
  same: 'same',
  tie: 'ranges overlap: a tie',
  more: 'more',
  less: 'less',
  added: 'only after',
  dropped: 'only before',
  cannotTell: 'cannot tell',
};
