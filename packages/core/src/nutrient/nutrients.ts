import { ATOMIC_WEIGHT, molarMass, type Atom, type Composition } from './atoms.js';

/** Elements the ledger keeps accounts of. */
export const NUTRIENTS = [
  'N',
  'P',
  'K',
  'Ca',
  'Mg',
  'S',
  'Fe',
  'Mn',
  'Zn',
  'Cu',
  'B',
  'Mo',
  'Ni',
  'Cl',
  'Na',
  'Si',
  'Co',
  'Se',
  'As',
  'Cd',
  'Pb',
  'Hg',
  'Cr',
] as const;
export type Nutrient = (typeof NUTRIENTS)[number];

/** What every plant needs. */
export const ESSENTIAL: readonly Nutrient[] = [
  'N',
  'P',
  'K',
  'Ca',
  'Mg',
  'S',
  'Fe',
  'Mn',
  'Zn',
  'Cu',
  'B',
  'Mo',
  'Ni',
  'Cl',
];
/** What helps some plants. */
export const BENEFICIAL: readonly Nutrient[] = ['Na', 'Si', 'Co', 'Se'];
/** Metals that plants and people can do without. */
export const CONTAMINANTS: readonly Nutrient[] = ['As', 'Cd', 'Pb', 'Hg', 'Cr'];
export type ElementGroup = 'essential' | 'beneficial' | 'contaminant';
export const groupOf = (element: Nutrient): ElementGroup =>
  ESSENTIAL.includes(element) ? 'essential' : BENEFICIAL.includes(element) ? 'beneficial' : 'contaminant';

/** Chemical forms in which nitrogen is declared. `coated` is the footnote "slowly available". */
export const NITROGEN_FORMS = [
  'nitrate',
  'ammoniacal',
  'urea',
  'waterSolubleOrganic',
  'waterInsoluble',
  'coated',
] as const;
export type NitrogenForm = (typeof NITROGEN_FORMS)[number];

/** What one line of an analysis speaks of: an element's total, or one form of nitrogen. */
export type Analyte = Nutrient | `N.${NitrogenForm}`;
export const ANALYTES: readonly Analyte[] = [...NUTRIENTS, ...NITROGEN_FORMS.map((form) => `N.${form}` as const)];

/** Ways a figure is declared: as the element, or as one of these compounds. */
const COMPOUNDS: Readonly<Record<string, { readonly element: Nutrient; readonly composition: Composition }>> = {
  P2O5: { element: 'P', composition: { P: 2, O: 5 } },
  K2O: { element: 'K', composition: { K: 2, O: 1 } },
  CaO: { element: 'Ca', composition: { Ca: 1, O: 1 } },
  CaCO3: { element: 'Ca', composition: { Ca: 1, C: 1, O: 3 } },
  MgO: { element: 'Mg', composition: { Mg: 1, O: 1 } },
  SO3: { element: 'S', composition: { S: 1, O: 3 } },
  Na2O: { element: 'Na', composition: { Na: 2, O: 1 } },
  SiO2: { element: 'Si', composition: { Si: 1, O: 2 } },
  MgCO3: { element: 'Mg', composition: { Mg: 1, C: 1, O: 3 } },
  Fe2O3: { element: 'Fe', composition: { Fe: 2, O: 3 } },
  MnO: { element: 'Mn', composition: { Mn: 1, O: 1 } },
  ZnO: { element: 'Zn', composition: { Zn: 1, O: 1 } },
  CuO: { element: 'Cu', composition: { Cu: 1, O: 1 } },
  SO4: { element: 'S', composition: { S: 1, O: 4 } },
  PO4: { element: 'P', composition: { P: 1, O: 4 } },
  B2O3: { element: 'B', composition: { B: 2, O: 3 } },
  NO3: { element: 'N', composition: { N: 1, O: 3 } },
  NH4: { element: 'N', composition: { N: 1, H: 4 } },
};
export const COMPOUND_BASES = [
  'P2O5',
  'K2O',
  'CaO',
  'CaCO3',
  'MgO',
  'SO3',
  'Na2O',
  'SiO2',
  'MgCO3',
  'Fe2O3',
  'MnO',
  'ZnO',
  'CuO',
  'SO4',
  'PO4',
  'B2O3',
  'NO3',
  'NH4',
] as const;
export type CompoundBasis = (typeof COMPOUND_BASES)[number];
/** `element`, or the compound the figure was declared as. */
export type Basis = 'element' | CompoundBasis;

/** The element an analyte counts: `N.urea` counts N. */
export const elementOf = (analyte: Analyte): Nutrient => (analyte.startsWith('N.') ? 'N' : (analyte as Nutrient));

/** The bases in which an analyte may be declared, the element first. @example basesOf('P') // ['element', 'P2O5'] */
export function basesOf(analyte: Analyte): readonly Basis[] {
  if (analyte === 'N') return ['element'];
  if (analyte === 'N.nitrate') return ['element', 'NO3'];
  if (analyte === 'N.ammoniacal') return ['element', 'NH4'];
  if (analyte.startsWith('N.')) return ['element'];
  return ['element', ...COMPOUND_BASES.filter((basis) => COMPOUNDS[basis]?.element === analyte)];
}

/** The oxides that analyses are declared in, each with its element. */
export const OXIDES = (['P2O5', 'K2O', 'CaO', 'MgO', 'SO3', 'Na2O', 'SiO2'] as const).map((basis) => ({
  basis,
  element: COMPOUNDS[basis]?.element as Nutrient,
  formula: new RegExp(`\\b${basis}\\b`, 'i'),
}));
/** The oxide of one of these elements whose formula stands in a text. @example oxideIn('Phosphor (P2O5)', ['P'])?.basis // 'P2O5' */
export function oxideIn<E extends string>(
  text: string,
  elements: readonly E[],
): { readonly basis: CompoundBasis; readonly element: E } | undefined {
  for (const { basis, element: of, formula } of OXIDES) {
    const element = elements.find((e) => e === (of as string));
    if (element !== undefined && formula.test(text)) return { basis, element };
  }
  return undefined;
}

/**
 * Mass of compound per mass of its element, from atomic weights.
 * @example compoundPerElement('P2O5') // 2.2913
 */
export const compoundPerElement = (basis: Basis): number => PER_ELEMENT[basis];
const PER_ELEMENT = Object.fromEntries(
  (['element', ...COMPOUND_BASES] as const).map((basis) => {
    const compound = basis === 'element' ? undefined : COMPOUNDS[basis];
    if (!compound) return [basis, 1];
    const atoms = compound.composition[compound.element as Atom] ?? 1;
    return [basis, molarMass(compound.composition) / (atoms * ATOMIC_WEIGHT[compound.element as Atom])];
  }),
) as Readonly<Record<Basis, number>>;

const NAMES: Readonly<Record<Nutrient, string>> = {
  N: 'nitrogen',
  P: 'phosphorus',
  K: 'potassium',
  Ca: 'calcium',
  Mg: 'magnesium',
  S: 'sulfur',
  Fe: 'iron',
  Mn: 'manganese',
  Zn: 'zinc',
  Cu: 'copper',
  B: 'boron',
  Mo: 'molybdenum',
  Ni: 'nickel',
  Cl: 'chloride',
  Na: 'sodium',
  Si: 'silicon',
  Co: 'cobalt',
  Se: 'selenium',
  As: 'arsenic',
  Cd: 'cadmium',
  Pb: 'lead',
  Hg: 'mercury',
  Cr: 'chromium',
};
export const FORM_NAMES: Readonly<Record<NitrogenForm, string>> = {
  nitrate: 'nitrate N',
  ammoniacal: 'ammoniacal N',
  urea: 'urea N',
  waterSolubleOrganic: 'other water-soluble organic N',
  waterInsoluble: 'water-insoluble N',
  coated: 'slowly available (coated) N',
};

/** The plain name of an analyte. @example analyteName('N.urea') // 'urea N' */
export const analyteName = (analyte: Analyte): string =>
  analyte.startsWith('N.') ? FORM_NAMES[analyte.slice(2) as NitrogenForm] : NAMES[analyte as Nutrient];

const SUBSCRIPTS = '₀₁₂₃₄₅₆₇₈₉';
/** A formula as it is printed. @example formulaText('P2O5') // 'P₂O₅' */
export const formulaText = (formula: string): string =>
  BASIS_TEXT.get(formula) ?? formula.replace(/\d/g, (digit) => SUBSCRIPTS[Number(digit)] ?? digit);
const BASIS_TEXT = new Map<string, string>();
for (const basis of COMPOUND_BASES) BASIS_TEXT.set(basis, formulaText(basis));
/** A printed formula as it is typed. @example typedFormula('P₂O₅') // 'P2O5' */
export const typedFormula = (printed: string): string =>
  printed.replace(/[₀-₉]/g, (digit) => String(SUBSCRIPTS.indexOf(digit)));

/** The symbol shown for an element in a basis. @example symbolIn('P', 'P2O5') // 'P₂O₅' */
export const symbolIn = (nutrient: Nutrient, basis: Basis): string =>
  basis === 'element' ? nutrient : formulaText(basis);
