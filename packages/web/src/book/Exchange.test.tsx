import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ImportReport } from '@wheat-ledger/contract';
import { show } from '../../test/show';
import { Exchange } from './Exchange';

const FOUND = {
  plots: 0,
  products: 0,
  soilReports: 0,
  jarTests: 0,
  loggers: 0,
  recipes: 0,
  heaps: 0,
  studies: 0,
  claims: 0,
  attachments: 0,
  logEntries: 0,
  harvests: 0,
  leafTests: 0,
  pourReadings: 0,
  trials: 0,
  trialSheets: 0,
  stockMovements: 0,
  shelfFilters: 0,
  catalogueSearches: 0,
  crops: 0,
  seasons: 0,
  programmes: 0,
};
function serverSays(report: Partial<ImportReport>): string[] {
  const asked: string[] = [];
  globalThis.fetch = jest.fn(async (input: RequestInfo | URL) => {
    const url = new URL((input as Request).url);
    if ((input as Request).method === 'GET')
      return new Response(JSON.stringify({ items: [], next: null }), {
        headers: { 'content-type': 'application/json' },
      });
    asked.push(url.pathname + url.search);
    const written = url.searchParams.get('write') === 'yes';
    const body = url.pathname.endsWith('/undo')
      ? { operation: '', undone: 3, changedSince: 0 }
      : {
          found: FOUND,
          added: 0,
          alreadyHere: 0,
          problems: [],
          written,
          operation: written ? '00000000-0000-4000-8000-00000000b001' : null,
          ...report,
        };
    return new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } });
  });
  return asked;
}
const choose = (content: string, name = 'ledger.json'): Promise<void> => {
  const file = Object.assign(new File([content], name, { type: 'application/json' }), {
    text: () => Promise.resolve(content),
  });
  return userEvent.upload(document.querySelector<HTMLInputElement>('input[type=file]')!, file);
};

test('a file is looked into first, counted in words, taken over when told to, and taken back as a whole', async () => {
  const asked = serverSays({ found: { ...FOUND, plots: 1, products: 2, loggers: 1 }, added: 3, alreadyHere: 1 });
  await show(<Exchange />);
  await choose('{"format":"wheat-ledger.workspace"}');
  const report = await screen.findByTestId('import-report');
  expect(report.textContent).toMatch(
    /holds 1 plot, 2 bags, 1 log\. 3 would be new here, 1 is here already and stays as it is\./,
  );
  expect(asked).toEqual(['/api/v1/workspace/import']);
  await userEvent.click(screen.getByRole('button', { name: 'Take over 3 records' }));
  await waitFor(() => expect(screen.getByTestId('import-report').textContent).toContain('Taken over.'));
  expect(asked.at(-1)).toBe('/api/v1/workspace/import?write=yes');
  await userEvent.click(screen.getByRole('button', { name: 'Take it all back' }));
  await waitFor(() =>
    expect(screen.getByTestId('import-report').textContent).toContain(
      '3 were taken out again. The book keeps them all.',
    ),
  );
});

test('where anything does not fit nothing is offered, and each thing is told with its place', async () => {
  serverSays({
    found: { ...FOUND, products: 2 },
    added: 1,
    problems: [{ path: 'products.1.name', message: 'Expected a name, 1 to 120 characters.' }],
  });
  await show(<Exchange />);
  await choose('{"format":"wheat-ledger.workspace"}');
  const report = await screen.findByTestId('import-report');
  expect(report.textContent).toMatch(
    /1 thing does not fit, so nothing can be taken over:products\.1\.name: Expected a name/,
  );
  expect(screen.queryByRole('button', { name: /Take over/ })).toBeNull();
});

test('what is no JSON is refused before it is sent', async () => {
  const asked = serverSays({});
  await show(<Exchange />);
  await choose('{"format": ', 'broken.json');
  expect((await screen.findByRole('alert')).textContent).toMatch(
    /Read “broken\.json”, expected the JSON file that an export gives/,
  );
  expect(asked).toEqual([]);
});
