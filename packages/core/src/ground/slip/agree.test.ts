import { readSoilSlip } from './readSoilSlip.js';

const line = (text: string, number: number) => readSoilSlip(text).find((l) => l.number === number)!;
const value = (text: string, number: number): unknown => line(text, number).figure?.value;

const SHARES = 'Base saturation: K 4 %, Mg 12 %, Ca 70 %, H 14 %';

test('a number with two readings is settled by its share of the exchange, and says so', () => {
  const text = `CEC 14 cmol(+)/kg\nCalcium 1.970 mg/kg\n${SHARES}`;
  expect(value(text, 2)).toEqual({ kind: 'number', value: 1970 });
  expect(line(text, 2).says).toContain('no other reading agrees with its 70 % of the exchange');
  expect(line(text, 2).numbers.map((n) => n.fate)).toEqual(['taken']);
});

test('a word for potash that could be K or K2O is settled the same way', () => {
  const text = (mg: number) => `CEC 14 cmol(+)/kg\nPotash ${mg} mg/kg\n${SHARES}`;
  expect(value(text(224), 2)).toEqual({ kind: 'number', value: 224 });
  const oxide = value(text(270), 2) as { value: number };
  expect(oxide.value).toBeCloseTo(224, 0);
});

test('else by what is usual in a soil; and where neither tells, it is asked', () => {
  expect(value('Calcium 1.970 mg/kg', 1)).toEqual({ kind: 'number', value: 1970 });
  expect(line('Calcium 1.970 mg/kg', 1).says).toContain('no other reading is usual for a soil');
  const asked = line('Phosphorus (Olsen) 1.250 mg/kg', 1);
  expect([asked.figure?.value, asked.choices.length]).toEqual([{ kind: 'number', value: 1.25 }, 2]);
  expect([line('Magnesium 4.250 mg/kg', 1).figure, line('Magnesium 4.250 mg/kg', 1).choices.length]).toEqual([
    undefined,
    2,
  ]);
});

test('a figure that does not agree with its share is taken, and that is told beside it', () => {
  const text = `CEC 14 cmol(+)/kg\nCalcium 985 mg/kg\nMagnesium 209 mg/kg\n${SHARES}`;
  expect(line(text, 2).says).toContain('that is 35.1 % of the exchange, but the report says 70 %');
  expect(line(text, 3).says).not.toContain('but the report');
  expect(value(text, 2)).toEqual({ kind: 'number', value: 985 });
});

test('shares with the acidity among them add to 100, which is told where they do not; without it nothing is expected', () => {
  expect(line(SHARES.replace('70', '90'), 1).says).toContain('the shares add to 120 %');
  expect(line(SHARES, 1).says).not.toContain('add to');
  expect(line('Base saturation: K 4 %, Mg 12 %, Ca 104 %', 1).says).not.toContain('add to');
});

test('acidity told in per cent is a share, not an amount', () =>
  expect([line('Exch. acidity % 12', 1).figure, line('Exchangeable acidity 12 %', 1).figure]).toEqual([
    undefined,
    undefined,
  ]));
