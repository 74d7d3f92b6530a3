import type { SeasonRecord } from '@wheat-ledger/contract';
import { readHarvestCsv } from './readHarvestCsv';

const PLOTS = [
  { id: 'a', name: 'Wheat strip' },
  { id: 'b', name: 'Dahlia rows' },
];
const season = (id: string, plotId: string, from: string, to?: string) => ({ id, plotId, from, to }) as SeasonRecord;
const SEASONS = [
  season('s1', 'a', '2025-10-01', '2026-07-31'),
  season('s2', 'a', '2026-08-01'),
  season('s3', 'b', '2026-05-01'),
  season('s4', 'b', '2026-05-01'),
];
const read = (text: string) => readHarvestCsv(text, PLOTS, SEASONS);

test('rows become harvests of the season that stood there; pounds become kg; two seasons at once are not guessed', () => {
  const { rows, problems } = read(
    'Date,Bed,Weight,Unit,Pieces\n1 Jul 2026,Wheat strip,12.5,kg,\n2 Aug 2026,wheat strip,10,lb,40\n2026-08-02,Dahlia rows,0.4,,12\n',
  );
  expect(problems).toEqual([]);
  expect(rows.map((r) => [r.seasonId, r.on, r.count])).toEqual([
    ['s1', '2026-07-01', undefined],
    ['s2', '2026-08-02', 40],
    [undefined, '2026-08-02', 12],
  ]);
  expect(rows[0]!.kg).toBe(12.5);
  expect(rows[1]!.kg).toBeCloseTo(4.5359, 4);
});

test('a row that cannot be read is told by its line, and costs no other', () => {
  const { rows, problems } = read(
    'day;plot;kg\n1 Jul 2026;Nowhere;5\nsome day;Wheat strip;5\n1 Jul 2026;Wheat strip;lots\n1 Jul 2026;Wheat strip;5',
  );
  expect(rows).toHaveLength(1);
  expect(problems.map((p) => p.line)).toEqual([2, 3, 4]);
  expect(problems[0]!.why).toContain('“Nowhere”');
});

test('a file without days is refused', () => {
  expect(() => read('a,b\n1,2')).toThrow(/“day” or “date”/);
});
