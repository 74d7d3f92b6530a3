import { findUnit, formatGiven, unitOf, type DecimalMark } from '../../quantity/index.js';
import { readPackages, type Package } from '../../reading/index.js';
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

/** "Fertiliser added: 1.5 kg/m³ of 14-16-18" tells what was mixed in, not what the bag is. @example isMixedIn('14-16-18 1 kg/m³') // true */
export const isMixedIn = (line: string): boolean =>
  /\d\s?(?:k?g|lbs?)\s?\/\s?(?:m[3³]|(?:cu\.? ?)?y(?:ar)?d[3³]?)/iu.test(line) &&
  /(?<![\d.,-])\d{1,2}-\d{1,2}-\d{1,2}(?![\d-])/.test(line);

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
    /(?:^|[^\d.,/-])(\d{1,2}(?:[.,]\d{1,2})?\s*[-–:/]\s*\d{1,2}(?:[.,]\d{1,2})?\s*[-–:/]\s*\d{1,2}(?:[.,]\d{1,2})?(?:\s*[-–:/]\s*\d{1,2}(?:[.,]\d)?)?(?:\s*\+\s*[\d.,]+\s*%?\s*[A-Za-z0-9]+)*)(?![\d./-])/.exec(
      line,
    );
  // What a bracket restates as elements is kept with the grade, where it fits, to be checked against the oxides.
  // "NPK (Ca-Mg-S) 12-11-18 (4-2-20)" lists further nutrients there.
  const further = /\((?:Ca|Mg|S|Na|Ca?O|MgO|SO3)\b[^)]*\)\s*\d/.test(line);
  const behind = found ? /^\s*(\([^()+]*\))/.exec(line.slice(found.index + found[0].length))?.[1] : undefined;
  const bracket = further ? undefined : behind;
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
    takenFrom(line, read, match.index, end + (behind ? line.slice(end).indexOf(behind) + behind.length : 0));
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

/** kg/L of the units that densities are told in; a bare number is the density against water. */
const DENSITY_UNITS: readonly (readonly [RegExp, number])[] = [
  [/^kg\/m[3³]|^g\/l/i, 0.001],
  [/^lbs?\/(?:cu|ft)/i, 0.45359237 / 28.316846592],
  [/^lbs?/i, 0.45359237 / 3.785411784],
  [/^/, 1],
];
const DENSITY =
  /\b(?:(?:density|specific gravity|sp\.? ?gr|s\.?g|dichte|rohdichte|sch[uü]ttdichte|densit[eé]|masse volumique|densidad|densit[aà]|peso specifico|dichtheid|soortelijk gewicht|densidade|g[eę]sto[sś][cć]|densitet)(?![\p{L}])\.?|(?:weight|wt\.?) ?(?:per|\/) ?(?:us )?gal(?:lon)?\b)(?:\s*\(?(?:@|at|bei|[aà]|ved|vid|bij|w)?\s*\d+\s*°\s*[CF]?\)?)?[^\d;,]{0,40}?(\d+[.,]?\d*)\s*(?![\d.,]|\s*[-–]\s*\d)(kg\s*\/\s*(?:l|dm[3³])|g\s*\/\s*ml|g\s*\/\s*cm[3³]|kg\s*\/\s*m[3³]|g\s*\/\s*l\b|lbs?\s*\/\s*(?:cu\.?\s?ft\b|ft[3³])|lbs?(?:\s*\/\s*gal(?:lon)?)?\b)?/iu;

/** "Density 1.25 kg/L", "Dichte (20 °C): 1,25", "Weight per gallon 9.4 lb" */
function takeDensity(line: string): Taken | undefined {
  const found = DENSITY.exec(line);
  if (!found?.[1]) return undefined;
  const unit = (found[2] ?? '').replace(/\s/g, '');
  const perUnit = DENSITY_UNITS.find(([pattern]) => pattern.test(unit))?.[1] ?? 1;
  const value = Number((Number(found[1].replace(',', '.')) * perUnit).toPrecision(4));
  if (value <= 0.01 || value >= 5) return undefined;
  return takenFrom(
    line,
    { kind: 'density', says: `a density of ${formatGiven(value)} kg/L`, density: value },
    found.index,
    found.index + found[0].length,
  );
}

/** "10 L (12.2 kg)", "1 Liter = 1,22 kg": a package told by volume and by mass tells its density. */
function saidOtherwise(
  behind: string,
  { size, unit }: Package,
): { readonly density: number; readonly length: number } | undefined {
  const again = /^\s*[=(/]\s*(?:ca\.?\s*)?(\d+(?:[.,]\d+)?)\s*(kg|g|ml|l)\b(?!\s*\/)(?:\s*\))?/i.exec(behind);
  const symbol = again?.[2] && findUnit(again[2])?.symbol;
  if (!again?.[1] || !symbol || unitOf(symbol).dimension === unitOf(unit).dimension) return undefined;
  const [told, other] = [size * unitOf(unit).factor, Number(again[1].replace(',', '.')) * unitOf(symbol).factor];
  const density = Number((unitOf(unit).dimension === 'volume' ? other / told : told / other).toPrecision(3));
  return density > 0.1 && density < 3 ? { density, length: again[0].length } : undefined;
}

/** A density, a C:N ratio or a package in words. */
export function takeMeasure(line: string, mark?: DecimalMark): Taken | undefined {
  const ratio = /\bC\s?[:/]\s?N\b(?:\s*ratio)?\s*[^\d\s]{0,6}\s*(\d+(?:[.,]\d+)?)(?:\s*:\s*1\b)?/i.exec(line);
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
  const density = takeDensity(line);
  if (density) return density;
  const found = readPackages(line, mark);
  if (found.kind === 'ask') return takenFrom(line, { kind: 'notUnderstood', says: found.question }, 0, line.length);
  const [first] = found.kind === 'packages' ? found.packages : [];
  const last = found.kind === 'packages' ? found.packages.at(-1) : undefined;
  if (found.kind === 'packages' && first && last) {
    const other = saidOtherwise(line.slice(last.end), last);
    return takenFrom(
      line,
      {
        kind: 'package',
        says: found.packages.map(({ size, unit }) => `a package of ${formatGiven(size)} ${unit}`).join(' and '),
        packages: found.packages.map(({ size, unit }) => ({ size, unit })),
        ...(other ? { density: other.density } : {}),
      },
      first.start,
      last.end + (other?.length ?? 0),
    );
  }
  return undefined;
}
