import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { samplePlots, show } from '../../test/show';
import { PlotView } from './PlotView';

beforeEach(() => localStorage.clear());
const [wheat, , corn] = samplePlots;
const open = (id: string | undefined, records = {}) =>
  show(<PlotView />, { path: `/ground${id ? `/${id}` : ''}`, route: '/ground/:id?', records });

test('a plot stands to scale with its seasons and its facts, each leading to where it is entered', async () => {
  const { store } = await open(wheat!.id);
  expect(screen.getByLabelText('The plot to scale, 75.0 by 12.0 m over all')).toBeTruthy();
  expect(screen.getByLabelText(/^Seasons: Heritage bread wheat from 2026-03-15; Phacelia/)).toBeTruthy();
  const facts = within(screen.getByTestId('plot-facts'));
  expect(facts.getByRole('link', { name: 'pH' }).getAttribute('href')).toBe(`/ground/${wheat!.id}/edit`);
  await userEvent.click(facts.getByRole('button', { name: /mm a year/ }));
  expect(store.getState().desk.working?.label).toMatch(/drained/);
});
test('what is missing is said in order, the first to be done first; a plot without measured sides is a dashed square', async () => {
  await open(corn!.id);
  const gaps = screen.getByTestId('gaps');
  expect(gaps.textContent).toMatch(/^Do firstTest the pH.*ThenSend a soil sample in.*Measure the sides/);
  expect(within(gaps).getByRole('link', { name: 'Test the pH' }).getAttribute('href')).toBe(`/ground/${corn!.id}/edit`);
  expect(document.body.textContent).toContain('drawn as a square: its sides are not measured');
});
test('a ledger without a plot says how to enter the first; one that was taken out is told', async () => {
  const { unmount } = await open(undefined, { plot: [] });
  expect(screen.getByRole('link', { name: 'Enter the first one' }).getAttribute('href')).toBe('/ground/new');
  unmount();
  await open('00000000-0000-4000-8000-0000000000ff');
  expect(document.body.textContent).toContain('That plot was taken out');
});
