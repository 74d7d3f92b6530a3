import { useState } from 'react';
import type { DecimalMark } from '@wheat-ledger/core';
import { original, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit';
import { createApi, fetchBaseQuery, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import { RECORD_KINDS } from '@wheat-ledger/contract';
import type {
  AttachedContent,
  AttachmentInput,
  AttachmentRecord,
  BatchUndone,
  ClaimInput,
  ClaimRecord,
  CsvProgress,
  CsvReport,
  ImportReport,
  JarTestInput,
  JarTestRecord,
  JournalRecord,
  Kept,
  LoggerInput,
  LoggerRecord,
  LoggerReport,
  Page,
  PlotInput,
  PlotRecord,
  Problem,
  ProductInput,
  ProductRecord,
  RecipeInput,
  RecipeRecord,
  RecordKind,
  KeptFilterInput,
  KeptFilterRecord,
  SoilReportInput,
  SoilReportRecord,
} from '@wheat-ledger/contract';

/** What is sent and what comes back, by kind of record. */
export interface Kinds {
  plot: { input: PlotInput; record: PlotRecord };
  product: { input: ProductInput; record: ProductRecord };
  recipe: { input: RecipeInput; record: RecipeRecord };
  claim: { input: ClaimInput; record: ClaimRecord };
  soil: { input: SoilReportInput; record: SoilReportRecord };
  attachment: { input: AttachmentInput; record: AttachmentRecord };
  jar: { input: JarTestInput; record: JarTestRecord };
  logger: { input: LoggerInput; record: LoggerRecord };
  filter: { input: KeptFilterInput; record: KeptFilterRecord };
}
export type RecordOf<K extends RecordKind> = Kinds[K]['record'];
export type InputOf<K extends RecordKind> = Kinds[K]['input'];
type AnyRecord = RecordOf<RecordKind>;

const PATHS: Readonly<Record<RecordKind, string>> = {
  plot: 'plots',
  product: 'products',
  recipe: 'recipes',
  claim: 'claims',
  soil: 'soil-reports',
  attachment: 'attachments',
  jar: 'jar-tests',
  logger: 'loggers',
  filter: 'shelf-filters',
};
const ALL_TAGS = [...RECORD_KINDS, 'journal'] as const;
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

/** In a list's order, as the server keeps it: by name, then by id. */
const before = (a: AnyRecord, b: AnyRecord): boolean => {
  const [x, y] = [nameOf(a), nameOf(b)];
  return x === y ? a.id < b.id : x < y;
};
const nameOf = (record: AnyRecord): string => ('statement' in record ? record.statement : record.name);
/** The list with a record in its place; all others stay the very same objects. */
const withRecord = (records: readonly AnyRecord[], saved: AnyRecord): AnyRecord[] => {
  const others = records.filter((r) => r.id !== saved.id);
  const at = others.findIndex((r) => before(saved, r));
  return at < 0 ? [...others, saved] : [...others.slice(0, at), saved, ...others.slice(at)];
};
type List = Pick<{ kind: RecordKind }, 'kind'>;
/** Puts a record that was written into the list on screen, without asking for the list again. */
const patched = (
  { kind }: List,
  change: (records: readonly AnyRecord[], answer: AnyRecord) => AnyRecord[],
  {
    dispatch,
    queryFulfilled,
  }: { dispatch: ThunkDispatch<unknown, unknown, UnknownAction>; queryFulfilled: Promise<{ data: AnyRecord }> },
): Promise<void> =>
  queryFulfilled.then(
    ({ data }) => {
      dispatch(
        api.util.updateQueryData('records', { kind, removed: false }, (draft) =>
          change((original(draft) ?? []) as readonly AnyRecord[], data),
        ) as never,
      );
    },
    () => undefined,
  );
const ifMatch = ({ version }: Pick<Kept, 'version'>): Record<string, string> => ({ 'If-Match': `"${version}"` });

/** One API for every kind of record, since the server treats them alike. */
export const api = createApi({
  reducerPath: 'api',
  // The absolute address lets the same code run where there is no page to be relative to.
  baseQuery: fetchBaseQuery({ baseUrl: `${globalThis.location?.origin ?? 'http://127.0.0.1'}/api/v1` }),
  tagTypes: ALL_TAGS,
  endpoints: (build) => ({
    records: build.query<AnyRecord[], { kind: RecordKind; removed?: boolean }>({
      queryFn: async ({ kind, removed = false }, _api, _extra, fetch) => {
        const items: AnyRecord[] = [];
        let after: string | null = null;
        do {
          const result = await fetch({
            url: PATHS[kind],
            params: { limit: PAGE, ...(removed ? { removed } : {}), ...(after ? { after } : {}) },
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
          ? { url: `${PATHS[kind]}/${existing.id}`, method: 'PUT', headers: ifMatch(existing), body: input }
          : { url: PATHS[kind], method: 'POST', body: input },
      onQueryStarted: ({ kind }, started) => patched({ kind }, withRecord, started),
      // Somebody else's newer version is asked for when this one was refused.
      invalidatesTags: (_result, error, { kind }) => (error ? [{ type: kind, id: 'present' }] : ['journal']),
    }),
    remove: build.mutation<AnyRecord, Change>({
      query: ({ kind, record }) => ({ url: `${PATHS[kind]}/${record.id}`, method: 'DELETE', headers: ifMatch(record) }),
      onQueryStarted: ({ kind }, started) =>
        patched({ kind }, (records, gone) => records.filter((r) => r.id !== gone.id), started),
      invalidatesTags: (_result, error, { kind }) => [{ type: kind, id: error ? 'present' : 'removed' }, 'journal'],
    }),
    restore: build.mutation<AnyRecord, Change>({
      query: ({ kind, record }) => ({
        url: `${PATHS[kind]}/${record.id}/restore`,
        method: 'POST',
        headers: ifMatch(record),
      }),
      onQueryStarted: ({ kind }, started) => patched({ kind }, withRecord, started),
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
    undo: build.mutation<Kept, { entry: string }>({
      query: ({ entry }) => ({ url: `journal/${entry}/undo`, method: 'POST' }),
      invalidatesTags: [...ALL_TAGS],
    }),
    /** Looks into a workspace file, and takes it over when told to. */
    importWorkspace: build.mutation<ImportReport, { file: object; write: boolean }>({
      query: ({ file, write }) => ({
        url: 'workspace/import',
        method: 'POST',
        params: write ? { write: 'yes' } : {},
        body: file,
      }),
      invalidatesTags: (result) => (result?.written ? [...ALL_TAGS] : []),
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
    /** Takes out everything an import brought in, but for what was changed since. */
    undoImport: build.mutation<BatchUndone, { batch: string }>({
      query: ({ batch }) => ({ url: `imports/${batch}/undo`, method: 'POST' }),
      invalidatesTags: [...ALL_TAGS],
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

export const {
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
  useUndoImportMutation,
} = api;

const NONE: readonly never[] = [];

/** How often a list that could not be had is asked for again, until it comes. */
const AGAIN_MS = 3000;

/**
 * All present (or removed) records of a kind. A list that could not be had is asked for again now and then; meanwhile it is not called loading,
 * or a view that gives way to "loading" would come and go, and ask anew each time.
 */
export function useRecords<K extends RecordKind>(kind: K, removed = false) {
  const [failing, setFailing] = useState(false);
  const { data, isLoading, error, refetch } = api.useRecordsQuery(
    { kind, removed },
    { pollingInterval: failing ? AGAIN_MS : 0 },
  );
  const fails = error !== undefined;
  if (fails !== failing) setFailing(fails);
  return {
    records: (data ?? NONE) as readonly RecordOf<K>[],
    isLoading: isLoading && !fails,
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
