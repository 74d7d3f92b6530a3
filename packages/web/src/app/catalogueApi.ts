import type {
  CatalogueChange,
  CatalogueCount,
  CatalogueDifferences,
  CatalogueList,
  CataloguePage,
  CataloguePreview,
  CatalogueRecord,
} from '@wheat-ledger/contract';
import type { DecimalMark } from '@wheat-ledger/core';
import { useEffect, useRef, useState } from 'react';
import { api } from './api';
import { useAppDispatch } from './store';

/** What a catalogue is asked, as it stands in an address. */
export type Asked = Readonly<Record<string, string>>;
/** Products of a page: so many that they fill a screen or two, so few that they are drawn between two keys. */
export const PAGE_OF_PRODUCTS = 25;
/** Pages that are no longer looked at are forgotten so soon, s: however long one scrolls, only a few are held. */
const FORGOTTEN_AFTER = 5;

const catalogueApi = api.enhanceEndpoints({ addTagTypes: ['catalogue'] }).injectEndpoints({
  endpoints: (build) => ({
    cataloguePage: build.query<CataloguePage, Asked>({
      query: (params) => ({ url: 'catalogue/products', params: { ...params, limit: PAGE_OF_PRODUCTS } }),
      keepUnusedDataFor: FORGOTTEN_AFTER,
      providesTags: ['catalogue'],
    }),
    catalogueCount: build.query<CatalogueCount, Asked>({
      query: (params) => ({ url: 'catalogue/count', params }),
      keepUnusedDataFor: FORGOTTEN_AFTER,
      providesTags: ['catalogue'],
    }),
    catalogueFacets: build.query<Readonly<Record<string, readonly { value: string; count: number }[]>>, Asked>({
      query: (params) => ({ url: 'catalogue/facets', params }),
      keepUnusedDataFor: FORGOTTEN_AFTER,
      providesTags: ['catalogue'],
    }),
    catalogueSince: build.query<CatalogueDifferences, Asked>({
      query: (params) => ({ url: 'catalogue/since', params }),
      providesTags: ['catalogue'],
    }),
    catalogueCurrencies: build.query<readonly string[], void>({
      query: () => 'catalogue/currencies',
      providesTags: ['catalogue'],
    }),
    catalogueRecord: build.query<CatalogueRecord, string>({ query: (id) => `catalogue/products/${id}` }),
    catalogueLists: build.query<readonly CatalogueList[], void>({
      query: () => 'catalogue/lists',
      providesTags: ['catalogue'],
    }),
    catalogueChanges: build.query<readonly CatalogueChange[], string>({
      query: (id) => `catalogue/lists/${id}/changes`,
      providesTags: ['catalogue'],
    }),
    readList: build.mutation<
      CataloguePreview,
      { file: File; list: string; currency: string; decimal: DecimalMark | undefined }
    >({
      query: ({ file, list, currency, decimal }) => ({
        url: 'catalogue/imports',
        method: 'POST',
        params: { list, ...(currency ? { currency } : {}), ...(decimal ? { decimal } : {}) },
        headers: { 'Content-Type': 'text/csv' },
        body: file,
      }),
    }),
    /** The prices of a list by a price list: a file, or the seller's server where there is none. */
    readPrices: build.mutation<CataloguePreview, { id: string; file: File | undefined }>({
      query: ({ id, file }) =>
        file
          ? {
              url: `catalogue/lists/${id}/prices`,
              method: 'POST',
              headers: { 'Content-Type': 'text/csv' },
              body: file,
            }
          : { url: `catalogue/lists/${id}/prices/feed`, method: 'POST' },
    }),
    takeList: build.mutation<CatalogueList, { importId: string; list: string; seller: string }>({
      query: ({ importId, ...body }) => ({ url: `catalogue/imports/${importId}/take`, method: 'POST', body }),
      invalidatesTags: ['catalogue'],
    }),
    leaveList: build.mutation<void, string>({
      query: (importId) => ({ url: `catalogue/imports/${importId}/leave`, method: 'POST' }),
    }),
    takeListBack: build.mutation<CatalogueList, string>({
      query: (id) => ({ url: `catalogue/lists/${id}/take-back`, method: 'POST' }),
      invalidatesTags: ['catalogue'],
    }),
  }),
});
export const {
  useCataloguePageQuery,
  useCatalogueCountQuery,
  useCatalogueFacetsQuery,
  useCatalogueSinceQuery,
  useCatalogueCurrenciesQuery,
  useLazyCatalogueRecordQuery,
  useCatalogueListsQuery,
  useCatalogueChangesQuery,
  useReadListMutation,
  useReadPricesMutation,
  useCatalogueRecordQuery,
  useTakeListMutation,
  useLeaveListMutation,
  useTakeListBackMutation,
} = catalogueApi;

/** Calls off what a search asked for and asks no longer, where it is not there yet. */
export function useCallingOff(endpoint: 'cataloguePage' | 'catalogueCount' | 'catalogueFacets', asked: Asked): void {
  const dispatch = useAppDispatch();
  const last = useRef(asked);
  useEffect(() => {
    const before = last.current;
    last.current = asked;
    if (JSON.stringify(before) !== JSON.stringify(asked))
      dispatch(catalogueApi.util.getRunningQueryThunk(endpoint, before))?.abort();
  }, [endpoint, asked, dispatch]);
}

/**
 * What was asked last of what has an answer: until the next one is there, the last one stands.
 * @param skip asks nothing yet
 */
export function useAnsweredPage(asked: Asked, skip: boolean): Asked | undefined {
  const { currentData, error } = useCataloguePageQuery(asked, { skip });
  const [answered, setAnswered] = useState<Asked>();
  useCallingOff('cataloguePage', asked);
  // What was called off and is asked again has no answer yet.
  const failed = error !== undefined && !('name' in error && error.name === 'AbortError');
  if ((currentData !== undefined || failed) && answered !== asked) setAnswered(asked);
  return answered;
}
