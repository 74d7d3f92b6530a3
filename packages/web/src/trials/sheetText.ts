import type { TrialSheetInput } from '@wheat-ledger/contract';
import { formatGiven, parseNumber, type TrialOutcome } from '@wheat-ledger/core';

type Value = TrialSheetInput['values'][number];

/** A value as it is typed and read back: ">15" is not over by 15. */
export const valueText = ({ value, notOver }: Pick<Value, 'value' | 'notOver'>): string =>
  `${notOver ? '>' : ''}${formatGiven(value)}`;

/** What is typed for one unit: a number, ">15" for a run that was not over, a score of 1 to 5; a sentence where it cannot be read, nothing where nothing is typed. */
export function readValue(outcome: TrialOutcome, unit: number, text: string): Value | string | undefined {
  const typed = text.trim();
  if (typed === '' || typed === '-') return undefined;
  const notOver = /^[>≥]/.test(typed);
  if (notOver && outcome.kind !== 'timed') return `Read “${typed}”, expected a number such as 12.5.`;
  const read = parseNumber(typed.replace(/^[>≥]\s*/, ''));
  if (!read.ok) return read.reason;
  if (outcome.kind === 'score' && !(read.value >= 1 && read.value <= 5))
    return `Read a score of ${typed}, expected 1 to 5.`;
  if ((outcome.kind === 'count' || outcome.kind === 'timed' || outcome.kind === 'harvest') && read.value < 0)
    return `Read ${typed}, expected nothing below zero.`;
  if (outcome.kind === 'count' && !Number.isInteger(read.value)) return `Read ${typed}, expected a whole number.`;
  return { unit, value: read.value, ...(notOver ? { notOver } : {}) };
}
/** A column copied from a spreadsheet, a cell for each unit from one on. @example pasted('12\n13\n', 4) // { 4: '12', 5: '13' } */
export function pasted(text: string, from: number): Readonly<Record<number, string>> {
  const cells = text.replace(/\r\n?/g, '\n').replace(/\n$/, '').split('\n');
  return Object.fromEntries(cells.map((cell, i) => [from + i, (cell.split('\t')[0] ?? '').trim()]));
}
