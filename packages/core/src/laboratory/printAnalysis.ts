import type { DeclaredValue } from '../quantity/index.js';
import type { AnalysisFigure } from '../shelf/index.js';
import { inColumns, printNumber, printValue } from './printing.js';
import { FRAME, paperName, type PaperLanguage } from './words.js';

/** Ways to lay out the figures of a paper. */
export const PAPER_LAYOUTS = [
  'lines',
  'colons',
  'leaders',
  'wide',
  'tabs',
  'bars',
  'valueFirst',
  'oneLine',
  'unitInHead',
  'unitInName',
  'stacked',
  'across',
  'limits',
  'asIsAndDry',
] as const;
export type PaperLayout = (typeof PAPER_LAYOUTS)[number];

/** How a laboratory or a seller prints. */
export interface PaperStyle {
  readonly layout: PaperLayout;
  readonly language: PaperLanguage;
  readonly decimal: 'point' | 'comma';
}

interface Row {
  readonly name: string;
  readonly value: string;
  readonly unit: string;
  readonly figure: AnalysisFigure;
}

const spread = (left: string, right: string, width: number, fill: string): string =>
  `${left} ${fill.repeat(Math.max(3, width - left.length - right.length))} ${right}`;

/** Rows with the same unit together, in the order of the first of each. */
function byUnit(rows: readonly Row[]): readonly (readonly Row[])[] {
  const units = [...new Set(rows.map((r) => r.unit))];
  return units.map((unit) => rows.filter((r) => r.unit === unit));
}

/** A limit that a laboratory could tell for a value: a tenth of it or less. */
const limitOf = ({ figure: { value } }: Row, decimal: PaperStyle['decimal']): string =>
  printNumber(
    Number(
      ((value.kind === 'below' ? value.limit : value.kind === 'number' ? value.value : value.low) / 10).toPrecision(1),
    ),
    decimal,
  );

/** Water in the samples that are told on two bases. */
const MOISTURE = 0.2;

function asIsAndDry(rows: readonly Row[], { language, decimal }: PaperStyle): readonly string[] {
  const dry = (row: Row): string => {
    const { value } = row.figure;
    const by = (n: number): number => n / (1 - MOISTURE);
    const scaled: DeclaredValue =
      value.kind === 'number'
        ? { kind: 'number', value: by(value.value) }
        : value.kind === 'below'
          ? { kind: 'below', limit: by(value.limit) }
          : { ...value, low: by(value.low), high: by(value.high) };
    return printValue(scaled, decimal);
  };
  const head = [FRAME.parameter[language], FRAME.unit[language], FRAME.asIs[language], FRAME.dry[language]];
  return [
    ...inColumns([head, ...rows.map((r) => [r.name, r.unit, r.value, dry(r)])]),
    `${FRAME.moisture[language]} ${printNumber(MOISTURE * 100, decimal)} %`,
  ];
}

const LAYOUTS: Readonly<Record<PaperLayout, (rows: readonly Row[], style: PaperStyle) => readonly string[]>> = {
  lines: (rows) => rows.map((r) => `${r.name} ${r.value} ${r.unit}`),
  colons: (rows) => rows.map((r) => `${r.name}: ${r.value}${r.unit === '%' ? '%' : ` ${r.unit}`}`),
  leaders: (rows) => rows.map((r) => spread(r.name, `${r.value} ${r.unit}`, 60, '.')),
  wide: (rows) => inColumns(rows.map((r) => [r.name, `${r.value} ${r.unit}`])),
  tabs: (rows) => rows.map((r) => [r.name, r.value, r.unit].join('\t')),
  bars: (rows) => rows.map((r) => `| ${r.name} | ${r.value} | ${r.unit} |`),
  valueFirst: (rows) => rows.map((r) => `${r.value} ${r.unit} ${r.name}`),
  oneLine: (rows) => byFew(rows).map((few) => few.map((r) => `${r.name} ${r.value} ${r.unit}`).join('; ')),
  unitInHead: (rows, { language }) =>
    byUnit(rows).flatMap((group) => [
      `${FRAME.analysis[language]} (${group[0]?.unit ?? ''})`,
      ...group.map((r) => `${r.name}   ${r.value}`),
    ]),
  unitInName: (rows) => rows.map((r) => `${r.name} [${r.unit}]   ${r.value}`),
  stacked: (rows) => rows.flatMap((r) => [r.name, `${r.value} ${r.unit}`]),
  across: (rows) =>
    byFew(rows).flatMap((few) => inColumns([few.map((r) => r.name), few.map((r) => r.unit), few.map((r) => r.value)])),
  limits: (rows, { language, decimal }) =>
    inColumns([
      [FRAME.parameter[language], FRAME.result[language], FRAME.unit[language], FRAME.limit[language]],
      ...rows.map((r) => [r.name, r.value, r.unit, limitOf(r, decimal)]),
    ]),
  asIsAndDry,
};
/** A few rows at a time, as many as fit side by side. */
const FEW = 4;
const byFew = (rows: readonly Row[]): readonly (readonly Row[])[] =>
  Array.from({ length: Math.ceil(rows.length / FEW) }, (_, i) => rows.slice(i * FEW, (i + 1) * FEW));

/**
 * An analysis as a paper prints it, line by line.
 * @param figures as they are in the product; ranges by their ends
 * @example printAnalysis([nitrogen], { layout: 'leaders', language: 'en', decimal: 'point' }) // 'Total nitrogen (N) ....... 5 %'
 */
export function printAnalysis(figures: readonly AnalysisFigure[], style: PaperStyle): string {
  const rows = figures.map((figure) => ({
    name: paperName(figure.analyte, figure.basis, style.language),
    value: printValue(figure.value, style.decimal),
    unit: figure.unit,
    figure,
  }));
  return LAYOUTS[style.layout](rows, style).join('\n');
}
