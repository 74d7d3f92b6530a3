import type { CatalogueSearchInput } from '@wheat-ledger/contract';
import { parseDay, parseNumber, RANKED_NUTRIENTS, type RankedNutrient } from '@wheat-ledger/core';
import type { Asked } from '../../app/catalogueApi';

/** What somebody looks for in the catalogue, as typed and chosen. */
export interface Search {
  readonly words: string;
  /** '' ranks by name. */
  readonly by: RankedNutrient | '';
  readonly currency: string;
  /** Percentages as typed; blank where it does not matter. */
  readonly atLeast: Readonly<Partial<Record<RankedNutrient, string>>>;
  readonly form: string;
  readonly organic: string;
  readonly seller: string;
  readonly list: string;
  readonly chloride: string;
  readonly origin: string;
  readonly place: string;
  /** 'yes' or 'no' as the list says; '' where it does not matter. */
  readonly inStock: string;
  /** A day as typed. */
  readonly seenSince: string;
}
export const NO_SEARCH: Search = {
  words: '',
  by: 'N',
  currency: '',
  atLeast: {},
  form: '',
  organic: '',
  seller: '',
  list: '',
  chloride: '',
  origin: '',
  place: '',
  inStock: '',
  seenSince: '',
};

/** A percentage as typed; undefined where it is none. */
function percent(typed: string): number | undefined {
  const read = parseNumber(typed.replace(/\s*%$/, ''));
  return read.ok && read.value >= 0 && read.value <= 100 ? read.value : undefined;
}
/** Whether something typed as a percentage cannot be read as one. */
export const isNoPercent = (typed: string): boolean => typed.trim() !== '' && percent(typed.trim()) === undefined;

/** A day as typed, or undefined. */
function day(typed: string): string | undefined {
  const read = parseDay(typed.trim());
  return read.ok ? read.value : undefined;
}
/** Whether something typed as a day cannot be read as one. */
export const isNoDay = (typed: string): boolean => typed.trim() !== '' && day(typed) === undefined;

/**
 * A search as the server is asked; what cannot be read asks nothing.
 * @param currency the money it is ranked in, where none was chosen
 * @example askedBy({ ...NO_SEARCH, words: 'oak' }, 'EUR') // { by: 'N', currency: 'EUR', words: 'oak' }
 */
export function askedBy(search: Search, currency: string): Asked {
  const money = search.currency || currency;
  const least = RANKED_NUTRIENTS.flatMap((n) => {
    const share = percent((search.atLeast[n] ?? '').trim());
    return share === undefined || share === 0 ? [] : [`${n}:${Number(share.toFixed(4))}`];
  });
  const chloride = search.chloride.trim() === '' ? undefined : percent(search.chloride.trim());
  const { form, organic, seller, list, inStock, origin, place, seenSince } = search;
  const plain = { form, organic, seller, list, inStock, origin: origin.trim(), place: place.trim() };
  const since = day(seenSince);
  return {
    ...(search.by && money ? { by: search.by, currency: money } : {}),
    ...(search.words.trim() ? { words: search.words.trim().slice(0, 100) } : {}),
    ...(least.length > 0 ? { atLeast: least.join(',') } : {}),
    ...Object.fromEntries(Object.entries(plain).filter(([, value]) => value !== '')),
    ...(chloride === undefined ? {} : { chloride: String(chloride) }),
    ...(since === undefined ? {} : { seenSince: since }),
  };
}

/** A search as it is kept; what cannot be read is left out. @example keptOf({ ...NO_SEARCH, words: 'oak' }) // { words: 'oak', by: 'N', atLeast: [] } */
export function keptOf(search: Search): CatalogueSearchInput {
  const chloride = percent(search.chloride.trim());
  const since = day(search.seenSince);
  const plain = {
    by: search.by,
    currency: search.currency,
    form: search.form,
    organic: search.organic,
    seller: search.seller,
    list: search.list,
    origin: search.origin.trim(),
    place: search.place.trim(),
    seenSince: since ?? '',
  };
  return {
    words: search.words.trim().slice(0, 100),
    ...Object.fromEntries(Object.entries(plain).filter(([, value]) => value !== '')),
    ...(search.inStock === '' ? {} : { inStock: search.inStock === 'yes' }),
    ...(search.chloride.trim() === '' || chloride === undefined ? {} : { chloridePercent: chloride }),
    atLeast: RANKED_NUTRIENTS.flatMap((nutrient) => {
      const share = percent((search.atLeast[nutrient] ?? '').trim());
      return share === undefined || share === 0 ? [] : [{ nutrient, percent: share }];
    }),
  };
}

/** A kept search as it is typed and chosen. */
export function searchOf({ atLeast, chloridePercent, inStock, by, ...kept }: CatalogueSearchInput): Search {
  return {
    ...NO_SEARCH,
    ...kept,
    by: by ?? '',
    atLeast: Object.fromEntries(atLeast.map(({ nutrient, percent: share }) => [nutrient, String(share)])),
    chloride: chloridePercent === undefined ? '' : String(chloridePercent),
    inStock: inStock === undefined ? '' : inStock ? 'yes' : 'no',
  };
}
