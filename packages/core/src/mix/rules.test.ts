import loadHighs from 'highs';
import { bag, boneMeal, featherMeal, grade, line, potash, priced, urea } from '../../test/bags.js';
import type { LpSolver } from '../solve/index.js';
import { around } from './around.js';
import { blend } from './blend.js';
import type { Blend } from './found.js';
import type { AimWeights, BlendTarget, Brief } from './model.js';
import { allows, contentOf, saltOf, type BlendRule } from './rules.js';
import { saltCurve } from './saltCurve.js';

let solver: LpSolver;
beforeAll(async () => {
  solver = await loadHighs();
});

const target = (text: string, kind: BlendTarget['kind'] = 'grade', tolerance = 0.1): BlendTarget => ({
  kind,
  parts: grade(text),
  tolerance,
});
const cheapest = (rules: readonly BlendRule[]): Brief => ({ rules, aim: 'cost' });
const made = (found: Blend): Extract<Blend, { kind: 'recipe' }> => {
  if (found.kind !== 'recipe') throw new Error(`${found.kind}: ${found.message}`);
  return found;
};
const ruledOut = (found: Blend): Extract<Blend, { kind: 'ruledOut' }> => {
  if (found.kind !== 'ruledOut') throw new Error(found.kind);
  return found;
};
const names = (found: Blend): readonly string[] => made(found).mixture.components.map((c) => c.product.name);

const muriate = bag({
  name: 'Muriate of potash',
  analysis: [line('K', 60, 'K2O'), line('Cl', 47)],
  derivedFrom: ['potassium chloride'],
  origins: ['mineral'],
  saltIndex: 116,
  offers: [priced(25, 'kg', '15.00')],
});
const sulfate = bag({
  name: 'Sulfate of potash',
  analysis: [line('K', 50, 'K2O'), line('S', 18), line('Cl', 1)],
  derivedFrom: ['potassium sulfate'],
  origins: ['mineral'],
  saltIndex: 46,
  offers: [priced(25, 'kg', '30.00')],
});
const meal = bag({
  name: 'Seed meal',
  analysis: [line('N', 6), line('P', 2, 'P2O5'), line('K', 1.5, 'K2O'), line('Cl', 0.1)],
  derivedFrom: ['cottonseed meal'],
  origins: ['plant'],
  organic: 'yes',
  saltIndex: 8,
  offers: [priced(20, 'kg', '22.00')],
});
const nitrate = bag({
  name: 'Calcium nitrate',
  analysis: [line('N', 15.5), line('N.nitrate', 14.4), line('N.ammoniacal', 1.1), line('Ca', 19), line('Cl', 0)],
  derivedFrom: ['calcium nitrate'],
  origins: ['synthetic'],
  saltIndex: 53,
  offers: [priced(25, 'kg', '20.00')],
});
const SHELF = [muriate, sulfate, meal, nitrate];

describe('rules', () => {
  test('no chloride salts takes the dearer potash, and the difference is the price of the rule', () => {
    const free = blend(SHELF, target('0-0-20'), solver);
    const brief = cheapest([{ kind: 'keep', what: 'noChloride' }]);
    const kept = blend(SHELF, target('0-0-20'), solver, brief);
    expect([names(free), names(kept)]).toEqual([['Muriate of potash'], ['Sulfate of potash']]);
    // 20/60 of 0.60 against 20/50 of 1.20 EUR/kg.
    const { rulePrices, rulesTogether } = around(SHELF, target('0-0-20'), solver, brief, made(kept));
    expect([rulePrices[0], rulesTogether]).toEqual([expect.closeTo(0.48 - 0.2, 9), rulePrices[0]]);
  });

  test('of a ratio the price of a rule is per kg of the nutrient, since mixes differ in strength: it never saves', () => {
    // Meal of 6 % N at 1.10 EUR/kg is 18.3 EUR a kg N; nitrate of 15.5 % at 1.20 is 7.7, though a kg of it costs more.
    const strong = { ...nitrate, organic: 'no' as const, offers: [priced(25, 'kg', '30.00')] };
    const free = made(blend([strong, meal], target('1-0-0', 'ratio', 0.5), solver));
    const brief = cheapest([{ kind: 'keep', what: 'listed' }]);
    const kept = made(blend([strong, meal], target('1-0-0', 'ratio', 0.5), solver, brief));
    const perKgN = (r: typeof free, share: number) => r.mixture.costPerKg!.value.mid / share;
    const shareOf = (r: typeof free) => r.mixture.analysis.find((n) => n.nutrient === 'N')!.percent.value.mid / 100;
    const { rulePrices, rulesTogether, without, per } = around(
      [strong, meal],
      target('1-0-0', 'ratio', 0.5),
      solver,
      brief,
      kept,
    );
    const expected = perKgN(kept, shareOf(kept)) - perKgN(free, shareOf(free));
    expect(kept.mixture.costPerKg!.value.mid).toBeLessThan(free.mixture.costPerKg!.value.mid);
    expect(expected).toBeGreaterThan(0);
    expect([rulePrices[0], rulesTogether]).toEqual([expect.closeTo(expected, 6), expect.closeTo(expected, 6)]);
    expect(per).toBe('N');
    const plain = around([strong, meal], target('1-0-0', 'ratio', 0.5), solver, cheapest([]), free);
    expect(plain.without[0]!.extra).toBeCloseTo(expected, 6);
    // A tenth more N costs a tenth of what the N costs.
    expect(plain.steps[0]!.extra).toBeCloseTo(perKgN(free, shareOf(free)) / 10, 6);
    expect(without).toHaveLength(1);
  });

  test('what nobody said counts against a bag', () => {
    const unsaid = { ...meal, id: 'x', name: 'Unsaid meal', organic: undefined, offers: [priced(20, 'kg', '2.00')] };
    const found = blend(
      [unsaid, meal],
      target('5-0-0', 'grade', 0.5),
      solver,
      cheapest([{ kind: 'keep', what: 'listed' }]),
    );
    expect(names(found)).toEqual(['Seed meal']);
    expect(allows({ kind: 'keep', what: 'listed' }, unsaid)).toBeUndefined();
  });

  test('a cap on salt holds for the whole bag, filler counted', () => {
    const free = made(blend(SHELF, target('0-0-20'), solver));
    const capped = made(blend(SHELF, target('0-0-20'), solver, cheapest([{ kind: 'limit', of: 'salt', high: 30 }])));
    const saltIn = ({ mixture }: typeof free): number =>
      mixture.components.reduce((s, c) => s + (c.product.saltIndex ?? 0) * c.kg, 0);
    expect(saltIn(free)).toBeCloseTo(116 / 3, 6);
    expect(saltIn(capped)).toBeCloseTo(30, 6);
    expect(names(capped)).toEqual(['Muriate of potash', 'Sulfate of potash']);
  });

  test('a share of a material, at least and at most', () => {
    const at = (rule: Partial<Extract<BlendRule, { kind: 'share' }>>) =>
      made(
        blend(SHELF, target('6-0-6', 'grade', 0.5), solver, cheapest([{ kind: 'share', productId: meal.id, ...rule }])),
      ).mixture.components.find((c) => c.product === meal)?.kg ?? 0;
    expect(at({ low: 30 })).toBeCloseTo(0.3, 6);
    expect(at({ high: 0 })).toBe(0);
  });

  test('at most so many materials, and pairs that must not meet stay apart', () => {
    const lime = bag({
      name: 'Lime',
      analysis: [line('Ca', 38)],
      derivedFrom: ['ground limestone'],
      offers: [priced(25, 'kg', '3.00')],
    });
    const gypsum = bag({
      name: 'Gypsum',
      analysis: [line('Ca', 22), line('S', 17)],
      derivedFrom: ['gypsum'],
      offers: [priced(25, 'kg', '9.00')],
    });
    const shelf = [urea, lime, gypsum];
    const wanted = target('20-0-0 + 5 Ca');
    expect(names(blend(shelf, wanted, solver))).toContain('Lime');
    const apart = names(blend(shelf, wanted, solver, cheapest([{ kind: 'apart' }])));
    expect([apart.includes('Lime'), apart.includes('Gypsum')]).toEqual([false, true]);
    const three = [featherMeal, boneMeal, potash];
    expect(names(blend(three, target('4-4-4', 'grade', 1), solver)).length).toBe(3);
    expect(blend(three, target('4-4-4', 'grade', 1), solver, cheapest([{ kind: 'kinds', most: 2 }])).kind).toBe(
      'ruledOut',
    );
  });

  test('the fewest materials, the least salt and the least mass are other recipes than the cheapest', () => {
    const all = [
      ...SHELF,
      bag({
        name: 'All in one',
        analysis: [line('N', 8), line('K', 12, 'K2O')],
        saltIndex: 70,
        offers: [priced(10, 'kg', '40.00')],
      }),
    ];
    const by = (aim: Brief['aim']) => names(blend(all, target('6-0-9', 'grade', 0.5), solver, { rules: [], aim }));
    expect(by('fewest')).toEqual(['All in one']);
    expect(by('cost')).not.toContain('All in one');
    expect(by('salt')).toEqual(expect.arrayContaining(['Seed meal', 'Sulfate of potash']));
  });
});

test('what only a bag of unknown salt can bring is not called too strong: the lightest stands in, and says so', () => {
  const unsaid = bag({
    name: 'Unsaid phosphate',
    analysis: [line('P', 20, 'P2O5')],
    offers: [priced(10, 'kg', '9.00')],
  });
  const found = blend([...SHELF, unsaid], target('5-5-5', 'grade', 1), solver, { rules: [], aim: 'salt' });
  if (found.kind !== 'needsPrices') throw new Error(found.kind);
  expect(found.without).toEqual(['Unsaid phosphate']);
  expect(found.message).toMatch(/no salt index, so the least salty recipe cannot be told/);
});

describe('what cannot hold together', () => {
  test('is named, and a change that was tried is offered', () => {
    const rules: readonly BlendRule[] = [
      { kind: 'limit', of: 'salt', high: 10 },
      { kind: 'keep', what: 'noNitrate' },
      { kind: 'limit', of: 'Cl', high: 20 },
    ];
    const found = ruledOut(blend(SHELF, target('0-0-20'), solver, cheapest(rules)));
    expect(found.between).toEqual(['20 K₂O', 'salt index at most 10']);
    const [salt] = found.changes;
    // 40 % of sulfate of potash at 46 is the least salt there can be.
    expect(salt).toMatchObject({ rule: 0, become: { kind: 'limit', of: 'salt', high: 18.4 } });
    const other = found.changes.find((c) => c.part !== undefined)!;
    // With salt at 10 the potash reaches 10 ÷ 46 × 50 %.
    expect(other.amount).toBeCloseTo(10.8, 6);
    expect(blend(SHELF, target('0-0-20'), solver, cheapest([salt!.become!, ...rules.slice(1)])).kind).toBe('recipe');
  });

  test('a rule about bags has to go where nothing else helps', () => {
    const found = ruledOut(blend(SHELF, target('0-0-20'), solver, cheapest([{ kind: 'keep', what: 'plants' }])));
    expect(found.changes.find((c) => c.rule === 0)).toMatchObject({ become: undefined });
  });
});

test('where two sets of rules clash on their own, both are told, and two rules that have to go together are offered', () => {
  const rules: readonly BlendRule[] = [
    { kind: 'keep', what: 'plants' },
    { kind: 'limit', of: 'salt', high: 1 },
  ];
  const found = ruledOut(blend(SHELF, target('0-0-20'), solver, cheapest(rules)));
  expect([found.between, ...found.others].map((set) => set.includes('20 K₂O'))).toEqual([true, true]);
  expect(found.changes).toEqual([]);
  expect(found.pair.map((c) => c.rule)).toEqual([0, 1]);
});

test('forms of nitrogen are bounded as declared, none where it is made of nothing that brings them, and what nobody said counts against', () => {
  expect(contentOf(nitrate, 'N.nitrate')?.mid).toBeCloseTo(14.4, 9);
  expect(contentOf(meal, 'N.nitrate')?.mid).toBe(0);
  expect(contentOf(bag({ analysis: [line('N', 5)] }), 'N.nitrate')).toBeUndefined();
  const wanted = target('8-0-0', 'grade', 0.5);
  const capped = made(blend(SHELF, wanted, solver, cheapest([{ kind: 'limit', of: 'N.nitrate', low: 2, high: 4 }])))
    .mixture.components;
  const brings = capped.reduce((s, c) => s + (c.product === nitrate ? 14.4 : 0) * c.kg, 0);
  expect(brings).toBeGreaterThan(2 - 1e-6);
  expect(brings).toBeLessThan(4 + 1e-6);
});

test('when the time is up, what a better one could save at most is the distance to the mix that need not count', () => {
  const late: LpSolver = {
    solve: (problem, options) => {
      const found = solver.solve(problem, options);
      return problem.includes('General') ? { ...found, Status: 'Time limit reached' } : found;
    },
  };
  const brief = cheapest([{ kind: 'kinds', most: 1 }]);
  const best = made(blend(SHELF, target('0-0-20'), solver, brief));
  const stopped = made(blend(SHELF, target('0-0-20'), late, brief));
  expect([best.gap, names(stopped)]).toEqual([0, names(best)]);
  // One material is the best without counting too, so nothing better is left.
  expect(stopped.gap).toBeCloseTo(0, 6);
  const three = [featherMeal, boneMeal, potash];
  const two = { ...brief, rules: [{ kind: 'kinds' as const, most: 3 }], aim: 'fewest' as const };
  expect(made(blend(three, target('4-4-4', 'grade', 1), late, two)).gap).toBeGreaterThan(0);
});

test('around a recipe: without each material, a little more of each nutrient, and from which price on another would be in', () => {
  const wanted = target('6-0-6', 'grade', 0.3);
  const best = made(blend(SHELF, wanted, solver));
  const { without, steps, enters } = around(SHELF, wanted, solver, cheapest([]), best);
  for (const { recipe, extra, productId } of without) {
    if (!recipe) continue;
    expect(extra).toBeGreaterThanOrEqual(0);
    expect(recipe.mixture.components.some((c) => c.product.id === productId)).toBe(false);
  }
  expect(steps.map((s) => [s.symbol, s.by])).toEqual([
    ['N', 1],
    ['K₂O', 1],
  ]);
  for (const { extra } of steps) expect(extra).toBeGreaterThan(0);
  for (const { name, below } of enters) {
    const at = (perKg: number) =>
      SHELF.map((p) => (p.name === name ? { ...p, offers: [priced(1, 'kg', perKg.toFixed(6))] } : p));
    expect(names(blend(at(below * 0.98), wanted, solver))).toContain(name);
    expect(names(blend(at(below * 1.02), wanted, solver))).not.toContain(name);
  }
  expect(enters.length).toBeGreaterThan(0);
});

test('several made small together: counted alone it is the best of that, and in between it is neither the cheapest nor the least salty', () => {
  const wanted = target('4-0-10', 'grade', 0.3);
  const found = (weights: AimWeights) => made(blend(SHELF, wanted, solver, { rules: [], aim: 'weighted', weights }));
  const alone = (aim: 'cost' | 'salt') => made(blend(SHELF, wanted, solver, { rules: [], aim }));
  const cost = (r: Extract<Blend, { kind: 'recipe' }>) => r.mixture.costPerKg!.value.mid;
  const salt = (r: Extract<Blend, { kind: 'recipe' }>) => saltOf(r.mixture)!;
  expect(cost(found({ cost: 1, salt: 0, mass: 0 }))).toBeCloseTo(cost(alone('cost')), 6);
  expect(salt(found({ cost: 0, salt: 1, mass: 0 }))).toBeCloseTo(salt(alone('salt')), 6);
  const both = found({ cost: 1, salt: 1, mass: 0 });
  // Each measured by its own least: no other mix has a smaller sum.
  const sum = (r: Extract<Blend, { kind: 'recipe' }>) => cost(r) / cost(alone('cost')) + salt(r) / salt(alone('salt'));
  for (const { recipe } of saltCurve(SHELF, wanted, solver, cheapest([])))
    expect(sum(both)).toBeLessThanOrEqual(sum(recipe) + 1e-6);
  expect(both.minimised).toBe('weighted');
  // Nothing counts: the lightest.
  expect(found({ cost: 0, salt: 0, mass: 0 }).minimised).toBe('mass');
});

test('what has no price is told with the price below which it would be in, behind those that have one', () => {
  const wanted = target('0-0-20');
  const [dear, free] = [
    { ...sulfate, id: 'dear', name: 'Dear sulfate' },
    { ...sulfate, id: 'free', name: 'Sulfate of potash, typical', offers: [] },
  ];
  const best = made(blend([muriate, dear, free], wanted, solver));
  const { enters } = around([muriate, dear, free], wanted, solver, cheapest([]), best);
  // A kg of muriate at 0.60 brings 60 % K₂O: 50 % are worth 0.50, whoever sells them.
  expect(enters).toEqual([
    { name: 'Dear sulfate', below: expect.closeTo(0.5, 6) as number, hasPrice: true },
    { name: 'Sulfate of potash, typical', below: expect.closeTo(0.5, 6) as number, hasPrice: false },
  ]);
});

test('cost against salt: less salt never costs less, the ends are the least salt and the cheapest', () => {
  const curve = saltCurve(SHELF, target('4-0-10', 'grade', 0.3), solver, cheapest([]));
  expect(curve.length).toBeGreaterThan(3);
  for (const [i, step] of curve.entries()) {
    const before = curve[i - 1];
    if (before) expect(step.cost).toBeLessThanOrEqual(before.cost + 1e-9);
  }
  expect(curve.at(-1)!.cost).toBeCloseTo(
    made(blend(SHELF, target('4-0-10', 'grade', 0.3), solver)).mixture.costPerKg!.value.mid,
    6,
  );
});

test('what a bag brings of what is bounded: as declared, by what it is made of, or not known', () => {
  expect(contentOf(muriate, 'Cl')?.mid).toBeCloseTo(47, 9);
  expect(contentOf({ ...urea, analysis: [line('N', 46)], derivedFrom: ['urea'] }, 'Cl')).toEqual({
    low: 0,
    mid: 0,
    high: 0,
  });
  expect(contentOf(bag({ analysis: [line('N', 5)] }), 'Cl')).toBeUndefined();
  expect(contentOf(bag({ derivedFrom: ['gypsum'] }), 'liming')?.mid).toBe(0);
});
