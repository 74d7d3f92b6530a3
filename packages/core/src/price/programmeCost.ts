import { sum, type Figure } from '../figure/index.js';
import { inCurrency } from '../quantity/index.js';
import { productsOf, type ComputedProgramme } from '../season/index.js';
import { carriageOf, type Carriage } from './carriage.js';
import { asCounted, handlingCost, type Counting } from './counted.js';
import { cheapestPurchase, packagesOf, type Purchase } from './wholePackages.js';

/** What one product of a programme costs. */
export interface ProgrammeCostLine {
  readonly id: string;
  readonly name: string;
  readonly kg: number;
  /** Undefined where it has no price by weight in the currency. */
  readonly purchase: Purchase | undefined;
}
/** What a programme costs on its ground, in whole packages. */
export interface ProgrammeCost {
  readonly lines: readonly ProgrammeCostLine[];
  /** Whole packages, and carriage for each order. */
  readonly paid: number;
  /** The same less what is left over, at what it cost. */
  readonly usedUp: number;
  /** What has no price: the cost is without it. */
  readonly unpriced: readonly string[];
  /** Work and haulage of what is given; undefined where nothing is said of any. */
  readonly handling: Figure | undefined;
  /** What nothing is said of: the handling is without it. */
  readonly handlingUnknown: readonly string[];
  /** The hardest to use of its products, 1 hard to 5 easy; undefined where none says. */
  readonly ease: number | undefined;
}

/** What a programme's cost counts. */
export interface CostTerms {
  /** What sellers ask for an order. */
  readonly carriage?: Carriage;
  readonly counting?: Counting;
}
const NOTHING_ELSE: Counting = { rates: [] };

/**
 * The cost of a programme: for each product the cheapest whole packages that hold what is given, and carriage by seller and order; beside it work and haulage.
 * @example programmeCost(inNumbers, 'EUR', { carriage: { other: { amount: 5 } } }).paid // 62.3
 */
export function programmeCost(
  inNumbers: ComputedProgramme,
  currency: string,
  { carriage = {}, counting = NOTHING_ELSE }: CostTerms = {},
): ProgrammeCost {
  const products = [...productsOf(inNumbers).values()];
  const lines = products.map(({ product, kg }): ProgrammeCostLine => ({
    id: product.id,
    name: product.name,
    kg,
    purchase: cheapestPurchase(packagesOf(asCounted(product, counting, false), currency), kg),
  }));
  const bought = lines.flatMap((l) => (l.purchase ? [l.purchase] : []));
  const freight = carriageOf(
    products.flatMap(({ product }, i) => (lines[i]?.purchase ? [{ product, purchase: lines[i].purchase }] : [])),
    carriage,
  );
  const left = (p: Purchase): number => (p.kg > 0 ? (p.paid * p.leftKg) / p.kg : 0);
  const handlings = products.map(({ product, kg }) => handlingCost(product, kg, counting.hour, currency));
  const known = handlings.filter((h) => h !== undefined);
  const eases = products.flatMap(({ product }) => product.handling?.ease ?? []);
  return {
    lines,
    paid: bought.reduce((total, p) => total + p.paid, freight),
    usedUp: bought.reduce((total, p) => total + p.paid - left(p), freight),
    unpriced: lines.filter((l) => !l.purchase).map((l) => l.name),
    handling: known.length > 1 ? sum('work and haulage', inCurrency(currency), known) : known[0],
    handlingUnknown: products.flatMap(({ product }, i) => (handlings[i] ? [] : [product.name])),
    ease: eases.length > 0 ? Math.min(...eases) : undefined,
  };
}
