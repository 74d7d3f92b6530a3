import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { JarTestRecord, LoggerRecord } from '@wheat-ledger/contract';
import { idOf, samplePlots, show } from '../../test/show';
import { JarTestsView } from './JarTestsView';
import { spanWords } from './spanWords';
import { WeatherView } from './WeatherView';

const KEPT = { version: 1, updatedAt: '2026-02-20T10:00:00.000Z', deletedAt: null };
const [wheat, dahlias, corn] = samplePlots;
const log: LoggerRecord = {
  ...KEPT,
  id: idOf(701),
  plotId: corn!.id,
  name: 'Probe 4',
  from: '2026-04-01',
  series: { soilC: [8, null, 9] },
};
const jar = (given: Partial<JarTestRecord>): JarTestRecord => ({
  ...KEPT,
  id: idOf(702),
  plotId: wheat!.id,
  name: 'Jar',
  kind: 'texture',
  readings: [],
  note: '',
  ...given,
});
const sent: { url: string; body: unknown }[] = [];
const answer = (record: object, status = 200): void => {
  globalThis.fetch = jest.fn(async (input: RequestInfo | URL) => {
    const request = input as Request;
    if (request.method !== 'GET')
      sent.push({ url: request.url, body: JSON.parse((await request.clone().text()) || '{}') });
    return new Response(JSON.stringify(request.method === 'GET' ? { items: [], next: null } : record), {
      status,
      headers: { 'content-type': 'application/json' },
    });
  });
};
beforeEach(() => {
  sent.length = 0;
});

const weather = (plotId: string, logger: readonly LoggerRecord[] = []) =>
  show(<WeatherView />, { path: `/ground/${plotId}/weather`, route: '/ground/:id/weather', records: { logger } });
const jars = (given: readonly JarTestRecord[]) =>
  show(<JarTestsView />, { path: `/ground/${wheat!.id}/jars`, route: '/ground/:id/jars', records: { jar: given } });

test('a plot with a usual year has its water worked out; one without says what it takes', async () => {
  await weather(wheat!.id);
  expect(screen.getByTestId('water-year').textContent).toMatch(
    /rain742.*irrigation0.*drained below, taking nitrate along[\d.]+/,
  );
  expect(document.body.textContent).toContain('Nothing is known of the water it is given');
});

test('what a logger measured is counted; without rain the water stays unknown', async () => {
  await weather(corn!.id, [log, { ...log, id: idOf(703), plotId: wheat!.id, name: 'Elsewhere' }]);
  expect(screen.getByTestId('logged-days').textContent).toContain('soil temperature 2');
  expect(screen.getByTestId('logs').textContent).toContain('Probe 4');
  expect(screen.getByTestId('logs').textContent).not.toContain('Elsewhere');
  expect(document.body.textContent).toMatch(/what washes out: unknown/);
});

test('a water analysis and the irrigation of a year give salt, lime and nitrate as figures that open', async () => {
  const { store } = await weather(dahlias!.id);
  const lime = within(screen.getByTestId('water-figures')).getAllByRole('row')[2]!;
  expect(lime.textContent).toMatch(/Lime the water brings in a year23\.8/);
  await userEvent.click(within(lime).getByRole('button'));
  expect(store.getState().desk.working?.label).toBe('lime brought, as CaCO₃');
});

test('a jar test is told in order: how to begin, then the clock, then what is due', async () => {
  answer(jar({ startedAt: '2026-02-20T10:00:00.000Z' }));
  await jars([jar({})]);
  expect(document.querySelector('ol')?.textContent).toMatch(/shake hard/);
  expect(screen.getByTestId('step-siltMm').textContent).toContain('2 h after the start');
  expect(screen.queryByLabelText('Height of the sand, mm')).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Start the clock' }));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]!.body).toMatchObject({ kind: 'texture', startedAt: expect.stringMatching(/^20\d\d-.*Z$/) });
});

test('a reading is kept at once as typed, and what does not read is told', async () => {
  answer(jar({}));
  await jars([
    jar({ startedAt: new Date(Date.now() - 30 * 60_000).toISOString(), readings: [{ step: 'sandMm', value: 40 }] }),
  ]);
  expect(screen.getByTestId('step-siltMm').textContent).toMatch(/in 1 h 30 min, at/);
  expect(screen.getByTestId('step-sandMm').textContent).toMatch(/due since/);
  const height = screen.getByLabelText('Height of sand and silt, mm');
  await userEvent.type(height, 'deep');
  expect(screen.getByTestId('step-siltMm').textContent).toMatch(/Read "deep"/);
  await userEvent.clear(height);
  await userEvent.type(height, '82,5{Enter}');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]!.body).toMatchObject({
    readings: [
      { step: 'sandMm', value: 40 },
      { step: 'siltMm', value: 82.5 },
    ],
  });
});

test('a finished jar says its texture with ranges; a cloud says dispersive', async () => {
  await jars([
    jar({
      startedAt: '2026-02-20T10:00:00.000Z',
      readings: [
        { step: 'sandMm', value: 40 },
        { step: 'siltMm', value: 80 },
        { step: 'allMm', value: 100 },
      ],
    }),
    jar({
      id: idOf(704),
      kind: 'dispersion',
      startedAt: '2026-02-19T10:00:00.000Z',
      readings: [{ step: 'cloud2h', value: 3 }],
    }),
  ]);
  const [texture, cloud] = screen.getAllByTestId('jar-result').map((e) => e.textContent);
  expect(texture).toMatch(/loam: sand 38–42 %, silt 38–42 %, clay 18–22 %/);
  expect(cloud).toMatch(/milky water: the clay disperses/);
});

test.each([
  [0.2, '1 min'],
  [59, '59 min'],
  [60, '1 h'],
  [135, '2 h 15 min'],
  [-3, '0 min'],
])('%p minutes are said as %p', (minutes, words) => expect(spanWords(minutes)).toBe(words));

const chooseLog = (name = 'probe 4.csv'): Promise<void> =>
  userEvent.upload(
    screen.getByLabelText(/A logger’s file, CSV or XLSX/),
    new File(['date,soil °C\n2026-04-01,8\n'], name, { type: 'text/csv' }),
  );

test('a logger’s file goes through its door by its own name; what was left out is told', async () => {
  const asked: string[] = [];
  globalThis.fetch = jest.fn(async (input: RequestInfo | URL) => {
    const request = input as Request;
    if (request.method === 'POST') asked.push(new URL(request.url).pathname + new URL(request.url).search);
    return new Response(
      JSON.stringify(
        request.method === 'GET'
          ? { items: [], next: null }
          : {
              record: { ...log, name: 'probe 4' },
              days: 1,
              ignored: ['battery'],
              problems: [{ row: 3, message: 'Read “wet” under rain, expected 0 to 1000.' }],
            },
      ),
      { status: 201, headers: { 'content-type': 'application/json' } },
    );
  });
  await weather(corn!.id);
  await chooseLog();
  await waitFor(() =>
    expect(screen.getByTestId('log-outcome').textContent).toMatch(
      /1 day was read into “probe 4”\. Columns that mean nothing here were left out: battery\..*row 3: Read “wet” under rain, expected 0 to 1000\. Left out/,
    ),
  );
  expect(asked).toEqual([`/api/v1/plots/${corn!.id}/log?name=probe+4`]);
});

test('a file that is no log is refused in the server’s words', async () => {
  globalThis.fetch = jest.fn(
    async () =>
      new Response(
        JSON.stringify({
          type: '/problems/unreadable-file',
          title: 'The input does not fit',
          status: 422,
          detail: 'Read the headings mood, expected one that says date.',
        }),
        { status: 422, headers: { 'content-type': 'application/problem+json' } },
      ),
  );
  await weather(corn!.id);
  await chooseLog();
  await waitFor(() =>
    expect(screen.getByTestId('log-outcome').textContent).toContain(
      'Read the headings mood, expected one that says date.',
    ),
  );
});

test('in a pot the field’s balance says nothing, and why', async () => {
  await show(<WeatherView />, {
    path: `/ground/${wheat!.id}/weather`,
    route: '/ground/:id/weather',
    records: { plot: [{ ...wheat!, medium: 'organicPotting' }] },
  });
  expect(screen.queryByTestId('water-year')).toBeNull();
  expect(document.body.textContent).toMatch(/potting media drain in ways that a field’s balance does not describe/);
});

test('pages of a plot: the open one is marked, another plot opens on the same page, and opening one chooses it', async () => {
  const { store } = await weather(dahlias!.id);
  const pages = within(screen.getByRole('navigation', { name: 'Pages of this plot' }));
  expect(pages.getByRole('link', { current: 'page' }).textContent).toBe('Warmth and water');
  const plots = within(screen.getByRole('navigation', { name: 'Plots' }));
  expect(plots.getByRole('link', { name: 'Sweetcorn block' }).getAttribute('href')).toBe(`/ground/${corn!.id}/weather`);
  expect(store.getState().settings.plotId).toBe(dahlias!.id);
});
