import { NUTRIENTS } from '../nutrient/index.js';
import { formatGiven, formatGivenRange, parseQuantityRange, scaleRange, tooLong } from '../quantity/index.js';
import type { AgeTable, TissueBand } from './crop.js';

export type ParsedLines<T> =
  { readonly ok: true; readonly rows: readonly T[] } | { readonly ok: false; readonly reason: string };
const MOST_LINES = 60;

/** One row from each line that says something, or why a line says nothing. */
function parseLines<T>(text: string, example: string, read: (line: string) => T | string | undefined): ParsedLines<T> {
  const lines = text
    .split(/\r?\n/)
    .map((l) => l.trim())
    .filter((l) => l !== '');
  if (lines.length > MOST_LINES)
    return { ok: false, reason: `Read ${lines.length} lines, expected at most ${MOST_LINES}.` };
  const rows: T[] = [];
  for (const line of lines) {
    const row =
      tooLong(line, `a line such as ${example}`) ?? read(line) ?? `Read “${line}”, expected a line such as ${example}.`;
    if (typeof row === 'string') return { ok: false, reason: row };
    rows.push(row);
  }
  return { ok: true, rows };
}

type AgeRow = AgeTable['rows'][number];
const AGE_EXAMPLE = '3–4: 600–800 g, 40–120 cm';
function ageRow(line: string): AgeRow | string | undefined {
  const [, from, to, on, amount, ring] =
    /^(?:years?\s*)?(\d{1,3})(?:\s*[–-]\s*(\d{1,3})|\s*(on|and on|\+))?\s*:\s*([^,;]+)[,;]\s*(?:ring\s+)?(.+)$/i.exec(
      line,
    ) ?? [];
  if (from === undefined || amount === undefined || ring === undefined) return undefined;
  const mass = parseQuantityRange(amount, 'mass');
  if (!mass.ok) return mass.reason;
  const edges = parseQuantityRange(ring, 'length');
  if (!edges.ok) return edges.reason;
  const { low, high } = scaleRange(edges.range, edges.unit.factor);
  if (high <= low) return `Read a ring of ${ring}, expected its two edges such as 40–120 cm.`;
  const [first, last] = [Number(from), to === undefined ? Number(from) : Number(to)];
  if (last < first) return `Read year ${first} to ${last}, expected the first before the last.`;
  return {
    fromYear: first,
    ...(on === undefined ? { toYear: last } : {}),
    gPerPlant: scaleRange(mass.range, mass.unit.factor * 1000),
    innerM: low,
    outerM: high,
  };
}
/**
 * Reads what a plant gets by its age, a line for each row: years, amount, ring.
 * @example parseAgeRows('1: 200 g, 30–60 cm\n2 on: 400 g, 30–80 cm')
 */
export const parseAgeRows = (text: string): ParsedLines<AgeRow> => parseLines(text, AGE_EXAMPLE, ageRow);

/** A table of ages as it is typed and read back. */
export const printAgeRows = (rows: AgeTable['rows']): string =>
  rows
    .map(({ fromYear, toYear, gPerPlant, innerM, outerM }) => {
      const years =
        toYear === undefined ? `${fromYear} on` : toYear === fromYear ? String(fromYear) : `${fromYear}–${toYear}`;
      return `${years}: ${formatGivenRange(gPerPlant)} g, ${formatGiven(innerM * 100)}–${formatGiven(outerM * 100)} cm`;
    })
    .join('\n');

const BAND_EXAMPLE = 'N 3–4 %, flag leaf, at heading';
function band(line: string): TissueBand | string | undefined {
  const [, symbol, range, part = '', when = ''] =
    /^(\w{1,2})\s+([^,]+?)\s*%?\s*(?:,\s*([^,]*))?(?:,\s*(.*))?$/.exec(line) ?? [];
  const nutrient = NUTRIENTS.find((n) => n === symbol);
  if (!nutrient || range === undefined) return undefined;
  const read = parseQuantityRange(`${range} %`, 'fraction');
  if (!read.ok) return read.reason;
  const { low, high } = read.range;
  if (high <= low || high > 100) return `Read ${range} %, expected a band such as 3–4 %.`;
  return { nutrient, lowPercent: low, highPercent: high, part: part.trim(), when: when.trim() };
}
/** Reads the bands of a well-fed leaf, a line for each element. @example parseTissueBands('N 3–4 %, flag leaf, at heading') */
export const parseTissueBands = (text: string): ParsedLines<TissueBand> => parseLines(text, BAND_EXAMPLE, band);

/** Bands as they are typed and read back. */
export const printTissueBands = (bands: readonly TissueBand[]): string =>
  bands
    .map(({ nutrient, lowPercent, highPercent, part, when }) =>
      [`${nutrient} ${formatGiven(lowPercent)}–${formatGiven(highPercent)} %`, part, when]
        .filter((t) => t !== '')
        .join(', '),
    )
    .join('\n');
