// Claims: many studies together, and a large file of references.
import { median, ms, row, times } from './measure.mjs';

/** Effects that differ, of studies that are not equally large; the same every time. */
const manyEffects = (n) =>
  Array.from({ length: n }, (_, i) => ({
    effect: 0.1 + 0.3 * Math.sin(i * 12.9898),
    variance: 0.01 + 0.04 * Math.abs(Math.cos(i * 78.233)),
  }));

/** The bare loops: for each study left out, and for none, the sums of DerSimonian & Laird, then those at its variance. */
function bare(effects) {
  const n = effects.length;
  const y = Float64Array.from(effects, (e) => e.effect);
  const v = Float64Array.from(effects, (e) => e.variance);
  const found = new Float64Array(n + 1);
  for (let out = 0; out <= n; out++) {
    let [w1, w2, wy, wyy] = [0, 0, 0, 0];
    for (let i = 0; i < n; i++) {
      if (i === out) continue;
      const w = 1 / v[i];
      w1 += w;
      w2 += w * w;
      wy += w * y[i];
      wyy += w * y[i] * y[i];
    }
    const k = out < n ? n - 1 : n;
    const tau2 = Math.max(0, (wyy - (wy * wy) / w1 - (k - 1)) / (w1 - w2 / w1));
    let [s, sy, syy] = [0, 0, 0];
    for (let i = 0; i < n; i++) {
      if (i === out) continue;
      const w = 1 / (v[i] + tau2);
      s += w;
      sy += w * y[i];
      syy += w * y[i] * y[i];
    }
    found[out] = sy / s + (syy - (sy * sy) / s) / (k - 1) / s;
  }
  return found;
}

export async function benchPooling(core) {
  const effects = manyEffects(200);
  const pooled = await median(() => [core.pool(effects), core.leaveOneOut(effects)], 30);
  const loops = await median(() => bare(effects), 30);
  row(
    'pooling 200 studies, without each in turn, and for one more place',
    ms(pooled),
    `${times(pooled / loops)} two bare loops (${ms(loops)})`,
  );
}
