import { formatGiven, type DecimalMark } from '../../quantity/index.js';
import { readPackages } from '../../reading/index.js';
import { parseGrade, printGrade, withStrokes } from '../grade.js';
import { without, type Read, type Taken } from './reading.js';

const DATE = /\b\d{4}-\d{1,2}-\d{1,2}\b/;

/** What was taken from a part of a line. */
const takenFrom = (line: string, read: Read, start: number, end: number): Taken => ({
  read: {
    ...read,
    told: [{ start, end, fate: read.kind === 'notUnderstood' ? 'asked' : 'taken', why: read.says }],
  },
  rest: without(line, start, end),
});

/** A grade line such as "12-8-16 (+3 MgO)"; with several readings it is left to the person. */
export function takeGrade(printed: string): Taken | undefined {
  if (DATE.test(printed)) return undefined;
  if (/\bratio\b/i.test(printed)) return undefined;
  // "12-8-16 (+3 MgO)" adds in brackets what others add without.
  const line = withStrokes(printed)
    .replace(/\(\s*\+([^()]*)\)/g, ' +$1 ')
    // "NPK 20.10.10": points part the numbers of a grade where it is named as one.
    .replace(/(\bn\W?p\W?k\W*\d{1,2})\.(\d{1,2})\.(?=\d{1,2}(?![\d.,]))/i, '$1-$2-');
  const found =
    /(?:^|[^\d.,/-])(\d{1,2}(?:[.,]\d)?\s*[-–:/]\s*\d{1,2}(?:[.,]\d)?\s*[-–:/]\s*\d{1,2}(?:[.,]\d)?(?:\s*[-–:/]\s*\d{1,2}(?:[.,]\d)?)?(?:\s*\+\s*[\d.,]+\s*%?\s*[A-Za-z0-9]+)*)(?![\d./-])/.exec(
      line,
    );
  // What a bracket restates as elements is kept with the grade, where it fits, to be checked against the oxides.
  const bracket = found ? /^\s*(\([^()+]*\))/.exec(line.slice(found.index + found[0].length))?.[1] : undefined;
  const together = found ? undefined : /\bn\W?p\W?k\W*(\d{3,6})\b/i.exec(line);
  // "21-0-0-24S" says of what its fourth number is.
  const fourth = found && /^(.*[^-–\s])\s*[-–]\s*(\d{1,2})$/.exec(found[1] ?? '');
  const of = found && /^\s?(S|Mg|MgO|SO3|Ca|Fe)(?![\p{L}\d])/u.exec(line.slice(found.index + found[0].length))?.[1];
  const whole = fourth && of ? `${fourth[1] ?? ''} + ${fourth[2] ?? ''} ${of}` : found?.[1];
  const typed = found ? `${whole ?? ''} ${bracket ?? ''}` : together?.[1];
  const match = found ?? together;
  if (!typed || !match) return undefined;
  const end = match.index + match[0].length;
  const taken = (read: Read): Taken =>
    takenFrom(line, read, match.index, end + (bracket ? line.slice(end).indexOf(bracket) + bracket.length : 0));
  const parsed = parseGrade(typed);
  if (parsed.kind === 'none') return undefined;
  if (parsed.kind === 'several')
    return taken({
      kind: 'notUnderstood',
      says: `${parsed.question} ${parsed.readings.slice(0, 4).map(printGrade).join(' or ')}?`,
    });
  if (parsed.grade.reduce((s, p) => s + p.amount, 0) > 100)
    return taken({ kind: 'notUnderstood', says: `Read ${typed.trim()}: a grade above 100 % cannot be.` });
  const shown = printGrade(parsed.grade);
  const kept = parsed.elements && bracket && bracket.length < 40 ? `${shown} ${bracket}` : shown;
  return taken({ kind: 'grade', says: `the grade ${kept}`, grade: kept });
}

/** A density, a C:N ratio or a package in words. */
export function takeMeasure(line: string, mark?: DecimalMark): Taken | undefined {
  const ratio = /\bC\s?[:/]\s?N\b(?:\s*ratio)?\D{0,6}(\d+(?:[.,]\d+)?)(?:\s*:\s*1\b)?/i.exec(line);
  if (ratio?.[1]) {
    const value = Number(ratio[1].replace(',', '.'));
    if (value > 0 && value <= 1000)
      return takenFrom(
        line,
        { kind: 'ratio', says: `a C:N of ${formatGiven(value)}`, carbonToNitrogen: value },
        ratio.index,
        ratio.index + ratio[0].length,
      );
  }
  const density =
    /\b(?:density|specific gravity|sp\.? ?gr|s\.?g)\b\.?(?:\s*(?:@|at)\s*\d+\s*°?\s*[CF]\b)?[^\d;,]{0,40}?(\d+[.,]?\d*)\s*(?![\d.,]|\s*[-–]\s*\d)(kg\s*\/\s*l|g\s*\/\s*ml|g\s*\/\s*cm3|kg\s*\/\s*m3|g\s*\/\s*l\b)?/i.exec(
      line,
    );
  if (density?.[1]) {
    const value =
      Number(density[1].replace(',', '.')) / (/kg\s*\/\s*m3|^g\s*\/\s*l$/i.test(density[2] ?? '') ? 1000 : 1);
    if (value > 0.01 && value < 5)
      return takenFrom(
        line,
        { kind: 'density', says: `a density of ${formatGiven(value)} kg/L`, density: value },
        density.index,
        density.index + density[0].length,
      );
  }
  const found = readPackages(line, mark);
  if (found.kind === 'ask') return takenFrom(line, { kind: 'notUnderstood', says: found.question }, 0, line.length);
  const [first] = found.kind === 'packages' ? found.packages : [];
  const last = found.kind === 'packages' ? found.packages.at(-1) : undefined;
  if (found.kind === 'packages' && first && last)
    return takenFrom(
      line,
      {
        kind: 'package',
        says: found.packages.map(({ size, unit }) => `a package of ${formatGiven(size)} ${unit}`).join(' and '),
        packages: found.packages.map(({ size, unit }) => ({ size, unit })),
      },
      first.start,
      last.end,
    );
  return undefined;
}
