import {
  addRanges,
  divideRanges,
  exact,
  isExact,
  multiplyRanges,
  percentileOf,
  subtractRanges,
  triangular,
  uniformDraws,
  type Range,
} from '../quantity/index.js';
import { operandsOf, type Figure, type Powers } from './figure.js';

/** What tells one uncertain quantity from another: its name, or the very object where nobody named it. */
type Identity = string | Figure;
export const identityOf = (figure: Figure): Identity => figure.id ?? figure;

/** Whether other numbers can be put into it, so that what it was made of stays apart. */
const opens = ({ how }: Figure): boolean =>
  how.kind === 'operation' || (how.kind === 'function' && how.again !== undefined);

/** The uncertain quantities a figure rests on, each once. */
export function uncertainIn(figure: Figure): ReadonlyMap<Identity, Figure> {
  const found = new Map<Identity, Figure>();
  const visit = (f: Figure): void => {
    if (opens(f)) operandsOf(f).forEach(visit);
    else if (!isExact(f.value)) found.set(identityOf(f), f);
  };
  visit(figure);
  return found;
}

/** A figure's number with some of its uncertain quantities set, the others in their middle. */
export function withNumbers(figure: Figure, set: ReadonlyMap<Identity, number>): number {
  const { how } = figure;
  if (!opens(figure)) return set.get(identityOf(figure)) ?? figure.value.mid;
  const of = operandsOf(figure).map((f) => withNumbers(f, set));
  const [first = 0, ...rest] = of;
  if (how.kind === 'function') return how.again ? withPowers(how.again, of) : figure.value.mid;
  if (how.kind !== 'operation') return figure.value.mid;
  switch (how.sign) {
    case '+':
      return of.reduce((a, b) => a + b, 0);
    case '×':
      return of.reduce((a, b) => a * b, 1);
    case '−':
      return rest.reduce((a, b) => a - b, first);
    case '÷':
      return rest.reduce((a, b) => a / b, first);
  }
}

function withPowers({ scale, of }: Powers, numbers: readonly number[]): number {
  return numbers.reduce((all, x, i) => (of[i] === -1 ? all / x : all * x), scale);
}

const ZERO = exact(0);
const sumOf = (ranges: readonly Range[]): Range => ranges.reduce(addRanges, ZERO);

/** One operand moves c·Πxᵢ^pᵢ by the others' part of it, times 1, or −1/x² where it is divided by. */
function slopeOfPowers(of: readonly Figure[], { scale, of: powers }: Powers, by: Identity): Range | undefined {
  const over = (top: Range, i: number): Range | undefined => divideRanges(top, of[i]?.value ?? ZERO);
  const parts = of.map((f, i) => {
    let part = slopeOf(f, by);
    for (let j = 0; j < of.length && part; j++) {
      if (powers[j] === -1) part = over(part, j);
      else if (j !== i) part = multiplyRanges(part, of[j]?.value ?? ZERO);
    }
    return part && powers[i] === -1 ? over(multiplyRanges(part, exact(-1)), i) : part;
  });
  const known = parts.filter((p) => p !== undefined);
  return known.length < parts.length ? undefined : multiplyRanges(sumOf(known), exact(scale));
}

/** Bounds on how a figure moves with one of its uncertain quantities; undefined where that cannot be told. */
function slopeOf(figure: Figure, by: Identity): Range | undefined {
  if (!opens(figure)) return identityOf(figure) === by ? exact(1) : ZERO;
  const { how } = figure;
  if (how.kind === 'function' && how.again) return slopeOfPowers(how.of, how.again, by);
  if (how.kind !== 'operation') return undefined;
  const slopes = how.of.map((f) => slopeOf(f, by));
  const known = slopes.filter((s) => s !== undefined);
  if (known.length < slopes.length) return undefined;
  const [top, bottom] = how.of;
  const [slopeTop = ZERO, slopeBottom = ZERO] = known;
  switch (how.sign) {
    case '+':
      return sumOf(known);
    case '−':
      return subtractRanges(slopeTop, slopeBottom);
    case '×':
      return sumOf(
        known.map((slope, i) => how.of.reduce((all, f, j) => (i === j ? all : multiplyRanges(all, f.value)), slope)),
      );
    case '÷': {
      if (!top || !bottom) return undefined;
      // (u/v)′ = (u′ − (u/v)·v′) / v
      const ratio = divideRanges(top.value, bottom.value);
      return ratio && divideRanges(subtractRanges(slopeTop, multiplyRanges(ratio, slopeBottom)), bottom.value);
    }
  }
}

/** Draws of a range that cannot be told by its corners, and the share of them between its ends. */
const DRAWS = 2000;
const SEED = 20_260_314;
const SHARE = 0.8;

function drawn(figure: Figure, uncertain: ReadonlyMap<Identity, Figure>): Range {
  const uniform = uniformDraws(SEED);
  const results = Float64Array.from({ length: DRAWS }, () =>
    withNumbers(figure, new Map([...uncertain].map(([id, f]) => [id, triangular(f.value, uniform())]))),
  ).sort();
  return {
    low: Math.min(percentileOf(results, (1 - SHARE) / 2), figure.value.mid),
    mid: figure.value.mid,
    high: Math.max(percentileOf(results, (1 + SHARE) / 2), figure.value.mid),
  };
}

/**
 * A figure worked out once over what both its operands rest on. Where it moves one way with each uncertain quantity, its ends are exact, at the
 * corners; else they hold eight of ten seeded draws. Nothing shared: as it is.
 */
export function jointly(figure: Figure, a: Figure, b: Figure): Figure {
  const inA = uncertainIn(a);
  const inB = uncertainIn(b);
  if (![...inA.keys()].some((id) => inB.has(id))) return figure;
  const uncertain = new Map([...inA, ...inB]);
  const slopes = new Map([...uncertain.keys()].map((id) => [id, slopeOf(figure, id)]));
  const oneWay = [...slopes.values()].every((s) => s !== undefined && (s.low >= 0 || s.high <= 0));
  if (!oneWay) return { ...figure, value: drawn(figure, uncertain), spread: { kind: 'draws', share: SHARE } };
  const corner = (end: 'low' | 'high'): number => {
    const set = new Map<Identity, number>();
    for (const [id, f] of uncertain) {
      const rises = (slopes.get(id)?.low ?? 0) >= 0;
      set.set(id, rises === (end === 'high') ? f.value.high : f.value.low);
    }
    return withNumbers(figure, set);
  };
  return { ...figure, value: { low: corner('low'), mid: figure.value.mid, high: corner('high') } };
}
