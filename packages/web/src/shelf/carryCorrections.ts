/** Where each line stands, by its words and by which of several alike it is. */
function placesOf(text: string): ReadonlyMap<string, number> {
  const seen = new Map<string, number>();
  return new Map(
    text.split(/\r\n|\r|\n/).map((line, i) => {
      const words = line.trim();
      const nth = (seen.get(words) ?? 0) + 1;
      seen.set(words, nth);
      return [`${nth} ${words}`, i + 1];
    }),
  );
}

/**
 * Corrections, by line number, follow their lines when the text around them changes; a line that was itself changed is read anew.
 * @example carryCorrections('Glow 3 %', 'N 5 %\nGlow 3 %', { 1: ignore }) // { 2: ignore }
 */
export function carryCorrections<C>(
  before: string,
  after: string,
  corrections: Readonly<Record<number, C>>,
): Readonly<Record<number, C>> {
  if (Object.keys(corrections).length === 0) return corrections;
  const now = placesOf(after);
  return Object.fromEntries(
    [...placesOf(before)].flatMap(([line, was]) => {
      const correction = corrections[was];
      const is = now.get(line);
      return correction === undefined || is === undefined ? [] : [[is, correction]];
    }),
  );
}
