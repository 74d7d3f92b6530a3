import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { CsvReport } from '@wheat-ledger/contract';
import { show } from '../../test/show';
import { CsvView } from './CsvView';

interface Sent {
  readonly path: string;
  readonly write: string | null;
  readonly columns: readonly string[];
  readonly currency?: string;
}
const sent: Sent[] = [];
/** Answers every trial and every write with what a test says the server found. */
function serverSays(report: Partial<CsvReport>, status = 200): void {
  globalThis.fetch = jest.fn(async (input: RequestInfo | URL) => {
    const url = new URL((input as Request).url);
    if ((input as Request).method === 'GET')
      return new Response(JSON.stringify({ items: [], next: null }), {
        headers: { 'content-type': 'application/json' },
      });
    sent.push({
      path: url.pathname,
      write: url.searchParams.get('write'),
      columns: JSON.parse(url.searchParams.get('columns') ?? '[]') as string[],
      ...(url.searchParams.has('currency') ? { currency: url.searchParams.get('currency') ?? '' } : {}),
    });
    const body = url.pathname.endsWith('/undo')
      ? { operation: '', undone: 2, changedSince: 1 }
      : {
          rows: 3,
          good: 3,
          bad: 0,
          problems: [],
          written: url.searchParams.get('write') === 'yes',
          operation: null,
          ...report,
        };
    return new Response(
      JSON.stringify(
        status === 200
          ? body
          : {
              type: '/problems/no-text',
              title: 'Wrong kind',
              status,
              detail: 'Read a program, expected CSV text saved as UTF-8.',
            },
      ),
      { status, headers: { 'content-type': 'application/json' } },
    );
  });
}
beforeEach(() => {
  sent.length = 0;
});

const choose = (content: string): Promise<void> =>
  userEvent.upload(screen.getByLabelText('Choose a file'), new File([content], 'bags.csv', { type: 'text/csv' }));
const CSV = 'name,colour,N\nOne,red,5\nTwo,blue,6\nThree,,7\n';

test('a file is tried at once, by the meanings its own headings have, and nothing is written', async () => {
  serverSays({});
  await show(<CsvView />);
  await choose(CSV);
  await waitFor(() => expect(screen.getByTestId('csv-tried').textContent).toBe('3 rows read, 3 of them fit.'));
  expect(sent).toEqual([{ path: '/api/v1/shelf/csv', write: 'no', columns: ['name', '', 'N %'] }]);
  expect(screen.getByLabelText<HTMLSelectElement>('Column colour, means').value).toBe('');
  expect(within(screen.getByTestId('csv-import')).getByText('Two')).toBeTruthy();
});

test('saying what a column means tries the file anew with that meaning', async () => {
  serverSays({});
  await show(<CsvView />);
  await choose(CSV);
  await screen.findByTestId('csv-tried');
  await userEvent.selectOptions(screen.getByLabelText('Column colour, means'), 'seller');
  await waitFor(() => expect(sent.at(-1)?.columns).toEqual(['name', 'seller', 'N %']));
  expect(sent.every((s) => s.write === 'no')).toBe(true);
});

test('prices without a currency are asked for one, which a heading may tell; with a column for it nothing is asked', async () => {
  serverSays({});
  await show(<CsvView />);
  await choose('name,size,Price (USD)\nOne,20 kg,9.90\n');
  await screen.findByTestId('csv-tried');
  expect(sent.at(-1)).toMatchObject({ columns: ['name', 'package', 'price'], currency: 'USD' });
  const asked = screen.getByLabelText<HTMLInputElement>(/Prices are in/);
  await userEvent.clear(asked);
  await userEvent.type(asked, 'gb');
  expect(document.body.textContent).toContain('Read “GB”, expected three letters such as EUR.');
  await waitFor(() => expect(sent.at(-1)).not.toHaveProperty('currency'));
  await userEvent.type(asked, 'p');
  await waitFor(() => expect(sent.at(-1)?.currency).toBe('GBP'));
  await userEvent.selectOptions(screen.getByLabelText('Column size, means'), 'currency');
  expect(screen.queryByLabelText(/Prices are in/)).toBeNull();
});

test('rows that do not fit are told by number, counted beyond the first, and only the rest is offered', async () => {
  serverSays({
    rows: 900,
    good: 650,
    bad: 250,
    partly: 0,
    problems: [{ row: 7, message: 'N %: Read "lots", expected a value.' }],
  });
  await show(<CsvView />);
  await choose(CSV);
  const told = await screen.findByTestId('csv-problems');
  expect(told.textContent).toMatch(/^250 rows do not fit and will be left out. The first 1:row 7: N %: Read "lots"/);
  expect(screen.getByRole('button', { name: 'Write 650 bags to the shelf' })).toBeTruthy();
});

test('writing says what was written and takes it back as a whole', async () => {
  serverSays({ operation: '00000000-0000-4000-8000-00000000b001' });
  await show(<CsvView />);
  await choose(CSV);
  await userEvent.click(await screen.findByRole('button', { name: 'Write 3 bags to the shelf' }));
  await waitFor(() => expect(screen.getByTestId('csv-import').textContent).toContain('3 bags were written.'));
  expect(sent.map((s) => s.write)).toEqual(['no', 'yes']);
  await userEvent.click(screen.getByRole('button', { name: 'Take them all back' }));
  await waitFor(() =>
    expect(screen.getByTestId('csv-import').textContent).toContain(
      '2 were taken out again; 1 that was changed since stays. The book keeps them all.',
    ),
  );
  expect(sent.at(-1)?.path).toBe('/api/v1/operations/00000000-0000-4000-8000-00000000b001/undo');
});

test('what the server refuses is told in its words, and nothing can be written', async () => {
  serverSays({}, 415);
  await show(<CsvView />);
  await choose(CSV);
  expect((await screen.findByRole('alert')).textContent).toContain('Read a program, expected CSV text saved as UTF-8.');
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Write 0 bags to the shelf' }).disabled).toBe(true);
});

test('a file without rows is refused before it is sent', async () => {
  serverSays({});
  await show(<CsvView />);
  await choose('name,N\n');
  expect((await screen.findByRole('alert')).textContent).toMatch(
    /Read “bags\.csv”, expected a heading line and at least one row/,
  );
  expect(sent).toEqual([]);
});

test('a cell without end is cut short where it is shown, and more columns than are taken are refused before anything is sent', async () => {
  serverSays({});
  await show(<CsvView />);
  await choose(`name,note\nOne,${'x'.repeat(500_000)}\n`);
  await screen.findByTestId('csv-tried');
  expect(screen.getByTestId('csv-import').textContent).toMatch(/x{120}…/);
  expect(screen.getByTestId('csv-import').textContent).not.toMatch(/x{121}/);
  sent.length = 0;
  await choose(`name${',N'.repeat(400)}\nOne${',1'.repeat(400)}\n`);
  await waitFor(() =>
    expect(screen.getByRole('alert').textContent).toContain('Read 401 columns, expected at most 400.'),
  );
  expect(sent).toEqual([]);
});
