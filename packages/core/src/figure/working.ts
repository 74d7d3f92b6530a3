import { formatFixed, formatGivenRange, formatTrimmed, formatTrimmedRange, isExact } from '../quantity/index.js';
import { operandsOf, type Figure } from './figure.js';

/** One line of a figure's working, as drawn in the margin and printed in reports. */
export interface WorkingLine {
  readonly depth: number;
  readonly label: string;
  /** The value with its unit, as shown. */
  readonly result: string;
  /** The expression with numbers put in, or empty for a leaf. */
  readonly expression: string;
  /** Where a leaf came from, or what a function does; empty for plain arithmetic. */
  readonly note: string;
  readonly kind: Figure['how']['kind'];
}

/** What the ends of a figure's range are, in words; empty for a plain number, and for bounds, which go without saying. @example spreadWords(band) // '8 of 10 draws' */
export function spreadWords({ value, spread }: Figure): string {
  if (isExact(value)) return '';
  switch (spread.kind) {
    case 'bounds':
      return '';
    case 'draws':
      return `${formatTrimmed(10 * spread.share)} of 10 draws`;
    case 'confidence':
      return `${formatTrimmed(100 * spread.level)} % confidence`;
    case 'prediction':
      return `${formatTrimmed(100 * spread.level)} % prediction`;
    case 'mixed':
      return 'ranges of several kinds put together';
  }
}

/** What was read is shown as it was read; what was computed, to at most four significant figures. */
function amount({ value, unit, how }: Figure): string {
  if (how.kind !== 'literal' && how.kind !== 'assumption') return formatTrimmedRange(value, 4);
  return unit.currency !== undefined && isExact(value) ? formatFixed(value.mid, 2) : formatGivenRange(value);
}
const shown = (figure: Figure): string => `${amount(figure)}${figure.unit.text ? ` ${figure.unit.text}` : ''}`;

function expression(figure: Figure): string {
  if (figure.how.kind === 'operation') return figure.how.of.map(shown).join(` ${figure.how.sign} `);
  return '';
}

function note(figure: Figure): string {
  switch (figure.how.kind) {
    case 'literal':
      return `${figure.how.provenance}: ${figure.how.source}`;
    case 'assumption':
      return `assumed: ${figure.how.source}`;
    case 'constant':
      return figure.how.source;
    case 'function':
      return figure.how.text;
    case 'solved':
      return solvedNote(figure.how);
    case 'operation':
      return '';
  }
}

const solvedNote = ({ solver, objective, binds }: Extract<Figure['how'], { kind: 'solved' }>): string =>
  `chosen by ${solver}: ${objective}; ${binds.length > 0 ? `held by ${binds.join(', ')}` : 'no rule holds it'}`;

/**
 * The lines that show how a figure was made, the figure itself first, its operands indented below.
 * @example workingLines(costPerKg)[0]?.expression // '24.00 EUR ÷ 2.4 kg'
 */
export function workingLines(figure: Figure): readonly WorkingLine[] {
  const lines: WorkingLine[] = [];
  const visit = (f: Figure, depth: number): void => {
    lines.push({ depth, label: f.label, result: shown(f), expression: expression(f), note: note(f), kind: f.how.kind });
    operandsOf(f).forEach((operand) => visit(operand, depth + 1));
  };
  visit(figure, 0);
  return lines;
}
