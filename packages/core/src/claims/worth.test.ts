import fc from 'fast-check';
import { bag, direction, line } from '../../test/bags.js';
import { unitProblems } from '../figure/index.js';
import { exact, money } from '../quantity/index.js';
import { evidenceOf, type Evidence } from './evidence.js';
import type { Study } from './study.js';
import { breakEven, chanceFigure, chanceThatItPays, testingFigure, valueOfTesting } from './worth.js';

const study = (id: string, treated: number, control: number): Study => ({
  id,
  name: `Trial ${id}`,
  design: 'field',
  control: 'sameNutrients',
  randomised: 'yes',
  blinded: 'yes',
  funding: 'independent',
  doseMultiple: 1,
  likeHere: 'yes',
  sameOutcome: 'yes',
  result: { kind: 'means', treated, control, nTreated: 6, nControl: 6, spread: 'sd', first: 1, second: 1 },
  leftOut: undefined,
  sample: false,
});
const of = (...ratios: readonly number[]): Evidence =>
  evidenceOf(
    ratios.map((r, i) => study(`${i}`, 10 * r, 10)),
    [],
    { gain: undefined, less: false },
  );
const stake = { baseKgPerM2: exact(0.5), valuePerKg: exact(2), currency: 'EUR' };
const fed = bag({
  analysis: [line('N', 5)],
  directions: [direction('100 g/m²', 1)],
  offers: [{ size: 10, unit: 'kg', price: money('20.00', 'EUR'), seenOn: undefined }],
});

describe('break-even', () => {
  test('100 g/m² at 2 EUR/kg over half a kg at 2 EUR is a fifth of the yield', () => {
    const found = breakEven(fed, stake);
    if (found.kind === 'unknown') throw new Error(found.why);
    expect(found.costPerM2.value.mid).toBeCloseTo(0.2, 9);
    expect(found.stakePerM2.value.mid).toBeCloseTo(1, 9);
    expect(found.share.value.mid).toBeCloseTo(0.2, 9);
  });

  test('without a rate, a price, the same money or a yield it says why', () => {
    const why = (product: typeof fed, at = stake): string => {
      const found = breakEven(product, at);
      return found.kind === 'unknown' ? found.why : 'a figure';
    };
    expect(why({ ...fed, directions: [] })).toMatch(/no rate/);
    expect(why({ ...fed, offers: [] })).toBe('It has no price that comes to a kg.');
    expect(why(fed, { ...stake, currency: 'USD' })).toBe('Its price is in EUR, and the crop’s in USD.');
    expect(why(fed, { ...stake, baseKgPerM2: exact(0) })).toMatch(/above zero/);
  });
});

describe('the chance that it pays', () => {
  test('is a half where the break-even is the pooled effect, on average and in one more place', () => {
    const evidence = of(1.1, 1.2, 1.3, 1.15);
    const share = Math.exp(evidence.pooled!.effect) - 1;
    const { onAverage, here } = chanceThatItPays(evidence, exact(share), false);
    expect(onAverage).toMatchObject({ kind: 'chance', value: { mid: expect.closeTo(0.5, 9) } });
    expect(here).toMatchObject({ kind: 'chance', value: { mid: expect.closeTo(0.5, 9) } });
  });

  test('at the ends of the 95 % intervals it is 0.975 and 0.025', () => {
    const evidence = of(1.1, 1.2, 1.5, 1.15);
    const { interval, prediction } = evidence.pooled!;
    const mid = (end: number, which: 'onAverage' | 'here'): number => {
      const found = chanceThatItPays(evidence, exact(Math.exp(end) - 1), false)[which];
      return found.kind === 'chance' ? found.value.mid : NaN;
    };
    expect(mid(interval.low, 'onAverage')).toBeCloseTo(0.975, 6);
    expect(mid(interval.high, 'onAverage')).toBeCloseTo(0.025, 6);
    expect(mid(prediction!.low, 'here')).toBeCloseTo(0.975, 6);
  });

  test('the dearer, the less likely; of a loss, what is spared counts, and more than all of it cannot be', () => {
    const { onAverage } = chanceThatItPays(of(1.1, 1.2, 1.3), { low: 0.05, mid: 0.1, high: 0.2 }, false);
    if (onAverage.kind !== 'chance') throw new Error(onAverage.why);
    expect(onAverage.value.low).toBeLessThan(onAverage.value.mid);
    expect(onAverage.value.mid).toBeLessThan(onAverage.value.high);
    const spared = chanceThatItPays(of(0.5, 0.6, 0.55), exact(0.3), true).onAverage;
    expect(spared).toMatchObject({ kind: 'chance', value: { mid: expect.any(Number) } });
    expect(spared.kind === 'chance' && spared.value.mid).toBeGreaterThan(0.9);
    expect(chanceThatItPays(of(0.5, 0.6, 0.55), exact(1.2), true).onAverage).toMatchObject({ value: { mid: 0 } });
  });

  test('one study gives none, two none for one more place', () => {
    expect(chanceThatItPays(of(1.2), exact(0.1), false).onAverage).toMatchObject({ kind: 'none' });
    const two = chanceThatItPays(of(1.2, 1.3), exact(0.1), false);
    expect(two.onAverage.kind).toBe('chance');
    expect(two.here).toMatchObject({ why: 'For one more place three studies are needed.' });
  });
});

describe('the value of testing first', () => {
  const evidence = of(1.0, 1.15, 1.3, 0.95);

  /** The same by adding up over what the trial can find, step by step. */
  function addedUp(share: number, less: boolean, n: number, cv: number): number {
    const { effect, se, tau2 } = evidence.pooled!;
    const v = tau2 + se ** 2;
    const noise = (2 * cv ** 2) / n;
    const spread = Math.sqrt(v + noise);
    const left = (v * noise) / (v + noise);
    let total = 0;
    const steps = 4000;
    for (let i = 0; i < steps; i++) {
      const z = -8 + (16 * (i + 0.5)) / steps;
      const then = effect + (v / (v + noise)) * z * spread;
      const ratio = Math.exp(then + left / 2);
      const gain = less ? 1 - share - ratio : ratio - 1 - share;
      total += (Math.max(0, gain) * Math.exp(-(z ** 2) / 2) * 16) / steps / Math.sqrt(2 * Math.PI);
    }
    return total;
  }

  test.each([
    [0.05, false],
    [0.2, false],
    [0.01, true],
  ])('at a break-even of %p (less is better: %p) it is what the sum over all findings gives', (share, less) => {
    expect(valueOfTesting(evidence, share, less, { n: 4, cv: 0.12 })!.after).toBeCloseTo(
      addedUp(share, less, 4, 0.12),
      5,
    );
  });

  test('is never below zero, grows with n, and there is none without three studies', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.9, noNaN: true }),
        fc.integer({ min: 1, max: 50 }),
        fc.boolean(),
        (share, n, less) => {
          const few = valueOfTesting(evidence, share, less, { n, cv: 0.15 })!;
          const more = valueOfTesting(evidence, share, less, { n: n + 5, cv: 0.15 })!;
          expect(few.gain).toBeGreaterThanOrEqual(0);
          expect(more.gain).toBeGreaterThanOrEqual(few.gain - 1e-12);
        },
      ),
    );
    expect(valueOfTesting(of(1.1, 1.2), 0.1, false, { n: 4, cv: 0.1 })).toBeUndefined();
    expect(() => valueOfTesting(evidence, 0.1, false, { n: 0, cv: 0.1 })).toThrow(/Read 0 units/);
    expect(() => valueOfTesting(evidence, 0.1, false, { n: 4, cv: 0 })).toThrow(/Read a CV of 0/);
  });
});

test('chances and what testing is worth open to what they are made of, in their units', () => {
  const evidence = of(1.0, 1.15, 1.3, 0.95);
  const even = breakEven(fed, stake);
  if (even.kind === 'unknown') throw new Error(even.why);
  const { here } = chanceThatItPays(evidence, even.share.value, false);
  if (here.kind !== 'chance') throw new Error(here.why);
  const chance = chanceFigure(here.value, even.share, 'here');
  expect(chance.value.mid).toBeCloseTo(here.value.mid * 100, 9);
  expect(chance.unit.text).toBe('%');
  const worth = valueOfTesting(evidence, even.share.value.mid, false, { n: 4, cv: 0.12 })!;
  const figure = testingFigure(worth, even.stakePerM2, 'EUR', { areaM2: 400, seasons: 3 });
  expect(figure.value.mid).toBeCloseTo(worth.gain * 1 * 400 * 3, 9);
  expect(unitProblems(figure)).toEqual([]);
});
