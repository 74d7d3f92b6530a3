import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from './api';
import { benchSlice, deskSlice, settingsSlice, type BenchPlace, type Settings } from './slices';
import { readKept, writeKept } from './keep';

const KEEP = { bench: 'bench', settings: 'settings' } as const;

/** The bench as this browser kept it; anything else found there is left alone. */
function keptBench(): BenchPlace[] {
  const kept = readKept<unknown>(KEEP.bench);
  const isPlace = (place: unknown): place is BenchPlace =>
    typeof place === 'object' && place !== null && 'id' in place && typeof place.id === 'string';
  return Array.isArray(kept)
    ? kept.filter(isPlace).map(({ id, aside }) => ({ id, aside: aside === true }))
    : benchSlice.getInitialState();
}

export function makeStore() {
  const store = configureStore({
    reducer: {
      [api.reducerPath]: api.reducer,
      bench: benchSlice.reducer,
      settings: settingsSlice.reducer,
      desk: deskSlice.reducer,
    },
    middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }).concat(api.middleware),
    preloadedState: {
      bench: keptBench(),
      settings: { ...settingsSlice.getInitialState(), ...readKept<Settings>(KEEP.settings) },
    },
  });
  let { bench, settings } = store.getState();
  store.subscribe(() => {
    const now = store.getState();
    if (now.bench !== bench) writeKept(KEEP.bench, (bench = now.bench));
    if (now.settings !== settings) writeKept(KEEP.settings, (settings = now.settings));
  });
  return store;
}

export type AppStore = ReturnType<typeof makeStore>;
type State = ReturnType<AppStore['getState']>;
export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useAppSelector = useSelector.withTypes<State>();
