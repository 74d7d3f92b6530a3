import { exact, isExact, measure, type Measure, type Range } from '../quantity/index.js';

/** Where a stored number came from, the most trusted first. */
export const PROVENANCES = ['measured', 'label', 'published', 'typical', 'guess'] as const;
export type Provenance = (typeof PROVENANCES)[number];
/** The same, or what a person decided, which is neither known nor guessed. */
export type LiteralOrigin = Provenance | 'chosen';

export type Sign = '+' | '−' | '×' | '÷';

/** A number times each operand, or over it (−1). Plain data, so that a figure can go to another thread. @example { scale: 100, of: [1] } // as per cent */
export interface Powers {
  readonly scale: number;
  readonly of: readonly (1 | -1)[];
}

/** How a figure came to be. */
export type How =
  | { readonly kind: 'literal'; readonly provenance: LiteralOrigin; readonly source: string }
  | {
      readonly kind: 'assumption';
      readonly source: string;
      /** By which the user's own figure takes its place; missing where none can. */
      readonly key?: string | undefined;
      /** What is usual, where the figure is the user's own. */
      readonly usual?: Range | undefined;
    }
  | { readonly kind: 'constant'; readonly source: string }
  | { readonly kind: 'operation'; readonly sign: Sign; readonly of: readonly Figure[] }
  | {
      readonly kind: 'function';
      readonly name: string;
      readonly text: string;
      readonly of: readonly Figure[];
      /** The same computation with other numbers put in, where it is no more than this; else the figure counts as a leaf. */
      readonly again?: Powers | undefined;
    }
  | {
      readonly kind: 'solved';
      readonly solver: string;
      /** What was made as small or as large as can be. */
      readonly objective: string;
      /** The rules that hold it where it is; loosening any other changes nothing. */
      readonly binds: readonly string[];
      readonly of: readonly Figure[];
    };

/**
 * What the ends of a range are: bounds that nothing lies outside of as far as is known; a share of seeded draws; a confidence interval of an
 * estimate; a prediction interval of the next one; or several of these put together, of which no one word is true.
 */
export type Spread =
  | { readonly kind: 'bounds' }
  | { readonly kind: 'draws'; readonly share: number }
  | { readonly kind: 'confidence'; readonly level: number }
  | { readonly kind: 'prediction'; readonly level: number }
  | { readonly kind: 'mixed' };

export const BOUNDS: Spread = { kind: 'bounds' };

/** A number that carries its working: what it is, its value with range, its unit, and what it was made from. */
export interface Figure {
  readonly label: string;
  readonly value: Range;
  readonly unit: Measure;
  readonly how: How;
  /** What the ends of its range are. */
  readonly spread: Spread;
  /** Names the very quantity, when two figures may speak of the same: what is shared on both sides of a difference cancels. */
  readonly id?: string | undefined;
}

/** A unit as a value, or as the program text writes it. */
export type Unit = Measure | string;
export const unitFrom = (unit: Unit): Measure => (typeof unit === 'string' ? measure(unit) : unit);

const asRange = (value: number | Range): Range => (typeof value === 'number' ? exact(value) : value);

/** A number that was read somewhere: on a label, in a report, on a scale. */
export const literal = (
  label: string,
  value: number | Range,
  unit: Unit,
  provenance: LiteralOrigin,
  source: string,
): Figure => ({
  label,
  value: asRange(value),
  unit: unitFrom(unit),
  how: { kind: 'literal', provenance, source },
  spread: BOUNDS,
});

/** A number the program supplied because nobody measured it. Its range and source are part of it. */
export const assumption = (label: string, value: number | Range, unit: Unit, source: string): Figure => ({
  label,
  value: asRange(value),
  unit: unitFrom(unit),
  how: { kind: 'assumption', source },
  spread: BOUNDS,
});

/** A number fixed by definition: a unit factor, an atomic-weight ratio. */
export const constant = (label: string, value: number, unit: Unit, source: string): Figure => ({
  label,
  value: exact(value),
  unit: unitFrom(unit),
  how: { kind: 'constant', source },
  spread: BOUNDS,
});

/** The result of a longer computation, told in one sentence, with the figures put in. @param again the same with other numbers put in */
export const computed = (
  label: string,
  value: number | Range,
  unit: Unit,
  name: string,
  text: string,
  of: readonly Figure[],
  again?: Powers,
): Figure => ({
  label,
  value: asRange(value),
  unit: unitFrom(unit),
  how: { kind: 'function', name, text, of, again },
  spread: spreadOf(of),
});

/** A number that a solver chose. @param binds the rules that hold it where it is */
export const solved = (
  label: string,
  value: number,
  unit: Unit,
  found: { readonly solver: string; readonly objective: string; readonly binds: readonly string[] },
  of: readonly Figure[] = [],
): Figure => ({
  label,
  value: exact(value),
  unit: unitFrom(unit),
  how: { kind: 'solved', ...found, of },
  spread: BOUNDS,
});

/** The same figure as the very quantity of that name, whoever makes it; an empty name names nothing. @example identified(price, `${bag.id} price 25 kg`) */
export const identified = (figure: Figure, id: string): Figure => (id === '' ? figure : { ...figure, id });

/** The same figure, its range being what is said. */
export const spreadAs = (figure: Figure, spread: Spread): Figure => ({ ...figure, spread });

const sameSpread = (a: Spread, b: Spread): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What the range of a figure made of others is: one uncertain part hands its own kind on; bounds stay bounds; all else is mixed. */
export function spreadOf(of: readonly Figure[]): Spread {
  const uncertain = of.filter((f) => !isExact(f.value)).map((f) => f.spread);
  const [first] = uncertain;
  if (!first) return BOUNDS;
  if (uncertain.length === 1) return first;
  return first.kind === 'bounds' && uncertain.every((s) => sameSpread(s, first)) ? BOUNDS : { kind: 'mixed' };
}

/** The figures a figure was directly made from. */
export const operandsOf = ({ how }: Figure): readonly Figure[] =>
  how.kind === 'operation' || how.kind === 'function' || how.kind === 'solved' ? how.of : [];

/** Every figure of a tree, the head first, each as often as it stands there. */
export function everyFigure(figure: Figure): readonly Figure[] {
  return [figure, ...operandsOf(figure).flatMap(everyFigure)];
}

/** Every assumption below a figure, each once, in the order met. */
export function assumptionsIn(figure: Figure): readonly Figure[] {
  const found = new Map<string, Figure>();
  for (const f of everyFigure(figure)) if (f.how.kind === 'assumption') found.set(`${f.label}|${f.unit.text}`, f);
  return [...found.values()];
}
