import { createApi, fetchBaseQuery, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import type {
  ClaimInput, ClaimRecord, ImportReport, JournalRecord, Kept, Page, PlotInput, PlotRecord, Problem, ProductInput, ProductRecord, RecipeInput, RecipeRecord, RecordKind, SoilReportInput, SoilReportRecord,
} from '@wheat-ledger/contract';

/** What is sent and what comes back, by kind of record. */
export interface Kinds {
  plot: { input: PlotInput; record: PlotRecord };
  product: { input: ProductInput; record: ProductRecord };
  recipe: { input: RecipeInput; record: RecipeRecord };
  claim: { input: ClaimInput; record: ClaimRecord };
  soil: { input: SoilReportInput; record: SoilReportRecord };
}
export type RecordOf<K extends RecordKind> = Kinds[K]['record'];
export type InputOf<K extends RecordKind> = Kinds[K]['input'];
type AnyRecord = RecordOf<RecordKind>;

const PATHS: Readonly<Record<RecordKind, string>> = { plot: 'plots', product: 'products', recipe: 'recipes', claim: 'claims', soil: 'soil-reports' };
const ALL_TAGS = ['plot', 'product', 'recipe', 'claim', 'soil', 'journal'] as const;
const PAGE = 500;

export interface Save {
  readonly kind: RecordKind;
  /** Missing when the record is new. */
  readonly existing?: Pick<Kept, 'id' | 'version'>;
  readonly input: object;
}
export interface Change {
  readonly kind: RecordKind;
  readonly record: Pick<Kept, 'id' | 'version'>;
}

const ifMatch = ({ version }: Pick<Kept, 'version'>): Record<string, string> => ({ 'If-Match': `"${version}"` });

/** One API for every kind of record, since the server treats them alike. */
export const api = createApi({
  reducerPath: 'api',
  // The absolute address lets the same code run where there is no page to be relative to.
  baseQuery: fetchBaseQuery({ baseUrl: `${globalThis.location?.origin ?? 'http://127.0.0.1'}/api/v1` }),
  tagTypes: ALL_TAGS,
  endpoints: (build) => ({
    records: build.query<readonly AnyRecord[], { kind: RecordKind; removed?: boolean }>({
      queryFn: async ({ kind, removed = false }, _api, _extra, fetch) => {
        const items: AnyRecord[] = [];
        let after: string | null = null;
        do {
          const result = await fetch({ url: PATHS[kind], params: { limit: PAGE, ...(removed ? { removed } : {}), ...(after ? { after } : {}) } });
          if (result.error) return { error: result.error };
          const page = result.data as Page<AnyRecord>;
          items.push(...page.items);
          after = page.next;
        } while (after);
        return { data: items };
      },
      providesTags: (_result, _error, { kind }) => [kind],
    }),
    save: build.mutation<AnyRecord, Save>({
      query: ({ kind, existing, input }) =>
        existing
          ? { url: `${PATHS[kind]}/${existing.id}`, method: 'PUT', headers: ifMatch(existing), body: input }
          : { url: PATHS[kind], method: 'POST', body: input },
      invalidatesTags: (_result, error, { kind }) => (error ? [] : [kind, 'journal']),
    }),
    remove: build.mutation<AnyRecord, Change>({
      query: ({ kind, record }) => ({ url: `${PATHS[kind]}/${record.id}`, method: 'DELETE', headers: ifMatch(record) }),
      invalidatesTags: (_result, _error, { kind }) => [kind, 'journal'],
    }),
    restore: build.mutation<AnyRecord, Change>({
      query: ({ kind, record }) => ({ url: `${PATHS[kind]}/${record.id}/restore`, method: 'POST', headers: ifMatch(record) }),
      invalidatesTags: (_result, _error, { kind }) => [kind, 'journal'],
    }),
    journal: build.query<Page<JournalRecord>, { before?: string }>({
      query: (params) => ({ url: 'journal', params: { limit: 60, ...params } }),
      providesTags: ['journal'],
    }),
    undo: build.mutation<Kept, { entry: string }>({
      query: ({ entry }) => ({ url: `journal/${entry}/undo`, method: 'POST' }),
      invalidatesTags: [...ALL_TAGS],
    }),
    /** Looks into a workspace file, and takes it over when told to. */
    importWorkspace: build.mutation<ImportReport, { file: object; write: boolean }>({
      query: ({ file, write }) => ({ url: 'workspace/import', method: 'POST', params: write ? { write: 'yes' } : {}, body: file }),
      invalidatesTags: (result) => (result?.written ? [...ALL_TAGS] : []),
    }),
    /** Takes back the latest change of one record. */
    undoLatest: build.mutation<Kept, { recordId: string }>({
      queryFn: async ({ recordId }, _api, _extra, fetch) => {
        const found = await fetch({ url: 'journal', params: { recordId, limit: 1 } });
        if (found.error) return { error: found.error };
        const entry = (found.data as Page<JournalRecord>).items[0];
        const undone = await fetch({ url: `journal/${entry?.id ?? ''}/undo`, method: 'POST' });
        return undone.error ? { error: undone.error } : { data: undone.data as Kept };
      },
      invalidatesTags: [...ALL_TAGS],
    }),
  }),
});

export const { useSaveMutation, useRemoveMutation, useRestoreMutation, useJournalQuery, useUndoMutation, useUndoLatestMutation, useImportWorkspaceMutation } = api;

const NONE: readonly never[] = [];

/** All present (or removed) records of a kind. */
export function useRecords<K extends RecordKind>(kind: K, removed = false) {
  const { data, isLoading, error, refetch } = api.useRecordsQuery({ kind, removed });
  return { records: (data ?? NONE) as readonly RecordOf<K>[], isLoading, error, refetch };
}

/** The problem behind a failed request, in words a person can act on. */
export function problemOf(error: unknown): Problem {
  const failure = error as FetchBaseQueryError | undefined;
  if (failure && typeof failure.status === 'number') {
    const body = typeof failure.data === 'string' ? parse(failure.data) : failure.data;
    if (body && typeof body === 'object' && 'detail' in body) return body as Problem;
  }
  return { type: '/problems/unreachable', title: 'No answer', status: 0, detail: 'The ledger’s server does not answer. What you typed is kept here; try again when it is back.' };
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
