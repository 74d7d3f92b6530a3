/** What is made equal between arms, kg/ha. */
export const EQUALISED = ['N', 'P2O5', 'K2O'] as const;
export type Equalised = (typeof EQUALISED)[number];
export type ArmBrought = Readonly<Partial<Record<Equalised, number>>>;

/** How one arm is brought to the same as the others. */
export interface EqualDose {
  /** So many times what is planned; undefined where the arm has none of it. */
  readonly factor: number | undefined;
  /** What it then still lacks of the other two, kg/ha, against the arm that has most; not where it is not known. */
  readonly lacks: Readonly<Partial<Record<Equalised, number>>>;
}

/** The first of N, P2O5 and K2O that two arms or more bring: their doses can make it equal. */
export const equalBy = (brought: readonly ArmBrought[]): Equalised | undefined =>
  EQUALISED.find((of) => brought.filter((b) => (b[of] ?? 0) > 0).length > 1);

/**
 * Doses of the arms that bring them to the same of one nutrient, and what each then still lacks of the others, to be given from something else.
 * @param by what the doses make equal
 * @example equalDoses([{ N: 40, P2O5: 30 }, { N: 80, P2O5: 20 }], 'N')[1] // once what is planned, and 40 kg P2O5/ha short
 */
export function equalDoses(brought: readonly ArmBrought[], by: Equalised): readonly EqualDose[] {
  const most = Math.max(0, ...brought.map((b) => b[by] ?? 0));
  const factors = brought.map((b) => {
    const own = b[by] ?? 0;
    return own > 0 ? most / own : undefined;
  });
  const others = EQUALISED.filter((of) => of !== by);
  const then = (i: number, of: Equalised): number | undefined => {
    const [factor, own] = [factors[i], brought[i]?.[of]];
    return factor === undefined || own === undefined ? undefined : factor * own;
  };
  return brought.map((_, i) => ({
    factor: factors[i],
    lacks: Object.fromEntries(
      others.flatMap((of) => {
        const own = then(i, of);
        const best = Math.max(0, ...brought.map((_b, at) => then(at, of) ?? 0));
        return own === undefined ? [] : [[of, best - own]];
      }),
    ),
  }));
}
