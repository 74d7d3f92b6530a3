/** What became of a number of a paper. */
export type FateKind = 'taken' | 'asked' | 'setAside' | 'notUnderstood';
/** A number of a line, where it stands, and what became of it. */
export interface Fate {
  readonly text: string;
  readonly start: number;
  readonly end: number;
  readonly fate: FateKind;
  /** Why, in words. */
  readonly why: string;
}
/** A part of a line, and what became of its numbers. */
export interface Told {
  readonly start: number;
  readonly end: number;
  readonly fate: FateKind;
  readonly why: string;
}
const NUMBER = /(?<![\p{L}\d])(?:\d+(?:[.,/]\d+)*|[½¼¾⅓⅔⅛])/gu;

/** Every number of a line with what became of it; what nobody speaks of is not understood. @param told what is known of parts of the line, the first that covers a number counts */
export const fatesOf = (line: string, told: readonly Told[]): readonly Fate[] =>
  [...line.matchAll(NUMBER)].map((found) => {
    const [start, end] = [found.index, found.index + found[0].length];
    const known = told.find((t) => t.start <= start && t.end >= end);
    return {
      text: found[0],
      start,
      end,
      fate: known?.fate ?? 'notUnderstood',
      why: known?.why ?? 'what it is was not understood',
    };
  });
