import { render, type RenderResult } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { createMemoryRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { CROPS, PLOTS, PRODUCTS, SEASONS } from '@wheat-ledger/demo';
import {
  parentsOf,
  RECORD_KINDS,
  type CropRecord,
  type JournalRecord,
  type PlotRecord,
  type ProductInput,
  type ProductRecord,
  type RecordKind,
  type RecordOf,
  type SeasonRecord,
} from '@wheat-ledger/contract';
import { api } from '../src/app/api';
import { makeStore, type AppStore } from '../src/app/store';
import { MarginSlot } from '../src/ui/MarginNotes';

export const idOf = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const KEPT = { version: 1, updatedAt: '2026-02-20T10:00:00.000Z', deletedAt: null };

/** The sample's bags and plots as the server would hand them out. */
export const sampleProducts: readonly ProductRecord[] = PRODUCTS.map((p, i) => ({ ...p, ...KEPT, id: idOf(i + 1) }));
export const samplePlots: readonly PlotRecord[] = PLOTS.map((p, i) => ({ ...p, ...KEPT, id: idOf(i + 501) }));
export const sampleCrops: readonly CropRecord[] = CROPS.map((c, i) => ({ ...c, ...KEPT, id: idOf(i + 601) }));
export const sampleSeasons: readonly SeasonRecord[] = SEASONS.map(({ plot, own, ...season }, i) => ({
  ...season,
  ...KEPT,
  id: idOf(i + 701),
  plotId: samplePlots.find((p) => p.name === plot)?.id ?? '',
  ...(own === undefined ? {} : { cropId: sampleCrops.find((c) => c.name === own)?.id ?? '' }),
}));
export const productNamed = (name: string): ProductRecord => {
  const found = sampleProducts.find((p) => p.name === name);
  if (!found) throw new Error(name);
  return found;
};
export const asRecord = (input: ProductInput, n: number): ProductRecord => ({ ...input, ...KEPT, id: idOf(n) });

interface Shown extends RenderResult {
  readonly store: AppStore;
}
interface Given {
  readonly records?: { readonly [K in RecordKind]?: readonly RecordOf<K>[] };
  readonly removed?: readonly ProductRecord[];
  readonly journal?: readonly JournalRecord[];
  readonly bench?: readonly string[];
  readonly path?: string;
  /** The route's pattern, where the view reads its parameters. */
  readonly route?: string;
}

/** Renders a view with a store that already holds what the server would answer. Nothing is fetched that is given. */
export async function show(
  ui: ReactNode,
  { records = {}, removed = [], journal = [], bench = [], path = '/', route = '*' }: Given = {},
): Promise<Shown> {
  const store = makeStore();
  const all: { readonly [K in RecordKind]?: readonly RecordOf<RecordKind>[] } = {
    plot: samplePlots,
    crop: sampleCrops,
    season: sampleSeasons,
    product: sampleProducts,
    ...records,
  };
  for (const kind of RECORD_KINDS) {
    const list = all[kind] ?? [];
    await store.dispatch(api.util.upsertQueryData('records', { kind }, [...list]));
    for (const { at, to } of parentsOf(kind))
      for (const { id } of all[to as RecordKind] ?? []) {
        const mine = list.filter((r) => (r as unknown as Readonly<Record<string, unknown>>)[at] === id);
        await store.dispatch(api.util.upsertQueryData('records', { kind, of: { [to]: id } }, mine));
      }
  }
  await store.dispatch(api.util.upsertQueryData('records', { kind: 'product', removed: true }, [...removed]));
  await store.dispatch(api.util.upsertQueryData('journal', {}, { items: journal, next: null }));
  const places = bench.map((id) => ({ kind: 'product' as const, id, aside: false }));
  await store.dispatch(api.util.upsertQueryData('bench', undefined, { places }));
  const slot = document.createElement('aside');
  document.body.append(slot);
  const router = createMemoryRouter(
    [
      { path: route, element: ui },
      { path: '*', element: <p>elsewhere</p> },
    ],
    { initialEntries: [path] },
  );
  return {
    store,
    ...render(
      <Provider store={store}>
        <MarginSlot value={slot}>
          <RouterProvider router={router} />
        </MarginSlot>
      </Provider>,
    ),
  };
}
