// Keeps the release of the sample's bags as vectors, for later comparison: share available by week, on the wheat strip, worked in, at 100 kg N/ha.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { compile } from './lib/build.mjs';
import { ROOT } from './lib/run.mjs';

await compile();
const core = await import(join(ROOT, 'packages/core/dist/index.js'));
const contract = await import(join(ROOT, 'packages/contract/dist/index.js'));
const demo = await import(join(ROOT, 'packages/demo/dist/index.js'));
const [plot] = demo.PLOTS;
const grown = demo.SEASONS.filter((s) => s.plot === plot.name).at(-1);
const site = { ...contract.toSite(plot), season: contract.toSeason(grown) };
const days = core.siteDays(site);
const bags = Object.fromEntries(
  demo.PRODUCTS.flatMap((p) => {
    const release = core.productRelease(contract.toProduct(p, p.name), site, { daysOnSurface: 0 }, days);
    return release.kind === 'release' ? [[p.name, core.weekly(release.run.available)]] : [];
  }),
);
writeFileSync(join(ROOT, 'packages/demo/src/releaseVectors.json'), `${JSON.stringify(bags, null, 1)}\n`);
