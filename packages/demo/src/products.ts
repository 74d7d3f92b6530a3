import type { AnalysisFigureInput, DirectionInput, OfferInput, ProductInput } from '@wheat-ledger/contract';
import { parseRate, type Analyte, type AnalysisUnit, type Basis, type Provenance } from '@wheat-ledger/core';

type Line = readonly [
  analyte: Analyte,
  value: number | readonly [number, number, number] | { readonly below: number },
  basis?: Basis,
];

const OXIDES: Readonly<Partial<Record<Analyte, Basis>>> = { P: 'P2O5', K: 'K2O' };

/** Lines of one source, in per cent unless said; P and K as oxides unless said. */
function lines(
  provenance: Provenance,
  source: string,
  unit: AnalysisUnit,
  ...entries: readonly Line[]
): AnalysisFigureInput[] {
  return entries.map(([analyte, value, basis]): AnalysisFigureInput => ({
    analyte,
    basis: basis ?? OXIDES[analyte] ?? 'element',
    value:
      typeof value === 'number'
        ? { kind: 'number', value }
        : 'below' in value
          ? { kind: 'below', limit: value.below }
          : { kind: 'range', low: value[0], mid: value[1], high: value[2] },
    unit,
    provenance,
    source,
  }));
}
const label = (...entries: readonly Line[]): AnalysisFigureInput[] => lines('label', 'bag label', '%', ...entries);
const typical = (...entries: readonly Line[]): AnalysisFigureInput[] =>
  lines('typical', 'textbook range', '%', ...entries);

const pack = (size: number, unit: string, amount?: string, seenOn = '2026-02-20'): OfferInput =>
  amount === undefined ? { size, unit } : { size, unit, price: { amount, currency: 'EUR' }, seenOn };

/** A rate as the label's directions give it. */
function rate(text: string, perYear?: number, use = ''): DirectionInput {
  const read = parseRate(text);
  if (!read.ok) throw new RangeError(read.reason);
  return { use, ...read.rate, ...(perYear === undefined ? {} : { perYear }) };
}

/** Whether the sample's own list has it. */
const listed = (status: 'yes' | 'no') => ({ status, body: 'Ashlark growers’ list (sample)' });

const product = (
  input: Partial<ProductInput> & Pick<ProductInput, 'name' | 'seller' | 'form' | 'analysis' | 'derivedFrom' | 'offers'>,
): ProductInput => ({ note: '', ...input });

/** What stands in the shed at Ashlark Hollow. Sellers and products are invented; generic materials carry textbook analyses. */
export const PRODUCTS: readonly ProductInput[] = [
  product({
    name: 'Larkmere Feather Meal',
    seller: 'Larkmere Feed',
    form: 'meal',
    grade: '13-0-0',
    densityKgPerL: 0.48,
    analysis: label(['N', 13], ['N.waterSolubleOrganic', 1], ['N.waterInsoluble', 12], ['S', 1.5]),
    derivedFrom: ['feather meal'],
    origins: ['animal', 'waste'],
    organic: listed('yes'),
    processing: 'ground',
    ease: 4,
    hoursPer100Kg: 0.5,
    distanceKm: 120,
    offers: [pack(20, 'kg', '34.50'), pack(5, 'kg', '12.90')],
    directions: [rate('100 g/m²', 1)],
  }),
  product({
    name: 'Quernlow Urea',
    seller: 'Quernlow Stores',
    form: 'prill',
    grade: '46-0-0',
    densityKgPerL: 0.75,
    analysis: label(['N', 46], ['N.urea', 46]),
    derivedFrom: ['urea'],
    origins: ['synthetic'],
    organic: listed('no'),
    ease: 5,
    hoursPer100Kg: 0.3,
    distanceKm: 60,
    offers: [
      pack(25, 'kg', '23.75'),
      pack(25, 'kg', '21.40', '2025-03-02'),
      pack(25, 'kg', '26.10', '2025-09-10'),
      pack(50, 'lb', '24.40'),
    ],
    directions: [rate('20 g/m²', 2)],
  }),
  product({
    name: 'Hobbingate Steady Prills',
    seller: 'Hobbingate Supplies',
    form: 'prill',
    grade: '16-8-12',
    densityKgPerL: 0.95,
    analysis: label(['N', 16], ['N.ammoniacal', 4], ['N.urea', 12], ['N.coated', 12], ['P', 8], ['K', 12], ['S', 4.2]),
    derivedFrom: ['polymer-coated urea', 'ammonium phosphate', 'potassium sulfate'],
    origins: ['synthetic'],
    organic: listed('no'),
    ease: 5,
    hoursPer100Kg: 0.3,
    distanceKm: 140,
    offers: [pack(10, 'kg', '44.00'), pack(2, 'kg', '13.50')],
    directions: [rate('60 g/m²', 1, 'beds'), rate('3–5 kg/m³ of medium', undefined, 'pots')],
    longevity: { days: 150, referenceC: 21 },
    note: 'Five-month prills; the maker rates them at 21 °C.',
  }),
  product({
    name: 'Hollow Hen Pellets',
    seller: 'Larkmere Feed',
    form: 'pellet',
    grade: '4-3-3',
    densityKgPerL: 0.65,
    analysis: [
      ...label(
        ['N', 4],
        ['N.ammoniacal', 0.6],
        ['N.waterInsoluble', 3.4],
        ['P', 3],
        ['K', 3],
        ['Ca', 8],
        ['Mg', 0.8],
        ['S', 0.6],
      ),
      ...lines(
        'measured',
        'Slip HG-9, sample',
        'mg/kg',
        ['Zn', 310],
        ['Cu', 58],
        ['Mn', 420],
        ['B', 24],
        ['Na', 4200],
        ['As', { below: 1 }],
        ['Cd', { below: 0.5 }],
        ['Pb', 2.4],
        ['Cr', 7],
      ),
    ],
    derivedFrom: ['dried poultry manure'],
    origins: ['animal', 'waste'],
    organic: listed('yes'),
    processing: 'composted',
    ease: 4,
    hoursPer100Kg: 0.5,
    distanceKm: 25,
    offers: [pack(20, 'kg', '11.80'), pack(8, 'kg', '7.20')],
    directions: [rate('150 g/m²', 2, 'beds'), rate('1 kg/10 m of row', 2, 'rows'), rate('60 g/plant', 1, 'dahlias')],
  }),
  product({
    name: 'Fleecefast Wool Pellets',
    seller: 'Ossel & Wick',
    form: 'pellet',
    grade: '9-0-2',
    densityKgPerL: 0.42,
    analysis: label(['N', 9], ['N.waterInsoluble', 9], ['K', 2], ['S', 1.9]),
    derivedFrom: ['wool'],
    origins: ['animal', 'waste'],
    organic: listed('yes'),
    processing: 'pressed',
    offers: [pack(3, 'kg', '19.90')],
    directions: [rate('70 g/m²', 1)],
  }),
  product({
    name: 'Quernlow Sulfate of Potash',
    seller: 'Quernlow Stores',
    form: 'granule',
    grade: '0-0-50',
    densityKgPerL: 1.15,
    analysis: label(['K', 50], ['S', 18]),
    derivedFrom: ['potassium sulfate'],
    origins: ['mineral'],
    organic: listed('yes'),
    processing: 'ground',
    offers: [pack(25, 'kg', '41.25'), pack(5, 'kg', '11.40')],
    directions: [rate('35 g/m²', 1)],
  }),
  product({
    name: 'Larkmere Bone Meal',
    seller: 'Larkmere Feed',
    form: 'meal',
    grade: '3-15-0',
    densityKgPerL: 0.85,
    analysis: label(['N', 3], ['N.waterInsoluble', 3], ['P', 15], ['Ca', 22]),
    derivedFrom: ['steamed bone meal'],
    origins: ['animal', 'waste'],
    organic: listed('yes'),
    processing: 'ground',
    offers: [pack(10, 'kg', '18.60')],
    directions: [rate('80 g/m²', 1)],
  }),
  product({
    name: 'Ossel Clear Feed',
    seller: 'Ossel & Wick',
    form: 'liquid',
    grade: '4-2-8',
    densityKgPerL: 1.18,
    analysis: label(['N', 4], ['N.nitrate', 1.2], ['N.urea', 2.8], ['P', 2], ['K', 8]),
    derivedFrom: ['urea', 'potassium nitrate', 'monopotassium phosphate'],
    origins: ['synthetic'],
    organic: listed('no'),
    offers: [pack(1, 'L', '8.75'), pack(5, 'L', '31.00')],
    directions: [rate('5 mL/m²', 12, 'beds'), rate('5 mL/L')],
  }),
  product({
    name: 'Lucerne Crumble',
    seller: 'Larkmere Feed',
    form: 'meal',
    grade: '3-1-2',
    densityKgPerL: 0.5,
    analysis: label(['N', 3], ['P', 1], ['K', 2], ['Ca', 1.2]),
    derivedFrom: ['alfalfa meal'],
    origins: ['plant'],
    organic: listed('yes'),
    processing: 'ground',
    ease: 4,
    hoursPer100Kg: 0.5,
    distanceKm: 15,
    offers: [pack(20, 'kg', '15.40')],
    directions: [rate('200 g/m²', 1)],
    // The grower's own jars: 200 mg N/kg in garden soil, by the week.
    incubation: {
      applied: 200,
      temperatureC: 25,
      medium: 'mineralSoil',
      points: [
        { day: 7, treated: 27.9, untreated: 11 },
        { day: 14, treated: 40.6, untreated: 12.4 },
        { day: 28, treated: 63.8, untreated: 15 },
        { day: 56, treated: 82.7, untreated: 19 },
        { day: 84, treated: 96.1, untreated: 23.2 },
      ],
    },
  }),
  product({
    name: 'Quernlow Sulfate of Ammonia',
    seller: 'Quernlow Stores',
    form: 'crystal',
    grade: '21-0-0',
    densityKgPerL: 1.0,
    analysis: label(['N', 21], ['N.ammoniacal', 21], ['S', 24]),
    derivedFrom: ['ammonium sulfate'],
    origins: ['synthetic'],
    organic: listed('no'),
    offers: [pack(25, 'kg', '17.50')],
    directions: [rate('40 g/m²', 2)],
  }),
  product({
    name: 'Dahlia Twice Spray',
    seller: 'Ossel & Wick',
    form: 'crystal',
    densityKgPerL: 0.95,
    analysis: label(['Mg', 16, 'MgO'], ['S', 32, 'SO3']),
    derivedFrom: ['epsom salt'],
    offers: [pack(1, 'kg', '6.90')],
    directions: [rate('2 g/m²', 3)],
    note: 'Declared in oxides, as bags from over the water are.',
  }),
  product({
    name: 'Standfast Silicon',
    seller: 'Hobbingate Supplies',
    form: 'liquid',
    densityKgPerL: 1.25,
    analysis: lines('label', 'bottle label', '% w/v', ['K', 12], ['Si', 10, 'element']),
    derivedFrom: ['potassium silicate', 'water'],
    offers: [pack(1, 'L', '16.80')],
    directions: [rate('0.4 mL/m²', 3)],
  }),
  product({
    name: 'Green Can Nettle Ferment',
    seller: 'Ossel & Wick',
    form: 'liquid',
    densityKgPerL: 1.0,
    analysis: [
      ...lines('measured', 'lab slip HF-20, sample', 'mg/kg', ['N', 620], ['N.ammoniacal', 480], ['K', 900, 'element']),
      {
        analyte: 'P',
        basis: 'element',
        value: { kind: 'below', limit: 20 },
        unit: 'mg/kg',
        provenance: 'measured',
        source: 'lab slip HF-20, sample',
      },
    ],
    derivedFrom: ['nettle ferment', 'water'],
    offers: [pack(5, 'L', '14.50')],
    directions: [rate('100 mL/m²', 8)],
  }),
  product({
    name: 'Holdstone Zeolite',
    seller: 'Hobbingate Supplies',
    form: 'granule',
    densityKgPerL: 0.9,
    analysis: typical(['K', [1, 2.5, 4]], ['Ca', [1, 2, 3.5]], ['Na', [0.3, 1, 2]]),
    derivedFrom: ['zeolite'],
    offers: [pack(20, 'kg', '27.00')],
    directions: [rate('500 g/m²', 1)],
  }),
  product({
    name: 'Barn straw',
    seller: '',
    form: 'bulk',
    densityKgPerL: 0.08,
    analysis: typical(['N', [0.4, 0.5, 0.7]], ['P', [0.1, 0.15, 0.25]], ['K', [0.8, 1.2, 1.8]]),
    derivedFrom: ['straw'],
    offers: [],
    note: 'From the wheat strip; never priced.',
  }),
  product({
    name: 'Hollow Heap Compost',
    seller: '',
    form: 'bulk',
    densityKgPerL: 0.6,
    analysis: typical(['N', [0.8, 1.2, 1.8]], ['P', [0.3, 0.5, 0.9]], ['K', [0.5, 0.9, 1.5]], ['Ca', [1, 2, 4]]),
    derivedFrom: ['green compost'],
    origins: ['plant', 'waste'],
    organic: listed('yes'),
    processing: 'composted',
    ease: 2,
    hoursPer100Kg: 0.6,
    haulagePer100Kg: 1.2,
    distanceKm: 8,
    offers: [pack(1, 'm³', '38.00')],
  }),
];

/** How a bag's label stood a season ago, before its maker changed it. */
export const EARLIER_LABELS: Readonly<Record<string, Partial<ProductInput>>> = {
  'Hollow Hen Pellets': {
    grade: '4.5-3-3',
    derivedFrom: ['dried poultry manure', 'feather meal'],
    offers: [pack(25, 'kg', '11.80', '2025-03-04')],
    analysis: label(
      ['N', 4.5],
      ['N.ammoniacal', 0.6],
      ['N.waterInsoluble', 3.9],
      ['P', 3],
      ['K', 3],
      ['Ca', 8],
      ['Mg', 0.8],
    ),
  },
};
