// A programme's band and best days, and replacement values on a long shelf.
import { median, ms, row, times } from './measure.mjs';

const NAMES = [
  'Larkmere Feather Meal',
  'Quernlow Urea',
  'Hollow Hen Pellets',
  'Larkmere Bone Meal',
  'Quernlow Sulfate of Ammonia',
];

/** Five bags given to the first plot, a dose each, at equal nitrogen. */
function fiveBags(core, contract, demo) {
  const [plot] = demo.PLOTS;
  const season = contract.toSeason(demo.SEASONS.filter((s) => s.plot === plot.name).at(-1));
  const site = { ...contract.toSite(plot), season };
  const doings = NAMES.map((name, i) => {
    const product = contract.toProduct(
      demo.PRODUCTS.find((p) => p.name === name),
      name,
    );
    const amount = 22 / core.midSupply(product, 'N');
    return {
      application: {
        amount: { kind: 'rate', rate: { amount, unit: 'kg', per: { amount: 1, unit: 'ha' } } },
        when: { kind: 'afterPlanting', days: i * 20 },
        where: { kind: 'workedIn', depthM: 0.1 },
        part: { share: 1 },
      },
      given: core.bagAs(product),
    };
  });
  const days = core.siteDays(site);
  const inNumbers = core.computeProgramme(doings, { areaM2: plot.areaM2 }, season, days.temperatureC);
  return core.programmeCase(inNumbers, site, days, core.soilNitrogen(site, undefined, season.from));
}

export async function benchProgramme(core, contract, demo) {
  const five = fiveBags(core, contract, demo);
  // Two hundred at a time, so that the bare model is as warm as the band is.
  const bare = (await median(() => Array.from({ length: 200 }, () => core.followCase(five)), 3)) / 200;
  row('a programme of five bags followed for 26 weeks', ms(bare), 'what a drag of a dose redraws');
  let first = 0;
  const from = performance.now();
  const whole = await median(() => {
    const begun = performance.now();
    core.programmeBand(five, 2000, 1, () => {
      first ||= performance.now() - begun;
      return true;
    });
  }, 1);
  row('its first band, of 25 draws', ms(first), 'while the line stands already');
  row(
    'its band of 2 000 draws, on one core',
    ms(whole),
    `${times(whole / (2000 * bare))} 2 000 bare runs (${ms(performance.now() - from)} with the warm-up)`,
  );
}

export async function benchWorth(core) {
  const { default: loadHighs } = await import('highs');
  const highs = await loadHighs();
  let inSolver = 0;
  const timed = {
    solve: (...args) => {
      const begun = performance.now();
      const found = highs.solve(...args);
      inSolver += performance.now() - begun;
      return found;
    },
  };
  const line = (analyte, value) => ({
    analyte,
    basis: 'element',
    value: { kind: 'number', value },
    unit: '%',
    provenance: 'label',
    source: '',
  });
  const products = Array.from({ length: 500 }, (_, i) => ({
    id: `b${i}`,
    name: `Bag ${i}`,
    form: 'granule',
    analysis: [line('N', 1 + ((i * 7) % 40)), line('P', (i * 3) % 12), line('K', (i * 5) % 30)],
    derivedFrom: [],
    offers: [{ size: 20, unit: 'kg', price: { amount: (8 + ((i * 13) % 50)).toFixed(2), currency: 'EUR' } }],
    directions: [],
  }));
  await median(() => core.pricedShelf(products, 'EUR', ['N', 'P', 'K']), 1);
  const begun = performance.now();
  const shelf = core.pricedShelf(products, 'EUR', ['N', 'P', 'K']);
  for (const bag of shelf.bags.slice(0, 50)) core.replacementValue(shelf, bag, timed);
  const all = performance.now() - begun;
  row(
    'replacement values of 50 bags on a shelf of 500',
    ms(all),
    `${times(all / inSolver)} the bare solver (${ms(inSolver)})`,
  );
}
