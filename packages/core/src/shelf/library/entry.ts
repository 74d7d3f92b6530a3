import { readFormula, type Analyte, type Basis, type Nutrient } from '../../nutrient/index.js';
import { between, type Range } from '../../quantity/index.js';
import type { ProductForm } from '../product.js';

/** Where typical figures are taken from: a class of source, since no one bag is meant. */
export type SourceKind = 'chemistry' | 'textbook range';

/** One typical figure, in per cent by mass. */
export interface TypicalFigure {
  readonly analyte: Analyte;
  readonly basis: Basis;
  readonly percent: Range;
  /** What a grade counts of P or K, where the total is far above it. */
  readonly extract?: 'available';
}

/** By-weight salt index, sodium nitrate = 100, with the table it stands in. */
export interface SaltIndex {
  readonly value: number;
  readonly table: 'Rader, White & Whittaker 1943' | 'Mortvedt 2001';
}

/** A generic material with what is typical of it; the user's own bag always outranks it. */
export interface LibraryEntry {
  /** As it stands among the known materials. */
  readonly name: string;
  readonly group: 'salt' | 'mineral' | 'meal' | 'manure and compost' | 'residue' | 'kitchen' | 'liquid';
  readonly form: ProductForm;
  readonly analysis: readonly TypicalFigure[];
  readonly densityKgPerL: Range;
  readonly saltIndex: SaltIndex | undefined;
  /** kg CaCO3 equivalent per 100 kg; negative acidifies. */
  readonly limingPer100Kg: Range | undefined;
  readonly source: SourceKind;
  /** Elements it certainly holds none of, though others of its group do. */
  readonly without: readonly Nutrient[];
}

type Three = readonly [number, number, number];

interface Extra {
  readonly salt?: number;
  readonly liming?: readonly [number, number, number];
  readonly form?: ProductForm;
  readonly forms?: readonly (readonly [Analyte, number, number, number])[];
  /** Available phosphate and soluble potash as oxides, where they are far below the total. */
  readonly available?: Readonly<Partial<Record<'P' | 'K', Three>>>;
  readonly without?: readonly Nutrient[];
}

const OXIDES: Readonly<Partial<Record<Nutrient, Basis>>> = { P: 'P2O5', K: 'K2O' };
const saltOf = (value: number | undefined): SaltIndex | undefined =>
  value === undefined ? undefined : { value, table: 'Rader, White & Whittaker 1943' };
const limingOf = (three: Three | undefined): Range | undefined => three && between(...three);
const formsOf = (forms: Extra['forms'] = []): readonly TypicalFigure[] =>
  forms.map(([analyte, low, mid, high]) => ({ analyte, basis: 'element', percent: between(low, mid, high) }));

const round = (n: number): number => Number(n.toPrecision(3));

/** A salt as its formula at a range of purity; only elements in quantity are listed. */
export function salt(name: string, formula: string, purity: Three, density: Three, extra: Extra = {}): LibraryEntry {
  const { fractions } = readFormula(formula);
  const analysis = Object.entries(fractions).map(([nutrient, share]): TypicalFigure => ({
    analyte: nutrient as Nutrient,
    basis: 'element',
    percent: between(round(100 * share * purity[0]), round(100 * share * purity[1]), round(100 * share * purity[2])),
  }));
  return {
    name,
    group: 'salt',
    form: extra.form ?? 'crystal',
    analysis: [...analysis, ...formsOf(extra.forms)],
    densityKgPerL: between(...density),
    saltIndex: saltOf(extra.salt),
    limingPer100Kg: limingOf(extra.liming),
    source: 'chemistry',
    without: [],
  };
}

/** A material known by its typical ranges; P and K as oxides, the rest as elements. */
export const typical =
  (group: LibraryEntry['group'], form: ProductForm) =>
  (
    name: string,
    contents: Readonly<Partial<Record<Nutrient, Three>>>,
    density: Three,
    extra: Extra = {},
  ): LibraryEntry => ({
    name,
    group,
    form: extra.form ?? form,
    analysis: [
      ...Object.entries(contents).map(([n, three]): TypicalFigure => ({
        analyte: n as Nutrient,
        basis: OXIDES[n as Nutrient] ?? 'element',
        percent: between(...three),
      })),
      ...Object.entries(extra.available ?? {}).map(([n, three]): TypicalFigure => ({
        analyte: n as Nutrient,
        basis: OXIDES[n as Nutrient] ?? 'element',
        percent: between(...three),
        extract: 'available',
      })),
      ...formsOf(extra.forms),
    ],
    densityKgPerL: between(...density),
    saltIndex: saltOf(extra.salt),
    limingPer100Kg: limingOf(extra.liming),
    source: 'textbook range',
    without: extra.without ?? [],
  });
