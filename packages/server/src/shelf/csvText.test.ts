import fc from 'fast-check';
import { csvRows, delimiterOf, wholeRows } from './csvText.js';

async function* inPieces(text: string, size: number): AsyncGenerator<string> {
  for (let at = 0; at < text.length; at += size) yield await Promise.resolve(text.slice(at, at + size));
}
async function slices(text: string, size: number) {
  const found: { text: string; rows: number }[] = [];
  for await (const slice of wholeRows(inPieces(text, size))) found.push(slice);
  return found;
}
const LONG = 'x'.repeat(300);
/** Rows of which some hold line ends and commas in quotes. */
const aFile = fc
  .array(fc.tuple(fc.constantFrom('a', 'b,c', 'two\nlines', LONG), fc.nat(1000)), { minLength: 1, maxLength: 40 })
  .map((rows) =>
    // Enough of it to be cut.
    Array.from({ length: 60 }, () => rows.map(([word, n]) => `"${word}",${n},${LONG}`).join('\n')).join('\n'),
  );

test('slices of whole rows put together are the file, and their rows are those of the file', async () => {
  await fc.assert(
    fc.asyncProperty(aFile, fc.integer({ min: 1000, max: 90_000 }), async (text, size) => {
      const found = await slices(text, size);
      expect(found.map((s) => s.text).join('')).toBe(text);
      const whole = [...csvRows(text)];
      expect(found.flatMap((s) => [...csvRows(s.text)])).toEqual(whole);
      expect(found.reduce((n, s) => n + s.rows, 0)).toBe(whole.length);
    }),
    { numRuns: 30 },
  );
});

test('a quotation mark that never closes is refused before the rest of the file is held', async () => {
  let given = 0;
  async function* endless(): AsyncGenerator<string> {
    yield await Promise.resolve('a,"');
    for (;;) {
      given += 50_000;
      yield await Promise.resolve('x'.repeat(50_000));
    }
  }
  const run = async () => {
    for await (const slice of wholeRows(endless())) expect(slice).toBeUndefined();
  };
  await expect(run()).rejects.toMatchObject({ code: 'unreadable-file' });
  expect(given).toBeLessThan(1_000_000);
});

test.each([
  ['a,b\n1,2', ','],
  ['a;b\n1,5;2', ';'],
  ['a\tb\n1\t2', '\t'],
])('what stands between cells of %j is %j', (text, mark) => {
  expect(delimiterOf(text)).toBe(mark);
});
