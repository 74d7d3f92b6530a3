import { settingsSlice } from './slices';
import { makeStore } from './store';

beforeEach(() => localStorage.clear());

test('settings survive a reload; what cannot be read starts anew', () => {
  const first = makeStore();
  first.dispatch(settingsSlice.actions.changed({ massUnit: 'lb', who: 'Ada' }));
  expect(makeStore().getState()).toMatchObject({ settings: { massUnit: 'lb', basis: 'oxide', who: 'Ada' } });
  localStorage.setItem('wheat-ledger.settings', '"garbage');
  expect(makeStore().getState().settings.massUnit).toBe('kg');
});
