import { compoundPerElement, symbolIn } from '../nutrient/index.js';
import { formatGiven } from '../quantity/index.js';
import { commonestCurrency, pricePerKg } from '../price/index.js';
import { midSupply, perProduct, supplyRange, type Grade, type GradePart, type Product } from '../shelf/index.js';
import type { Column, LinearModel, Row } from '../solve/index.js';
import { buying, buyingRows, minds, pricesOf, type Batch, type Buying } from './buying.js';
import { apartIn } from './incompatible.js';
import { allows, contentOf, ruleWords, type BlendRule } from './rules.js';

/** Ways to say what a mix should be: its strength, a ratio with the strength left free, or kg of each nutrient in all. */
export const TARGET_KINDS = ['grade', 'ratio', 'amount'] as const;
export type TargetKind = (typeof TARGET_KINDS)[number];
/** What a mix should be. */
export interface BlendTarget {
  readonly kind: TargetKind;
  /** Of a grade and a ratio per cent or parts; of amounts kg of each nutrient in its basis. */
  readonly parts: Grade;
  /** How far a named nutrient may exceed what is asked, as a share of the largest part; a part of 0 may reach this too. */
  readonly tolerance: number;
}

/** What of a mix is made as small as can be. */
export const AIMS = ['cost', 'salt', 'mass', 'fewest', 'weighted'] as const;
export type Aim = (typeof AIMS)[number];
/** How much each counts where several are made small together: 1 of each counts them alike, each measured by the least it can be. */
export type AimWeights = Readonly<Record<'cost' | 'salt' | 'mass', number>>;
export const EVEN_WEIGHTS: AimWeights = { cost: 1, salt: 1, mass: 1 };
export const WEIGHED_AIMS = ['cost', 'salt', 'mass'] as const;

/** How a mix is chosen besides its target. */
export interface Brief {
  readonly rules: readonly BlendRule[];
  readonly aim: Aim;
  /** How much each counts where the aim is weighted; each as much as the others unless said. */
  readonly weights?: AimWeights;
  /** How much is made and what is at hand, where rules ask for whole packages or for what is at hand. */
  readonly batch?: Batch;
  /** Whether the target has to be met by what bags hold at the middle of what they say, unless said, or even at the low end. */
  readonly hold?: 'low';
}

export const largest = (parts: Grade): number => Math.max(...parts.map((p) => p.amount));

const priceIn = perProduct((product, currency: string) => pricePerKg(product, currency)?.figure.value.mid);
const supplied = perProduct(midSupply);
const atLeast = perProduct((product, nutrient: GradePart['nutrient']) => {
  const supply = supplyRange(product, nutrient);
  return supply.kind === 'range' ? supply.value.low : 0;
});
/** Per product: how much of a grade part a kg of it brings, as a fraction in the part's basis. */
const contents = (products: readonly Product[], part: GradePart, hold: Brief['hold']): readonly number[] =>
  products.map((p) => (hold === 'low' ? atLeast : supplied)(p, part.nutrient) * compoundPerElement(part.basis));

/** A nutrient of a target in the unit of the model: a share of the mix, or kg. */
const inModel = (amount: number, kind: TargetKind): number => (kind === 'amount' ? amount : amount / 100);
/** What the model reached, in the target's own numbers. */
export const inTarget = (reached: number, kind: TargetKind): number => (kind === 'amount' ? reached : reached * 100);

/** A mass as an amount of a nutrient is told. @example amountText(0.12) // '120 g' */
const amountText = (kg: number): string => (kg < 1 ? `${formatGiven(kg * 1000)} g` : `${formatGiven(kg)} kg`);
/** A part of a target, in the target's own numbers. @example partWords(part) // '6 N' */
export const partWords = ({ amount, nutrient, basis }: GradePart, kind: TargetKind = 'grade'): string =>
  `${kind === 'amount' ? amountText(amount) : formatGiven(amount)} ${symbolIn(nutrient, basis)}`;

/** Named nutrients at least what is asked, at most the tolerance above it. Amounts as fractions of one unit of mix. */
export function nutrientRows(
  products: readonly Product[],
  { kind, parts, tolerance }: BlendTarget,
  hold?: Brief['hold'],
): readonly Row[] {
  const room = inModel(tolerance * largest(parts), kind);
  return parts.map((part) => ({
    name: partWords(part, kind),
    coefficients: contents(products, part, hold),
    low: inModel(part.amount, kind),
    high: inModel(part.amount, kind) + room,
  }));
}

const ones = (n: number): readonly number[] => Array.from({ length: n }, () => 1);
/** A bag cannot hold more than itself. */
export const FULL = 'what a bag can hold';
export const fullRow = (n: number): Row => ({ name: FULL, coefficients: ones(n), high: 1 });

/** Products with what each costs the aim, and those that cannot be judged by it. */
export interface Costed {
  readonly used: readonly Product[];
  readonly costs: readonly number[];
  readonly leftOut: readonly Product[];
  /** What is really made small: the mass, where nothing has a price. */
  readonly aim: Aim;
}
function costedBy(products: readonly Product[], aim: Aim, costOf: (p: Product) => number | undefined): Costed {
  const all = products.map((product) => ({ product, cost: costOf(product) }));
  return {
    used: all.flatMap(({ product, cost }) => (cost === undefined ? [] : [product])),
    costs: all.flatMap(({ cost }) => cost ?? []),
    leftOut: all.flatMap(({ product, cost }) => (cost === undefined ? [product] : [])),
    aim,
  };
}
/** What each product costs an aim; without any price the lightest stands for the cheapest. */
export function costing(products: readonly Product[], aim: Aim): Costed {
  switch (aim) {
    case 'cost': {
      const currency = commonestCurrency(products);
      return currency === undefined ? costing(products, 'mass') : costedBy(products, aim, (p) => priceIn(p, currency));
    }
    case 'salt':
      return costedBy(products, aim, (p) => contentOf(p, 'salt')?.mid);
    case 'mass':
    case 'fewest':
    case 'weighted':
      return costedBy(products, aim, () => 1);
  }
}
/**
 * What each product costs several aims together: each as a share of the least it can be, so that euros and points of salt can be added.
 * @param least what the best mix for each aim alone comes to
 */
export function weightedCosting(
  products: readonly Product[],
  weights: AimWeights,
  least: Readonly<Partial<Record<keyof AimWeights, number>>>,
): Costed {
  const counted = WEIGHED_AIMS.filter((aim) => weights[aim] > 0);
  const costs = new Map(counted.map((aim) => [aim, costsFor(products, aim)]));
  return costedBy(products, 'weighted', (product) =>
    counted.reduce<number | undefined>((sum, aim) => {
      const cost = costs.get(aim)?.get(product);
      return sum === undefined || cost === undefined ? undefined : sum + (weights[aim] * cost) / (least[aim] || 1);
    }, 0),
  );
}
const costsFor = (products: readonly Product[], aim: Aim): ReadonlyMap<Product, number> => {
  const { used, costs } = costing(products, aim);
  return new Map(used.map((product, j) => [product, costs[j] ?? 0]));
};

/** A row of so many binary unknowns behind those of the products. */
const padded = (n: number, coefficients: readonly number[]): readonly number[] => [
  ...coefficients,
  ...Array.from({ length: n - coefficients.length }, () => 0),
];
const unit = (n: number, at: number, value: number): number[] =>
  Array.from({ length: n }, (_, i) => (i === at ? value : 0));

/** Rows of a share of the mix: of a grade the mix is one, of a ratio it is all that is in it. */
function shareRows(
  name: string,
  coefficients: readonly number[],
  { low, high }: { readonly low?: number | undefined; readonly high?: number | undefined },
  isGrade: boolean,
): readonly Row[] {
  const against = (bound: number): readonly number[] => (isGrade ? coefficients : coefficients.map((c) => c - bound));
  return [
    ...(low === undefined ? [] : [{ name, coefficients: against(low), low: isGrade ? low : 0 }]),
    ...(high === undefined ? [] : [{ name, coefficients: against(high), high: isGrade ? high : 0 }]),
  ];
}

/** Whether a mix needs to say of each bag whether it is in. */
const countsBags = ({ rules, aim }: Brief): boolean =>
  aim === 'fewest' || rules.some((r) => r.kind === 'kinds' || r.kind === 'apart');

/** The rows of a rule; each has the rule's words for its name. */
export function ruleRows(rule: BlendRule, products: readonly Product[], isGrade: boolean): readonly Row[] {
  const name = ruleWords(rule, (id) => products.find((p) => p.id === id)?.name ?? 'a bag that is gone');
  const n = products.length;
  const barred = products.map((p) => (allows(rule, p) === true ? 0 : 1));
  const out: readonly Row[] = barred.includes(1) ? [{ name, coefficients: barred, high: 0 }] : [];
  switch (rule.kind) {
    case 'keep':
    case 'leaveOut':
      return out;
    case 'limit': {
      const coefficients = products.map((p) => contentOf(p, rule.of)?.mid ?? 0);
      return [...out, ...shareRows(name, coefficients, rule, isGrade)];
    }
    case 'share': {
      const coefficients = products.map((p) => (p.id === rule.productId ? 100 : 0));
      return shareRows(name, coefficients, rule, isGrade);
    }
    case 'stock':
    case 'packages':
      // What is bought has unknowns of its own.
      return [];
    case 'kinds':
      return [{ name, coefficients: [...unit(n, -1, 0), ...ones(n)], high: rule.most }];
    case 'apart':
      return apartIn(products)
        .filter((a) => !a.inSolution)
        .map(({ first, second }) => ({
          name,
          coefficients: [...unit(n, -1, 0), ...unit(n, first, 1).map((v, i) => (i === second ? 1 : v))],
          high: 1,
        }));
  }
}

/** More of a bag than this, for one unit of a ratio, is never needed; nor kg for the amounts of a batch. */
const MOST_OF_ONE = { ratio: 100, amount: 1e6 } as const;
/** Rows that tie whether a bag is in to how much of it; they are no rule of anybody. */
function linkRows(products: readonly Product[], target: BlendTarget, hold: Brief['hold']): readonly Row[] {
  const n = products.length;
  const rows = nutrientRows(products, target, hold);
  const { kind } = target;
  const most = (j: number): number =>
    kind === 'grade'
      ? 1
      : rows.reduce<number>((least, { coefficients, high }) => {
          const c = coefficients[j] ?? 0;
          return c > 0 && high !== undefined ? Math.min(least, high / c) : least;
        }, MOST_OF_ONE[kind]);
  return products.map((_, j) => ({
    name: '',
    coefficients: [...unit(n, j, 1), ...unit(n, j, -Math.max(most(j), 1e-6))],
    high: 0,
  }));
}

/** A tie between mixes of as few bags is broken by what they weigh. */
const TIE = 1e-3;

/** Whether the model minds what is bought: a rule asks for it and the cost is made small. A ratio has no batch of its own. */
export const buys = (target: BlendTarget, { rules, aim, batch }: Brief): boolean =>
  batch !== undefined &&
  batch.kg > 0 &&
  target.kind !== 'ratio' &&
  aim === 'cost' &&
  (minds(rules).stock || minds(rules).packages);
/** What the bags and packages cost where the model minds them; undefined where it does not. */
function buyingFor(used: readonly Product[], target: BlendTarget, brief: Brief): Buying | undefined {
  const { rules, batch } = brief;
  if (!batch || !buys(target, brief)) return undefined;
  // Of amounts the cost is told in all, since what they weigh is not known yet.
  const whole = target.kind === 'grade' ? batch.kg : 1;
  return buying(used, rules, { ...batch, kg: whole }, whole, pricesOf(used));
}

/**
 * The model of a target with its rules: kg of each product for one kg of a grade, or for one unit of a ratio; where bags are counted, whether each is
 * in, behind them.
 */
export function blendModel({ used, costs }: Costed, target: BlendTarget, brief: Brief): LinearModel {
  const n = used.length;
  const counts = countsBags(brief);
  const isGrade = target.kind === 'grade';
  const fewest = brief.aim === 'fewest';
  const bought = buyingFor(used, target, brief);
  const columns: readonly Column[] = [
    ...used.map(({ name }, j) => ({ name, cost: fewest ? TIE : bought ? 0 : (costs[j] ?? 0) })),
    ...(counts
      ? used.map(({ name }) => ({ name: `${name} is in`, cost: fewest ? 1 : 0, high: 1, integer: true }))
      : []),
  ];
  const rows = [
    ...nutrientRows(used, target, brief.hold),
    ...(isGrade ? [fullRow(n)] : []),
    ...brief.rules.flatMap((rule) => ruleRows(rule, used, isGrade)),
    ...(counts ? linkRows(used, target, brief.hold) : []),
    ...(bought ? buyingRows(bought, columns.length) : []),
  ];
  const all = [...columns, ...(bought?.columns ?? [])];
  return {
    goal: 'least',
    columns: all,
    rows: rows.map((r) => ({ ...r, coefficients: padded(all.length, r.coefficients) })),
  };
}
