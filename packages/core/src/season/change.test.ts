import { movedWhen, scaledAmount } from './change.js';
import { parseAmount, printAmount } from './typedAmount.js';
import { parseWhen, printWhen } from './typedWhen.js';

const when = (text: string) => {
  const read = parseWhen(text);
  if (!read.ok) throw new Error(read.reason);
  return read.when;
};
const amount = (text: string) => {
  const read = parseAmount(text);
  if (!read.ok) throw new Error(read.reason);
  return read.amount;
};

test.each([
  ['2 May 2026', 7, '9 May 2026'],
  ['28 Feb 2026', 1, '1 Mar 2026'],
  ['20 days after planting', -5, '15 days after planting'],
  ['at planting', 3, '3 days after planting'],
  ['every 14 days, 1 May 2026 to 15 Jul 2026', 2, 'every 14 days, 3 May to 17 Jul 2026'],
  ['every 14 days, 30 Dec 2026 to 15 Jan 2027', 2, 'every 14 days, 1 Jan to 17 Jan 2027'],
  ['at half of its uptake', 9, 'at half of its uptake'],
])('%s moved by %i days is %s', (text, days, moved) => expect(printWhen(movedWhen(when(text), days))).toBe(moved));

test.each([
  ['40 g/m²', 1.5, '60 g/m²'],
  ['30–50 g/m²', 2, '60–100 g/m²'],
  ['5 mL/L of water, 2 L/plant', 0.5, '2.5 mL/L of water, 2 L/plant'],
  ['3 × 250 mL/m²', 2, '6 × 250 mL/m²'],
  ['2 cm', 1.5, '3 cm'],
  ['10 kg', 0.333, '3.33 kg'],
])('%s times %d is %s', (text, factor, scaled) => expect(printAmount(scaledAmount(amount(text), factor))).toBe(scaled));
