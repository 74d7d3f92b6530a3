import type { Crop } from '../crop.js';
import { toCrop } from './entry.js';
import { FIELD } from './field.js';
import { PERENNIALS } from './perennials.js';
import { VEGETABLES } from './vegetables.js';

/** The crops that ship with the program, by name: class averages with ranges, to be overruled by what a grower measures. */
export const CROP_LIBRARY: readonly Crop[] = Object.entries({ ...VEGETABLES, ...FIELD, ...PERENNIALS })
  .map(([key, row]) => toCrop(key, row))
  .sort((a, b) => (a.name < b.name ? -1 : 1));

const byKey = new Map(CROP_LIBRARY.map((crop) => [crop.key, crop]));

/** The library's crop with this key; undefined when there is none. @example libraryCrop('wheat')?.name // 'Heritage bread wheat' */
export const libraryCrop = (key: string): Crop | undefined => byKey.get(key);
