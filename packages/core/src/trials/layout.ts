import { uniformDraws } from '../quantity/index.js';

export const LAYOUTS = ['blocks', 'random', 'latin'] as const;
export type TrialLayout = (typeof LAYOUTS)[number];
export const LAYOUT_WORDS: Readonly<Record<TrialLayout, string>> = {
  blocks: 'blocks, each with every arm once',
  random: 'all mixed, without blocks',
  latin: 'a Latin square: every arm once in each row and column',
};

/** One place of a trial: which arm stands there, and the code that says so only to who holds the key. */
export interface TrialUnit {
  readonly number: number;
  readonly arm: number;
  /** Counted from 0; undefined in a layout without blocks. */
  readonly block: number | undefined;
  readonly row: number;
  readonly column: number;
  readonly code: string;
}

/** The first draws of seeds that lie close together are alike: so many are thrown away. */
const WARM_UP = 64;
function seeded(seed: number): () => number {
  const draw = uniformDraws(seed);
  for (let i = 0; i < WARM_UP; i++) draw();
  return draw;
}
/** Whole numbers below a bound, from a stream of draws. */
const below = (draw: () => number, bound: number): number => Math.floor(draw() * bound);
/** A list in an order of chance (Fisher & Yates). */
export function shuffled<T>(list: readonly T[], draw: () => number): readonly T[] {
  const mixed = [...list];
  for (let i = mixed.length - 1; i > 0; i--) {
    const j = below(draw, i + 1);
    [mixed[i], mixed[j]] = [mixed[j] as T, mixed[i] as T];
  }
  return mixed;
}
const range = (n: number): readonly number[] => Array.from({ length: n }, (_, i) => i);

/** Letters that are not taken for one another or for a number. */
const LETTERS = 'ACDEFHJKMNPRTUWXY';
/** Codes that say nothing of an arm, each once: they are drawn from a stream of their own. */
function codes(count: number, seed: number): readonly string[] {
  const draw = seeded(seed ^ 0x5eed);
  const found = new Set<string>();
  while (found.size < count)
    found.add(
      range(3)
        .map(() => LETTERS[below(draw, LETTERS.length)])
        .join(''),
    );
  return [...found];
}

/** A square in which each arm stands once in every row and column, its rows, columns and arms in an order of chance. */
export function latinSquare(arms: number, draw: () => number): readonly (readonly number[])[] {
  const [rows, columns, names] = [
    shuffled(range(arms), draw),
    shuffled(range(arms), draw),
    shuffled(range(arms), draw),
  ];
  return rows.map((r) => columns.map((c) => names[(r + c) % arms] ?? 0));
}

/** More units than this nobody lays out in a garden. */
export const MOST_UNITS = 600;

/**
 * Lays arms out by chance, the same for a seed every time. Blocks lie below each other; without blocks the units fill rows as long as there are arms.
 * @param replicates of each arm; a Latin square has as many as arms
 * @throws RangeError for fewer than two arms, no replicate, or more units than are laid out
 * @example layOut('blocks', 3, 4, 7).length // 12
 */
export function layOut(layout: TrialLayout, arms: number, replicates: number, seed: number): readonly TrialUnit[] {
  const times = layout === 'latin' ? arms : replicates;
  if (!(arms >= 2 && times >= 1))
    throw new RangeError(`Read ${arms} arms × ${times}, expected two arms and one of each or more.`);
  if (arms * times > MOST_UNITS) throw new RangeError(`Read ${arms * times} units, expected at most ${MOST_UNITS}.`);
  const draw = seeded(seed);
  const rows: readonly (readonly number[])[] =
    layout === 'latin'
      ? latinSquare(arms, draw)
      : layout === 'blocks'
        ? range(times).map(() => shuffled(range(arms), draw))
        : ((all) => range(times).map((r) => all.slice(r * arms, (r + 1) * arms)))(
            shuffled(
              range(times).flatMap(() => range(arms)),
              draw,
            ),
          );
  const names = codes(arms * times, seed);
  return rows.flatMap((row, r) =>
    row.map((arm, c): TrialUnit => {
      const number = r * arms + c + 1;
      return {
        number,
        arm,
        block: layout === 'blocks' ? r : undefined,
        row: r,
        column: c,
        code: names[number - 1] ?? '',
      };
    }),
  );
}
