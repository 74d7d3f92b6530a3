import { randomUUID } from 'node:crypto';
import http from 'node:http';
import { gzipSync } from 'node:zlib';
import { loadSample } from '../database/sample.js';
import { product, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp();
});
afterAll(() => t.close());

const send = (csv: string | Buffer, query = '', type = 'text/csv') =>
  t.http.post(`/api/v1/shelf/csv${query}`).set('Content-Type', type).send(csv);
interface Kept {
  readonly name: string;
  readonly analysis: unknown;
}
async function bags(): Promise<Kept[]> {
  const found: Kept[] = [];
  for (let after = ''; ;) {
    const { body } = await t.http.get(`/api/v1/products?limit=500${after}`);
    found.push(...body.items);
    if (!body.next) return found;
    after = `&after=${body.next}`;
  }
}
const names = async (): Promise<string[]> => (await bags()).map((p) => p.name);

/** A POST whose body comes from a generator, so that a huge one need never exist; what the server said, however the connection ended. */
const stream = (
  headers: http.OutgoingHttpHeaders,
  pieces: Iterable<Buffer>,
  path = 'shelf/csv',
): Promise<{ status: number; body: string; sent: number }> =>
  new Promise((resolve) => {
    let sent = 0;
    const source = pieces[Symbol.iterator]();
    // A connection of its own that stays open, as a browser's does: "close" would end it with the first answer.
    const agent = new http.Agent({ keepAlive: true });
    const request = http.request(
      `${t.address}/api/v1/${path}`,
      { method: 'POST', agent, headers: { 'content-type': 'text/csv', ...headers } },
      (response) => {
        let body = '';
        response.on('data', (d: Buffer) => (body += d.toString()));
        const end = (): void => {
          request.destroy();
          agent.destroy();
          resolve({ status: response.statusCode ?? 0, body, sent });
        };
        response.on('end', end);
        response.on('error', end);
      },
    );
    request.on('error', (error) => resolve({ status: 0, body: error.message, sent }));
    const push = (): void => {
      for (;;) {
        const { value, done } = source.next();
        if (done || request.destroyed) return void request.end();
        sent += value.length;
        if (!request.write(value)) return void request.once('drain', push);
      }
    };
    push();
  });

test('a bad row and two bad cells in a thousand: exactly those are told, the row is left out and the cells, nothing is written until said so', async () => {
  const bad: Readonly<Record<number, string>> = {
    17: ',5,kg',
    500: 'Bag 499,lots,20 kg',
    1001: 'Bag 1000,5,twenty furlongs',
  };
  const rows = Array.from({ length: 1000 }, (_, i) => bad[i + 2] ?? `Bag ${i + 1},${(i % 40) + 1},20 kg`);
  const csv = ['name,N %,package', ...rows].join('\n');
  const { body: tried } = await send(csv).expect(200);
  expect(tried).toMatchObject({ rows: 1000, good: 999, partly: 2, bad: 1, written: false });
  expect(tried.problems.map((p: { row: number }) => p.row)).toEqual([17, 500, 1001]);
  expect(tried.problems[1].message).toMatch(/^Without N %: Read "lots"/);
  expect(await names()).toEqual([]);
  const { body: done } = await send(csv, '?write=yes').expect(200);
  expect(done).toMatchObject({ good: 999, partly: 2, bad: 1, written: true });
  const { body: journal } = await t.http.get('/api/v1/journal?limit=200');
  expect(journal.items.every((e: { action: string }) => e.action === 'create')).toBe(true);
  expect(await names()).toContain('Bag 999');
  expect(await names()).toContain('Bag 499');
});

test('rows are numbered as a spreadsheet does, blank ones and quoted line ends counted', async () => {
  const { body } = await send('name,note,N %\n"Two","lines\nhere",5\n\n,,\nBad,,x\n').expect(200);
  expect(body).toMatchObject({ rows: 2, good: 1, problems: [{ row: 5 }] });
});

test('columns mean what the sender says; without a name there is nothing to import', async () => {
  const columns = encodeURIComponent(JSON.stringify(['name', 'K2O %', '']));
  await send('Ware,colour,x\nGrey ash,5,y', `?write=yes&columns=${columns}`).expect(200);
  const found = (await bags()).find((p) => p.name === 'Grey ash');
  expect(found?.analysis).toEqual([
    {
      analyte: 'K',
      basis: 'K2O',
      value: { kind: 'number', value: 5 },
      unit: '%',
      provenance: 'label',
      source: 'CSV file',
    },
  ]);
  const { body } = await send('Ware,N %\nx,5').expect(422);
  expect(body.detail).toMatch(/no column for the name/);
  await send('name\nx', '?columns=[1]').expect(422);
  await send('name\nx', '?job=me').expect(422);
});

test('what goes out comes back exactly, and a formula in a name is neutralised', async () => {
  const source = await startApp();
  const target = await startApp();
  try {
    await loadSample(source.app);
    await source.http
      .post('/api/v1/products')
      .send(product({ name: '=HYPERLINK("x")', seller: '@sum', note: 'two\nlines, "quoted"' }))
      .expect(201);
    const csv = (
      await source.http
        .get('/api/v1/shelf/csv')
        .expect(200)
        .expect('Content-Disposition', /shelf\.csv/)
    ).text;
    expect(csv).toContain(`"'=HYPERLINK(""x"")"`);
    expect(csv.split(/\r\n/).some((line) => /(^|,)"?=/.test(line))).toBe(false);
    const { body } = await target.http
      .post('/api/v1/shelf/csv?write=yes')
      .set('Content-Type', 'text/csv')
      .send(csv)
      .expect(200);
    expect(body).toMatchObject({ bad: 0, written: true });
    const inputs = async (app: TestApp): Promise<object[]> =>
      (await app.http.get('/api/v1/products?limit=500')).body.items.map(
        ({ id: _id, version: _v, updatedAt: _u, ...input }: Record<string, unknown>) => input,
      );
    expect(await inputs(target)).toEqual(await inputs(source));
  } finally {
    await source.close();
    await target.close();
  }
});

test.each([
  ['a program called .csv', Buffer.concat([Buffer.from('MZ'), Buffer.alloc(200, 7)]), /Read a program/],
  ['another program', Buffer.concat([Buffer.from('\x7fELF'), Buffer.alloc(200, 2)]), /Read a program/],
  ['a spreadsheet that is a ZIP', Buffer.from('PK\x03\x04 and more'), /ZIP or spreadsheet/],
  ['a packed file', gzipSync('name\nx'), /compressed/],
  ['bytes of no text', Buffer.from('name\nx\0y'), /bytes that no text has/],
  ['another encoding', Buffer.from('name\nCr\xe8me', 'latin1'), /not UTF-8/],
])('%s is refused by what it holds', async (_name, body, words) => {
  const before = (await names()).length;
  const refused = await send(body, '?write=yes')
    .expect(415)
    .expect('Content-Type', /problem\+json/);
  expect(refused.body.detail).toMatch(words);
  expect((await names()).length).toBe(before);
});

test('another kind of body, and a decompression bomb at either door, are refused', async () => {
  await send('name\nx', '', 'application/octet-stream').expect(415);
  const bomb = gzipSync(Buffer.alloc(300_000_000, 'x'));
  expect(bomb.length).toBeLessThan(400_000);
  const csv = await send(bomb, '?write=yes').set('Content-Encoding', 'gzip').expect(415);
  expect(csv.body.detail).toMatch(/packed by gzip/);
  expect(
    (await stream({ 'content-type': 'application/json', 'content-encoding': 'gzip' }, [bomb], 'workspace/import'))
      .status,
  ).toBe(413);
  expect(
    (
      await stream(
        { 'content-type': 'application/json', 'content-encoding': 'gzip' },
        [Buffer.from('no gzip')],
        'workspace/import',
      )
    ).status,
  ).toBe(400);
  await t.http.get('/api/v1/health').expect(200);
});

test('an upload of a gigabyte is refused: at once when it is announced, at the limit when it is not', async () => {
  const announced = await stream({ 'content-length': 1e9 }, [Buffer.from('name\n')]);
  expect([announced.status, announced.sent]).toEqual([413, 5]);
  const piece = Buffer.from(`A bag with a long note,5,20 kg,${'a'.repeat(60_000)}\n`);
  const endless = await stream(
    {},
    (function* () {
      yield Buffer.from('name,N %,package,colour\n');
      for (let sent = 0; sent < 1e9; sent += piece.length) yield piece;
    })(),
  );
  expect(endless.status).toBe(413);
  expect(endless.sent).toBeLessThan(120_000_000);
  await t.http.get('/api/v1/health').expect(200);
});

test('an import that is called off on the way writes nothing, and tells how far it is while it runs', async () => {
  const before = await names();
  const job = randomUUID();
  const stop = new AbortController();
  const rows = Array.from({ length: 6000 }, (_, i) => `Called off ${i},5,20 kg`);
  const csv = ['name,N %,package', ...rows].join('\n');
  const sent = fetch(`${t.address}/api/v1/shelf/csv?write=yes&job=${job}`, {
    method: 'POST',
    headers: { 'Content-Type': 'text/csv' },
    body: csv,
    signal: stop.signal,
  }).then(
    () => 'answered',
    () => 'called off',
  );
  let seen: { rows: number; bytes: number; ofBytes?: number } | undefined;
  for (let i = 0; i < 400 && !seen?.rows; i++) {
    const { status, body } = await t.http.get(`/api/v1/shelf/csv/${job}`);
    if (status === 200) seen = body;
    await new Promise((r) => setTimeout(r, 10));
  }
  stop.abort();
  expect(await sent).toBe('called off');
  expect(seen?.rows).toBeGreaterThan(0);
  expect(seen?.rows).toBeLessThan(6000);
  for (let i = 0; i < 200 && (await t.http.get(`/api/v1/shelf/csv/${job}`)).status === 200; i++)
    await new Promise((r) => setTimeout(r, 20));
  expect(await names()).toEqual(before);
});

test('mixed line ends lose no row; cells beyond the headings are told; a bad cell costs itself alone', async () => {
  const { body } = await send(
    'name,N %,package\r\nOne,5,20 kg\nTwo,6,20 kg\rThree,7,20 kg,spare\r\nFour,x,20 kg\n',
  ).expect(200);
  expect(body).toMatchObject({ rows: 4, good: 4, partly: 2, bad: 0 });
  expect(body.problems).toEqual([
    { row: 4, message: expect.stringMatching(/behind column 3: Read “spare”/) },
    { row: 5, message: expect.stringMatching(/^Without N %: Read "x"/) },
  ]);
});

test('a quotation mark that never closes ends the file with a sentence', async () => {
  const { body } = await send(`name,note\nOne,"${'x,"'.repeat(150_000)}`).expect(422);
  expect(body.detail).toMatch(/longer than 100 kB: a quotation mark may be open/);
});
