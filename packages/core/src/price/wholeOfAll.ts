import { solve, type Column, type LinearModel, type LpSolver, type Row } from '../solve/index.js';
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

/** A row of so many unknowns with a few of them filled. */
function filled(length: number, of: readonly (readonly [at: number, value: number])[]): readonly number[] {
  const all = Array.from({ length }, () => 0);
  for (const [at, value] of of) all[at] = value;
  return all;
}

/** What a model is made of. */
interface Offered {
  readonly products: readonly CatalogueColumn[];
  readonly packages: readonly CataloguePackage[];
  readonly wanted: WantedOfAll;
  readonly rules: Restricted;
}
const packagesOf = ({ packages }: Offered, product: CatalogueColumn): readonly (readonly [at: number, kg: number])[] =>
  packages.flatMap((p, i): [number, number][] => (p.product.id === product.id ? [[i, p.kg]] : []));

/** Whether a product is in at all, behind the other unknowns, and that so many are at most. @param amounts which unknowns are of a product, with the kg of one of each */
function kindRows(
  { products, wanted, rules }: Offered,
  before: number,
  amounts: (product: CatalogueColumn, j: number) => readonly (readonly [at: number, kg: number])[],
): Pick<LinearModel, 'columns' | 'rows'> {
  if (rules.kinds === undefined) return { columns: [], rows: [] };
  const length = before + products.length;
  return {
    columns: products.map((p) => ({ name: `${p.id} is in`, cost: 0, high: 1, integer: true })),
    rows: [
      ...products.flatMap((p, j) =>
        amounts(p, j).map(([at, kg]) => {
          const most = Math.max(1e-6, mostOf(p, wanted)) / kg;
          const whole = rules.packages ? Math.ceil(most) : most;
          return {
            name: '',
            coefficients: filled(length, [
              [at, 1],
              [before + j, -whole],
            ]),
            high: 0,
          };
        }),
      ),
      {
        name: 'kinds',
        coefficients: filled(
          length,
          products.map((_, j) => [before + j, 1]),
        ),
        high: rules.kinds,
      },
    ],
  };
}
const padded = (row: Row, length: number): Row => ({
  ...row,
  coefficients: [...row.coefficients, ...filled(length - row.coefficients.length, [])],
});
const assembled = (columns: readonly Column[], rows: readonly Row[], kinds: Pick<LinearModel, 'columns' | 'rows'>) => {
  const all = [...columns, ...kinds.columns];
  return { goal: 'least', columns: all, rows: [...rows.map((r) => padded(r, all.length)), ...kinds.rows] } as const;
};

/** Kg of each product at the price of a kg. */
function byTheKg(offered: Offered): LinearModel {
  const { products, wanted } = offered;
  return assembled(
    products.map((p) => ({ name: p.id, cost: p.pricePerKg })),
    wantedRows(products, wanted),
    kindRows(offered, products.length, (_, j) => [[j, 1]]),
  );
}
const boughtColumns = (packages: readonly CataloguePackage[]): readonly Column[] =>
  packages.map((p) => ({ name: `${p.product.id} of ${p.kg} kg`, cost: p.price, integer: true }));
/** Whole packages that hold at least what is wanted: all that is in them may be used. */
function covering(offered: Offered): LinearModel {
  const { packages, wanted } = offered;
  const rows = wantedRows(
    packages.map((p) => p.product),
    wanted,
  ).map((r) => ({ ...r, coefficients: r.coefficients.map((c, i) => c * (packages[i]?.kg ?? 0)) }));
  return assembled(
    boughtColumns(packages),
    rows,
    kindRows(offered, packages.length, (p) => packagesOf(offered, p)),
  );
}
/** Whole packages of which so much is used that nothing is above its most: what is bought, then what of it is used. */
function bounded(offered: Offered): LinearModel {
  const { products, packages, wanted } = offered;
  const length = packages.length + products.length;
  return assembled(
    [...boughtColumns(packages), ...products.map((p) => ({ name: p.id, cost: 0 }))],
    [
      ...wantedRows(products, wanted).map((r) => ({
        ...r,
        coefficients: [...packages.map(() => 0), ...r.coefficients],
      })),
      ...products.map((p, j) => ({
        name: '',
        coefficients: filled(length, [
          [packages.length + j, 1],
          ...packagesOf(offered, p).map(([at, kg]): [number, number] => [at, -kg]),
        ]),
        high: 0,
      })),
    ],
    kindRows(offered, length, (p) => packagesOf(offered, p)),
  );
}

const distinct = (columns: readonly CatalogueColumn[]): readonly CatalogueColumn[] => [
  ...new Map(columns.map((c) => [c.id, c])).values(),
];
const hasMost = ({ atMost = {} }: WantedOfAll): boolean => Object.values(atMost).some((kg) => kg !== undefined);

type Parts = WholeOfAll['parts'];
/** What of the packages that are bought is used: the least by worth that brings what is wanted. */
function used(bought: readonly Omit<Parts[number], 'kg'>[], wanted: WantedOfAll, solver: LpSolver): Parts {
  const products = bought.map((b) => b.product);
  const held = bought.map((b) => b.bought.reduce((sum, p) => sum + p.count * p.kg, 0));
  const found = solve(
    {
      goal: 'least',
      columns: products.map((p, j) => ({ name: p.id, cost: p.pricePerKg, high: held[j] ?? 0 })),
      rows: wantedRows(products, wanted),
    },
    solver,
  );
  return bought.map((b, j) => ({ ...b, kg: found.kind === 'optimal' ? (found.x[j] ?? 0) : (held[j] ?? 0) }));
}

/** The best recipe of some products and packages; undefined where they have none, or none was found in time. */
function best(
  offered: Offered,
  solver: LpSolver,
): (Pick<WholeOfAll, 'parts' | 'cost'> & { readonly exact: boolean }) | undefined {
  const { products, packages, wanted, rules } = offered;
  const made = !rules.packages ? byTheKg(offered) : hasMost(wanted) ? bounded(offered) : covering(offered);
  const outcome = solve(made, solver, { seconds: SECONDS });
  const found = outcome.kind === 'optimal' ? outcome : outcome.kind === 'stopped' ? outcome.best : undefined;
  if (!found) return undefined;
  const parts = rules.packages
    ? used(
        products.flatMap((product) => {
          const bought = packagesOf(offered, product).flatMap(([at, kg]) => {
            const count = Math.round(found.x[at] ?? 0);
            return count > 0 ? [{ kg, price: packages[at]?.price ?? 0, count }] : [];
          });
          const cost = bought.reduce((sum, b) => sum + b.count * b.price, 0);
          return bought.length > 0 ? [{ product, cost, bought }] : [];
        }),
        wanted,
        solver,
      )
    : products.flatMap((product, j) => {
        const kg = found.x[j] ?? 0;
        return kg > HAIR ? [{ product, kg, cost: kg * product.pricePerKg, bought: [] }] : [];
      });
  return {
    parts: [...parts].sort((a, b) => b.cost - a.cost),
    cost: parts.reduce((sum, p) => sum + p.cost, 0),
    exact: outcome.kind === 'optimal',
  };
}

/** A recipe under rules that is asked for. */
interface Question {
  readonly wanted: WantedOfAll;
  readonly linear: CheapestOfAll;
  readonly rules: Restricted;
  readonly solver: LpSolver;
  readonly more: MoreOfAll;
}
type Known = Pick<WholeOfAll, 'parts' | 'cost'>;
/** A recipe beside what none can go below; nothing is known of that where the recipe by the kg is not proven. */
function told({ parts, cost }: Known, { linear }: Question, bound: number): WholeOfAll {
  const below = linear.proven ? Math.max(linear.cost, bound) : 0;
  return { parts, cost, bound: below, proven: below >= cost - HAIR * (1 + cost) };
}

/**
 * The cheapest recipe of a catalogue in whole packages: packages are taken in by what one of them costs beyond its worth at the prices of the recipe by
 * the kg. No recipe with a certain package in it costs less than the recipe by the kg and that, so a package is left out only where the two come to more
 * than the best recipe that is known.
 */
async function inPackages(question: Question): Promise<WholeOfAll | undefined> {
  const { wanted, linear, rules, solver, more } = question;
  /** The best of the first so many packages, and what any with another package costs at least. */
  const look = async (most: number, within?: number) => {
    const packages = await more.packages(linear.prices, most, within);
    const products = distinct(packages.map((p) => p.product));
    const end = packages.length < most ? undefined : packages.at(-1);
    return {
      found: best({ products, packages, wanted, rules }, solver),
      others: end ? linear.cost + Math.max(0, beyondWorth(end, linear.prices, wanted.held)) : Infinity,
    };
  };
  const first = await look(FIRST);
  const settled = first.found?.exact === true && first.others >= first.found.cost - HAIR;
  const last = settled ? first : await look(MOST, first.found && first.found.cost - linear.cost + HAIR);
  // Stopped by its time the second look may have come to less.
  const [known] = [last.found, first.found].flatMap((f) => f ?? []).sort((a, b) => a.cost - b.cost);
  if (!known) return undefined;
  return told(known, question, last.found?.exact === true ? Math.min(known.cost, last.others) : 0);
}

/** With few products and any amount of each nothing can be left out by its price: the best of many likely ones, beside the bound. */
async function ofFew(question: Question): Promise<WholeOfAll | undefined> {
  const { wanted, linear, rules, solver, more } = question;
  const nutrients = Object.keys(wanted.atLeast) as (keyof WantedOfAll['atLeast'])[];
  const brought = [
    wanted,
    ...(nutrients.length > 1 ? nutrients : []).map((n) => ({ ...wanted, atLeast: { ...wanted.atLeast, [n]: 0 } })),
    ...(nutrients.length > 2 ? nutrients : []).map((n) => ({ ...wanted, atLeast: { [n]: wanted.atLeast[n] ?? 0 } })),
  ];
  const likely: CatalogueColumn[] = [...linear.known];
  for (const some of brought) likely.push(...(await more.alone(some)));
  const known = best({ products: distinct(likely), packages: [], wanted, rules }, solver);
  return known && told(known, question, 0);
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
  const question = { wanted, linear, rules, solver, more };
  return rules.packages ? inPackages(question) : ofFew(question);
}
