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
