// Trials: permutations against a bare loop, and how often a true null is rejected.
import { median, ms, row, times } from './measure.mjs';

const ARMS = 8;
const BLOCKS = 6;
const DRAWS = 10_000;

/** Units without any effect of the arms. */
function nothing(core, arms, blocks, seed) {
  const draw = core.uniformDraws(seed);
  for (let i = 0; i < 64; i++) draw();
  const chance = () => draw() + draw() + draw() - 1.5;
  return core.layOut('blocks', arms, blocks, seed).map(({ arm, block }) => ({
    arm,
    block,
    values: [20 + block + chance() * 2],
  }));
}

/** The same work without names: shuffle each block, add up arms, keep the largest difference over its error. */
function bare(units) {
  const values = Float64Array.from(units, (u) => u.values[0]);
  const total = values.reduce((a, b) => a + b * b, 0);
  const arm = Int32Array.from(units, (u) => u.arm);
  const sums = new Float64Array(ARMS);
  let state = 12345;
  const next = () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 2 ** 32;
  };
  let beyond = 0;
  for (let d = 0; d < DRAWS; d++) {
    for (let b = 0; b < BLOCKS; b++)
      for (let i = ARMS - 1; i > 0; i--) {
        const j = Math.floor(next() * (i + 1));
        const [at, to] = [b * ARMS + i, b * ARMS + j];
        [arm[at], arm[to]] = [arm[to], arm[at]];
      }
    sums.fill(0);
    for (let i = 0; i < arm.length; i++) sums[arm[i]] += values[i];
    let between = 0;
    for (let a = 0; a < ARMS; a++) between += (sums[a] * sums[a]) / BLOCKS;
    const error = Math.sqrt((Math.abs(total - between) / 35) * (2 / BLOCKS));
    let most = 0;
    for (let a = 1; a < ARMS; a++) most = Math.max(most, Math.abs(sums[a] - sums[0]) / BLOCKS / error);
    for (let a = 1; a < ARMS; a++) if (most >= a) beyond += 1;
  }
  return beyond;
}

export async function benchTrials(core) {
  const units = nothing(core, ARMS, BLOCKS, 7);
  const ours = await median(() => core.permute(units, { layout: 'blocks', control: 0, draws: DRAWS }), 3);
  const loop = await median(() => bare(units), 3);
  row(
    `${DRAWS} permutations of ${ARMS} arms in ${BLOCKS} blocks`,
    ms(ours),
    `${times(ours / loop)} a bare loop (${ms(loop)})`,
  );
  const lost = units.map((u, i) => (i % 16 === 5 ? { ...u, values: [Number.NaN] } : u));
  const withLosses = await median(() => core.permute(lost, { layout: 'blocks', control: 0, draws: DRAWS }), 3);
  row('… with three units lost, each arrangement solved', ms(withLosses), `${times(withLosses / loop)} the same loop`);
  const TRIALS = 2000;
  for (const [arms, blocks] of [
    [2, 6],
    [3, 4],
    [2, 5],
  ]) {
    let rejected = 0;
    for (let n = 1; n <= TRIALS; n++) {
      const found = core.permute(nothing(core, arms, blocks, n * 7919), { layout: 'blocks', control: 0 });
      if (Math.min(...found.outcomes[0].map((a) => a.p)) <= 0.05) rejected += 1;
    }
    const most = 0.05 + 3 * Math.sqrt((0.05 * 0.95) / TRIALS);
    const share = rejected / TRIALS;
    row(
      `${TRIALS} trials of ${arms} arms in ${blocks} blocks in which nothing did anything`,
      `${(share * 100).toFixed(1)} % rejected`,
      share <= most
        ? `at most ${(most * 100).toFixed(1)} % may be`
        : `TOO MANY: at most ${(most * 100).toFixed(1)} % may be`,
    );
  }
}
