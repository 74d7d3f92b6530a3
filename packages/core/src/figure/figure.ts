import { addRanges, divideRanges, exact, multiplyRanges, subtractRanges, type Range } from '../quantity/index.js';

/** Where a stored number came from, the most trusted first. */
export const PROVENANCES = ['measured', 'label', 'published', 'typical', 'guess'] as const;
export type Provenance = (typeof PROVENANCES)[number];

/** How a figure came to be. */
export type How =
  | { readonly kind: 'literal'; readonly provenance: Provenance; readonly source: string }
  | { readonly kind: 'assumption'; readonly source: string }
  | { readonly kind: 'constant'; readonly source: string }
  | { readonly kind: 'operation'; readonly sign: '+' | '−' | '×' | '÷'; readonly of: readonly Figure[] }
  | { readonly kind: 'function'; readonly name: string; readonly text: string; readonly of: readonly Figure[] };

/** A number that carries its working: what it is, its value with range, its unit, and what it was made from. */
export interface Figure {
  readonly label: string;
  readonly value: Range;
  readonly unit: string;
  readonly how: How;
}

const asRange = (value: number | Range): Range => (typeof value === 'number' ? exact(value) : value);

/** A number that was read somewhere: on a label, in a report, on a scale. */
export const literal = (
  label: string,
  value: number | Range,
  unit: string,
  provenance: Provenance,
  source: string,
): Figure => ({
  label,
  value: asRange(value),
  unit,
  how: { kind: 'literal', provenance, source },
});

/** A number the program supplied because nobody measured it. Its range and source are part of it. */
export const assumption = (label: string, value: number | Range, unit: string, source: string): Figure => ({
  label,
  value: asRange(value),
  unit,
  how: { kind: 'assumption', source },
});

/** A number fixed by definition: a unit factor, an atomic-weight ratio. */
export const constant = (label: string, value: number, unit: string, source: string): Figure => ({
  label,
  value: exact(value),
  unit,
  how: { kind: 'constant', source },
});

const operation = (
  label: string,
  value: Range,
  unit: string,
  sign: '+' | '−' | '×' | '÷',
  of: readonly Figure[],
): Figure => ({
  label,
  value,
  unit,
  how: { kind: 'operation', sign, of },
});

/** Sum of figures in one unit. */
export const sum = (label: string, unit: string, of: readonly Figure[]): Figure =>
  operation(
    label,
    of.reduce((total, f) => addRanges(total, f.value), exact(0)),
    unit,
    '+',
    of,
  );

/** First figure less the second. */
export const difference = (label: string, unit: string, from: Figure, take: Figure): Figure =>
  operation(label, subtractRanges(from.value, take.value), unit, '−', [from, take]);

/** Product of figures. The caller names the resulting unit. */
export const product = (label: string, unit: string, of: readonly Figure[]): Figure =>
  operation(
    label,
    of.reduce((total, f) => multiplyRanges(total, f.value), exact(1)),
    unit,
    '×',
    of,
  );

/** Quotient of two figures, or undefined when the divisor may be zero: there is no number to show. */
export function quotient(label: string, unit: string, top: Figure, bottom: Figure): Figure | undefined {
  const value = divideRanges(top.value, bottom.value);
  return value && operation(label, value, unit, '÷', [top, bottom]);
}

/** The result of a longer computation, told in one sentence, with the figures put in. */
export const computed = (
  label: string,
  value: number | Range,
  unit: string,
  name: string,
  text: string,
  of: readonly Figure[],
): Figure => ({
  label,
  value: asRange(value),
  unit,
  how: { kind: 'function', name, text, of },
});

/** The figures a figure was directly made from. */
export const operandsOf = (figure: Figure): readonly Figure[] =>
  figure.how.kind === 'operation' || figure.how.kind === 'function' ? figure.how.of : [];

/** Every assumption below a figure, each once, in the order met. */
export function assumptionsIn(figure: Figure): readonly Figure[] {
  const found = new Map<string, Figure>();
  const visit = (f: Figure): void => {
    if (f.how.kind === 'assumption') found.set(`${f.label}|${f.unit}`, f);
    operandsOf(f).forEach(visit);
  };
  visit(figure);
  return [...found.values()];
}
