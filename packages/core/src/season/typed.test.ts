import fc from 'fast-check';
import { parseAmount, printAmount } from './typedAmount.js';
import { parseWhen, printWhen } from './typedWhen.js';

const exactly = (x: number) => ({ low: x, mid: x, high: x });

test.each([
  ['40 g/m²', { kind: 'rate', rate: { amount: 40, unit: 'g', per: { amount: 1, unit: 'm²' } } }],
  ['30–50 g per m²', { kind: 'rate', rate: { amount: 50, least: 30, unit: 'g', per: { amount: 1, unit: 'm²' } } }],
  ['10 g per pot', { kind: 'rate', rate: { amount: 10, unit: 'g', per: { amount: 1, unit: 'plant' } } }],
  [
    '5 mL/L of water, 2 L/plant',
    {
      kind: 'rate',
      rate: { amount: 5, unit: 'mL', per: { amount: 1, unit: 'L of water' } },
      water: { litres: exactly(2), per: 'plant' },
    },
  ],
  [
    '2 g/L and 1.5-2.5 L per m²',
    {
      kind: 'rate',
      rate: { amount: 2, unit: 'g', per: { amount: 1, unit: 'L of water' } },
      water: { litres: { low: 1.5, mid: 2, high: 2.5 }, per: 'm²' },
    },
  ],
  [
    '5 mL/L; 10 L for all of it',
    {
      kind: 'rate',
      rate: { amount: 5, unit: 'mL', per: { amount: 1, unit: 'L of water' } },
      water: { litres: exactly(10), per: 'part' },
    },
  ],
  ['3 × 250 mL per m²', { kind: 'measure', count: exactly(3), holds: { amount: 250, unit: 'mL' }, per: 'm²' }],
  ['2 scoops of 60 g/plant', { kind: 'measure', count: exactly(2), holds: { amount: 60, unit: 'g' }, per: 'plant' }],
  ['4 cans of 10 L', { kind: 'measure', count: exactly(4), holds: { amount: 10, unit: 'L' }, per: 'part' }],
  ['2 cm', { kind: 'layer', thicknessM: exactly(0.02) }],
  ['2–3 cm thick', { kind: 'layer', thicknessM: { low: 0.02, mid: 0.025, high: 0.03 } }],
  ['10 kg', { kind: 'whole', amount: exactly(10), unit: 'kg' }],
  ['5 L for all of it', { kind: 'whole', amount: exactly(5), unit: 'L' }],
])('%s', (text, amount) => {
  expect(parseAmount(text)).toEqual({ ok: true, amount });
  const read = parseAmount(text);
  if (read.ok) expect(parseAmount(printAmount(read.amount))).toEqual(read);
});

test.each([
  ['', 'expected an amount such as'],
  ['a lot', 'Read "a lot"'],
  ['2 lb N/1000 ft²', 'an amount of N'],
  ['40 g/m², 2 L/plant', 'only behind a rate in water'],
  ['5 mL/L, 2 L/acre', 'expected the water given'],
  ['3 × 250 mL per acre', 'expected plant or m²'],
  ['1 cup/m²', 'cup'],
  ['x'.repeat(300), 'characters'],
])('%s is refused in words', (text, words) => {
  const read = parseAmount(text);
  expect(read.ok ? '' : read.reason).toContain(words);
});

test.each([
  ['2 May 2026', { kind: 'date', on: '2026-05-02' }],
  ['2026-05-02', { kind: 'date', on: '2026-05-02' }],
  ['at planting', { kind: 'afterPlanting', days: 0 }],
  ['at sowing', { kind: 'afterPlanting', days: 0 }],
  ['20 days after planting', { kind: 'afterPlanting', days: 20 }],
  ['3 weeks before sowing', { kind: 'afterPlanting', days: -21 }],
  ['at half of its uptake', { kind: 'stage', stage: 'half' }],
  ['every 14 days, 1 May 2026 to 15 Jul 2026', { kind: 'repeat', from: '2026-05-01', to: '2026-07-15', everyDays: 14 }],
  [
    'every 2 weeks from 1 May 2026 until 15 Jul 2026',
    { kind: 'repeat', from: '2026-05-01', to: '2026-07-15', everyDays: 14 },
  ],
  ['every 14 days, 1 May to 15 Jul 2026', { kind: 'repeat', from: '2026-05-01', to: '2026-07-15', everyDays: 14 }],
  ['every 30 days, 1 Nov to 15 Feb 2027', { kind: 'repeat', from: '2026-11-01', to: '2027-02-15', everyDays: 30 }],
  ['every 30 days, 1 Nov 2026 to 15 Feb 2027', { kind: 'repeat', from: '2026-11-01', to: '2027-02-15', everyDays: 30 }],
  ['every week 1 May 2026 to 15 Jul 2026', { kind: 'repeat', from: '2026-05-01', to: '2026-07-15', everyDays: 7 }],
])('%s', (text, when) => {
  expect(parseWhen(text)).toEqual({ ok: true, when });
  const read = parseWhen(text);
  if (read.ok && read.when.kind !== 'afterPlanting') expect(parseWhen(printWhen(read.when))).toEqual(read);
});

test.each([
  ['3/4/2026', '3 Apr 2026 or 4 Mar 2026'],
  ['soon', 'expected a time such as'],
  ['every 14 days, 15 Jul 2026 to 1 May 2026', 'expected a day after 15 Jul 2026'],
  ['every 14 days, 29 Feb to 15 Jul 2027', '29 Feb'],
  ['every 14 days, soon to 15 Jul 2027', 'soon'],
  ['every 400 days, 1 May 2026 to 15 Jul 2027', 'expected 1 to 366'],
])('%s is refused in words', (text, words) => {
  const read = parseWhen(text);
  expect(read.ok ? '' : read.reason).toContain(words);
});

test('any days before or after planting read back as the same', () => {
  fc.assert(
    fc.property(fc.integer({ min: -366, max: 3660 }), (days) => {
      const when = { kind: 'afterPlanting', days } as const;
      expect(parseWhen(printWhen(when))).toEqual({ ok: true, when });
    }),
  );
});
