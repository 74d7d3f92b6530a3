import { compoundPerElement, elementOf, symbolIn } from '../../nutrient/index.js';
import { declaredRange, formatGiven } from '../../quantity/index.js';
import type { Bracket, Pair } from '../../reading/index.js';
import { sameInBracket } from '../grade.js';
import type { Finding } from '../labelChecks.js';
import type { AnalysisFigure } from '../product.js';
import { saysAgain } from './agree.js';
import type { Context } from './context.js';
import { inUnit, percentOf, sortPair, type Place } from './figures.js';
import { nothingSorted, type Sorted } from './sorted.js';

/** In a bracket behind nitrogen, "7 % nitrate" is the nitrogen that is there as nitrate, not nitrate itself. */
const asNitrogen = (figure: AnalysisFigure): AnalysisFigure =>
  elementOf(figure.analyte) === 'N' ? { ...figure, basis: 'element' } : figure;

/** A bracket that says a figure again as its element is checked against it, not counted: "(3.5 % P)". */
function restated(figure: AnalysisFigure, again: AnalysisFigure, text: string): Omit<Finding, 'path'> | undefined {
  const stated = declaredRange(again.value).mid / compoundPerElement(again.basis);
  const main = declaredRange(figure.value).mid / compoundPerElement(figure.basis);
  if (sameInBracket(main, stated)) return undefined;
  return {
    code: 'bracket.differs',
    severity: 'warning',
    message: `${percentOf(figure)} ${symbolIn(elementOf(figure.analyte), figure.basis)} is ${formatGiven(Number(main.toPrecision(3)))} % ${elementOf(figure.analyte)}, but the bracket says ${text}.`,
  };
}

/**
 * What a bracket of a line tells: parts of nitrogen, a figure said again as its element, or figures of its own.
 * @returns what is wrong with what it says again
 */
export function sortBracket(
  sorted: Sorted,
  bracket: Bracket,
  pairs: readonly Pair[],
  place: Place,
  context: Context,
): Omit<Finding, 'path'> | undefined {
  const inner = nothingSorted();
  const nth = pairs.filter((p) => p.found.end <= bracket.start).length - 1;
  const outer = sorted.figures.length === pairs.length ? sorted.figures[nth] : sorted.figures[0];
  for (const pair of bracket.pairs) {
    const { found, subject } = pair;
    const read = found.value && inUnit(found, found.value, place.general);
    if (subject === undefined && outer && read && saysAgain(outer, read)) {
      context.again.push([outer, read]);
      inner.told.push({ start: found.start, end: found.end, fate: 'setAside', why: 'said again' });
    } else sortPair(inner, pair, place, context);
  }
  let finding: Omit<Finding, 'path'> | undefined;
  for (const figure of inner.figures) {
    const again = outer !== undefined && elementOf(figure.analyte) === elementOf(outer.analyte);
    if (again && elementOf(figure.analyte) !== 'N')
      finding ??= restated(outer, figure, bracket.pairs[0]?.found.text ?? bracket.text);
    else sorted.figures.push(asNitrogen(figure));
  }
  sorted.told.push(...inner.told);
  sorted.asides.push(...inner.asides);
  sorted.unread.push(...inner.unread);
  sorted.refused ??= inner.refused;
  sorted.choices.push(...inner.choices);
  return finding;
}
