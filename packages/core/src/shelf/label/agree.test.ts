import { readLabel } from './readLabel.js';

const codes = (text: string): readonly string[] =>
  readLabel(text, 'measured').findings.flatMap(({ code }) => (/^(density|label)\./.test(code) ? [code] : []));
const said = (text: string, code: string): string =>
  readLabel(text, 'measured').findings.find((f) => f.code === code)?.message ?? '';
const nitrogen = (text: string): number | undefined => {
  const found = readLabel(text, 'measured').analysis.find((f) => f.analyte === 'N')?.value;
  return found?.kind === 'number' ? found.value : undefined;
};

const SHEET = `Moisture 36.0 %
                  as received   dry matter
Nitrogen (N), %       0.90         1.41
Calcium (Ca), %       2.30         3.59`;

test('the two columns of a sheet agree with its moisture, and nothing is said', () =>
  expect([codes(SHEET), nitrogen(SHEET)]).toEqual([[], 0.9]));

test('a line whose columns do not agree with the moisture is named', () => {
  const off = SHEET.replace('1.41', '2.41');
  expect(codes(off)).toEqual(['label.dryDiffers']);
  expect(said(off, 'label.dryDiffers')).toMatch(/^In line 3 .*37\.\d % of what is on dry matter.* 64 %\.$/);
});

test('two columns that agree tell the moisture, and what is only dry is then brought to what was received', () => {
  const sheet = SHEET.replace('Moisture 36.0 %\n', '').replace('0.90         1.41', '9.00        14.06');
  expect(codes(sheet)).toEqual(['label.moisture']);
  expect(said(sheet, 'label.moisture')).toContain('36 % moisture');
  const read = readLabel(`${sheet}\n\nOn dry matter:\nMagnesium 0.50 %`, 'measured');
  expect(read.analysis.find((f) => f.analyte === 'Mg')?.value).toEqual({ kind: 'number', value: 0.32 });
});

test('columns that fit no moisture together tell none', () => {
  const sheet = SHEET.replace('Moisture 36.0 %\n', '').replace('1.41', '2.41');
  expect(codes(sheet)).toEqual([]);
});

test('of two values of one thing the one that is the other times (1 − moisture) was received', () => {
  expect(nitrogen('Moisture 36 %\nNitrogen 0.90 % 1.41 %')).toBe(0.9);
  expect(nitrogen('Moisture 36 %\nNitrogen 1.41 % 0.90 %')).toBe(0.9);
  expect(nitrogen('Moisture 10 %\nNitrogen 0.90 % 1.41 %')).toBeUndefined();
  expect(nitrogen('Nitrogen 0.90 % 1.41 %')).toBeUndefined();
});

test('a number with two readings is settled by the column on dry matter', () => {
  const sheet = `Moisture 20 %
                as received   dry matter
Zinc, mg/kg         1.234        1542`;
  const zinc = readLabel(sheet, 'measured').analysis.find((f) => f.analyte === 'Zn');
  expect(zinc?.value).toEqual({ kind: 'number', value: 1234 });
});

const LIQUID = `Nitrogen (N) 10.0 % w/w = 12.8 % w/v
Potassium (K2O) 5.0 % (64 g/L)`;
test('what is told by mass and by volume tells the density, and says so', () => {
  expect(readLabel(LIQUID).densityKgPerL).toBeCloseTo(1.28, 2);
  expect(readLabel(LIQUID).findings.find((f) => f.code === 'density.worked')?.severity).toBe('note');
});

test('a density on the label stays, and one that does not fit is told', () => {
  const told = (density: string) => readLabel(`${LIQUID}\nDensity ${density} kg/L`);
  expect(told('1.28').findings.map((f) => f.code)).toEqual([]);
  expect(told('1.15').densityKgPerL).toBe(1.15);
  expect(said(`${LIQUID}\nDensity 1.15 kg/L`, 'density.differs')).toMatch(
    /makes 1\.28 kg\/L, but the density says 1\.15/,
  );
});

test('lines that make different densities, or one that nothing has, are told; a coarse one is left alone', () => {
  expect(codes('N 10.0 % w/w (12.8 % w/v)\nK2O 5.0 % (90 g/L)')).toEqual(['density.differs']);
  expect(codes('N 10.0 % w/w (640 g/L)')).toEqual(['density.differs']);
  expect(readLabel('N 3 % w/w (4 % w/v)').densityKgPerL).toBeUndefined();
});

test('a bare neutralising value is per cent CaO where calcium and magnesium make that, and else it is asked which', () => {
  // 44 % CaO and 8 % MgO: 44 × 1.785 + 8 × 2.483 = 98.4 kg CaCO₃, so that 52 can only be per cent CaO.
  const dutch = readLabel('Neutraliserende waarde 52\nCalciumoxide (CaO) 44 %\nMagnesiumoxide (MgO) 8 %');
  expect(dutch.limingPer100Kg).toBeCloseTo(52 * 1.785, 0);
  expect(dutch.findings.map((f) => f.code)).toContain('liming.basis');
  const carbonate = readLabel('Neutralizing value 98\nCalcium (Ca) 38 %');
  expect(carbonate.limingPer100Kg).toBe(98);
  expect(carbonate.findings.filter((f) => f.code === 'liming.basis')).toEqual([]);
  const alone = readLabel('Neutralising value 50');
  expect(alone.limingPer100Kg).toBe(50);
  expect(alone.findings.find((f) => f.code === 'liming.basis')?.severity).toBe('warning');
  expect(readLabel('Neutralising value 50 % CaO').findings).toEqual([]);
});

test('a liming effect in kg a tonne is a tenth in per cent, and one below what can be told is none', () => {
  expect(readLabel('Basisch wirksame Stoffe (CaO) 24 kg/t', 'measured').limingPer100Kg).toBeCloseTo(4.28, 2);
  expect(readLabel('Neutralizing value <1 % CaCO3', 'measured').limingPer100Kg).toBeUndefined();
});

test('a density in pounds a cubic foot is not one a gallon', () => {
  expect(readLabel('Density 28 lb/cu ft').densityKgPerL).toBeCloseTo(0.4485, 3);
  expect(readLabel('Weight per gallon 9.4 lb').densityKgPerL).toBeCloseTo(1.126, 3);
});

test.each([
  'Results expressed on a dry matter basis',
  'Results are reported on a dry weight basis.',
  'reported on dry weight',
  'All values on dry matter',
  '(dry matter basis)',
  'Values in % DM',
  'DM',
  'Angaben in TS',
  'i.d. TS',
  'Résultats exprimés sur matière sèche',
  'Résultats sur MS',
  'Risultati espressi sulla sostanza secca',
  'Risultati sul secco',
])('“%s” above or below the figures puts all of them on dry matter', (words) => {
  const figures = ['Moisture 40 %', 'Total N 2.0 %', 'P2O5 1.0 %'];
  for (const lines of [
    [words, ...figures],
    [...figures, words],
  ])
    expect(readLabel(lines.join('\n')).analysis.map((a) => a.value)).toEqual([
      { kind: 'number', value: 1.2 },
      { kind: 'number', value: 0.6 },
    ]);
  // Without the moisture none is taken.
  expect(readLabel(['Total N 2.0 %', 'P2O5 1.0 %', words].join('\n')).analysis).toEqual([]);
});

test('columns as received and dry beside each other are columns still, and what stands in the other is not divided', () => {
  const table = ['Parameter    As received    Dry basis', 'Moisture %    40', 'Total N %    1.2    2.0'];
  expect(readLabel(table.join('\n')).analysis.map((a) => a.value)).toEqual([{ kind: 'number', value: 1.2 }]);
});
