import { solve, type LinearModel, type LpSolver } from '../solve/index.js';
import {
  wantedRows,
  worthOf,
  type CatalogueColumn,
  type CheapestOfAll,
  type NutrientPrices,
  type WantedOfAll,
} from './cheapestOfAll.js';

/** A package of a product of a catalogue. */
export interface CataloguePackage {
  readonly product: CatalogueColumn;
  readonly kg: number;
  readonly price: number;
}
/** What a recipe of everything has to keep to besides its nutrients. */
export interface Restricted {
  /** Whole packages are paid for; any amount at the price of a kg otherwise. */
  readonly packages: boolean;
  /** So many products at most. */
  readonly kinds?: number;
}
/** Where products come from that may be better under a restriction. */
export interface MoreOfAll {
  /** The packages that cost least beyond what they are worth, the least first. @param within those that cost no more than this beyond it */
  packages(prices: NutrientPrices, most: number, within?: number): Promise<readonly CataloguePackage[]>;
  /** Products that bring most of what is wanted by themselves. */
  alone(wanted: WantedOfAll): Promise<readonly CatalogueColumn[]>;
}
export interface WholeOfAll {
  readonly parts: readonly {
    readonly product: CatalogueColumn;
    /** What is used of it. */
    readonly kg: number;
    readonly cost: number;
    /** Packages that are paid for; none where they need not be whole. */
    readonly bought: readonly { readonly kg: number; readonly price: number; readonly count: number }[];
  }[];
  readonly cost: number;
  /** No recipe of everything within these rules costs less than this. */
  readonly bound: number;
  /** Nothing costs less than this one. */
  readonly proven: boolean;
}

/** Packages that are looked at first, and at most. */
const FIRST = 60;
const MOST = 600;
const SECONDS = 20;
const HAIR = 1e-6;

/** What a package costs beyond what is worth in it: what is left in it is worth nothing. */
export const beyondWorth = (
  { product, kg, price }: CataloguePackage,
  prices: NutrientPrices,
  held?: WantedOfAll['held'],
): number => price - kg * Math.max(0, worthOf(product, prices, held));

/** More of a product than this is never needed: by itself it brings all that is wanted then. */
function mostOf(column: CatalogueColumn, wanted: WantedOfAll): number {
  const needs = wantedRows([column], wanted).flatMap(({ coefficients: [held = 0], low }) =>
    low !== undefined && held > 0 ? [low / held] : [],
  );
  return Math.max(0, ...needs);
}

/** The recipe as a model: kg of each product, then how many of each package, then whether a product is in at all. */
function model(
  products: readonly CatalogueColumn[],
  packages: readonly CataloguePackage[],
  wanted: WantedOfAll,
  rules: Restricted,
): LinearModel {
  const counted = rules.kinds !== undefined;
  const columns = [
    ...products.map((p) => ({ name: p.id, cost: rules.packages ? 0 : p.pricePerKg })),
    ...packages.map((p) => ({ name: `${p.product.id} of ${p.kg} kg`, cost: p.price, integer: true })),
    ...(counted ? products.map((p) => ({ name: `${p.id} is in`, cost: 0, high: 1, integer: true })) : []),
  ];
  const isIn = products.length + packages.length;
  const row = (filled: readonly (readonly [at: number, value: number])[]): number[] => {
    const all = Array.from({ length: columns.length }, () => 0);
    for (const [at, value] of filled) all[at] = value;
    return all;
  };
  return {
    goal: 'least',
    columns,
    rows: [
      ...wantedRows(products, wanted).map((r) => ({ ...r, coefficients: row([...r.coefficients.entries()]) })),
      ...(rules.packages
        ? products.map((p, j) => ({
            name: '',
            coefficients: row([
              [j, 1],
              ...packages.flatMap((of, i): [number, number][] =>
                of.product.id === p.id ? [[products.length + i, -of.kg]] : [],
              ),
            ]),
            high: 0,
          }))
        : []),
      ...(counted
        ? [
            ...products.map((p, j) => ({
              name: '',
              coefficients: row([
                [j, 1],
                [isIn + j, -Math.max(1e-6, mostOf(p, wanted))],
              ]),
              high: 0,
            })),
            {
              name: 'kinds',
              coefficients: row(products.map((_, j): [number, number] => [isIn + j, 1])),
              high: rules.kinds ?? 0,
            },
          ]
        : []),
    ],
  };
}

const distinct = (columns: readonly CatalogueColumn[]): readonly CatalogueColumn[] => [
  ...new Map(columns.map((c) => [c.id, c])).values(),
];

/** The best recipe of some products and packages; undefined where they have none, or none was found in time. */
function best(
  products: readonly CatalogueColumn[],
  packages: readonly CataloguePackage[],
  wanted: WantedOfAll,
  rules: Restricted,
  solver: LpSolver,
): (Pick<WholeOfAll, 'parts' | 'cost'> & { readonly exact: boolean }) | undefined {
  const outcome = solve(model(products, packages, wanted, rules), solver, { seconds: SECONDS });
  const found = outcome.kind === 'optimal' ? outcome : outcome.kind === 'stopped' ? outcome.best : undefined;
  if (!found) return undefined;
  const parts = products.flatMap((product, j) => {
    const kg = found.x[j] ?? 0;
    const bought = packages.flatMap((p, i) => {
      const count = p.product.id === product.id ? Math.round(found.x[products.length + i] ?? 0) : 0;
      return count > 0 ? [{ kg: p.kg, price: p.price, count }] : [];
    });
    const cost = rules.packages ? bought.reduce((sum, b) => sum + b.count * b.price, 0) : kg * product.pricePerKg;
    return kg > HAIR || cost > 0 ? [{ product, kg, cost, bought }] : [];
  });
  return {
    parts: parts.sort((a, b) => b.cost - a.cost),
    cost: parts.reduce((sum, p) => sum + p.cost, 0),
    exact: outcome.kind === 'optimal',
  };
}

/**
 * The cheapest recipe of a catalogue in whole packages: packages are taken in by what one of them costs beyond its worth at the prices of the recipe by
 * the kg. No recipe with a certain package in it costs less than the bound and that, so a package is left out only where the two come to more than the best recipe
 * that is known.
 */
async function inPackages(
  wanted: WantedOfAll,
  linear: CheapestOfAll,
  rules: Restricted,
  solver: LpSolver,
  more: MoreOfAll,
): Promise<WholeOfAll | undefined> {
  const solved = (packages: readonly CataloguePackage[]) =>
    best(distinct(packages.map((p) => p.product)), packages, wanted, rules, solver);
  const first = await more.packages(linear.prices, FIRST);
  let known = solved(first);
  let all = first;
  let complete = first.length < FIRST;
  if (!complete && !(known && reaches(first, known.cost))) {
    all = await more.packages(linear.prices, MOST, known && known.cost - linear.cost + HAIR);
    complete = all.length < MOST;
    const better = solved(all);
    // Stopped by its time the second may be the worse one.
    if (better && (!known || better.cost <= known.cost || better.exact)) known = better;
  }
  if (!known) return undefined;
  function reaches(packages: readonly CataloguePackage[], cost: number): boolean {
    return linear.cost + last(packages) >= cost - HAIR;
  }
  function last(packages: readonly CataloguePackage[]): number {
    const end = packages.at(-1);
    return end ? Math.max(0, beyondWorth(end, linear.prices, wanted.held)) : 0;
  }
  const beyond = complete ? Infinity : linear.cost + last(all);
  const bound = linear.proven ? Math.max(linear.cost, known.exact ? Math.min(known.cost, beyond) : linear.cost) : 0;
  return { parts: known.parts, cost: known.cost, bound, proven: bound >= known.cost - HAIR };
}

/** With few products and any amount of each nothing can be left out by its price: the best of many likely ones, beside the bound. */
async function ofFew(
  wanted: WantedOfAll,
  linear: CheapestOfAll,
  rules: Restricted,
  solver: LpSolver,
  more: MoreOfAll,
): Promise<WholeOfAll | undefined> {
  const nutrients = Object.keys(wanted.atLeast) as (keyof WantedOfAll['atLeast'])[];
  const without = nutrients.length > 1 ? nutrients : [];
  const questions = [
    wanted,
    ...without.map((n) => ({ ...wanted, atLeast: { ...wanted.atLeast, [n]: 0 } })),
    ...(nutrients.length > 2 ? nutrients : []).map((n) => ({ ...wanted, atLeast: { [n]: wanted.atLeast[n] ?? 0 } })),
  ];
  const likely: CatalogueColumn[] = [...linear.known];
  for (const question of questions) likely.push(...(await more.alone(question)));
  const known = best(distinct(likely), [], wanted, rules, solver);
  if (!known) return undefined;
  const bound = linear.proven ? linear.cost : 0;
  return { parts: known.parts, cost: known.cost, bound, proven: bound >= known.cost - HAIR * (1 + known.cost) };
}

/**
 * The cheapest recipe of everything in whole packages, or of few products, beside what no such recipe can go below.
 * @param linear the cheapest recipe without these rules
 * @returns undefined where none was found
 * @example await wholeOfAll({ atLeast: { N: 10 } }, linear, { packages: true }, highs, more) // { cost: 46, bound: 46, proven: true, … }
 */
export function wholeOfAll(
  wanted: WantedOfAll,
  linear: CheapestOfAll,
  rules: Restricted,
  solver: LpSolver,
  more: MoreOfAll,
): Promise<WholeOfAll | undefined> {
  return (rules.packages ? inPackages : ofFew)(wanted, linear, rules, solver, more);
}
