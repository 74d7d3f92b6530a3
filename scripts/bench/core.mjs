// The core: ranking, release, mix, labels.
import { manyProducts } from './manyProducts.mjs';
import { median, ms, row, times } from './measure.mjs';

/** As bags are: four lines of analysis, three packages of which one is an old price. */
const fuller = (p, i) => ({
  ...p,
  analysis: [
    ...p.analysis,
    ...['P', 'K', 'S'].map((analyte, k) => ({
      ...p.analysis[0],
      analyte,
      basis: { P: 'P2O5', K: 'K2O', S: 'element' }[analyte],
      value: { kind: 'number', value: 1 + ((i * (k + 3)) % 20) },
    })),
  ],
  offers: [
    { ...p.offers[0], seenOn: '2024-03-01' },
    { ...p.offers[0], seenOn: '2026-03-01' },
    { ...p.offers[0], size: p.offers[0].size + 20, seenOn: '2026-03-01' },
  ],
});

export async function benchRanking(core) {
  const products = manyProducts(10_000).map(fuller);
  const question = { nutrient: 'N', basis: 'element', perUnit: 'kg' };
  // Turning records into numbers happens once for each record and question, and is timed apart.
  const cold = [1, 2, 3].map((k) => products.map((p) => ({ ...p, id: `${p.id} ${k}` })));
  const converting = await median(() => core.rankByCost(cold.pop() ?? [], question), 1);
  // What a screen asks for: the whole list in order, and the rows that fit on it.
  const rank = () => core.rankByCost(products, question).byCurrency.EUR.rows(0, 50);
  const ranked = await median(rank, 15);
  // The honest baseline: the same two packages that count, by indexed loops over typed arrays, the cheapest of each, sorted.
  const n = products.length;
  const convert = performance.now();
  const price = Float64Array.from(products.flatMap((p) => p.offers.slice(1).map((o) => Number(o.price.amount))));
  const mass = Float64Array.from(products.flatMap((p) => p.offers.slice(1).map((o) => o.size)));
  const fraction = Float64Array.from(products, (p) => p.analysis[0].value.value / 100);
  const converted = performance.now() - convert;
  const bare = await median(() => {
    const cost = new Float64Array(n);
    for (let i = 0; i < n; i++) {
      const one = price[2 * i] / (mass[2 * i] * fraction[i]);
      const two = price[2 * i + 1] / (mass[2 * i + 1] * fraction[i]);
      cost[i] = one < two ? one : two;
    }
    const order = new Uint32Array(n);
    for (let i = 0; i < n; i++) order[i] = i;
    return order.sort((a, b) => cost[a] - cost[b]);
  }, 9);
  row(
    'ranking 10 000 products again, 4 lines and 3 packages each',
    ms(ranked),
    `${times(ranked / bare)} a loop and sort over typed arrays (${ms(bare)}; turning records into arrays takes ${ms(converted)} more)`,
  );
  row('the first ranking of 10 000 records', ms(converting), `${times(converting / (bare + converted))} both of those`);
}

export async function benchRelease(core, contract, demo) {
  const [plot] = demo.PLOTS;
  const season = contract.toSeason(demo.SEASONS.filter((s) => s.plot === plot.name).at(-1));
  const site = { ...contract.toSite(plot), season };
  const products = demo.PRODUCTS.map((p) => contract.toProduct(p, p.name))
    .filter((p) => core.nitrogenPools(p).kind === 'pools')
    .slice(0, 8);
  const eight = await median(() => products.map((p) => core.productRelease(p, site, { daysOnSurface: 0 })));
  row(`26-week release of ${products.length} products`, ms(eight), `${ms(eight / products.length)} a product`);
  const { setup } = core.productRelease(products[0], site, { daysOnSurface: 0 });
  const single = await median(() => core.simulate(setup.pools, setup.around, core.numbersFrom(setup.parameters)));
  const band = await median(() => core.releaseBand(setup, 2000, 1), 3);
  row('band of 2 000 draws for one product', ms(band), `${times(band / (2000 * single))} 2 000 bare runs of the model`);
}

/** A solver that counts how long it was at work. */
async function timedSolver() {
  const { default: loadHighs } = await import('highs');
  const highs = await loadHighs();
  const timed = {
    spent: 0,
    solve: (...args) => {
      const from = performance.now();
      const solution = highs.solve(...args);
      timed.spent += performance.now() - from;
      return solution;
    },
  };
  return timed;
}
/** A mix with how long it takes, and that against the solver alone; both of the same run, and the middle of both. */
async function mixRow(core, what, products, target, brief) {
  const solver = await timedSolver();
  const shares = [];
  const whole = await median(() => {
    solver.spent = 0;
    const from = performance.now();
    const found = core.blend(products, target, solver, brief);
    if (found.kind !== 'recipe') throw new Error(`${what}: ${found.kind}`);
    shares.push((performance.now() - from) / solver.spent);
  });
  shares.sort((x, y) => x - y);
  row(what, ms(whole), `${times(shares[Math.floor(shares.length / 2)])} the bare solver`);
}

/** What is worked out again on the main thread when a part is moved by hand. */
async function movedPart(core, shelf) {
  const six = shelf.filter((p) => p.densityKgPerL !== undefined).slice(0, 6);
  let moved = 0;
  const again = await median(() => {
    moved += 0.01;
    const mix = core.mixture(six.map((product, i) => ({ product, kg: i === 0 ? 1 + moved : 1 })));
    core.weighOut(mix, 10);
    core.mixCharacter(mix);
    core.inScoops(mix, 1);
  }, 21);
  row(`a part of ${six.length} moved by hand`, ms(again), again < 16 ? 'within 16 ms' : 'goal 16 ms');
}

export async function benchMix(core, contract, demo) {
  const shelf = demo.PRODUCTS.map((p) => contract.toProduct(p, p.name));
  await movedPart(core, shelf);
  const target = { kind: 'grade', parts: core.parseGrade('6-3-5').grade, tolerance: 0.1 };
  await mixRow(core, `cheapest mix from ${shelf.length} products`, shelf, target, { rules: [], aim: 'cost' });
  const priced = shelf.filter((p) => p.offers.some((o) => o.price));
  const many = (n) =>
    Array.from({ length: n }, (_, i) => {
      const p = priced[i % priced.length];
      return { ...p, id: `${p.id} ${i}`, name: `${p.name} ${i}` };
    });
  const sixty = many(60);
  const rules = [
    ...['noChloride', 'noNitrate', 'noManure'].map((what) => ({ kind: 'keep', what })),
    ...sixty.slice(0, 37).map((p) => ({ kind: 'share', productId: p.id, high: 40 })),
  ];
  await mixRow(core, `cheapest mix from 60 products under ${rules.length} rules`, sixty, target, {
    rules,
    aim: 'cost',
  });
  await mixRow(core, 'cheapest mix of at most six of 30 products', many(30), target, {
    rules: [{ kind: 'kinds', most: 6 }, { kind: 'apart' }],
    aim: 'cost',
  });
  await mixRow(core, 'the same in whole packages', many(30), target, {
    rules: [{ kind: 'kinds', most: 6 }, { kind: 'packages' }],
    aim: 'cost',
    batch: { kg: 40, stockKg: {} },
  });
}

const LABEL =
  'Ridgeway Meadow Feed 5-3-4\nGUARANTEED ANALYSIS\nTotal Nitrogen (N) ........ 5.0%\n   1.0% Ammoniacal Nitrogen\n   4.0% Water Insoluble Nitrogen\nAvailable Phosphate (P2O5) .. 3.0%\nSoluble Potash (K2O) ........ 4.0%\nDerived from: feather meal, bone meal, sulfate of potash\nNet weight 20 kg';

export async function benchLabel(core) {
  const hundred = await median(() => {
    for (let i = 0; i < 100; i++) core.readLabel(LABEL);
  });
  const split = await median(() => {
    let numbers = 0;
    for (let i = 0; i < 100; i++)
      for (const line of LABEL.split('\n')) numbers += (line.match(/\d+(\.\d+)?/g) ?? []).length;
    return numbers;
  });
  row(
    'reading a label of nine lines',
    ms(hundred / 100),
    `${times(hundred / split)} only finding its numbers (${ms(split / 100)})`,
  );
}

/** A paper of sixty long lines, typed at its end, and hostile texts of twice the size: twice the time, not four times. */
export async function benchPapers(core) {
  const line = (i) => `Phosphorus pentoxide (P2O5) soluble in citrate and water, sort ${i} ....... ${i % 9}.5 %`;
  const paper = Array.from({ length: 60 }, (_, i) => line(i)).join('\n');
  let typed = 0;
  const typing = await median(() => core.readLabel(`${paper}\n${++typed}`), 21);
  row('reading a paper of sixty lines again while typing', ms(typing), typing < 30 ? 'within 30 ms' : 'goal 30 ms');
  const hostile = [
    ['digits', (n) => '9'.repeat(n)],
    ['brackets', (n) => '('.repeat(n)],
    ['a long line', (n) => 'Nitrogen 5 % '.repeat(n / 13)],
    ['many lines', (n) => 'Nitrogen 5 %\n'.repeat(n / 13)],
  ];
  for (const [name, text] of hostile) {
    const [once, twice] = [text(500_000), text(1_000_000)];
    const [a, b] = [await median(() => core.readLabel(once), 5), await median(() => core.readLabel(twice), 5)];
    row(`reading a megabyte: ${name}`, ms(b), `${times(b / a)} half a megabyte`);
  }
}
