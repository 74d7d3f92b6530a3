import fc from 'fast-check';
import { basesOf, elementOf } from '../nutrient/index.js';
import { shownDeclared, type DeclaredValue } from '../quantity/index.js';
import { readLabel, type AnalysisFigure, type AnalysisUnit } from '../shelf/index.js';
import { PAPER_LAYOUTS, printAnalysis, type PaperStyle } from './printAnalysis.js';
import { NAMED, PAPER_LANGUAGES } from './words.js';

const UNITS: Readonly<Record<string, readonly AnalysisUnit[]>> = { major: ['%', 'g/kg'], trace: ['%', 'mg/kg'] };
const MAJOR = ['N', 'P', 'K', 'Ca', 'Mg', 'S', 'Cl', 'Na'];

/** Values with as many decimals as their size is printed with. */
const valueFor = (unit: AnalysisUnit, small: boolean): fc.Arbitrary<DeclaredValue> => {
  const number =
    unit === 'mg/kg' || (unit === 'g/kg' && !small)
      ? fc.integer({ min: 11, max: 990 }).map((n) => n / 10)
      : fc.integer({ min: 1, max: 80 }).map((n) => n / 10);
  return fc.oneof(
    { weight: 6, arbitrary: number.map((value): DeclaredValue => ({ kind: 'number', value })) },
    { weight: 1, arbitrary: number.map((limit): DeclaredValue => ({ kind: 'below', limit })) },
    {
      weight: 1,
      arbitrary: fc.tuple(number, number).map(([a, b]): DeclaredValue => {
        const [low, high] = a < b ? [a, b] : [b, a + 1];
        return { kind: 'range', low, mid: Number(((low + high) / 2).toPrecision(6)), high };
      }),
    },
  );
};
const figureFor = ([analyte, basis]: (typeof NAMED)[number]): fc.Arbitrary<AnalysisFigure> => {
  const small = !MAJOR.includes(elementOf(analyte));
  return fc.constantFrom(...(UNITS[small ? 'trace' : 'major'] ?? [])).chain((unit) =>
    valueFor(unit, small).map((value): AnalysisFigure => ({
      analyte,
      basis,
      unit,
      value,
      provenance: 'measured',
      source: '',
    })),
  );
};
/** Some analytes, each element on one basis. */
const analysis = fc
  .uniqueArray(fc.constantFrom(...NAMED), { minLength: 1, maxLength: 8, selector: ([analyte]) => analyte })
  .chain((named) => fc.tuple(...named.map(figureFor)));
const style: fc.Arbitrary<PaperStyle> = fc.record({
  layout: fc.constantFrom(...PAPER_LAYOUTS),
  language: fc.constantFrom(...PAPER_LANGUAGES),
  decimal: fc.constantFrom('point' as const, 'comma' as const),
});
const shown = ({ analyte, basis, unit, value }: Pick<AnalysisFigure, 'analyte' | 'basis' | 'unit' | 'value'>): string =>
  `${analyte} ${basis} ${shownDeclared(value)} ${unit}`;

test('an analysis printed in any layout, language and number style is read back, or asked about with the truth among the readings', () => {
  fc.assert(
    fc.property(analysis, style, (figures, as) => {
      const text = printAnalysis(figures, as);
      const { analysis: read, lines } = readLabel(text, 'measured');
      const taken = new Set(read.map(shown));
      const offered = new Set(lines.flatMap((l) => l.choices.flatMap((c) => c.figures.map(shown))));
      for (const figure of figures)
        expect([text, shown(figure), taken.has(shown(figure)) || offered.has(shown(figure))]).toEqual([
          text,
          shown(figure),
          true,
        ]);
      const truth = new Set(figures.map(shown));
      for (const figure of read)
        expect([text, shown(figure), truth.has(shown(figure))]).toEqual([text, shown(figure), true]);
    }),
    { numRuns: 1500 },
  );
});

test('every number of a printed analysis is accounted for', () => {
  fc.assert(
    fc.property(analysis, style, (figures, as) => {
      const text = printAnalysis(figures, as);
      for (const line of readLabel(text, 'measured').lines)
        for (const number of line.numbers) {
          expect(line.text.replace(/\s/g, '')).toContain(number.text.replace(/\s/g, ''));
          expect([text, number.text, number.fate]).not.toEqual([text, number.text, 'notUnderstood']);
        }
    }),
    { numRuns: 300 },
  );
});

test('every name is one of a basis that its analyte has', () => {
  for (const [analyte, basis] of NAMED) expect(basesOf(analyte)).toContain(basis);
  expect(NAMED.length).toBeGreaterThan(20);
});
