import { parseDeclared, printDeclared, type DeclaredValue } from '@wheat-ledger/core';
import type { OwnFigureInput } from '../ownFigure.js';

/** An own figure's ends from what a person types: a number, or a range whose middle is taken. @example readOwnValue('0.05 to 0.2') // { ok: true, value: { low: 0.05, mid: 0.125, high: 0.2 } } */
export function readOwnValue(
  text: string,
):
  | { readonly ok: true; readonly value: Pick<OwnFigureInput, 'low' | 'mid' | 'high'> }
  | { readonly ok: false; readonly reason: string } {
  const read = parseDeclared(text);
  if (!read.ok) return read;
  const { value } = read;
  switch (value.kind) {
    case 'number':
      return { ok: true, value: { low: value.value, mid: value.value, high: value.value } };
    case 'range':
      return { ok: true, value: { low: value.low, mid: value.mid, high: value.high } };
    case 'below':
      return { ok: false, reason: `Read “${text.trim()}”, expected a number or a range such as 0.05 to 0.2.` };
  }
}

const asDeclared = ({ low, mid, high }: Pick<OwnFigureInput, 'low' | 'mid' | 'high'>): DeclaredValue =>
  low === high ? { kind: 'number', value: mid } : { kind: 'range', low, mid, high };
/** An own figure as a person would type it. */
export const ownValueText = (figure: Pick<OwnFigureInput, 'low' | 'mid' | 'high'>): string =>
  printDeclared(asDeclared(figure));

/** Own figures in one cell of a table, as JSON. */
export const ownFiguresCell = (figures: readonly OwnFigureInput[] | undefined): string =>
  figures?.length ? JSON.stringify(figures) : '';

/** The own figures that such a cell tells. What cannot be read is handed on as it stands, to be refused in words. */
export function ownFiguresInCell(cell: string): OwnFigureInput[] | undefined {
  if (cell.trim() === '') return undefined;
  try {
    const read: unknown = JSON.parse(cell);
    if (Array.isArray(read)) return read as OwnFigureInput[];
  } catch {
    // Refused below.
  }
  return [{ key: cell.slice(0, 60), low: 0, mid: 0, high: 0, source: '' }];
}
