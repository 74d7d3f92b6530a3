import { configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from './api';
import { deskSlice, settingsSlice, type Settings } from './slices';
import { readKept, writeKept } from './keep';

const SETTINGS = 'settings';

export function makeStore() {
  const store = configureStore({
    reducer: {
      [api.reducerPath]: api.reducer,
      settings: settingsSlice.reducer,
      desk: deskSlice.reducer,
    },
    middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }).concat(api.middleware),
    preloadedState: {
      settings: { ...settingsSlice.getInitialState(), ...readKept<Settings>(SETTINGS) },
    },
  });
  let { settings } = store.getState();
  store.subscribe(() => {
    const now = store.getState();
    if (now.settings !== settings) writeKept(SETTINGS, (settings = now.settings));
  });
  return store;
}

export type AppStore = ReturnType<typeof makeStore>;
type State = ReturnType<AppStore['getState']>;
export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useAppSelector = useSelector.withTypes<State>();
export type AppThunk = ThunkAction<void, State, undefined, UnknownAction>;
