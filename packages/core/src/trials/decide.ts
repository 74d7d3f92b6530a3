/** One thing that counts in choosing an arm. */
export interface Criterion {
  readonly name: string;
  readonly better: 'more' | 'less';
  /** How much it counts; in any scale, none below zero. */
  readonly weight: number;
  /** What each arm has of it, in the order of the arms. */
  readonly values: readonly number[];
}
export interface Decision {
  /** For each arm, 0 where it is the worst in all, 1 where it is the best in all. */
  readonly scores: readonly number[];
  /** Arms, the best first; of a tie the first named. */
  readonly order: readonly number[];
  /** Arms that another is as good as in all and better than in one. */
  readonly dominated: readonly { readonly arm: number; readonly by: number }[];
  /** For each criterion between which shares of all weight the best stays the best, the others keeping their proportions. */
  readonly holds: readonly {
    readonly name: string;
    readonly share: number;
    readonly low: number;
    readonly high: number;
    /** Which arm is the best, from a share of 0 to one of 1. */
    readonly firsts: readonly { readonly arm: number; readonly from: number; readonly to: number }[];
  }[];
}

/** Each arm's value between the worst, 0, and the best, 1; where all are the same, 1. */
export function scaled({ values, better }: Pick<Criterion, 'values' | 'better'>): readonly number[] {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  return values.map((v) =>
    high === low ? 1 : better === 'more' ? (v - low) / (high - low) : (high - v) / (high - low),
  );
}
const STEPS = 200;

/**
 * Weighs several criteria: each is scaled from the worst arm to the best, weighed by the grower's weights and added up; and how far each weight can move
 * before another arm is the best.
 * @throws RangeError where nothing has a weight, or criteria speak of different arms
 * @example decide([{ name: 'gain', better: 'more', weight: 2, values: [0, 10] }, …]).order[0]
 */
export function decide(criteria: readonly Criterion[]): Decision {
  const arms = criteria[0]?.values.length ?? 0;
  const all = criteria.reduce((sum, c) => sum + c.weight, 0);
  if (arms === 0 || !(all > 0) || criteria.some((c) => c.weight < 0 || c.values.length !== arms))
    throw new RangeError('Expected criteria of the same arms, with weights of zero or more that are not all zero.');
  const parts = criteria.map((c) => scaled(c));
  const scoresAt = (weights: readonly number[]): readonly number[] => {
    const total = weights.reduce((a, b) => a + b, 0);
    return Array.from({ length: arms }, (_, arm) =>
      parts.reduce((sum, p, k) => sum + (p[arm] ?? 0) * ((weights[k] ?? 0) / total), 0),
    );
  };
  const orderOf = (scores: readonly number[]): readonly number[] =>
    scores.map((_, i) => i).sort((a, b) => (scores[b] ?? 0) - (scores[a] ?? 0) || a - b);
  const weights = criteria.map((c) => c.weight);
  const scores = scoresAt(weights);
  const order = orderOf(scores);
  const [best = 0] = order;
  /** All scores where one criterion has such a share of all weight and the others keep their proportions: straight lines in the share. */
  const scoresWhere = (k: number, share: number): readonly number[] => {
    const rest = all - (weights[k] ?? 0);
    return rest > 0 ? scoresAt(weights.map((w, i) => (i === k ? share : ((1 - share) * w) / rest))) : scores;
  };
  /** The best of some scores; of a tie the one that is the best as it stands. */
  const firstOf = (at: readonly number[]): number => {
    const [first = best] = orderOf(at);
    return (at[best] ?? 0) >= (at[first] ?? 0) - 1e-12 ? best : first;
  };
  const firstsOf = (k: number): readonly { readonly arm: number; readonly from: number; readonly to: number }[] => {
    const bands: { readonly arm: number; readonly from: number; to: number }[] = [];
    let before = scoresWhere(k, 0);
    for (let i = 0; i <= STEPS; i++) {
      const now = scoresWhere(k, i / STEPS);
      const [arm, last] = [firstOf(now), bands.at(-1)];
      if (last && last.arm !== arm) {
        const ahead = (at: readonly number[]): number => (at[last.arm] ?? 0) - (at[arm] ?? 0);
        last.to = (i - 1 + ahead(before) / (ahead(before) - ahead(now))) / STEPS;
      }
      if (last?.arm === arm) last.to = i / STEPS;
      else bands.push({ arm, from: last?.to ?? 0, to: i / STEPS });
      before = now;
    }
    return bands;
  };
  return {
    scores,
    order,
    dominated: Array.from({ length: arms }, (_, arm) => arm).flatMap((arm) => {
      const by = Array.from({ length: arms }, (_, other) => other).find(
        (other) =>
          other !== arm &&
          parts.every((p) => (p[other] ?? 0) >= (p[arm] ?? 0)) &&
          parts.some((p) => (p[other] ?? 0) > (p[arm] ?? 0)),
      );
      return by === undefined ? [] : [{ arm, by }];
    }),
    holds: criteria.map(({ name, weight }, k) => {
      const share = weight / all;
      const firsts = firstsOf(k);
      const own = firsts.filter((f) => f.arm === best);
      const held = own.find((f) => f.from <= share && share <= f.to) ?? own[0];
      return { name, share, low: held?.from ?? share, high: held?.to ?? share, firsts };
    }),
  };
}
/** What a unit of improvement over the control costs; undefined where nothing is gained. @example costPerGain(6, 1.5) // 4 */
export const costPerGain = (cost: number, gain: number): number | undefined => (gain > 0 ? cost / gain : undefined);
