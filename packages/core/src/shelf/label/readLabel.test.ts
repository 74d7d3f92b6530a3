import fc from 'fast-check';
import { LABELS } from '../../../test/labels/labels.js';
import { printDeclared } from '../declaredValue.js';
import type { AnalysisFigure } from '../product.js';
import { readLabel } from './readLabel.js';

const shown = ({ analyte, basis, value, unit }: AnalysisFigure): string =>
  `${analyte}${basis === 'element' ? '' : `/${basis}`} ${value.kind === 'range' ? `${value.low}–${value.high}` : printDeclared(value)} ${unit}`;

test.each(LABELS.map((l) => [l.name, l] as const))('%s', (_name, { text, reads, grade, from, packages, codes, unread }) => {
  const reading = readLabel(text);
  expect(reading.analysis.map(shown).join(', ')).toBe(reads);
  expect(reading.grade).toBe(grade);
  expect(reading.derivedFrom).toEqual(from ?? []);
  expect(reading.packages.map((p) => `${p.size} ${p.unit}`).join()).toBe(packages ?? '');
  expect(reading.findings.filter((f) => f.severity !== 'note').map((f) => f.code)).toEqual(codes ?? []);
  if (unread) expect(reading.lines.filter((l) => l.kind === 'notUnderstood').map((l) => l.number)).toEqual(unread);
});
test('there are at least forty labels to learn from', () => expect(LABELS.length).toBeGreaterThanOrEqual(40));

test('every line that is not blank says what it was taken to be', () => {
  for (const { text } of LABELS) for (const line of readLabel(text).lines) expect([line.text, line.kind === 'blank' ? '' : line.says.length > 0]).toEqual([line.text, line.kind === 'blank' ? '' : true]);
});

test('a person’s word outranks the program’s reading, line by line', () => {
  const text = 'Vitality factor 12 %\nNitrogen 5%';
  const reading = readLabel(text, 'label', { 1: { kind: 'analyte', analyte: 'Si', basis: 'SiO2' }, 2: { kind: 'ignore' } });
  expect(reading.analysis.map(shown)).toEqual(['Si/SiO2 12 %']);
  expect(reading.lines.map((l) => l.kind)).toEqual(['analysis', 'setAside']);
  expect(readLabel('Just words', 'label', { 1: { kind: 'analyte', analyte: 'N', basis: 'element' } }).lines[0]?.kind).toBe('notUnderstood');
});

test('figures remember their line and whether they were measured', () => {
  const [figure] = readLabel('Heading\nNitrogen 5%', 'measured').analysis;
  expect([figure?.provenance, figure?.source]).toEqual(['measured', 'line 2: Nitrogen 5%']);
});

test('a megabyte of anything is read up to its limit, and that is said', () => {
  const long = readLabel('Nitrogen 5 %\n'.repeat(80_000));
  expect(long.lines).toHaveLength(400);
  expect(long.findings.map((f) => f.code)).toContain('label.long');
  expect(readLabel('9'.repeat(1_000_000)).analysis).toEqual([]);
  expect(readLabel('('.repeat(200_000)).analysis).toEqual([]);
});

const labelish = fc.array(fc.oneof(fc.string({ maxLength: 40 }), fc.constantFrom('Nitrogen', 'P2O5', '5%', '<', '…', '. . . .', '(3 % P)', '5-3-4', '\t', 'derived from', '1,5', 'mg/kg', 'dry matter', 'moisture', 'net weight', 'density', '\u0000')), { maxLength: 30 }).map((parts) => parts.join(' '));
test('no text makes it throw, and no number is invented: each one stands in its line', () => {
  fc.assert(fc.property(fc.array(labelish, { maxLength: 6 }).map((l) => l.join('\n')), (text) => {
    const { lines } = readLabel(text);
    for (const line of lines) for (const { value, source } of line.figures) {
      if (/protein|pure salt/.test(source)) continue;
      const numbers = value.kind === 'number' ? [value.value] : value.kind === 'below' ? [value.limit] : [value.low, value.high];
      for (const n of numbers) expect(line.text.replaceAll(',', '.').match(/\d+(?:\.\d+)?/g)?.map(Number)).toContain(n);
    }
  }), { numRuns: 500 });
});
