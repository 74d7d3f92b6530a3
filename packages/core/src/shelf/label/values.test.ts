import fc from 'fast-check';
import { direction } from '../../../test/bags.js';
import { readSoilSlip } from '../../ground/index.js';
import { readLabel } from './readLabel.js';

const potassium = (text: string): unknown => readLabel(text, 'measured').analysis.find((f) => f.analyte === 'K')?.value;
const says = (text: string): string => readLabel(text, 'measured').lines[0]!.says;

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
  const calcium = (text: string): unknown =>
    readSoilSlip(text)
      .map((l) => l.figure)
      .find((f) => f?.analyte === 'Ca')?.value;
  expect(calcium('pH 6.4\nCalcium (Mehlich-3) 1,960 mg/kg')).toEqual({ kind: 'number', value: 1960 });
  expect(calcium('pH 6,4\nCalcium (Mehlich-3) 1,960 mg/kg')).toEqual({ kind: 'number', value: 1.96 });
  // Alone, what is usual in a soil settles it; where both are, it is asked.
  expect(calcium('Calcium (Mehlich-3) 1,960 mg/kg')).toEqual({ kind: 'number', value: 1960 });
  const [asked] = readSoilSlip('Magnesium (Mehlich-3) 4,960 mg/kg');
  expect([asked?.figure, asked?.says]).toEqual([undefined, expect.stringMatching(/could be 4960 or 4\.960/)]);
});

test('an area or a package of thousands is read as thousands where the text tells', () => {
  expect(readLabel('Nitrogen 5.0 %\nNet weight 1,250 kg').packages).toEqual([{ size: 1250, unit: 'kg' }]);
  expect(readLabel('Apply 3 lb per 1,000 sq ft').directions).toEqual([direction('3 lb/1000 ft²')]);
});

test('whatever the figures, a value is the number written or nothing: never a thousand times off', () => {
  const amount = fc.integer({ min: 1000, max: 999_999 });
  const grouped = (n: number): string => String(n).replace(/\B(?=(\d{3})+$)/g, ',');
  fc.assert(
    fc.property(amount, fc.constantFrom('', '\nN 1.5 %', '\nP 0.05 %'), (n, beside) => {
      expect([{ kind: 'number', value: n }, undefined]).toContainEqual(potassium(`K ${grouped(n)} mg/kg${beside}`));
      if (beside !== '') expect(potassium(`K ${grouped(n)} mg/kg${beside}`)).toEqual({ kind: 'number', value: n });
    }),
  );
  expect(potassium('K 1,250,000 mg/kg')).toEqual({ kind: 'number', value: 1250000 });
});

test('a footnote that says the same once more is no contradiction; one that says otherwise is', () => {
  const codes = (again: string): string[] =>
    readLabel(
      `Total nitrogen 24 %\n11.5 % slowly available nitrogen*\n*${again} % slowly available nitrogen from coated urea`,
    ).findings.map((f) => f.code);
  expect(codes('11.5')).not.toContain('label.repeated');
  expect(codes('10.5')).toContain('label.repeated');
});

test('made with is made from, and a hydrate may stand behind a space', () => {
  expect(readLabel('Made with feather meal, bone meal, and sulfate of potash.').derivedFrom).toEqual([
    'feather meal',
    'bone meal',
    'sulfate of potash',
  ]);
  expect(readLabel('FeSO4 7H2O').analysis.find((f) => f.analyte === 'Fe')?.value).toEqual({
    kind: 'number',
    value: 20.09,
  });
});

describe('which name belongs to which value', () => {
  const SYMBOLS = ['N', 'P', 'K', 'Ca', 'Mg', 'S', 'Fe', 'Zn'] as const;
  const named = fc.uniqueArray(
    fc.record({ symbol: fc.constantFrom(...SYMBOLS), value: fc.integer({ min: 1, max: 99 }) }),
    { minLength: 1, maxLength: 6, selector: (p) => p.symbol },
  );
  const read = (line: string) =>
    readLabel(line).analysis.map((f) => `${f.analyte} ${f.value.kind === 'number' ? f.value.value : '?'}`);

  test('names ahead or names behind, with or without words before a colon: every value keeps its own', () => {
    fc.assert(
      fc.property(
        named,
        fc.constantFrom(', ', '; ', ' '),
        fc.constantFrom('', 'Analysis typical w/w: ', 'Declared: '),
        fc.boolean(),
        (pairs, between, lead, ahead) => {
          const line =
            lead +
            pairs.map(({ symbol, value }) => (ahead ? `${symbol} ${value} %` : `${value} % ${symbol}`)).join(between);
          expect([line, ...read(line)]).toEqual([line, ...pairs.map((p) => `${p.symbol} ${p.value}`)]);
        },
      ),
    );
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
  [
    '6 % P2O5 phosphate, of which 4.5 % water-soluble phosphate',
    'analysis',
    '6 % phosphorus, as P₂O₅; part of phosphorus, already counted in its total',
  ],
  ['Calcium carbonate equivalent (CCE) 92 %', 'liming', 'a liming effect of 92 kg CaCO₃ per 100 kg'],
  ['N 3.5 %, C:N 9.1', 'analysis', 'a C:N of 9.1; 3.5 % nitrogen'],
  ['Nickel n.d.', 'notUnderstood', 'nickel was not detected, but no limit is given: write it as < and the limit'],
  [
    'Lead 1.5 ppm; mercury not detected',
    'notUnderstood',
    '1.5 mg/kg lead; mercury was not detected, but no limit is given: write it as < and the limit',
  ],
  [
    'Zinc sulphate 0.5 %',
    'notUnderstood',
    '0.5 % of a salt: write its formula on a line of its own, since its water decides what of it is the element',
  ],
  ['Potassium (as sulphate) 2 %', 'analysis', '2 % potassium'],
  ['Total Nitrogen 1O%', 'notUnderstood', 'nitrogen: no number can be read here'],
  ['Nitrogen -5 %', 'notUnderstood', 'nitrogen: no number can be read here'],
  ['Nitrogen N1.5 %', 'notUnderstood', 'nitrogen: no number can be read here'],
  ['N 15 % (7 % nitrate, 8 % ammonium)', 'analysis', '15 % nitrogen; 7 % nitrate N; 8 % ammoniacal N'],
  [
    'N 15 %, 7 % nitrate nitrogen, 8 % ammoniacal nitrogen',
    'analysis',
    '15 % nitrogen; 7 % nitrate N; 8 % ammoniacal N',
  ],
  [
    'N 5 % P 3 % K',
    'notUnderstood',
    'it could be 5 % nitrogen; 3 % phosphorus, or 5 % phosphorus; 3 % potassium: say which',
  ],
  ['Phosphorus (P) 2.2 % (P2O5 5 %); potassium (K) 4.2 % (K2O 5 %)', 'analysis', '2.2 % phosphorus; 4.2 % potassium'],
  ['%N 3.2', 'analysis', '3.2 % nitrogen'],
  ['Mn EDTA 0.03 %', 'analysis', '0.03 % manganese'],
  ['0.02 % chelated zinc', 'analysis', '0.02 % zinc'],
  ['Cadmium 300 µg/kg', 'analysis', '0.3 mg/kg cadmium'],
  ['NO3 12 mg/l', 'analysis', '0.012 g/L nitrate N, as NO₃'],
  ['Derived from: 50% feather meal, 20% kelp', 'derivedFrom', 'made from feather meal, kelp'],
  ['12 Cu, 50 Zn, 120 Mn (mg/kg)', 'analysis', '12 mg/kg copper; 50 mg/kg zinc; 120 mg/kg manganese'],
  ['Bulk density 0.55 g/cm3', 'density', 'a density of 0.55 kg/L'],
  ['Density at 20 °C: 1330 kg/m3', 'density', 'a density of 1.33 kg/L'],
  ['NPK ratio 3:1:2', 'part', 'a ratio, no amount'],
  ['NITROGEN | 5 | %', 'analysis', '5 % nitrogen'],
  ['N | 5 % | P | 3 %', 'analysis', '5 % nitrogen; 3 % phosphorus'],
  ['Nitrogen 0.9 % 1.4 %', 'notUnderstood', 'more than one value for nitrogen: leave the one that is meant'],
  ['8,0 % Gesamtstickstoff', 'analysis', '8 % nitrogen'],
  ['3,5 % Nitratstickstoff', 'analysis', '3.5 % nitrate N'],
  ['5 % P2O5 Gesamtphosphat', 'analysis', '5 % phosphorus, as P₂O₅'],
  ['Kaliumoxid (K2O) 10 %, Magnesiumoxid 2 %', 'analysis', '10 % potassium, as K₂O; 2 % magnesium, as MgO'],
  [
    'Azote total 6 %; anhydride phosphorique 4 %; oxyde de potassium 8 %',
    'analysis',
    '6 % nitrogen; 4 % phosphorus, as P₂O₅; 8 % potassium, as K₂O',
  ],
  ['Nitrógeno amoniacal 2,5 %', 'analysis', '2.5 % ammoniacal N'],
  [
    'Óxido de magnesio 3 %, azufre 4 %, molibdeno 0,01 %',
    'analysis',
    '3 % magnesium, as MgO; 4 % sulfur; 0.01 % molybdenum',
  ],
  [
    'Zinc oxide 2 %',
    'notUnderstood',
    '2 % of a salt: write its formula on a line of its own, since its water decides what of it is the element',
  ],
  [
    'Sulphate of potash 20 %',
    'notUnderstood',
    '20 % of a salt: write its formula on a line of its own, since its water decides what of it is the element',
  ],
  ['Rock phosphate: total P2O5 28 %', 'analysis', '28 % phosphorus, as P₂O₅'],
  ['Calcium carbonate 90 %', 'analysis', '90 % calcium, as CaCO₃'],
  ['K ppm 210', 'analysis', '210 mg/kg potassium'],
  ['N % w/v 5', 'analysis', '5 % w/v nitrogen'],
  ['Ammonium sulphate (N 21 %, SO3 60 %)', 'analysis', '21 % nitrogen; 60 % sulfur, as SO₃'],
  ['Bulk density 620 g/L', 'density', 'a density of 0.62 kg/L'],
  ['S.G. 1.24', 'density', 'a density of 1.24 kg/L'],
  ['Sp. gr. 1.24', 'density', 'a density of 1.24 kg/L'],
  ['SG 1.15-1.20', 'notUnderstood', 'a number without a name that is known'],
  ['Nettogewicht 25 kg', 'package', 'a package of 25 kg'],
  ['Total N 1.85 % DM', 'analysis', '1.85 % nitrogen, on dry matter: waits for the moisture'],
  ['Nitrogen 5 % Sparkle 12 %', 'notUnderstood', '5 % nitrogen; 12 % beside it was not understood'],
  ['N-P-K 5 - 10 - 10 plus 3% Fe', 'analysis', 'the grade 5-10-10; 3 % iron'],
  ['Net weight 20 kg 5-3-4', 'package', 'a package of 20 kg; the grade 5-3-4'],
  ['Compound 12+6+18', 'grade', 'the grade 12-6-18'],
  [
    'Compound 12+6+18 (+2)',
    'notUnderstood',
    'The fourth number, 2, is sulfur on some bags and magnesium on others. 12-6-18 + 2 S or 12-6-18 + 2 Mg?',
  ],
])('%s', (line, kind, says) => expect(readLabel(line).lines[0]).toMatchObject({ kind, says }));

test('a unit nobody knows is not taken for the one that holds for the lines below', () => {
  expect(readLabel('mg/kg\nCd 300 CFU/g\nZn 30 days\nPb 12').analysis.map((f) => f.analyte)).toEqual(['Pb']);
  expect(readSoilSlip('mg/kg\nZinc 300 IU\nManganese 12')).toMatchObject([
    { figure: undefined },
    { figure: undefined },
    { figure: { analyte: 'Mn' } },
  ]);
});
test('"all figures in %" holds for the whole text, wherever it stands', () =>
  expect(readLabel('N total 6.0\nK 2\n(all figures in % m/m)').analysis.map((f) => f.unit)).toEqual(['%', '%']));
test('a part is set aside where its total stands, before it or behind', () => {
  expect(readLabel('0.02 % chelated zinc\nZinc 0.05 %').analysis.map((f) => f.value)).toEqual([
    { kind: 'number', value: 0.05 },
  ]);
  expect(readLabel('Zinc 0.05 %\n0.02 % chelated zinc').lines[1]).toMatchObject({ kind: 'part' });
});
test('a heading of two columns, as received and dry, makes nothing dry', () =>
  expect(readLabel('Analyte as received, dry basis\nNitrogen 0.9 %').analysis).toHaveLength(1));
test('a figure whose own line is on dry matter waits alone, and the others are taken', () => {
  const text = 'N 5 %\nCd < 0.5 mg/kg d.m.\nPb 3 mg/kg on dry matter';
  expect(readLabel(text).analysis.map((f) => f.analyte)).toEqual(['N']);
  expect(readLabel(text).findings.find((f) => f.code === 'label.dry')?.message).toMatch(
    /^2 of the figures are on dry matter/,
  );
  expect(readLabel('Available phosphorus 310 mg/kg d.m.\nMoisture 50 %', 'measured').analysis).toMatchObject([
    { extract: 'available', value: { value: 155 } },
  ]);
  expect(readLabel(`${text}\nMoisture 40 %`).analysis.map((f) => f.value)).toEqual([
    { kind: 'number', value: 5 },
    { kind: 'below', limit: 0.3 },
    { kind: 'number', value: 1.8 },
  ]);
});
test('what is no content goes where it belongs, and a second grade is told', () => {
  expect(readLabel('Neutralising value 54 %\nC:N ratio 12:1')).toMatchObject({
    analysis: [],
    limingPer100Kg: 54,
    carbonToNitrogen: 12,
  });
  expect(readLabel('5-3-4\n10-10-10').findings.map((f) => f.code)).toContain('grade.several');
  expect(readLabel('Nitrogen 5 %; net weight 20 kg\nNet weight 20 kg').packages).toEqual([{ size: 20, unit: 'kg' }]);
});

const nitrogen = (text: string): unknown => readLabel(text).analysis[0]?.value;
test('"not less than 17 %" is a guarantee of 17 %, "less than 17 %" a limit', () => {
  expect(nitrogen('Nitrogen, not less than 17 %')).toEqual({ kind: 'number', value: 17 });
  expect(nitrogen('Nitrogen, less than 17 %')).toEqual({ kind: 'below', limit: 17 });
});

test.each([
  ['Magnesium (Mg) as oxide 1.2 %', 'Mg element 1.2'],
  ['Zinc as oxide 0.5 %', 'Zn element 0.5'],
  ['Phosphorus as P2O5 4 %', 'P P2O5 4'],
  ['Magnesium as MgO 2 %', 'Mg MgO 2'],
])('what stands behind “as” is the form it is given in, or the basis where it is a formula: %s', (text, read) => {
  const told = readLabel(text).analysis.map(
    ({ analyte, basis, value }) => `${analyte} ${basis} ${value.kind === 'number' ? value.value : ''}`,
  );
  expect(told).toEqual([read]);
});

test.each(['NH4 + NO3 4.2 %', 'Ammonium + nitrate 4.2 %'])(
  'ammonium and nitrate together are neither of them: %s',
  (text) => expect(readLabel(text).analysis).toEqual([]),
);
