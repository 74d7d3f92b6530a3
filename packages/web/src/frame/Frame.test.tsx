import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { JournalRecord } from '@wheat-ledger/contract';
import { BookView } from '../book/BookView';
import { deskSlice, settingsSlice } from '../app/slices';
import { idOf, productNamed, show } from '../../test/show';
import { Frame } from './Frame';

beforeEach(() => {
  localStorage.clear();
  Object.defineProperty(window, 'matchMedia', {
    configurable: true,
    value: () => ({ matches: false, addEventListener() {}, removeEventListener() {} }),
  });
});
const bench = (): string => screen.getByTestId('bench').textContent ?? '';
const blur = (): void => act(() => (document.activeElement as HTMLElement | null)?.blur());

test('the plot line says which plot and what is known of its soil; another plot changes it', async () => {
  await show(<Frame />, { path: '/shelf' });
  expect(document.querySelector('header')?.textContent).toMatch(/900 m²Heritage bread wheatloam, pH 6\.4/);
  await userEvent.selectOptions(screen.getByLabelText('Plot'), 'Sweetcorn block');
  expect(document.querySelector('header')?.textContent).toMatch(/260 m²Sweetcornsand, pH not measured/);
});

test('the spine says what each stage still lacks', async () => {
  await show(<Frame />, { path: '/shelf', bench: [productNamed('Barn straw').id] });
  const spine = screen.getByRole('navigation', { name: 'Stages' }).textContent ?? '';
  for (const words of ['GroundpH 6.4', 'Shelf16 bags', 'Priceneeds 2 on the bench', 'Mix0 recipes', 'Claims0 claims'])
    expect(spine).toContain(words);
});

test('number keys set bags aside, but not while something is typed', async () => {
  await show(<Frame />, { path: '/shelf', bench: [productNamed('Barn straw').id, productNamed('Quernlow Urea').id] });
  await userEvent.keyboard('2');
  await waitFor(() => expect(bench()).toMatch(/Quernlow Ureaset aside/));
  await userEvent.keyboard('2');
  await waitFor(() => expect(bench()).not.toMatch(/set aside/));
  await userEvent.click(await screen.findByLabelText('Find a bag or a stage'));
  await userEvent.keyboard('1');
  expect(bench()).not.toMatch(/set aside/);
  blur();
  await userEvent.keyboard('9');
  expect(bench()).not.toMatch(/set aside/);
});

test('? lists the keys and Escape puts them away', async () => {
  await show(<Frame />, { path: '/shelf' });
  await userEvent.keyboard('?');
  expect(await screen.findByText('the stage before, the stage after')).toBeTruthy();
  await userEvent.keyboard('{Escape}');
  await waitFor(() => expect(screen.queryByText('the stage before, the stage after')).toBeNull());
});

test('the evening shed is put on the page, and a notice can be put away', async () => {
  const { store } = await show(<Frame />, { path: '/shelf' });
  expect(document.documentElement.dataset['theme']).toBe('light');
  act(() => void store.dispatch(settingsSlice.actions.changed({ theme: 'evening' })));
  expect(document.documentElement.dataset['theme']).toBe('dark');
  act(() => void store.dispatch(deskSlice.actions.noticed({ text: 'Saved “A”.', recordId: idOf(1) })));
  expect(screen.getByRole('button', { name: 'Undo' })).toBeTruthy();
  await userEvent.click(screen.getByText('Close the notice'));
  expect(screen.queryByText('Saved “A”.')).toBeNull();
});

test('an empty bench says how it is filled', async () => {
  await show(<Frame />, { path: '/shelf' });
  expect(bench()).toContain('Put two to eight bags here from the shelf');
});

const entry = (id: string, given: Partial<JournalRecord> = {}): JournalRecord => ({
  id,
  operation: `00000000-0000-4000-8000-0000000000e${id}`,
  why: '',
  at: '2026-02-20T10:00:00.000Z',
  who: 'gardener',
  kind: 'product',
  recordId: idOf(1),
  name: 'Urea',
  action: 'update',
  undoes: null,
  before: { grade: '45-0-0' },
  after: { grade: '46-0-0' },
  undoable: false,
  ...given,
});
test('the book tells what changed, and offers to take back only a record’s latest change', async () => {
  await show(<BookView />, {
    journal: [entry('2', { undoable: true, undoes: '1' }), entry('1'), entry('0', { action: 'create', before: null })],
  });
  const rows = [...document.querySelectorAll('[data-testid=journal] tbody tr')].map((r) => r.textContent ?? '');
  expect(rows[0]).toMatch(/bag Urea changed, as an undo.*grade: 45-0-0 → 46-0-0.*Redo/);
  expect(rows.map((r) => /(Undo|Redo) changed/.test(r))).toEqual([true, false, false]);
  expect(rows[2]).toMatch(/bag Urea added/);
});
test('what was done for one reason stands together in the book, with its reason and one undo', async () => {
  const operation = '00000000-0000-4000-8000-0000000000ff';
  const part = (id: string, name: string): JournalRecord =>
    entry(id, { operation, why: 'import of a CSV file', name, action: 'create', before: null, undoable: true });
  await show(<BookView />, { journal: [part('3', 'Two'), part('2', 'One'), entry('1')] });
  const rows = [...document.querySelectorAll('[data-testid=journal] tbody tr')].map((r) => r.textContent ?? '');
  expect(rows).toHaveLength(2);
  expect(rows[0]).toMatch(/import of a CSV file: 2 changes.*bag Two added.*bag One added.*Undo import of a CSV file/);
});
