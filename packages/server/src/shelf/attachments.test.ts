import { createHash } from 'node:crypto';
import http from 'node:http';
import { gzipSync } from 'node:zlib';
import { ask, ifMatch, PNG, product, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
let productId: string;
beforeAll(async () => {
  t = await startApp();
  productId = (await t.http.post('/api/v1/products').send(product()).expect(201)).body.id;
});
afterAll(() => t.close());

const PDF = Buffer.from('%PDF-1.4\n1 0 obj<</Type/Catalog>>endobj\ntrailer<</Root 1 0 R>>\n%%EOF\n');
const keep = (bytes: Buffer, type = 'application/octet-stream') =>
  t.http.post('/api/v1/attachments/content').set('Content-Type', type).send(bytes);

test('a photo is kept by its bytes, attached, shown as what it is, taken out and brought back', async () => {
  const { body: content } = await keep(PNG).expect(200);
  expect(content).toEqual({
    sha256: createHash('sha256').update(PNG).digest('hex'),
    type: 'image/png',
    bytes: PNG.length,
  });
  const { body: made } = await t.http
    .post('/api/v1/attachments')
    .send({ productId, name: 'label "front".png', ...content })
    .expect(201);
  const shown = await t.http
    .get(`/api/v1/attachments/${made.id}/content`)
    .expect(200)
    .expect('Content-Type', 'image/png');
  expect(Buffer.compare(shown.body as Buffer, PNG)).toBe(0);
  expect(shown.headers).toMatchObject({
    'x-content-type-options': 'nosniff',
    'content-security-policy': "default-src 'none'; sandbox",
    'content-disposition': `inline; filename*=UTF-8''label%20%22front%22.png`,
  });
  await t.http.delete(`/api/v1/attachments/${made.id}`).set(ifMatch(1)).expect(200);
  expect((await t.http.get('/api/v1/attachments')).body.items).toEqual([]);
  await t.http.post(`/api/v1/attachments/${made.id}/restore`).set(ifMatch(2)).expect(200);
  expect((await t.http.get('/api/v1/attachments')).body.items).toHaveLength(1);
});

test('a PDF is saved, not opened in place', async () => {
  const { body: content } = await keep(PDF).expect(200);
  const { body: made } = await t.http
    .post('/api/v1/attachments')
    .send({ productId, name: 'sheet.pdf', ...content })
    .expect(201);
  await t.http
    .get(`/api/v1/attachments/${made.id}/content`)
    .expect(200)
    .expect('Content-Disposition', /^attachment/);
});

test.each([
  ['a program called .png', Buffer.concat([Buffer.from('MZ\x90\0', 'latin1'), Buffer.alloc(300)]), 415],
  ['a page', Buffer.from('<html><script>alert(1)</script></html>'), 415],
  [
    'a drawing that can run',
    Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'),
    415,
  ],
  ['a ZIP', Buffer.from('PK\x03\x04aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa', 'latin1'), 415],
  ['nothing', Buffer.alloc(0), 415],
  ['too large a picture', Buffer.concat([PNG, Buffer.alloc(5_000_001)]), 413],
])('%s is refused by its bytes', async (_name, bytes, status) => {
  await keep(bytes)
    .expect(status)
    .expect('Content-Type', /problem\+json/);
});

test('a picture packed small to unpack large is refused', async () => {
  const bomb = gzipSync(Buffer.concat([PNG, Buffer.alloc(200_000_000)]));
  const status = await new Promise<number>((resolve, reject) => {
    const request = http.request(
      `${t.address}/api/v1/attachments/content`,
      {
        method: 'POST',
        agent: false,
        headers: { 'content-type': 'application/octet-stream', 'content-encoding': 'gzip' },
      },
      (response) => {
        response.resume();
        resolve(response.statusCode ?? 0);
      },
    );
    request.on('error', reject);
    request.end(bomb);
  });
  expect([status, bomb.length < 300_000]).toEqual([413, true]);
});

test('an attachment must speak of bytes that are here, rightly, and of a bag that is here', async () => {
  const { body: content } = await keep(PNG).expect(200);
  const attach = async (given: object): Promise<string[]> =>
    (
      await t.http
        .post('/api/v1/attachments')
        .send({ productId, name: 'x', ...content, ...given })
        .expect(422)
    ).body.errors.map((e: { path: string }) => e.path);
  expect(await attach({ sha256: 'f'.repeat(64) })).toEqual(['sha256']);
  expect(await attach({ type: 'application/pdf' })).toEqual(['type']);
  expect(await attach({ productId: '00000000-0000-4000-8000-00000000dead' })).toEqual(['productId']);
  expect(await attach({ name: '' })).toEqual(['name']);
});

test('photos travel in the workspace file, each once, and are refused when they are not what they are called', async () => {
  const other = await startApp();
  try {
    const file = (await t.http.get('/api/v1/workspace/export').expect(200)).body;
    expect(file.contents.map((c: { sha256: string }) => c.sha256).sort()).toEqual(
      [PNG, PDF].map((b) => createHash('sha256').update(b).digest('hex')).sort(),
    );
    const forged = {
      ...file,
      contents: [{ ...file.contents[0], base64: Buffer.from('something else').toString('base64') }],
    };
    const { body: refused } = await other.http.post('/api/v1/workspace/import?write=yes').send(forged).expect(200);
    expect([refused.written, refused.problems[0].path]).toEqual([false, 'contents.0']);
    const { body: done } = await other.http.post('/api/v1/workspace/import?write=yes').send(file).expect(200);
    expect(done).toMatchObject({ problems: [], written: true });
    expect((await other.http.get('/api/v1/workspace/export')).body).toEqual(file);
  } finally {
    await other.close();
  }
});

test('photos have a limit together; what was sent and never attached makes room, what is attached or taken out stays', async () => {
  const full = await startApp();
  try {
    const send = (n: number, status: number) =>
      full.http
        .post('/api/v1/attachments/content')
        .set('Content-Type', 'application/octet-stream')
        .send(Buffer.concat([PNG, Buffer.alloc(4_900_000, n)]))
        .expect(status);
    const bag = (await full.http.post('/api/v1/products').send(product()).expect(201)).body.id as string;
    const attach = async (n: number) =>
      (
        await full.http
          .post('/api/v1/attachments')
          .send({ productId: bag, name: `${n}.png`, ...(await send(n, 200)).body })
          .expect(201)
      ).body as { id: string };
    const attached = await attach(1);
    const out = await attach(2);
    await full.http.delete(`/api/v1/attachments/${out.id}`).set(ifMatch(1)).expect(200);
    for (let n = 3; n <= 12; n++) await send(n, 200);
    await send(13, 200);
    for (const { id } of [attached, out]) await full.http.get(`/api/v1/attachments/${id}/content`).expect(200);
    for (let n = 3; n <= 12; n++) await attach(n);
    const { body } = await send(14, 413);
    expect(body.detail).toBe('All attachments together would be more than 60 MB. Attach smaller photos.');
  } finally {
    await full.close();
  }
});

test('the same photo sent eight times at once is kept once, and each sender is told the same', async () => {
  const photo = Buffer.concat([PNG, Buffer.from('sent by eight')]);
  const answers = await Promise.all(Array.from({ length: 8 }, () => keep(photo)));
  expect(answers.map((a) => a.status)).toEqual(Array.from({ length: 8 }, () => 200));
  expect(new Set(answers.map((a) => a.body.sha256)).size).toBe(1);
});

test('photos sent at once never take more room together than there is', async () => {
  const big = (i: number): Buffer => Buffer.concat([PNG, Buffer.from(String(i)), Buffer.alloc(4_900_000, i)]);
  const attach = async (i: number): Promise<number> => {
    const { status, body } = await keep(big(i));
    if (status !== 200) return status;
    const { body: made } = await t.http.post('/api/v1/attachments').send({ productId, name: `${i}.png`, ...body });
    return made.id ? 200 : 422;
  };
  const statuses = await Promise.all(Array.from({ length: 16 }, (_, i) => attach(i)));
  expect(statuses).toContain(413);
  const [{ total }] = (await ask<{ total: string }>(
    t.databaseUrl,
    'select sum(bytes) as total from attachment_content',
  )) as [{ total: string }];
  expect(Number(total)).toBeLessThanOrEqual(60_000_000);
}, 120_000);
