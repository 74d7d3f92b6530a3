import { conflictSets, solve, type LinearModel, type LpSolver, type Row } from '../solve/index.js';
import { blendModel, inTarget, nutrientRows, ruleRows, type BlendTarget, type Brief, type Costed } from './model.js';
import { reached, ruleWords, type BlendRule } from './rules.js';

/** The least change of one thing that lets all the others hold. */
export interface Change {
  /** Which of the rules; undefined for a nutrient of the target. */
  readonly rule: number | undefined;
  /** Which part of the target; undefined for a rule. */
  readonly part: number | undefined;
  /** The rule as it would have to be; undefined where it has to go, or for a nutrient. */
  readonly become: BlendRule | undefined;
  /** What a nutrient of the target would have to be, in the target's own numbers. */
  readonly amount: number | undefined;
  /** What it is now, in words. */
  readonly of: string;
}
/** Rules and nutrients that cannot hold together, and what would help. */
export interface Breach {
  /** A set of which none can be spared. */
  readonly between: readonly string[];
  /** Other such sets, where they were cheap to find: a change that mends the first may leave one of these. */
  readonly others: readonly (readonly string[])[];
  readonly changes: readonly Change[];
  /** Where no single change helps: two rules that have to go together; empty otherwise. */
  readonly pair: readonly Change[];
}

const total = (x: readonly number[]): number => x.reduce((a, b) => a + b, 0);

/** Sets of names without those of rows that are nobody's rule, each set once. */
function distinct(sets: readonly (readonly string[])[]): readonly (readonly string[])[] {
  const named = sets.map((set) => [...new Set(set.filter(Boolean))]);
  const seen = new Set<string>();
  return named.filter((set) => {
    const key = [...set].sort().join('\n');
    return set.length > 0 && !seen.has(key) && seen.add(key);
  });
}

/** The model with one thing loose: what it has to give way, first of all, is made as small as can be. */
function loosened(model: LinearModel, isLoose: (row: Row) => boolean): LinearModel {
  const loose = model.rows.filter(isLoose);
  const slack = (row: Row, side: -1 | 1): readonly number[] => loose.map((r) => (r === row ? side : 0));
  return {
    ...model,
    columns: [...model.columns.map((c) => ({ ...c, cost: 0 })), ...loose.map(() => ({ name: 'gives way', cost: 1 }))],
    rows: model.rows.map((row) => ({
      ...row,
      coefficients: [...row.coefficients, ...slack(row, row.low !== undefined && row.high === undefined ? 1 : -1)],
    })),
  };
}

/** A row as one for each of its bounds. */
const sidesOf = ({ name, coefficients, low, high }: Row): readonly Row[] => [
  ...(low === undefined ? [] : [{ name, coefficients, low }]),
  ...(high === undefined ? [] : [{ name, coefficients, high }]),
];

/** Away from the bound that was too tight, to three digits. */
function outward(value: number, up: boolean): number {
  if (value === 0) return 0;
  const step = 10 ** (Math.floor(Math.log10(Math.abs(value))) - 2);
  const n = value / step;
  return Number(((up ? Math.ceil(n - 1e-6) : Math.floor(n + 1e-6)) * step).toPrecision(6));
}

/** A rule with its bound moved to what the others can live with; undefined where it has to go. */
function eased(rule: BlendRule, found: number | undefined): BlendRule | undefined {
  if (found === undefined) return undefined;
  switch (rule.kind) {
    case 'limit':
    case 'share':
      if (rule.high !== undefined && found > rule.high) return { ...rule, high: outward(found, true) };
      if (rule.low !== undefined && found < rule.low) return { ...rule, low: outward(found, false) };
      return undefined;
    case 'kinds':
      return found > rule.most ? { ...rule, most: Math.round(found) } : undefined;
    case 'keep':
    case 'leaveOut':
    case 'apart':
    case 'stock':
    case 'packages':
      return undefined;
  }
}

/**
 * Why a target cannot be met: rules and nutrients that cannot all hold, of which none can be spared; and for each what would have to change for all the
 * others to hold. Changes that were tried and do not help are not told.
 */
export function breakRules(costed: Costed, target: BlendTarget, brief: Brief, solver: LpSolver): Breach {
  const { used } = costed;
  const model = blendModel(costed, target, brief);
  const nameOf = (id: string): string => used.find((p) => p.id === id)?.name ?? 'a bag that is gone';
  const [between = [], ...others] = distinct(conflictSets(model, solver));
  const possible = (t: BlendTarget, rules: readonly BlendRule[]): boolean =>
    solve(blendModel(costed, t, { ...brief, rules }), solver).kind === 'optimal';

  const ofRules = brief.rules.flatMap((rule, i): Change[] => {
    const of = ruleWords(rule, nameOf);
    if (!between.includes(of)) return [];
    const without = brief.rules.filter((_, k) => k !== i);
    const names = new Set(ruleRows(rule, used, target.kind === 'grade').map((r) => r.name));
    const outcome = solve(
      loosened(model, (row) => names.has(row.name)),
      solver,
    );
    const kg = outcome.kind === 'optimal' ? outcome.x.slice(0, used.length) : [];
    const whole = target.kind === 'grade' ? 1 : total(kg);
    const become = outcome.kind === 'optimal' ? eased(rule, reached(rule, used, kg, whole)) : undefined;
    const change = { rule: i, part: undefined, amount: undefined, of };
    if (
      become &&
      possible(
        target,
        brief.rules.map((r, k) => (k === i ? become : r)),
      )
    )
      return [{ ...change, become }];
    return possible(target, without) ? [{ ...change, become: undefined }] : [];
  });

  /** Two rules that do it together, one of each of two sets. */
  const twoRules = (): readonly Change[] => {
    const placesIn = (set: readonly string[]): readonly number[] =>
      brief.rules.flatMap((rule, i) => (set.includes(ruleWords(rule, nameOf)) ? [i] : []));
    for (const a of placesIn(between))
      for (const b of new Set(others.flatMap(placesIn))) {
        if (
          a !== b &&
          possible(
            target,
            brief.rules.filter((_, k) => k !== a && k !== b),
          )
        )
          return [Math.min(a, b), Math.max(a, b)].map((rule) => ({
            rule,
            part: undefined,
            become: undefined,
            amount: undefined,
            of: ruleWords(brief.rules[rule] as BlendRule, nameOf),
          }));
      }
    return [];
  };

  const ofParts = nutrientRows(used, target, brief.hold).flatMap((row, i): Change[] => {
    if (!between.includes(row.name)) return [];
    const at = model.rows.findIndex((r) => r.name === row.name);
    // A nutrient is loosened at both ends: what comes along may be too much, or what is asked too little.
    const split: LinearModel = { ...model, rows: model.rows.flatMap((r, k) => (k === at ? sidesOf(r) : [r])) };
    const outcome = solve(
      loosened(split, (r) => r.name === row.name),
      solver,
    );
    if (outcome.kind !== 'optimal') return [];
    const brought = inTarget(
      row.coefficients.reduce((s, c, j) => s + c * (outcome.x[j] ?? 0), 0),
      target.kind,
    );
    const part = target.parts[i];
    if (!part || brought <= 0) return [];
    const amount = outward(brought, brought > part.amount);
    const parts = target.parts.map((p, k) => (k === i ? { ...p, amount } : p));
    return possible({ ...target, parts }, brief.rules)
      ? [{ rule: undefined, part: i, become: undefined, amount, of: row.name }]
      : [];
  });
  const changes = [...ofRules, ...ofParts];
  return { between, others, changes, pair: changes.length > 0 ? [] : twoRules() };
}
