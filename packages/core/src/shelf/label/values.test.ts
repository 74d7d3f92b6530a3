import fc from 'fast-check';
import { direction } from '../../../test/bags.js';
import { readSoilSlip } from '../../ground/index.js';
import { readLabel } from './readLabel.js';
import { commaIn, settleThousands } from './values.js';

const potassium = (text: string): unknown => readLabel(text, 'measured').analysis.find((f) => f.analyte === 'K')?.value;
const says = (text: string): string => readLabel(text, 'measured').lines[0]!.says;

test('the other numbers of a text tell what its comma is', () => {
  expect(commaIn('K 12,500 mg/kg\nMoisture 62.4 %')).toBe('thousands');
  expect(commaIn('K 12,500 mg/kg\nN 6,5 %')).toBe('decimal');
  expect(commaIn('K 1,250,000 mg/kg')).toBe('thousands');
  expect(commaIn('B 0,025 %\nK 12,500 mg/kg')).toBe('decimal');
  expect(commaIn('K 12,500 mg/kg')).toBe('unknown');
  expect(commaIn('12.03.2026 K 12,500 mg/kg')).toBe('unknown');
  expect(commaIn('6,5 % and 6.5 %')).toBe('unknown');
});

test('12,500 mg/kg is 12500 beside a decimal point, 12.5 beside a decimal comma, and asked about beside neither', () => {
  expect(potassium('K 12,500 mg/kg\nMoisture 62.4 %')).toEqual({ kind: 'number', value: 12500 });
  expect(potassium('K 12,500 mg/kg\nMoisture 62,4 %')).toEqual({ kind: 'number', value: 12.5 });
  expect(potassium('K 12,500 mg/kg')).toBeUndefined();
  expect(says('K 12,500 mg/kg')).toBe('“12,500” could be 12500 or 12.500: write it plainly');
  expect(says('K 12 500 mg/kg')).toBe('“12 500” could be 12500 or two numbers: write it plainly');
});

test('a share of the whole cannot run into thousands: its comma is a decimal mark', () => {
  expect(potassium('K 1,250 %')).toEqual({ kind: 'number', value: 1.25 });
  expect(potassium('K 12,500 g/kg')).toEqual({ kind: 'number', value: 12.5 });
});

test('a soil slip keeps the same rule', () => {
  const calcium = (text: string): unknown => readSoilSlip(text).map((l) => l.figure).find((f) => f?.analyte === 'Ca')?.value;
  expect(calcium('pH 6.4\nCalcium (Mehlich-3) 1,960 mg/kg')).toEqual({ kind: 'number', value: 1960 });
  expect(calcium('pH 6,4\nCalcium (Mehlich-3) 1,960 mg/kg')).toEqual({ kind: 'number', value: 1.96 });
  expect(calcium('Calcium (Mehlich-3) 1,960 mg/kg')).toBeUndefined();
  expect(readSoilSlip('Calcium (Mehlich-3) 1,960 mg/kg')[0]!.says).toMatch(/could be 1960 or 1\.960/);
});

test('an area or a package of thousands is read as thousands where the text tells', () => {
  expect(readLabel('Nitrogen 5.0 %\nNet weight 1,250 kg').packages).toEqual([{ size: 1250, unit: 'kg' }]);
  expect(readLabel('Apply 3 lb per 1,000 sq ft').directions).toEqual([direction('3 lb/1000 ft²')]);
});

test('whatever the figures, a value is the number written or nothing: never a thousand times off', () => {
  const amount = fc.integer({ min: 1000, max: 999_999 });
  const grouped = (n: number): string => String(n).replace(/\B(?=(\d{3})+$)/g, ',');
  fc.assert(fc.property(amount, fc.constantFrom('', '\nN 1.5 %', '\nP 0.05 %'), (n, beside) => {
    expect([{ kind: 'number', value: n }, undefined]).toContainEqual(potassium(`K ${grouped(n)} mg/kg${beside}`));
    if (beside !== '') expect(potassium(`K ${grouped(n)} mg/kg${beside}`)).toEqual({ kind: 'number', value: n });
  }));
  expect(settleThousands('K 1,250,000 mg/kg', 'unknown')).toEqual({ line: 'K 1250000 mg/kg' });
});

test('a footnote that says the same once more is no contradiction; one that says otherwise is', () => {
  const codes = (again: string): string[] => readLabel(`Total nitrogen 24 %\n11.5 % slowly available nitrogen*\n*${again} % slowly available nitrogen from coated urea`).findings.map((f) => f.code);
  expect(codes('11.5')).not.toContain('label.repeated');
  expect(codes('10.5')).toContain('label.repeated');
});

test('made with is made from, and a hydrate may stand behind a space', () => {
  expect(readLabel('Made with feather meal, bone meal, and sulfate of potash.').derivedFrom).toEqual(['feather meal', 'bone meal', 'sulfate of potash']);
  expect(readLabel('FeSO4 7H2O').analysis.find((f) => f.analyte === 'Fe')?.value).toEqual({ kind: 'number', value: 20.09 });
});

describe('which name belongs to which value', () => {
  const SYMBOLS = ['N', 'P', 'K', 'Ca', 'Mg', 'S', 'Fe', 'Zn'] as const;
  const named = fc.uniqueArray(fc.record({ symbol: fc.constantFrom(...SYMBOLS), value: fc.integer({ min: 1, max: 99 }) }), { minLength: 1, maxLength: 6, selector: (p) => p.symbol });
  const read = (line: string) => readLabel(line).analysis.map((f) => `${f.analyte} ${f.value.kind === 'number' ? f.value.value : '?'}`);

  test('names ahead or names behind, with or without words before a colon: every value keeps its own', () => {
    fc.assert(fc.property(named, fc.constantFrom(', ', '; ', ' '), fc.constantFrom('', 'Analysis typical w/w: ', 'Declared: '), fc.boolean(), (pairs, between, lead, ahead) => {
      const line = lead + pairs.map(({ symbol, value }) => (ahead ? `${symbol} ${value} %` : `${value} % ${symbol}`)).join(between);
      expect([line, ...read(line)]).toEqual([line, ...pairs.map((p) => `${p.symbol} ${p.value}`)]);
    }));
  });
});

test.each([
  ['Nitrogen: min. 3 % max. 5 %', 'analysis', '3–5 % nitrogen'],
  ['Nitrogen (%) 2.9', 'analysis', '2.9 % nitrogen'],
  ['Nitrogen 2.9  Potassium 2.1 (%)', 'analysis', '2.9 % nitrogen; 2.1 % potassium'],
  ['Total N 0,8 g/100 g', 'analysis', '0.8 % nitrogen'],
  ['Phosphorus 250 mg/100 g', 'analysis', '2500 mg/kg phosphorus'],
  ['Phosphorus (as phosphate) 0.9 %', 'analysis', '0.9 % phosphorus'],
  ['Phosphorus as P2O5 2 %', 'analysis', '2 % phosphorus, as P₂O₅'],
  ['Phosphate (P) 1 %', 'notUnderstood', '1 % could be P or P₂O₅: say which'],
  ['6 % P2O5 phosphate, of which 4.5 % water-soluble phosphate', 'analysis', '6 % phosphorus, as P₂O₅'],
  ['Calcium carbonate equivalent (CCE) 92 %', 'liming', 'a liming effect of 92 kg CaCO₃ per 100 kg'],
  ['N 3.5 %, C:N 9.1', 'analysis', 'a C:N of 9.1; 3.5 % nitrogen'],
  ['Nickel n.d.', 'notUnderstood', 'nickel was not detected, but no limit is given: write it as < and the limit'],
  ['Lead 1.5 ppm; mercury not detected', 'notUnderstood', '1.5 mg/kg lead; mercury was not detected, but no limit is given: write it as < and the limit'],
  ['Nitrogen 5 % Sparkle 12 %', 'notUnderstood', '5 % nitrogen; 12 % beside it was not understood'],
  ['N-P-K 5 - 10 - 10 plus 3% Fe', 'analysis', 'the grade 5-10-10; 3 % iron'],
  ['Net weight 20 kg 5-3-4', 'package', 'a package of 20 kg; the grade 5-3-4'],
  ['Compound 12+6+18', 'grade', 'the grade 12-6-18'],
  ['Compound 12+6+18 (+2)', 'notUnderstood', 'The fourth number, 2, is sulfur on some bags and magnesium on others. 12-6-18 + 2 S or 12-6-18 + 2 Mg?'],
])('%s', (line, kind, says) => expect(readLabel(line).lines[0]).toMatchObject({ kind, says }));

test('what is no content goes where it belongs, and a second grade is told', () => {
  expect(readLabel('Neutralising value 54 %\nC:N ratio 12:1')).toMatchObject({ analysis: [], limingPer100Kg: 54, carbonToNitrogen: 12 });
  expect(readLabel('5-3-4\n10-10-10').findings.map((f) => f.code)).toContain('grade.several');
  expect(readLabel('Nitrogen 5 %; net weight 20 kg\nNet weight 20 kg').packages).toEqual([{ size: 20, unit: 'kg' }]);
});
