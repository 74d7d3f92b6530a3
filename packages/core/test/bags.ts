import {
  libraryCrop,
  parseGrade,
  parseRate,
  type AnalysisFigure,
  type Analyte,
  type AnalysisUnit,
  type Basis,
  type DeclaredValue,
  type Direction,
  type Grade,
  type Product,
  type Season,
  type SiteInSeason,
} from '../src/index.js';

type Amount = number | readonly [number, number, number] | { readonly below: number };

const toValue = (amount: Amount): DeclaredValue => {
  if (typeof amount === 'number') return { kind: 'number', value: amount };
  return 'below' in amount
    ? { kind: 'below', limit: amount.below }
    : { kind: 'range', low: amount[0], mid: amount[1], high: amount[2] };
};

/** One line of a label, in per cent of the element unless said. */
export const line = (
  analyte: Analyte,
  amount: Amount,
  basis: Basis = 'element',
  unit: AnalysisUnit = '%',
  provenance: AnalysisFigure['provenance'] = 'label',
): AnalysisFigure => ({
  analyte,
  basis,
  value: toValue(amount),
  unit,
  provenance,
  source: 'test',
});

/** One rate of a label, as it stands there. */
export function direction(text: string, perYear?: number, use = ''): Direction {
  const read = parseRate(text);
  if (!read.ok) throw new Error(read.reason);
  return { ...read.rate, perYear, use };
}

/** A grade that can be read one way only. */
export const grade = (text: string): Grade => {
  const parsed = parseGrade(text);
  if (parsed.kind !== 'one') throw new Error(text);
  return parsed.grade;
};

/** A product with nothing said of it but what is given. */
export const bag = (given: Partial<Product> = {}): Product => ({
  id: given.name ?? 'bag',
  name: 'Test bag',
  form: 'granule',
  densityKgPerL: undefined,
  grade: undefined,
  analysis: [],
  derivedFrom: [],
  offers: [],
  directions: [],
  longevity: undefined,
  carbonToNitrogen: undefined,
  ...given,
});

export const priced = (size: number, unit: string, amount: string, currency = 'EUR') => ({
  size,
  unit,
  price: { amount, currency },
  seenOn: undefined,
});

export const urea = bag({
  id: 'urea',
  name: 'Urea',
  analysis: [line('N', 46), line('N.urea', 46)],
  derivedFrom: ['urea'],
  offers: [priced(25, 'kg', '23.00')],
  densityKgPerL: 0.75,
});
export const potash = bag({
  id: 'sop',
  name: 'Sulfate of potash',
  analysis: [line('K', 50, 'K2O'), line('S', 18)],
  derivedFrom: ['potassium sulfate'],
  offers: [priced(25, 'kg', '40.00')],
  densityKgPerL: 1.15,
});
export const boneMeal = bag({
  id: 'bone',
  name: 'Bone meal',
  analysis: [line('N', 3), line('P', 15, 'P2O5'), line('Ca', 22)],
  derivedFrom: ['bone meal'],
  offers: [priced(10, 'kg', '18.00')],
  densityKgPerL: 0.85,
});
export const straw = bag({
  id: 'straw',
  name: 'Straw',
  analysis: [line('N', [0.4, 0.5, 0.7])],
  derivedFrom: ['straw'],
});
export const featherMeal = bag({
  id: 'feather',
  name: 'Feather meal',
  analysis: [line('N', 13), line('N.waterInsoluble', 12), line('N.waterSolubleOrganic', 1)],
  derivedFrom: ['feather meal'],
  offers: [priced(20, 'kg', '34.00')],
});

/** A library crop on all of a plot from a day on. */
export const seasonOf = (key: string, from: string): Season => ({ crop: libraryCrop(key)!, from, share: 1 });

export const wheatStrip: SiteInSeason = {
  areaM2: 900,
  medium: 'mineralSoil',
  texture: 'loam',
  pH: 6.4,
  season: seasonOf('wheat', '2026-03-15'),
  temperature: { kind: 'monthly', meansC: [3.8, 3.9, 5.8, 8.9, 12.8, 16.2, 18.3, 17.9, 15.1, 11.2, 7.2, 4.7] },
};
