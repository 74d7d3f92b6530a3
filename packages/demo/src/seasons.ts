import type { ApplicationInput, CropInput, ProgrammeInput, SeasonInput } from '@wheat-ledger/contract';

/** A season, a crop of its own or a programme that names what it belongs to; the loader turns names into ids. */
export type NamedSeason = Omit<SeasonInput, 'plotId' | 'cropId'> & { readonly plot: string; readonly own?: string };
export type NamedApplication = Omit<ApplicationInput, 'productId' | 'recipeId'> & {
  readonly product?: string;
  readonly recipe?: string;
};
export type NamedProgramme = Omit<ProgrammeInput, 'seasonId' | 'applications'> & {
  /** The plot, and the season’s first day. */
  readonly plot: string;
  readonly from: string;
  readonly applications: readonly NamedApplication[];
};

export const CROPS: readonly CropInput[] = [
  {
    name: 'Hollow dahlias, own stock',
    basedOn: 'dahlia',
    rowM: 1,
    plantM: 0.4,
    uptakeKgPerHa: [{ nutrient: 'N', low: 85, mid: 105, high: 125 }],
    note: 'Nitrogen from two years of leaf tests (sample).',
  },
];

const WHEAT = 'Ashlark Hollow, wheat strip';
export const SEASONS: readonly NamedSeason[] = [
  { plot: WHEAT, crop: 'garlic', from: '2024-10-12', to: '2025-07-14', share: 1, note: '' },
  { plot: WHEAT, crop: 'phacelia', from: '2025-08-01', to: '2025-11-20', share: 1, note: '' },
  { plot: WHEAT, crop: 'wheat', from: '2026-03-15', share: 1, note: '' },
  { plot: 'Dahlia rows', own: 'Hollow dahlias, own stock', from: '2026-05-10', share: 1, note: '' },
  { plot: 'Sweetcorn block', crop: 'sweetcorn', from: '2026-05-15', share: 1, note: '' },
];

const onAll = { share: 1 };
const byGround = (amount: number, unit = 'g'): ApplicationInput['amount'] => ({
  kind: 'rate',
  amount,
  unit,
  per: { amount: 1, unit: 'm²' },
});

export const PROGRAMMES: readonly NamedProgramme[] = [
  {
    name: 'Meal at sowing, pellets at tillering',
    plot: WHEAT,
    from: '2026-03-15',
    note: '',
    applications: [
      {
        what: 'product',
        product: 'Larkmere Feather Meal',
        amount: byGround(40),
        when: { kind: 'afterPlanting', days: 0 },
        where: { kind: 'workedIn', depthM: 0.1 },
        part: onAll,
        note: '',
      },
      {
        what: 'product',
        product: 'Hollow Hen Pellets',
        amount: byGround(90),
        when: { kind: 'date', on: '2026-05-02' },
        where: { kind: 'surface' },
        part: onAll,
        note: '',
      },
    ],
  },
  {
    name: 'Little and often in the can',
    plot: 'Dahlia rows',
    from: '2026-05-10',
    note: '',
    applications: [
      {
        what: 'product',
        product: 'Ossel Clear Feed',
        amount: {
          kind: 'rate',
          amount: 5,
          unit: 'mL',
          per: { amount: 1, unit: 'L of water' },
          water: { litres: { low: 1.5, mid: 2, high: 2.5 }, per: 'plant' },
        },
        when: { kind: 'repeat', from: '2026-06-01', to: '2026-08-15', everyDays: 14 },
        where: { kind: 'inWater' },
        part: onAll,
        note: '',
      },
    ],
  },
];
