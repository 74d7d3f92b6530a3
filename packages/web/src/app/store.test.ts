import { benchSlice, MOST_ON_BENCH, settingsSlice } from './slices';
import { makeStore } from './store';

const { toggled, setAside, cleared } = benchSlice.actions;
beforeEach(() => localStorage.clear());

test('the bench takes eight bags and no ninth', () => {
  const store = makeStore();
  for (let i = 0; i < MOST_ON_BENCH + 1; i++) store.dispatch(toggled(`bag ${i}`));
  expect(store.getState().bench).toHaveLength(MOST_ON_BENCH);
  store.dispatch(toggled('bag 0'));
  expect(store.getState().bench.map((p) => p.id)).not.toContain('bag 0');
});
test('setting aside keeps the place', () => {
  const store = makeStore();
  store.dispatch(toggled('a'));
  store.dispatch(toggled('b'));
  store.dispatch(setAside('a'));
  expect(store.getState().bench).toEqual([
    { id: 'a', aside: true },
    { id: 'b', aside: false },
  ]);
});
test('bench and settings survive a reload; a broken store starts anew', () => {
  const first = makeStore();
  first.dispatch(toggled('a'));
  first.dispatch(settingsSlice.actions.changed({ massUnit: 'lb' }));
  expect(makeStore().getState()).toMatchObject({ bench: [{ id: 'a' }], settings: { massUnit: 'lb', basis: 'oxide' } });
  first.dispatch(cleared());
  expect(makeStore().getState().bench).toEqual([]);
  localStorage.setItem('wheat-ledger.bench', '"garbage');
  expect(makeStore().getState().bench).toEqual([]);
  localStorage.setItem('wheat-ledger.bench', '{"not":"a list"}');
  expect(makeStore().getState().bench).toEqual([]);
});
