import { useState } from 'react';
import type { DecimalMark } from '@wheat-ledger/core';
import { original, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit';
import { createApi, fetchBaseQuery, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import { KINDS, RECORD_KINDS, WHO_HEADER } from '@wheat-ledger/contract';
import { LEDGER, routesOf } from './ledger';
import { belongs, withRecord, type AnyRecord, type Asked } from './lists';
import type { Settings } from './slices';
import type {
  AttachedContent,
  Bench,
  CopyDone,
  CsvProgress,
  CsvReport,
  ImportReport,
  JournalRecord,
  Kept,
  Ledger,
  LoggerReport,
  OperationUndone,
  Page,
  Problem,
  RecordKind,
  RecordOf,
  Use,
} from '@wheat-ledger/contract';

export const ALL_TAGS = [...RECORD_KINDS, 'journal'] as const;
const TAGS = [...ALL_TAGS, 'ledger', 'bench'] as const;
const PAGE = 500;
/** An absolute address lets the same code run where there is no page to be relative to. */
const ORIGIN = globalThis.location?.origin ?? 'http://127.0.0.1';

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

/** Puts a record that was written into every list of it on screen, without asking for the lists again. */
const patched = (
  kind: RecordKind,
  change: (records: readonly AnyRecord[], answer: AnyRecord) => AnyRecord[],
  {
    dispatch,
    getState,
    queryFulfilled,
  }: {
    dispatch: ThunkDispatch<unknown, unknown, UnknownAction>;
    getState: () => unknown;
    queryFulfilled: Promise<{ data: AnyRecord }>;
  },
): Promise<void> =>
  queryFulfilled.then(
    ({ data }) => {
      for (const asked of api.util.selectCachedArgsForQuery(getState() as never, 'records')) {
        if (asked.kind !== kind || asked.removed || !belongs(data, asked)) continue;
        dispatch(
          api.util.updateQueryData('records', asked, (draft) =>
            change((original(draft) ?? []) as readonly AnyRecord[], data),
          ) as never,
        );
      }
    },
    () => undefined,
  );
const ifMatch = ({ version }: Pick<Kept, 'version'>): Record<string, string> => ({ 'If-Match': `"${version}"` });

/** One API for every kind of record, since the server treats them alike. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({
    baseUrl: `${ORIGIN}${routesOf(LEDGER)}`,
    prepareHeaders: (headers, { getState }) => {
      const { who } = (getState() as { readonly settings: Settings }).settings;
      if (who) headers.set(WHO_HEADER, encodeURIComponent(who));
    },
  }),
  tagTypes: TAGS,
  endpoints: (build) => ({
    records: build.query<AnyRecord[], Asked>({
      queryFn: async ({ kind, removed = false, of = {} }, _api, _extra, fetch) => {
        const items: AnyRecord[] = [];
        let after: string | null = null;
        do {
          const result = await fetch({
            url: KINDS[kind].path,
            params: { limit: PAGE, ...of, ...(removed ? { removed } : {}), ...(after ? { after } : {}) },
          });
          if (result.error) return { error: result.error };
          const page = result.data as Page<AnyRecord>;
          items.push(...page.items);
          after = page.next;
        } while (after);
        return { data: items };
      },
      providesTags: (_result, _error, { kind, removed = false }) => [
        { type: kind, id: removed ? 'removed' : 'present' },
      ],
    }),
    save: build.mutation<AnyRecord, Save>({
      query: ({ kind, existing, input }) =>
        existing
          ? { url: `${KINDS[kind].path}/${existing.id}`, method: 'PUT', headers: ifMatch(existing), body: input }
          : { url: KINDS[kind].path, method: 'POST', body: input },
      onQueryStarted: ({ kind }, started) =>
        patched(kind, (records, saved) => withRecord(kind, records, saved), started),
      // Somebody else's newer version is asked for when this one was refused.
      // A log entry moves stock.
      invalidatesTags: (_result, error, { kind }) =>
        error ? [{ type: kind, id: 'present' }] : ['journal', ...(kind === 'entry' ? (['movement'] as const) : [])],
    }),
    remove: build.mutation<AnyRecord, Change>({
      query: ({ kind, record }) => ({
        url: `${KINDS[kind].path}/${record.id}`,
        method: 'DELETE',
        headers: ifMatch(record),
      }),
      onQueryStarted: ({ kind }, started) =>
        patched(kind, (records, gone) => records.filter((r) => r.id !== gone.id), started),
      invalidatesTags: (_result, error, { kind }) => [{ type: kind, id: error ? 'present' : 'removed' }, 'journal'],
    }),
    restore: build.mutation<AnyRecord, Change>({
      query: ({ kind, record }) => ({
        url: `${KINDS[kind].path}/${record.id}/restore`,
        method: 'POST',
        headers: ifMatch(record),
      }),
      onQueryStarted: ({ kind }, started) =>
        patched(kind, (records, saved) => withRecord(kind, records, saved), started),
      invalidatesTags: (_result, _error, { kind }) => [{ type: kind, id: 'removed' }, 'journal'],
    }),
    journal: build.query<Page<JournalRecord>, { before?: string }>({
      query: (params) => ({ url: 'journal', params: { limit: 60, ...params } }),
      providesTags: ['journal'],
    }),
    /** How one record stood, the newest first. */
    recordHistory: build.query<Page<JournalRecord>, { recordId: string }>({
      query: (params) => ({ url: 'journal', params: { limit: 100, ...params } }),
      providesTags: ['journal'],
    }),
    /** Takes an operation back: all of it, or, leaving what was changed since, the rest of it. */
    undo: build.mutation<OperationUndone, { operation: string; leaving?: boolean }>({
      query: ({ operation, leaving }) => ({
        url: `operations/${operation}/undo`,
        method: 'POST',
        params: leaving ? { leaving: 'yes' } : {},
      }),
      invalidatesTags: [...ALL_TAGS],
    }),
    /** The ledgers of this installation. */
    ledgers: build.query<readonly Ledger[], void>({
      query: () => `${ORIGIN}/api/v1/ledgers`,
      providesTags: ['ledger'],
    }),
    /** A new ledger, or another name for one. */
    saveLedger: build.mutation<Ledger, { slug?: string; name: string }>({
      query: ({ slug, name }) => ({
        url: `${ORIGIN}/api/v1/ledgers${slug ? `/${slug}` : ''}`,
        method: slug ? 'PUT' : 'POST',
        body: { name },
      }),
      invalidatesTags: ['ledger'],
    }),
    /** What lies on the ledger's bench. */
    bench: build.query<Bench, void>({ query: () => 'bench', providesTags: ['bench'] }),
    layBench: build.mutation<Bench, Bench>({
      query: (bench) => ({ url: 'bench', method: 'PUT', body: bench }),
      // What the server refused is not on the bench.
      invalidatesTags: (_result, error) => (typeof error?.status === 'number' ? ['bench'] : []),
    }),
    /** Copies a record of this ledger into another one, with what it refers to. */
    copyTo: build.mutation<CopyDone, { ledger: string; kind: RecordKind; id: string }>({
      query: ({ ledger, kind, id }) => ({
        url: `${ORIGIN}${routesOf(ledger)}/copies`,
        method: 'POST',
        body: { from: LEDGER, kind, id },
      }),
    }),
    /** How many records of which kinds speak of one. */
    uses: build.query<readonly Use[], { kind: RecordKind; id: string }>({
      query: ({ kind, id }) => `${KINDS[kind].path}/${id}/uses`,
      keepUnusedDataFor: 0,
    }),
    /** Looks into a workspace file, and takes it over when told to. */
    importWorkspace: build.mutation<ImportReport, { file: object; write: boolean }>({
      query: ({ file, write }) => ({
        url: 'workspace/import',
        method: 'POST',
        params: write ? { write: 'yes' } : {},
        body: file,
      }),
      invalidatesTags: (result) => (result?.written ? [...ALL_TAGS, 'bench'] : []),
    }),
    /** Looks into a CSV file of bags, and writes what fits when told to. */
    importCsv: build.mutation<
      CsvReport,
      {
        file: File;
        columns: readonly string[];
        currency: string | undefined;
        decimal: DecimalMark | undefined;
        job: string;
        write: boolean;
      }
    >({
      query: ({ file, columns, currency, decimal, job, write }) => ({
        url: 'shelf/csv',
        method: 'POST',
        params: {
          columns: JSON.stringify(columns),
          ...(currency ? { currency } : {}),
          ...(decimal ? { decimal } : {}),
          job,
          write: write ? 'yes' : 'no',
        },
        headers: { 'Content-Type': 'text/csv' },
        body: file,
      }),
      invalidatesTags: (result) => (result?.written ? ['product', 'journal'] : []),
    }),
    csvProgress: build.query<CsvProgress, { job: string }>({ query: ({ job }) => `shelf/csv/${job}` }),
    /** Readings of the simulated station as the CSV file it writes. */
    station: build.query<string, { climate: string; from: string; days: number; seed: number }>({
      query: (params) => ({ url: 'station', params, responseHandler: 'text' }),
    }),
    /** Sends a file's bytes; a record made afterwards attaches them. */
    keepContent: build.mutation<AttachedContent, { file: Blob }>({
      query: ({ file }) => ({
        url: 'attachments/content',
        method: 'POST',
        headers: { 'Content-Type': 'application/octet-stream' },
        body: file,
      }),
    }),
    /** A logger's CSV through the door that loggers use themselves. */
    takeLog: build.mutation<LoggerReport, { plotId: string; name: string; csv: Blob }>({
      query: ({ plotId, name, csv }) => ({
        url: `plots/${plotId}/log`,
        method: 'POST',
        params: { name },
        headers: { 'Content-Type': 'text/csv' },
        body: csv,
      }),
      invalidatesTags: (result) => (result ? ['logger', 'journal'] : []),
    }),
    /** Takes back the operation that changed a record last. */
    undoLatest: build.mutation<OperationUndone, { recordId: string }>({
      queryFn: async ({ recordId }, _api, _extra, fetch) => {
        const found = await fetch({ url: 'journal', params: { recordId, limit: 1 } });
        if (found.error) return { error: found.error };
        const [entry] = (found.data as Page<JournalRecord>).items;
        const undone = await fetch({ url: `operations/${entry?.operation ?? ''}/undo`, method: 'POST' });
        return undone.error ? { error: undone.error } : { data: undone.data as OperationUndone };
      },
      invalidatesTags: [...ALL_TAGS],
    }),
  }),
});

export const {
  useLedgersQuery,
  useSaveLedgerMutation,
  useCopyToMutation,
  useLazyUsesQuery,
  useSaveMutation,
  useRemoveMutation,
  useRestoreMutation,
  useJournalQuery,
  useRecordHistoryQuery,
  useUndoMutation,
  useUndoLatestMutation,
  useImportWorkspaceMutation,
  useImportCsvMutation,
  useCsvProgressQuery,
  useKeepContentMutation,
  useTakeLogMutation,
  useLazyStationQuery,
} = api;

const NONE: readonly never[] = [];

/** How often something that could not be had is asked for again, until it comes. */
const AGAIN_MS = 3000;

/** For a query that is asked again now and then while it fails: its interval, and what hears of each answer. */
export function useAgain(): { readonly pollingInterval: number; readonly hear: (error: unknown) => void } {
  const [failing, setFailing] = useState(false);
  return {
    pollingInterval: failing ? AGAIN_MS : 0,
    hear: (error) => {
      if ((error !== undefined) !== failing) setFailing(!failing);
    },
  };
}

/**
 * All present (or removed) records of a kind, or those that belong to another record. A list that could not be had is asked for again now and then; meanwhile it is not called loading,
 * or a view that gives way to "loading" would come and go, and ask anew each time.
 */
export function useRecords<K extends RecordKind>(
  kind: K,
  { skip = false, ...asked }: Omit<Asked, 'kind'> & { readonly skip?: boolean } = {},
) {
  const { pollingInterval, hear } = useAgain();
  const { data, isLoading, error, refetch } = api.useRecordsQuery({ kind, ...asked }, { skip, pollingInterval });
  hear(error);
  return {
    records: (data ?? NONE) as readonly RecordOf<K>[],
    isLoading: isLoading && error === undefined,
    /** Whether there is nothing to show because it could not be had. */
    away: error !== undefined && data === undefined,
    error,
    refetch,
  };
}

/** The problem behind a failed request, in words a person can act on. */
export function problemOf(error: unknown): Problem {
  const failure = error as FetchBaseQueryError | undefined;
  if (failure && typeof failure.status === 'number') {
    const body = typeof failure.data === 'string' ? parse(failure.data) : failure.data;
    if (body && typeof body === 'object' && 'detail' in body) return body as Problem;
  }
  return {
    type: '/problems/unreachable',
    title: 'No answer',
    status: 0,
    detail: 'The ledger’s server does not answer. What you typed is kept here; try again when it is back.',
  };
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
