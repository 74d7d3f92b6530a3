// Rounds and book: today's round over many plots, and the balance of many years.
import { median, ms, row, times } from './measure.mjs';

export async function benchRounds(core, contract, demo) {
  const product = { ...contract.toProduct(demo.PRODUCTS[0], 'bag') };
  const season = { crop: core.libraryCrop('wheat'), from: '2026-03-15', share: 1 };
  const doing = (i) => ({
    application: {
      amount: { kind: 'rate', rate: { amount: 20 + (i % 40), unit: 'g', per: { amount: 1, unit: 'm²' } } },
      when: { kind: 'repeat', from: '2026-04-01', to: '2026-09-30', everyDays: 14 },
      where: { kind: 'surface' },
      part: { share: 1 },
    },
    given: core.bagAs(product),
  });
  const plans = Array.from({ length: 200 }, (_, i) => ({
    programmeId: `p${i}`,
    name: `Programme ${i}`,
    plotId: `${i}`,
    plotName: `Plot ${i}`,
    season,
    rows: core.computeProgramme([doing(i), doing(i + 1)], { areaM2: 100 + i }, season, []).rows,
  }));
  const done = new Set();
  const round = await median(() =>
    core.carry(core.tasksBetween(plans, '2026-05-13', '2026-05-13', done, '2026-05-13')),
  );
  // The bare loop: every day of every row, those of the day added up.
  const bare = await median(() => {
    let kg = 0;
    let tasks = 0;
    for (const plan of plans)
      for (const r of plan.rows)
        for (const on of r.dates)
          if (on <= '2026-05-13' && on >= '2026-04-29') {
            tasks++;
            kg += r.applied.whole.value.mid;
          }
    return [kg, tasks];
  });
  row(
    'today’s round over 200 plots, with what to carry',
    ms(round),
    `${times(round / bare)} a bare loop (${ms(bare)})`,
  );
  const years = Array.from({ length: 20 }, () =>
    Array.from({ length: 500 }, (_, i) => ({
      id: `e${i}`,
      on: `${2017 + Math.floor(i / 50)}-04-${String(1 + (i % 28)).padStart(2, '0')}`,
      what: 'x',
      areaM2: 400,
      items: [{ product, amount: 1 + (i % 7), unit: 'kg' }],
    })),
  );
  const balance = await median(() => years.map((entries) => core.yearlyBalances(entries, [], 400)), 3);
  const fraction = product.analysis[0].value.value / 100;
  const sums = await median(() =>
    years.map((entries) => {
      const byYear = new Map();
      for (const e of entries)
        for (const item of e.items)
          byYear.set(e.on.slice(0, 4), (byYear.get(e.on.slice(0, 4)) ?? 0) + (item.amount * fraction * 6) / 0.04);
      return byYear;
    }),
  );
  row(
    'balance of 20 plots, 10 years of 50 entries, 6 elements',
    ms(balance),
    `${times(balance / sums)} plain sums without any working (${ms(sums)})`,
  );
}
