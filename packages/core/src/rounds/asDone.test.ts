import fc from 'fast-check';
import { bag, featherMeal, seasonOf } from '../../test/bags.js';
import { bagAs, computeProgramme, type Application, type ComputedProgramme, type Doing } from '../season/index.js';
import { asDone, doneAsProgramme } from './asDone.js';
import { taskKey } from './round.js';
import { broughtKg, type LogEntry } from './went.js';

const GROUND = 900;
const season = { ...seasonOf('wheat', '2026-03-15'), to: '2026-08-01' };
const weekly: Application = {
  amount: { kind: 'rate', rate: { amount: 10, unit: 'g', per: { amount: 1, unit: 'm²' } } },
  when: { kind: 'repeat', from: '2026-05-01', to: '2026-05-29', everyDays: 7 },
  where: { kind: 'surface' },
  part: { share: 1 },
};
const numbers = (doings: readonly Doing[]): ComputedProgramme =>
  computeProgramme([...doings], { areaM2: GROUND }, season, []);
const { rows } = numbers([{ application: weekly, given: bagAs(featherMeal) }]);
const logged = (on: string, kg: number, given: Partial<LogEntry> = {}): LogEntry => ({
  id: given.id ?? on,
  on,
  what: 'x',
  areaM2: GROUND,
  items: [{ product: featherMeal, amount: kg, unit: 'kg' }],
  ...given,
});
const nitrogen = (doings: readonly Doing[]): number =>
  numbers(doings).totals.find((t) => t.analyte === 'N')?.figure.value.mid ?? 0;

test('five weeks of 9 kg: one ticked off as 12 kg, one left out, three to come are 12 + 27 kg, 56.3 kg N/ha', () => {
  const entries = [logged('2026-05-01', 12, { task: taskKey('p', 0, '2026-05-01') })];
  const doings = asDone(rows, 'p', entries, '2026-05-12', GROUND);
  expect(doings).toHaveLength(4);
  expect(nitrogen(doings)).toBeCloseTo(((12 + 27) * 0.13) / 0.09, 6);
  // The plan alone would be 45 kg.
  expect(nitrogen([{ application: weekly, given: bagAs(featherMeal) }])).toBeCloseTo((45 * 0.13) / 0.09, 6);
});

test('today’s is still planned until it is ticked off, and then counts once', () => {
  const on = '2026-05-15';
  expect(asDone(rows, 'p', [], on, GROUND)).toHaveLength(3);
  const ticked = [logged(on, 9, { task: taskKey('p', 0, on) })];
  expect(asDone(rows, 'p', ticked, on, GROUND)).toHaveLength(3);
  // Another programme's tick is no tick of this one.
  expect(asDone(rows, 'p', [logged(on, 9, { task: taskKey('q', 0, on) })], on, GROUND)).toHaveLength(4);
});

test('a tick that was corrected stays a tick: the correction counts, and the plan does not come back', () => {
  const on = '2026-05-15';
  const tick = logged(on, 9, { id: 'a', task: taskKey('p', 0, on) });
  const doings = asDone(rows, 'p', [tick, logged(on, 11, { id: 'b', corrects: 'a' })], on, GROUND);
  expect(doings).toHaveLength(3);
  expect(nitrogen(doings)).toBeCloseTo(((11 + 18) * 0.13) / 0.09, 6);
});

test('a corrected entry gives way, by hand counts too, half of the ground gets half the kg/ha, and water brings nothing', () => {
  const entries = [
    logged('2026-05-01', 9, { id: 'a' }),
    logged('2026-05-01', 18, { id: 'b', corrects: 'a' }),
    logged('2026-05-02', 9, { id: 'c', areaM2: 450, where: 'workedIn' }),
    logged('2026-05-03', 0, { id: 'd', items: [] }),
  ];
  const doings = doneAsProgramme(entries, GROUND);
  expect(doings.map((d) => d.application.part.share)).toEqual([1, 0.5]);
  expect(doings[1]!.application.where).toEqual({ kind: 'workedIn', depthM: 0.1 });
  expect(nitrogen(doings)).toBeCloseTo((27 * 0.13) / 0.09, 6);
});

test('a bag that is gone is not known, and not nothing', () => {
  const [gone] = doneAsProgramme(
    [logged('2026-05-01', 9, { items: [{ product: undefined, amount: 9, unit: 'kg' }] })],
    GROUND,
  );
  expect(gone!.given.unknown).toContain('not here');
});

test('what a programme of the log brings is what the log brings, whatever went on', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          kg: fc.double({ min: 0.1, max: 500, noNaN: true }),
          share: fc.double({ min: 0.05, max: 1, noNaN: true }),
        }),
        {
          minLength: 1,
          maxLength: 8,
        },
      ),
      (all) => {
        const meal = bag({ ...featherMeal, id: 'm' });
        const entries = all.map(({ kg, share }, i) =>
          logged('2026-05-01', kg, {
            id: String(i),
            areaM2: GROUND * share,
            items: [{ product: meal, amount: kg, unit: 'kg' }],
          }),
        );
        const kgN = entries.flatMap((e) => broughtKg(e, 'N')).reduce((sum, f) => sum + f.value.mid, 0);
        expect((nitrogen(doneAsProgramme(entries, GROUND)) * GROUND) / 10_000).toBeCloseTo(kgN, 6);
      },
    ),
  );
});
