import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { RecipeRuleInput } from '@wheat-ledger/contract';
import type {
  Carriage,
  DecimalMark,
  ExchangeRate,
  Figure,
  HourlyRate,
  Nutrient,
  SodicSchool,
} from '@wheat-ledger/core';

/** Rules of a mix under one name. */
export interface RuleSet {
  readonly name: string;
  readonly rules: readonly RecipeRuleInput[];
}

export interface Settings {
  readonly massUnit: 'kg' | 'lb';
  /** Whether P and K are shown as oxides or as elements. */
  readonly basis: 'oxide' | 'element';
  readonly theme: 'day' | 'evening' | 'system';
  readonly plotId: string | undefined;
  /** The season that is looked at; the plot's newest when it is not one of its own. */
  readonly seasonId: string | undefined;
  readonly nutrient: Nutrient;
  /** Nitrogen each product is dosed to, kg/ha; the crop's own uptake when empty. */
  readonly nitrogenKgPerHa: number | undefined;
  readonly daysOnSurface: number;
  /** Where sodic soil begins. */
  readonly sodicSchool: SodicSchool;
  /** How 2,500 is meant, once it has been asked. */
  readonly decimalMark: DecimalMark | undefined;
  /** The shelf as drawn bags or as lines, and which columns those have; the usual ones until they are chosen. */
  readonly shelfAs: 'bags' | 'lines';
  readonly shelfColumns: readonly string[] | undefined;
  /** What an hour of work is worth; not counted when missing. */
  readonly hour: HourlyRate | undefined;
  /** Rates between currencies, as they were typed. */
  readonly rates: readonly ExchangeRate[];
  /** What sellers ask for bringing an order. */
  readonly carriage: Carriage;
  /** How far away counts as local, km. */
  readonly localKm: number;
  /** Volumes of the scoops one has, as typed. */
  readonly scoops: string;
  /** Sets of rules for mixes. */
  readonly ruleSets: readonly RuleSet[];
  /** When each kept search of the catalogue was last looked at here, by its id. */
  readonly searchesSeen: Readonly<Record<string, string>>;
  /** Who writes in the book, typed once in each browser. */
  readonly who: string;
  /** Whether dry roots are wetted before each feed, or fed with the water. */
  readonly wetFirst: boolean;
  /** Whether the bench is one line; on a narrow screen it is until somebody unfolds it. */
  readonly benchFolded: boolean | undefined;
}

const FIRST_SETTINGS: Settings = {
  massUnit: 'kg',
  basis: 'oxide',
  theme: 'system',
  plotId: undefined,
  seasonId: undefined,
  nutrient: 'N',
  nitrogenKgPerHa: undefined,
  daysOnSurface: 0,
  sodicSchool: 'US',
  decimalMark: undefined,
  shelfAs: 'bags',
  shelfColumns: undefined,
  hour: undefined,
  rates: [],
  carriage: {},
  localKm: 50,
  scoops: '60 mL; 250 mL; 1 L',
  wetFirst: false,
  searchesSeen: {},
  ruleSets: [
    {
      name: 'acid-loving plants',
      rules: [
        { kind: 'keep', on: true, what: 'noNitrate' },
        { kind: 'limit', on: true, of: 'liming', high: 0 },
      ],
    },
    {
      name: 'sensitive to chloride and salt',
      rules: [
        { kind: 'keep', on: true, what: 'noChloride' },
        { kind: 'limit', on: true, of: 'salt', high: 40 },
      ],
    },
    { name: 'plants only', rules: [{ kind: 'keep', on: true, what: 'plants' }] },
  ],
  who: '',
  benchFolded: undefined,
};

export const settingsSlice = createSlice({
  name: 'settings',
  initialState: FIRST_SETTINGS,
  reducers: {
    changed: (settings, { payload }: PayloadAction<Partial<Settings>>) => ({ ...settings, ...payload }),
  },
});

/** The figure whose working stands in the margin, and the words of the last thing done, with what undoes it. */
export interface Desk {
  readonly working: Figure | undefined;
  readonly notice: { readonly text: string; readonly recordId: string | undefined } | undefined;
}

const CLEAR_DESK: Desk = { working: undefined, notice: undefined };

export const deskSlice = createSlice({
  name: 'desk',
  initialState: CLEAR_DESK,
  reducers: {
    workingOpened: (desk: Desk, { payload }: PayloadAction<Figure>): Desk => ({ ...desk, working: payload }),
    workingClosed: (desk: Desk): Desk => ({ ...desk, working: undefined }),
    noticed: (desk: Desk, { payload }: PayloadAction<Desk['notice']>): Desk => ({ ...desk, notice: payload }),
  },
});
