import fc from 'fast-check';
import { readSoilSlip, soilFigureProblem, type SoilFigure } from '../ground/index.js';
import { declaredRange, shownDeclared, type DeclaredValue } from '../quantity/index.js';
import { readLabel, type AnalysisFigure } from '../shelf/index.js';
import { practicePaper } from './practice.js';
import { printSoil, SOIL_LAYOUTS, type SoilStyle } from './printSoil.js';
import { PRACTICE_SOIL } from './samples.js';
import { PAPER_LANGUAGES } from './words.js';

const number = (value: number): DeclaredValue => ({ kind: 'number', value });
const SOIL: readonly SoilFigure[] = [
  ...PRACTICE_SOIL,
  { analyte: 'Zn', value: number(2.4), unit: 'mg/kg', method: 'mehlich3' },
  { analyte: 'EC', value: number(0.42), unit: 'mS/cm', method: 'notSaid' },
];
const style: fc.Arbitrary<SoilStyle> = fc.record({
  layout: fc.constantFrom(...SOIL_LAYOUTS),
  language: fc.constantFrom(...PAPER_LANGUAGES),
  decimal: fc.constantFrom('point' as const, 'comma' as const),
  contents: fc.constantFrom('mg/kg' as const, 'ppm' as const, 'mg/100 g' as const, 'mg kg-1' as const),
});
const shown = ({ analyte, value, unit, method }: SoilFigure): string =>
  `${analyte} ${shownDeclared(value)} ${unit} ${method}`;

test('a soil report in any layout, language and unit style is read back as it was', () => {
  fc.assert(
    fc.property(fc.subarray([...SOIL], { minLength: 1 }), style, (figures, as) => {
      const text = printSoil(figures, as);
      const read = readSoilSlip(text).flatMap((l) => (l.figure ? [shown(l.figure)] : []));
      expect([text, read.sort()]).toEqual([text, figures.map(shown).sort()]);
    }),
    { numRuns: 600 },
  );
});

const near = (a: DeclaredValue, b: DeclaredValue): boolean =>
  Math.abs(declaredRange(a).mid / declaredRange(b).mid - 1) <= 0.09;

test('the practice laboratory gives the same paper for a seed, off by no more than a laboratory is, and readable', () => {
  for (let seed = 1; seed <= 60; seed++) {
    const paper = practicePaper({ kind: 'soil', figures: SOIL }, seed);
    expect(practicePaper({ kind: 'soil', figures: SOIL }, seed)).toEqual(paper);
    expect(paper.days).toBeGreaterThanOrEqual(4);
    const read = readSoilSlip(paper.text).flatMap((l) => (l.figure ? [l.figure] : []));
    expect([paper.text, read.length]).toEqual([paper.text, SOIL.length]);
    for (const f of read) {
      const truth = SOIL.find((t) => t.analyte === f.analyte) as SoilFigure;
      expect([paper.text, f.analyte, near(f.value, truth.value)]).toEqual([paper.text, f.analyte, true]);
      expect(soilFigureProblem(f)).toBeUndefined();
    }
  }
});

test('a product comes back with its own analytes, or as questions', () => {
  const analysis: readonly AnalysisFigure[] = [
    { analyte: 'N', basis: 'element', value: number(4.2), unit: '%', provenance: 'label', source: '' },
    { analyte: 'P', basis: 'P2O5', value: number(3), unit: '%', provenance: 'label', source: '' },
    { analyte: 'Zn', basis: 'element', value: number(120), unit: 'mg/kg', provenance: 'label', source: '' },
  ];
  for (let seed = 1; seed <= 40; seed++) {
    const { text } = practicePaper({ kind: 'product', figures: analysis }, seed);
    const read = readLabel(text, 'measured').analysis;
    expect([text, read.map((f) => f.analyte).sort()]).toEqual([text, ['N', 'P', 'Zn']]);
    for (const f of read) {
      const truth = analysis.find((t) => t.analyte === f.analyte) as AnalysisFigure;
      expect([text, near(f.value, truth.value)]).toEqual([text, true]);
    }
  }
});
