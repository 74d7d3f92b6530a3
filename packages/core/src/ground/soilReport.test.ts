import fc from 'fast-check';
import { wheatStrip } from '../../test/bags.js';
import { condition, CONDITIONS, reportSar } from './conditions.js';
import { readSoilSlip } from './slip/index.js';
import {
  inMgPerKg,
  soilClass,
  soilFigure,
  soilFigureProblem,
  SOIL_ANALYTES,
  soilUnits,
  type SoilFigure,
  type SoilReport,
} from './soilReport.js';

const shown = (text: string): string[] =>
  readSoilSlip(text).map(({ figure: f, says }) =>
    f
      ? `${f.analyte} ${f.value.kind === 'number' ? f.value.value : f.value.kind === 'below' ? `<${f.value.limit}` : `${f.value.low}–${f.value.high}`} ${f.unit} ${f.method}`
      : `(${says})`,
  );
const report = (text: string): SoilReport => ({
  sampledOn: '2026-02-01',
  depthM: 0.15,
  figures: readSoilSlip(text).flatMap((l) => (l.figure ? [l.figure] : [])),
});

test.each([
  ['pH 6.4', 'pH 6.4  notSaid'],
  ['pH (CaCl2) 5,9', 'pH 5.9  CaCl2'],
  ['Phosphorus (Olsen) 32 mg/kg', 'P 32 mg/kg olsen'],
  ['P Mehlich-3 ....... 48 ppm', 'P 48 mg/kg mehlich3'],
  ['Bray P 12 mg/kg', 'P 12 mg/kg bray'],
  ['Exchangeable potassium\t180\tmg/kg', 'K 180 mg/kg ammoniumAcetate'],
  ['Organic matter 3.8 %', 'organicMatter 3.8 % notSaid'],
  ['CEC 14 cmol/kg', 'CEC 14 cmol_c/kg notSaid'],
  ['EC saturated paste 0.8 dS/m', 'EC 0.8 mS/cm saturatedPaste'],
  ['Sodium in saturated paste 230 mg/L', 'Na 230 mg/L saturatedPaste'],
  ['Nitrate-N < 2 mg/kg', 'nitrateN <2 mg/kg notSaid'],
  ['Magnesium;95;mg/kg;Mehlich-3', 'Mg 95 mg/kg mehlich3'],
])('%s', (text, expected) => expect(shown(text)).toEqual([expected]));

test('a line that names a method or a unit holds for those below', () => {
  expect(shown('Mehlich-3 extract, mg/kg\nPhosphorus 48\nPotassium 210\npH 6.1')).toEqual([
    '(holds for the lines below: Mehlich-3, mg/kg)',
    'P 48 mg/kg mehlich3',
    'K 210 mg/kg mehlich3',
    'pH 6.1  notSaid',
  ]);
});
test('nothing is guessed: no unit, no known name and no number are each told', () => {
  expect(shown('Phosphorus 48\nVigour 12 %\nThank you')).toEqual([
    '(phosphorus: no unit that is known here, expected mg/kg, mg/L, %)',
    '(a number without a name that is known)',
    '(words without figures)',
  ]);
});
test('no text makes it throw', () => {
  fc.assert(
    fc.property(
      fc
        .array(
          fc.oneof(fc.string({ maxLength: 30 }), fc.constantFrom('pH', 'Olsen', '32', 'mg/kg', '<', 'P', '\n', 'CEC')),
          { maxLength: 30 },
        )
        .map((p) => p.join(' ')),
      (text) => expect(Array.isArray(readSoilSlip(text))).toBe(true),
    ),
  );
});

const p = (value: number, method: SoilFigure['method']): SoilFigure => ({
  analyte: 'P',
  value: { kind: 'number', value },
  unit: 'mg/kg',
  method,
});
test('the same number means different things under different methods: 30 mg/kg P is high by Olsen, medium by Bray and by Mehlich-3, nothing without a method', () => {
  expect((['olsen', 'bray', 'mehlich3', 'notSaid'] as const).map((m) => soilClass(p(30, m)))).toEqual([
    'high',
    'medium',
    'medium',
    undefined,
  ]);
});
test.each([
  ['P', 'olsen', 10, 25],
  ['P', 'bray', 20, 40],
  ['P', 'mehlich3', 25, 50],
  ['K', 'ammoniumAcetate', 100, 200],
  ['K', 'mehlich3', 100, 200],
  ['Mg', 'ammoniumAcetate', 50, 120],
  ['Mg', 'mehlich3', 50, 120],
] as const)('%s by %s is medium from %i to %i mg/kg, both among them', (analyte, method, low, high) =>
  expect(
    [low - 0.1, low, high, high + 0.1].map((value) =>
      soilClass({ analyte, method, unit: 'mg/kg', value: { kind: 'number', value } }),
    ),
  ).toEqual(['low', 'medium', 'medium', 'high']),
);
test('a range across a bound has no class', () =>
  expect(soilClass({ ...p(0, 'olsen'), value: { kind: 'range', low: 8, mid: 11, high: 14 } })).toBeUndefined());
test('below detection is neither nothing nor the limit: it lies between, and what is not there has no figure', () => {
  expect(soilFigure(report('Nitrate-N < 2 mg/kg'), 'nitrateN')?.value).toEqual({ low: 0, mid: 1, high: 2 });
  expect(soilFigure(report('Nitrate-N < 2 mg/kg'), 'P')).toBeUndefined();
});
const bare = { ...wheatStrip, pH: undefined };
test('a condition that holds for a part of a range only is unknown, and the test is asked for again', () => {
  const of = (text: string) => condition('acidBelow5', bare, report(text));
  expect(of('pH 4.8–5.2')).toEqual({ answer: 'unknown', test: 'pH again: pH 4.8–5.2, cannot tell yet' });
  expect([
    of('pH 4.2–4.8').answer,
    of('pH 5.0').answer,
    condition('alkalineAbove75', bare, report('pH 7.5')).answer,
  ]).toEqual(['yes', 'no', 'no']);
  expect(condition('saline', bare, report('EC saturated paste < 0.5 mS/cm')).answer).toBe('no');
});
test('bulk density is read in any of its units', () =>
  expect(shown('Bulk density 1.25 g/cm3\nBulk density: 0.3 kg/L')).toEqual([
    'bulkDensity 1.25 kg/L notSaid',
    'bulkDensity 0.3 kg/L notSaid',
  ]));

test('conditions: yes, no, or unknown with the test that settles it', () => {
  for (const which of CONDITIONS.filter((c) => c !== 'pottingMedium'))
    expect(condition(which, bare, undefined)).toMatchObject({ answer: 'unknown', test: expect.any(String) });
  expect(condition('pottingMedium', bare, undefined).answer).toBe('no');
  expect(condition('acidBelow5', { ...bare, pH: 4.8 }, undefined)).toEqual({ answer: 'yes', because: 'pH 4.8' });
  expect(condition('acidBelow5', { ...bare, pH: 4.8 }, report('pH 6.2'))).toEqual({ answer: 'no', because: 'pH 6.2' });
  expect(condition('phosphorusHigh', bare, report('P (Olsen) 32 mg/kg'))).toEqual({
    answer: 'yes',
    because: 'high by Olsen',
  });
  expect(condition('phosphorusHigh', bare, report('P 32 mg/kg'))).toMatchObject({ answer: 'unknown' });
  expect(condition('saline', bare, report('EC saturated paste 5 mS/cm')).answer).toBe('yes');
});
test('sodic depends on the school: SAR 8 is ESP 9.4', () => {
  const sar8 = report('saturated paste\nNa 183.9 mg/L\nCa 20.04 mg/L\nMg 12.15 mg/L');
  expect(reportSar(sar8)?.value.mid).toBeCloseTo(8, 2);
  expect([
    condition('sodic', wheatStrip, sar8, 'US').answer,
    condition('sodic', wheatStrip, sar8, 'Australia').answer,
  ]).toEqual(['no', 'yes']);
});

test('each line says what it was read as, value and unit; what is past the last line is told, not dropped', () => {
  const says = (text: string): string[] => readSoilSlip(text).map((l) => l.says);
  expect(says('pH (CaCl2) 5,9\nOlsen P < 5 mg/kg\nCEC 11.5\nK 120-140 mg/kg Mehlich-3')).toEqual([
    'pH 5.9, in calcium chloride',
    '< 5 mg/kg phosphorus, Olsen',
    '11.5 cmol_c/kg cation exchange capacity, method not said',
    '120–140 mg/kg potassium, Mehlich-3',
  ]);
  const long = readSoilSlip(Array.from({ length: 300 }, () => 'pH 6').join('\n'));
  expect(long).toHaveLength(201);
  expect(readSoilSlip(`Phosphorus (Olsen) 27 mg/kg ${'x'.repeat(5_000_000)}`)[0]?.figure).toMatchObject({
    analyte: 'P',
    method: 'olsen',
  });
  expect(long[200]).toMatchObject({
    number: 201,
    figure: undefined,
    says: 'not read, nor is what follows: expected at most 200 lines',
  });
});

test.each([
  ['Soil pH (1:1 water) 6.4', 'pH 6.4  water'],
  ['pH 1:2.5 CaCl2 5.9', 'pH 5.9  CaCl2'],
  ['Potassium Mehlich 3 165 ppm', 'K 165 mg/kg mehlich3'],
  ['P Bray P-1 30 ppm', 'P 30 mg/kg bray'],
  ['Phosphorus 0-15 cm Olsen 27 mg/kg', 'P 27 mg/kg olsen'],
  ['Calcium 6 inches ammonium acetate 1960 mg/kg', 'Ca 1960 mg/kg ammoniumAcetate'],
  ['02/09/2026 pH 6.4', 'pH 6.4  notSaid'],
  ['P Mehlich-1 12 mg/kg', 'P 12 mg/kg other'],
])('numbers that measure nothing are no figures: %s', (line, read) => expect(shown(line)).toEqual([read]));

test('an oxide is brought to its element and said to be: 45 mg/kg P₂O₅ ÷ 2.2914 = 19.64 mg/kg P; a name that could be either is asked about', () => {
  expect(shown('Phosphorus (P2O5) Olsen 45 mg/kg')).toEqual(['P 19.64 mg/kg olsen']);
  expect(readSoilSlip('Phosphorus (P2O5) Olsen 45 mg/kg')[0]!.says).toBe('19.64 mg/kg phosphorus, Olsen, from P₂O₅');
  expect(shown('K2O < 12 mg/kg')).toEqual(['K <9.962 mg/kg notSaid']);
  expect(shown('Phosphate 45 mg/kg')).toEqual(['(phosphate could be the element or its oxide: say P or P2O5)']);
  expect(shown('Phosphate P 45 mg/kg')).toEqual(['P 45 mg/kg notSaid']);
});

test('mg in 100 g and pounds an acre are told in mg/kg, and the reading says so', () => {
  const says = (text: string): string[] => readSoilSlip(text).map((l) => l.says);
  expect(shown('P2O5 (Mehlich-3) 12 mg/100 g')).toEqual(['P 52.37 mg/kg mehlich3']); // 120 ÷ 2.2914
  expect(says('Potassium 15 mg per 100g')).toEqual(['150 mg/kg potassium, method not said, from mg/100 g × 10']);
  expect(says('Phosphorus (Bray) 64 lbs/acre')).toEqual([
    '32 mg/kg phosphorus, Bray, from lb/acre ÷ 2, for a furrow slice of two million lb',
  ]);
  expect(says('Phosphorus (Olsen) 32 mg/kg (64 lb/acre)')).toEqual(['32 mg/kg phosphorus, Olsen']);
  expect(says('All results in mg/100 g\nK 15\nMg < 2\nCEC 12\nCa 900 mg/kg')).toEqual([
    'holds for the lines below: mg/kg, from mg/100 g × 10',
    '150 mg/kg potassium, method not said, from mg/100 g × 10',
    '< 20 mg/kg magnesium, method not said, from mg/100 g × 10',
    '12 cmol_c/kg cation exchange capacity, method not said',
    '900 mg/kg calcium, method not said',
  ]);
});

test('a buffer pH is not the soil’s, and a share of the exchange is no content', () => {
  expect(shown('Buffer pH 6.8')).toEqual(['(a buffer pH: it tells of lime, and is not the soil’s own pH)']);
  expect(shown('Base saturation Ca 88 %')).toEqual(['(a share of the exchange: worked out here from the cations)']);
});

test('cations in charge and contents in per cent are brought to mg/kg: 0.4 cmol_c/kg K × 391 is 156.4, medium by ammonium acetate', () => {
  const figure = (text: string): SoilFigure => readSoilSlip(text)[0]!.figure!;
  expect(inMgPerKg(figure('K ammonium acetate 0.4 cmol/kg'))?.value.mid).toBeCloseTo(156.4, 9);
  expect(soilClass(figure('K ammonium acetate 0.4 cmol/kg'))).toBe('medium');
  expect(inMgPerKg(figure('Ca 0.2 %'))?.value.mid).toBeCloseTo(2000, 9);
  for (const text of ['Na saturated paste 46 mg/L', 'pH 6', 'Organic matter 3 %', 'Na saturated paste 2 meq/L'])
    expect(inMgPerKg(figure(text))).toBeUndefined();
});
test('a value no soil has is told when a slip is read, not taken over', () =>
  expect(shown('pH 64\nCEC 12 mg/kg')).toEqual([
    '(Read 64 for pH, expected 2 to 11.)',
    '(Read mg/kg for cation exchange capacity, expected cmol_c/kg.)',
  ]));
test('SAR from meq/L is that from mg/L: 8 ÷ √((1 + 1) ÷ 2)', () => {
  expect(reportSar(report('saturated paste, meq/L\nNa 8\nCa 1\nMg 1'))?.value.mid).toBeCloseTo(8, 9);
  expect(reportSar(report('saturated paste\nNa 8 meq/L\nCa 20.04 mg/L\nMg 12.15 mg/L'))?.value.mid).toBeCloseTo(8, 9);
});
test('a unit that is not its own and a value no soil has are told; every usual unit is taken', () => {
  const problem = (analyte: SoilFigure['analyte'], value: number, unit: SoilFigure['unit']) =>
    soilFigureProblem({ analyte, value: { kind: 'number', value }, unit, method: 'notSaid' });
  expect(problem('pH', 6, 'mg/kg')).toEqual({ part: 'unit', message: 'Read mg/kg for pH, expected none.' });
  expect(problem('P', 20, 'cmol_c/kg')).toEqual({
    part: 'unit',
    message: 'Read cmol_c/kg for phosphorus, expected mg/kg, mg/L, %.',
  });
  expect(problem('pH', 64, '')).toEqual({ part: 'value', message: 'Read 64 for pH, expected 2 to 11.' });
  expect(problem('organicMatter', 120, '%')?.message).toBe('Read 120 % for organic matter, expected 0 to 100.');
  expect(
    soilFigureProblem({ analyte: 'pH', value: { kind: 'range', low: 6, mid: 9, high: 12 }, unit: '', method: 'water' })
      ?.part,
  ).toBe('value');
  for (const analyte of SOIL_ANALYTES)
    expect([analyte, problem(analyte, 2.2, soilUnits(analyte)[0]!)]).toEqual([analyte, undefined]);
});

test.each([
  ['P (M3) ppm 45  Optimum', ['P 45 mg/kg mehlich3']],
  ['Nitrate-N lbs/A 34', ['nitrateN 17 mg/kg notSaid']],
  ['P-Bray1: 35 ppm', ['P 35 mg/kg bray']],
  ['K-AmOAc 180 ppm', ['K 180 mg/kg ammoniumAcetate']],
  ['B hot water 0.6 ppm', ['B 0.6 mg/kg other']],
  ['ECe saturated paste 1.4 dS/m', ['EC 1.4 mS/cm saturatedPaste']],
  ['Buffer Index 7.1', ['(a buffer pH: it tells of lime, and is not the soil’s own pH)']],
  [
    'pH(CaCl2) 5.4, P Olsen 22 mg/kg, K 0.4 cmol/kg, CEC 12',
    ['pH 5.4  CaCl2', 'P 22 mg/kg olsen', 'K 0.4 cmol_c/kg notSaid', 'CEC 12 cmol_c/kg notSaid'],
  ],
  ['pH 6.4, in water', ['pH 6.4  water']],
  ['P, Olsen, 27, mg/kg', ['P 27 mg/kg olsen']],
])('as labs write it: %s', (text, expected) => expect(shown(text)).toEqual(expected));
test('SAR and ESP of a lab go before those worked out', () => {
  const given = report('SAR 14\nsaturated paste\nNa 183.9 mg/L\nCa 20.04 mg/L\nMg 12.15 mg/L');
  expect(reportSar(given)?.value.mid).toBe(14);
  expect(condition('sodic', bare, given)).toMatchObject({
    answer: 'yes',
    because: expect.stringMatching(/^exchangeable sodium 16 %/),
  });
  expect(condition('sodic', bare, report('ESP 7 %'), 'Australia').answer).toBe('yes');
});

test.each([
  ['Phosphorus (Olsen) found 12 mg/kg target 20 mg/kg', 12, 'what is wanted is set aside'],
  ['Phosphorus (Olsen) target 20 mg/kg, found 12 mg/kg', 12, 'what is wanted is set aside'],
  ['Zinc (DTPA) 1.2 mg kg-1', 1.2, 'zinc'],
  ['Potassium, ammonium acetate 165 mg kg⁻¹ (desired range 150–250)', 165, 'potassium'],
])('%s: %p', (line, value, says) => {
  const [read] = readSoilSlip(line).filter((l) => l.figure);
  expect(read?.figure?.value).toEqual({ kind: 'number', value });
  expect(read?.says).toContain(says);
});

test('an index is a class, so that the amount behind it counts', () => {
  expect(shown('P Index 2 (18 mg/l)\nK index 2- (150 mg/L)\nMg Index 3')).toEqual([
    'P 18 mg/L notSaid',
    'K 150 mg/L notSaid',
    '(an index is a class, no amount: expected the figure it stands for, in mg/kg or mg/L)',
  ]);
});
test('a per cent sign at the name is a share of the exchange; one behind the number is a content', () => {
  const share = '(a share of the exchange: worked out here from the cations)';
  expect(shown('% K 3.6 % Mg 17.2 % Ca 71\nK% 3.6\nmg/kg\n% K 3.6\nK 0.4 %\n0.4 % K')).toEqual([
    share,
    share,
    '(holds for the lines below: mg/kg)',
    share,
    'K 0.4 % notSaid',
    'K 0.4 % notSaid',
  ]);
});
test('beds side by side are asked about, and one bed named in the heading is not', () => {
  const slip = 'Analysis  Bed A  Bed B\npH  6.4  7.0\nP (Olsen) mg/kg  12  18';
  const [heading, pH, p] = readSoilSlip(slip);
  expect(heading).toMatchObject({ says: 'several beds, Bed A, Bed B: say which one is meant' });
  expect(heading!.choices.map((c) => c.says)).toEqual(['Bed A', 'Bed B']);
  expect([pH!.figure, p!.figure]).toEqual([undefined, undefined]);
  expect(pH!.says).toBe('figures of several beds: say above which one is meant');
  const chosen = readSoilSlip(slip, { 1: 'Bed B' });
  expect(chosen.map((l) => l.says)).toEqual([
    'a heading: Bed B is taken, as you said',
    'pH 7, method not said',
    '18 mg/kg phosphorus, Olsen',
  ]);
  expect(shown('Bed A\npH 6.4 to 6.6')).toContain('pH 6.4–6.6  notSaid');
  expect(shown('Sample 1  Sample 2\nP mg/kg 12 18')[1]).toMatch(/figures of several beds/);
});
test('micrograms in a millilitre are milligrams in a litre, and ammonium is read with its hyphen', () =>
  expect(shown('Potassium 120 µg/ml\nAmmonium-N 4 mg/kg')).toEqual([
    'K 120 mg/L notSaid',
    'ammoniumN 4 mg/kg notSaid',
  ]));
