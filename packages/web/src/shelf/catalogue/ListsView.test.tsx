import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { catalogueServer, LIST, PREVIEW } from '../../../test/catalogue';
import { show } from '../../../test/show';
import { ListsView } from './ListsView';

beforeEach(() => localStorage.clear());
const csv = (text: string): File => new File([text], 'prices.csv', { type: 'text/csv' });
const posted = (asked: ReturnType<typeof catalogueServer>): readonly string[] =>
  asked.filter(([method]) => method === 'POST').map(([, at]) => at);

test('new prices of a list: asked of the seller, shown before anything changes, taken over', async () => {
  const asked = catalogueServer();
  await show(<ListsView />);
  await userEvent.click(await screen.findByRole('button', { name: 'new prices' }));
  await userEvent.click(screen.getByRole('button', { name: 'ask the seller' }));
  const preview = await screen.findByTestId('list-preview');
  expect(preview.textContent).toMatch(/2 of 3 rows were read: 1 dearer, 1 cheaper\..*Row 4: Moon dust, 1 kg/s);
  expect(posted(asked)).toEqual([`catalogue/lists/${LIST.id}/prices/feed`]);
  await userEvent.click(within(preview).getByRole('button', { name: 'Take it over as “Spring list”' }));
  await waitFor(() => expect(screen.queryByTestId('list-preview')).toBeNull());
  expect(posted(asked).at(-1)).toBe(`catalogue/imports/${PREVIEW.importId}/take`);
});

test('from a file they go to the list itself, and can be left', async () => {
  const asked = catalogueServer();
  await show(<ListsView />);
  await userEvent.click(await screen.findByRole('button', { name: 'new prices' }));
  await userEvent.upload(screen.getByLabelText('A price list for Spring list'), csv('item,size,unit,price,currency'));
  await userEvent.click(await screen.findByRole('button', { name: 'Leave it' }));
  await waitFor(() => expect(screen.queryByTestId('list-preview')).toBeNull());
  expect(posted(asked)).toEqual([`catalogue/lists/${LIST.id}/prices`, `catalogue/imports/${PREVIEW.importId}/leave`]);
});

test('a list of the whole installation is told as such, and offers nothing that changes it', async () => {
  catalogueServer({ 'catalogue/lists': [{ ...LIST, shared: true }] });
  await show(<ListsView />);
  const line = await screen.findByTestId('list');
  expect(line.textContent).toMatch(/of the whole installation, read only/);
  expect(
    within(line)
      .getAllByRole('button')
      .map((b) => b.textContent),
  ).toEqual(['what changed']);
});

test('a first list is taken out, a later one taken back', async () => {
  catalogueServer({
    'catalogue/lists': [
      { ...LIST, revision: 1 },
      { ...LIST, id: 'x', name: 'Autumn list' },
    ],
  });
  await show(<ListsView />);
  const [first, second] = await screen.findAllByTestId('list');
  expect(within(first!).getByRole('button', { name: 'take it out' })).toBeTruthy();
  expect(within(first!).queryByRole('button', { name: 'what changed' })).toBeNull();
  expect(within(second!).getByRole('button', { name: 'take the last one back' })).toBeTruthy();
});

test('a list that is brought in takes the name of its file, and is not taken over under none', async () => {
  const asked = catalogueServer({ 'catalogue/imports': PREVIEW });
  await show(<ListsView />);
  await userEvent.upload(await screen.findByLabelText(/A seller’s list, as CSV or XLSX/), csv('name,N %\nUrea,46'));
  await screen.findByTestId('list-preview');
  expect(posted(asked)[0]).toMatch(/^catalogue\/imports\?list=prices&currency=EUR/);
  const take = screen.getByRole('button', { name: 'Take it over as “prices”' });
  await userEvent.clear(screen.getByLabelText('Name of the list'));
  expect((take as HTMLButtonElement).disabled).toBe(true);
});
