import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { DecimalMark, Figure, Nutrient, SodicSchool } from '@wheat-ledger/core';

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
  /** Who writes in the book, typed once in each browser. */
  readonly who: string;
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
