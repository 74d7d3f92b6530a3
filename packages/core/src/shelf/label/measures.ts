import { formatGiven, parseQuantity } from '../../quantity/index.js';
import { parseGrade, printGrade } from '../grade.js';
import type { Read } from './reading.js';

const DATE = /\b\d{4}-\d{1,2}-\d{1,2}\b/;

/** A grade line such as "12-8-16 (+3 MgO)"; with several readings it is left to the person. */
export function readGradeLine(printed: string): Read | undefined {
  if (DATE.test(printed)) return undefined;
  // "12-8-16 (+3 MgO)" adds in brackets what others add without.
  const line = printed.replace(/\(\s*\+([^()]*)\)/g, ' +$1 ');
  const found = /(?:^|[^\d.,/-])(\d{1,2}(?:[.,]\d)?\s*[-–:/]\s*\d{1,2}(?:[.,]\d)?\s*[-–:/]\s*\d{1,2}(?:[.,]\d)?(?:\s*[-–:/]\s*\d{1,2}(?:[.,]\d)?)?(?:\s*\+\s*[\d.,]+\s*%?\s*[A-Za-z0-9]+)*)(?![\d./-])/.exec(line);
  // What a bracket restates as elements is kept with the grade, where it fits, to be checked against the oxides.
  const bracket = found ? /^\s*(\([^()+]*\))/.exec(line.slice(found.index + found[0].length))?.[1] : undefined;
  const typed = found ? `${found[1] ?? ''} ${bracket ?? ''}` : /\bn\W?p\W?k\W*(\d{3,6})\b/i.exec(line)?.[1];
  if (!typed) return undefined;
  const parsed = parseGrade(typed);
  if (parsed.kind === 'none') return undefined;
  if (parsed.kind === 'several') return { kind: 'notUnderstood', says: `${parsed.question} ${parsed.readings.slice(0, 4).map(printGrade).join(' or ')}?` };
  if (parsed.grade.reduce((s, p) => s + p.amount, 0) > 100) return { kind: 'notUnderstood', says: `Read ${typed}: a grade above 100 % cannot be.` };
  const shown = printGrade(parsed.grade);
  const kept = parsed.elements && bracket && bracket.length < 40 ? `${shown} ${bracket}` : shown;
  return { kind: 'grade', says: `the grade ${kept}`, grade: kept };
}

/** A density or a package in words. */
export function readMeasure(line: string): Read | undefined {
  const density = /\b(?:density|specific gravity|sp\.? ?gr\.?)\D{0,12}(\d+[.,]?\d*)\s*(kg\s*\/\s*l|g\s*\/\s*ml|g\s*\/\s*cm3|kg\s*\/\s*m3)?/i.exec(line);
  if (density?.[1]) {
    const value = Number(density[1].replace(',', '.')) / (/m3/i.test(density[2] ?? '') ? 1000 : 1);
    if (value > 0.01 && value < 5) return { kind: 'density', says: `a density of ${formatGiven(value)} kg/L`, density: value };
  }
  const weight = /\b(?:net\s*(?:weight|wt\.?|contents?|volume)|contents?|weight)\b\W*([\d.,]+\s*(?:kg|g|lbs?|oz|l|ml|litres?|liters?))\b/i.exec(line)?.[1];
  if (weight) {
    for (const dimension of ['mass', 'volume'] as const) {
      const read = parseQuantity(weight, dimension);
      if (read.ok && read.value > 0) return { kind: 'package', says: `a package of ${formatGiven(read.value)} ${read.unit.symbol}`, package: { size: read.value, unit: read.unit.symbol } };
    }
  }
  return undefined;
}
