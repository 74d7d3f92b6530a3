import type { EntryInput, HarvestInput, LeafTestInput, PourInput } from '@wheat-ledger/contract';

/** A log entry that names its plot, the first day of its season, its bags, and the entry that it corrects. */
export type NamedEntry = Omit<EntryInput, 'plotId' | 'seasonId' | 'items' | 'corrects'> & {
  readonly plot: string;
  readonly from: string;
  readonly items: readonly {
    readonly product: string;
    readonly amount: number;
    readonly unit: string;
    readonly lot: string;
  }[];
  /** What the corrected entry says was done. */
  readonly corrects?: string;
};
type Named<Input> = Omit<Input, 'plotId' | 'seasonId'> & { readonly plot: string; readonly from: string };
export type NamedHarvest = Named<HarvestInput>;
export type NamedLeafTest = Named<LeafTestInput>;
export type NamedPour = Named<PourInput>;

const WHEAT = 'Ashlark Hollow, wheat strip';
const entry = (
  what: string,
  on: string,
  from: string,
  product: string,
  kg: number,
  given: Partial<NamedEntry> = {},
): NamedEntry => ({
  plot: WHEAT,
  from,
  on,
  what,
  items: [{ product, amount: kg, unit: 'kg', lot: '' }],
  by: 'Wren, sample',
  weather: '',
  note: '',
  ...given,
});

/** What was done on the wheat strip, one entry of it corrected. */
export const ENTRIES: readonly NamedEntry[] = [
  entry('Compost on the garlic', '2025-03-02', '2024-10-12', 'Hollow Heap Compost', 900, {
    where: 'surface',
    weather: '9 °C, still',
  }),
  entry('Bone meal in the garlic rows', '2025-03-20', '2024-10-12', 'Larkmere Bone Meal', 18, { where: 'band' }),
  entry('Compost before the wheat', '2026-03-10', '2026-03-15', 'Hollow Heap Compost', 450, {
    areaM2: 450,
    where: 'workedIn',
    note: 'The lower half only.',
  }),
  entry('Potash for the straw', '2026-05-02', '2026-03-15', 'Quernlow Sulfate of Potash', 9, { where: 'wateredIn' }),
  entry('Potash for the straw, weighed again', '2026-05-02', '2026-03-15', 'Quernlow Sulfate of Potash', 8.4, {
    where: 'wateredIn',
    corrects: 'Potash for the straw',
  }),
];

/** What the wheat strip gave. */
export const HARVESTS: readonly NamedHarvest[] = [
  { plot: WHEAT, from: '2024-10-12', on: '2025-07-14', kg: 280, count: 4100, note: 'Cured weight, sample.' },
  { plot: WHEAT, from: '2026-03-15', on: '2026-08-06', kg: 405, note: 'Grain, sample.' },
];

/** Leaves of the wheat, taken as it headed. */
export const LEAF_TESTS: readonly NamedLeafTest[] = [
  {
    plot: WHEAT,
    from: '2026-03-15',
    on: '2026-06-10',
    part: 'flag leaf',
    samples: 40,
    found: [
      { nutrient: 'N', percent: 2.6 },
      { nutrient: 'P', percent: 0.31 },
      { nutrient: 'K', percent: 3.2 },
      { nutrient: 'S', percent: 0.24 },
    ],
    stepPercent: 10,
    note: 'Sample.',
  },
  {
    plot: WHEAT,
    from: '2026-03-15',
    on: '2026-05-12',
    part: 'whole shoot',
    samples: 25,
    found: [
      { nutrient: 'N', percent: 3.6 },
      { nutrient: 'P', percent: 0.28 },
      { nutrient: 'K', percent: 2.7 },
    ],
    stepPercent: 10,
    note: 'Sample, before heading.',
  },
];

/** What ran through pots of dahlia cuttings. */
export const POUR_READINGS: readonly NamedPour[] = [
  { on: '2026-05-04', ecMsPerCm: 0.8, pH: 6.3 },
  { on: '2026-05-18', ecMsPerCm: 1.9, pH: 6.1 },
  { on: '2026-06-01', ecMsPerCm: 2.8, pH: 5.8 },
].map((read) => ({ plot: 'Dahlia rows', from: '2026-05-10', ...read, note: 'Cuttings in pots, sample.' }));
