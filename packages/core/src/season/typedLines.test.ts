import fc from 'fast-check';
import { libraryCrop } from './library/index.js';
import { parseAgeRows, parseTissueBands, printAgeRows, printTissueBands } from './typedLines.js';

const rowsOf = <T>(read: { ok: true; rows: readonly T[] } | { ok: false; reason: string }): readonly T[] => {
  if (!read.ok) throw new Error(read.reason);
  return read.rows;
};

test('years, amount and ring of a line; inches and ounces too', () => {
  const rows = rowsOf(
    parseAgeRows('1: 200 g, 30–60 cm\n\n years 3-4 : 0.6–0.8 kg; ring 40–120 cm\n5 on: 2 lb, 1–4 ft'),
  );
  expect(rows).toHaveLength(3);
  expect(rows[0]).toMatchObject({
    fromYear: 1,
    toYear: 1,
    gPerPlant: { low: 200, high: 200 },
    innerM: 0.3,
    outerM: 0.6,
  });
  expect(rows[1]!.gPerPlant.mid).toBeCloseTo(700, 9);
  expect(rows[2]).toMatchObject({ fromYear: 5 });
  expect(rows[2]!.toYear).toBeUndefined();
  expect(rows[2]!.outerM).toBeCloseTo(1.2192, 6);
});

test('what cannot be read is told with what was read and what was expected', () => {
  const why = (text: string): string => {
    const read = parseAgeRows(text);
    return read.ok ? '' : read.reason;
  };
  expect(why('a lot for old trees')).toMatch(/Read “a lot for old trees”, expected/);
  expect(why('1: 200 g, 60 cm')).toMatch(/two edges/);
  expect(why('4-3: 200 g, 30–60 cm')).toMatch(/first before the last/);
  expect(why('1: 200 furlongs, 30–60 cm')).toMatch(/Read/);
  expect(why(`${'1: 200 g, 30–60 cm\n'.repeat(61)}`)).toMatch(/61 lines/);
});

test('bands by element with part and time; a band without width is refused', () => {
  expect(rowsOf(parseTissueBands('N 3–4 %, flag leaf, at heading\nP 0.25-0.5'))).toEqual([
    { nutrient: 'N', lowPercent: 3, highPercent: 4, part: 'flag leaf', when: 'at heading' },
    { nutrient: 'P', lowPercent: 0.25, highPercent: 0.5, part: '', when: '' },
  ]);
  for (const text of ['Xx 3–4 %', 'N 4 %', 'N 50–120 %', 'nitrogen']) expect(parseTissueBands(text).ok).toBe(false);
});

test('what the library says of ages and leaves is typed and read back as it was', () => {
  const apple = libraryCrop('apple')!;
  const rows = rowsOf(parseAgeRows(printAgeRows(apple.ages!.rows)));
  expect(rows.map((r) => [r.fromYear, r.toYear, r.gPerPlant.mid, r.outerM])).toEqual(
    apple.ages!.rows.map((r) => [r.fromYear, r.toYear, r.gPerPlant.mid, r.outerM]),
  );
  expect(rowsOf(parseTissueBands(printTissueBands(apple.tissue)))).toEqual(apple.tissue);
});

test('any text is read or refused, never thrown at', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 400 }), (text) => {
      for (const read of [parseAgeRows(text), parseTissueBands(text)])
        expect(read.ok || read.reason.length > 10).toBe(true);
    }),
  );
});
