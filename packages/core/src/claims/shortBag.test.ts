import { bag, line } from '../../test/bags.js';
import { contentCheck } from './content.js';
import { carbonBound } from './carbon.js';
import { libraryCrop } from '../season/index.js';
import { shortBag, type LabSlip } from './shortBag.js';

const twelve = bag({ analysis: [line('N', 12)] });
const slip = (found: number, lot: string, error?: number): LabSlip => ({
  nutrient: 'N',
  found,
  lot,
  error,
  laboratory: 'Dunmere Bench',
});

test('10.8 ± 0.3 % of 12 % guaranteed is 8 to 13 % short: short where 5 % are allowed, not settled where 10 % are', () => {
  const short = shortBag(twelve, { tolerance: 0.05, slips: [slip(10.8, 'A', 0.3)] });
  expect(short.findings[0]!.over.low).toBeCloseTo(-0.125, 9);
  expect(short.findings[0]!.over.high).toBeCloseTo(-0.075, 9);
  expect(short.answer).toBe('against');
  expect(short.text).toBe('One lot only: that is short, with 5 % allowed. Another lot would tell more.');
  expect(shortBag(twelve, { tolerance: 0.1, slips: [slip(10.8, 'A', 0.3)] }).answer).toBe('cannotTell');
  expect(shortBag(twelve, { slips: [slip(12.4, 'A', 0.3)] }).answer).toBe('supports');
});

test('a slip that does not tell its error gets a usual one, and says so', () => {
  const [found] = shortBag(twelve, { slips: [slip(12, 'A')] }).findings;
  expect(found!.over).toEqual({ low: expect.closeTo(-0.05, 9), mid: 0, high: expect.closeTo(0.05, 9) });
  expect(found!.text).toMatch(/± 0.6, since the slip does not say/);
});

test('lots add up: each counts once, with Student’s interval over lots', () => {
  const slips = [slip(11, 'A', 0.2), slip(11.4, 'a', 0.2), slip(10.8, 'B', 0.2), slip(11, 'C', 0.2)];
  const { mean, answer, text } = shortBag(twelve, { slips });
  // Lots 11.2, 10.8, 11.0 of 12: mean 11.0 is −8.33 %; SD 0.2, t(2) 4.3027, half 0.4968 or 4.14 %.
  expect(mean!.mid).toBeCloseTo(-1 / 12, 9);
  expect(mean!.high - mean!.mid).toBeCloseTo((4.30265 * 0.2) / Math.sqrt(3) / 12, 5);
  expect(answer).toBe('against');
  expect(text).toMatch(/^3 lots lie −12 % to −4.2 %/);
});

test('nothing can be short of what is not guaranteed', () => {
  expect(shortBag(bag({ analysis: [line('P', 5)] }), { slips: [slip(3, 'A')] })).toMatchObject({
    answer: 'notRelevant',
    mean: undefined,
  });
});

test('slips decide the content check of a claim', () => {
  const claim = { statement: 'holds 12 % N', product: twelve, needs: ['N'] as const, crop: libraryCrop('wheat')! };
  expect(contentCheck(claim).answer).toBe('supports');
  const short = contentCheck({ ...claim, slips: { slips: [slip(10.8, 'A', 0.3)] } });
  expect(short.answer).toBe('against');
  expect(short.text).toMatch(/Holds 12 % N\. A, by Dunmere Bench: 10.8 % N \(± 0.3\) of 12 guaranteed/);
});

describe('stored carbon', () => {
  test('10 % CaO and 10 % MgO bind at most 0.0785 + 0.1092 kg CO₂ a kg', () => {
    const rock = bag({ analysis: [line('Ca', 10, 'CaO'), line('Mg', 10, 'MgO')] });
    const { most } = carbonBound(rock);
    expect(most!.value.mid).toBeCloseTo((0.1 * 44.009) / 56.077 + (0.1 * 44.009) / 40.304, 4);
    const check = contentCheck({
      statement: 'stores carbon',
      product: rock,
      needs: [],
      crop: libraryCrop('wheat')!,
      kind: 'storesCarbon',
    });
    expect(check.answer).toBe('cannotTell');
    expect(check.text).toMatch(/At most 0.188 kg CO₂ a kg can be bound/);
  });

  test('a carbonate binds no more, and what is not told is not known', () => {
    const of = (product: Parameters<typeof carbonBound>[0]): string =>
      contentCheck({ statement: '', product, needs: [], crop: libraryCrop('wheat')!, kind: 'storesCarbon' }).answer;
    expect(of(bag({ derivedFrom: ['ground limestone'], analysis: [line('Ca', 38)] }))).toBe('against');
    expect(of(bag({ analysis: [] }))).toBe('cannotTell');
    expect(of(bag({ analysis: [line('Ca', 0), line('Mg', 0)] }))).toBe('against');
  });
});
