import fc from 'fast-check';
import { LABELS } from '../../test/papers/labels.js';
import { MORE_LABELS } from '../../test/papers/moreLabels.js';
import { ORGANIC_LABELS } from '../../test/papers/organicLabels.js';
import { SOIL_SLIPS } from '../../test/papers/soilSlips.js';
import { readSoilSlip } from '../ground/index.js';
import { declaredRange } from '../quantity/index.js';
import { readLabel } from '../shelf/index.js';
import { linesOf, MOST_LINES, MOST_PER_LINE } from './paper.js';

const PAPERS = [...LABELS, ...MORE_LABELS, ...ORGANIC_LABELS];
const figures = (text: string, measured?: boolean): string =>
  readLabel(text, measured ? 'measured' : 'label')
    .analysis.map((f) => `${f.analyte} ${f.basis} ${declaredRange(f.value).mid} ${f.unit}`)
    .sort()
    .join('; ');

const layouts: readonly (readonly [string, (text: string) => string])[] = [
  ['line ends of Windows', (text) => text.replace(/\n/g, '\r\n')],
  ['old line ends', (text) => text.replace(/\n/g, '\r')],
  ['spaces behind lines', (text) => text.replace(/$/gm, '   ')],
  ['empty lines at both ends', (text) => `\n\n${text}\n\n`],
  ['longer leaders', (text) => text.replace(/\.{4,}/g, (dots) => `${dots}${dots}`)],
  ['subscripts', (text) => text.replace(/P2O5/g, 'P₂O₅').replace(/K2O/g, 'K₂O')],
  ['hard spaces before the per cent sign', (text) => text.replace(/(\d) %/g, '$1\u00a0%')],
];
test.each(layouts)('a paper reads the same with %s', (_, change) => {
  for (const { name, text, measured } of PAPERS)
    expect([name, figures(change(text), measured)]).toEqual([name, figures(text, measured)]);
});

test('the order of lines that do not speak of each other does not matter', () => {
  const lines = [
    'Nitrogen (N) 5 %',
    'P2O5 3 %',
    'Potassium (K) 4 %',
    'Zinc 120 mg/kg',
    '20 kg bag',
    'Magnesium (MgO): 2 %',
  ];
  fc.assert(
    fc.property(fc.shuffledSubarray(lines, { minLength: lines.length }), (order) =>
      expect(figures(order.join('\n'))).toBe(figures(lines.join('\n'))),
    ),
  );
});

const NUMBER = /(?<![\p{L}\d])(?:\d+(?:[.,/]\d+)*|[½¼¾⅓⅔⅛])/gu;
/** Numbers in what is read of a text: its first lines, and the beginning of each, with the cells of a pasted table apart. */
const numbersIn = (text: string, lines: number, length: number): number =>
  linesOf(text)
    .slice(0, lines)
    .reduce(
      (sum, line) =>
        sum +
        [
          ...line
            .slice(0, length)
            .replace(/[₀-₉]/g, (d) => String('₀₁₂₃₄₅₆₇₈₉'.indexOf(d)))
            .trimEnd()
            .matchAll(NUMBER),
        ].length,
      0,
    );

const pieces = fc.oneof(
  fc.string({ maxLength: 12 }),
  fc.constantFrom(
    'Nitrogen',
    'P2O5',
    'K2O',
    '5%',
    '5,5 %',
    '12 500 mg/kg',
    '<',
    'max',
    'of which',
    '(3 % P)',
    '10-5-5',
    '20 kg',
    'pH',
    'Olsen',
    'ND',
    'LOD',
    '1:5',
    '2026-03-01',
    '|',
    '\t',
    '   ',
    'Bed 1',
    'mg/kg',
    'dry matter',
    '±',
    '0.2',
  ),
);
const texts = fc
  .array(
    fc.array(pieces, { maxLength: 8 }).map((p) => p.join(' ')),
    { maxLength: 8 },
  )
  .map((l) => l.join('\n'));

test('no number is lost in silence: each has what became of it, on any text', () => {
  fc.assert(
    fc.property(texts, (text) => {
      const label = readLabel(text).lines.flatMap((l) => l.numbers);
      expect(label).toHaveLength(numbersIn(text, MOST_LINES, MOST_PER_LINE));
      for (const n of label) expect(n.why).not.toBe('');
      const slip = readSoilSlip(text).flatMap((l) => l.numbers);
      expect(slip).toHaveLength(numbersIn(text, MOST_LINES, MOST_PER_LINE));
    }),
    { numRuns: 400 },
  );
});

test('on whole papers no number is left that nobody understood, and what is set aside says why', () => {
  for (const { name, text, measured } of PAPERS)
    for (const line of readLabel(text, measured ? 'measured' : 'label').lines)
      for (const n of line.numbers) expect([name, line.text, n.why === '']).toEqual([name, line.text, false]);
  for (const { name, text, chosen } of SOIL_SLIPS)
    for (const line of readSoilSlip(text, chosen))
      for (const n of line.numbers) expect([name, n.why === '']).toEqual([name, false]);
});

test.each([
  ['a line of a megabyte', 'Nitrogen 5 % '.repeat(80_000)],
  ['only digits', '9'.repeat(1_000_000)],
  ['only brackets', '('.repeat(500_000)],
  ['brackets and digits', '(5 '.repeat(200_000)],
  ['a hundred thousand lines', 'Nitrogen 5 %\n'.repeat(100_000)],
  ['words without end', 'total '.repeat(150_000)],
  ['commas', ',1'.repeat(400_000)],
])('%s are read without harm', (_, text) => {
  expect(readLabel(text).lines.length).toBeLessThanOrEqual(MOST_LINES);
  expect(readSoilSlip(text).length).toBeGreaterThan(0);
});
