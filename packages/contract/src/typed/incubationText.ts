import { MEDIA, typedNumber, type Medium } from '@wheat-ledger/core';
import type { IncubationInput, IncubationPointInput } from '../product.js';
import { Reader, type ReadText } from './reader.js';

/** An incubation as a person types or pastes it: a line for each sampling, with its day, the treated jars and the untreated ones. */
export interface IncubationText {
  temperatureC: string;
  medium: string;
  applied: string;
  samplings: string;
}

/** A kept incubation as the text that would make it. */
export const incubationText = (kept: IncubationInput | undefined): IncubationText => ({
  temperatureC: kept ? typedNumber(kept.temperatureC) : '25',
  medium: kept?.medium ?? 'mineralSoil',
  applied: typedNumber(kept?.applied),
  samplings: (kept?.points ?? [])
    .map((p) => [p.day, p.treated, p.untreated].map((n) => typedNumber(n)).join('  '))
    .join('\n'),
});

const PER_SAMPLING = 3;
/** The three numbers of a line, parted by tabs, semicolons, spaces or commas with a space behind them. */
const numbersOf = (line: string): readonly string[] =>
  line
    .trim()
    .split(/\t|;|,\s+|\s+/)
    .filter((part) => part !== '');

function readSampling(read: Reader, line: string, nth: number): IncubationPointInput | undefined {
  const parts = numbersOf(line);
  if (parts.length !== PER_SAMPLING)
    return read.refuse(
      'samplings',
      `Line ${nth + 1}: read “${line.trim().slice(0, 60)}”, expected three numbers: day, treated, untreated.`,
    );
  const before = read.problems.length;
  const [day, treated, untreated] = parts.map((part) => read.number('samplings', part));
  if (day === undefined || treated === undefined || untreated === undefined || read.problems.length > before)
    return undefined;
  return { day, treated, untreated };
}

/** Reads a typed incubation; an empty one is none. A line of words above the numbers is a heading. */
export function readIncubation(
  text: IncubationText,
): Omit<ReadText, 'plain'> & { readonly incubation: IncubationInput | undefined } {
  const read = new Reader();
  const lines = text.samplings.split('\n').filter((line) => line.trim() !== '' && /\d/.test(line));
  if (lines.length === 0 && text.applied.trim() === '') return { incubation: undefined, problems: [] };
  const points = lines.flatMap((line, i) => readSampling(read, line, i) ?? []);
  const applied = read.number('applied', text.applied);
  const temperatureC = read.number('temperatureC', text.temperatureC);
  if (applied !== undefined && applied <= 0)
    read.refuse('applied', `Read ${text.applied.trim()}, expected more than 0.`);
  const incubation =
    applied === undefined || temperatureC === undefined
      ? undefined
      : { applied, temperatureC, medium: text.medium as Medium, points };
  return { incubation, problems: read.problems };
}

const BETWEEN = ' | ';
/** An incubation in one cell of a table: amount applied, temperature and medium, then each sampling. @example '200 25 mineralSoil | 7 27.9 11 | 14 40.6 12.4' */
export function incubationCell(kept: IncubationInput | undefined): string {
  if (!kept) return '';
  const { applied, temperatureC, medium, samplings } = incubationText(kept);
  return [`${applied} ${temperatureC} ${medium}`, ...samplings.split('\n').map((l) => l.replace(/\s+/g, ' '))].join(
    BETWEEN,
  );
}
/** The incubation that such a cell tells; nothing where it cannot be read. */
export function incubationInCell(cell: string): IncubationInput | undefined {
  const [head = '', ...samplings] = cell.split('|').map((part) => part.trim());
  const [applied = '', temperatureC = '', medium = ''] = head.split(/\s+/);
  if (!(MEDIA as readonly string[]).includes(medium)) return undefined;
  const { incubation, problems } = readIncubation({ applied, temperatureC, medium, samplings: samplings.join('\n') });
  return problems.length === 0 ? incubation : undefined;
}
