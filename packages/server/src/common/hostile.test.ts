import {
  KINDS,
  RECORD_KINDS,
  toClaim,
  toProduct,
  toSite,
  type ClaimRecord,
  type PlotRecord,
  type ProductRecord,
} from '@wheat-ledger/contract';
import { contentCheck, labelChecks, siteSoilTemperature } from '@wheat-ledger/core';
import { loadSample } from '../database/sample.js';
import { PNG, startApp, type TestApp } from '../../test/app.js';

let t: TestApp;
beforeAll(async () => {
  // Thousands of requests are what it is about, not how many are let in.
  t = await startApp({ requestsPerMinute: 1e6 });
  await loadSample(t.app);
});
afterAll(() => t.close());

const PATHS = RECORD_KINDS.map((kind) => KINDS[kind].path);
/** What may stand where something else belongs. */
const HOSTILE: readonly unknown[] = [
  null,
  [],
  [null],
  {},
  'x',
  '',
  -1,
  1e308,
  true,
  '\u0000',
  [[]],
  { kind: 'number' },
];
/** Keys that are tried once, whichever entry of a list they are found in. */
const MOST_PER_LIST = 1;

type Tree = Readonly<Record<string, unknown>>;
const isTree = (v: unknown): v is Tree => typeof v === 'object' && v !== null;

/** Every place in an input, as a path of keys. */
const placesOf = (value: unknown, path: readonly string[] = []): readonly (readonly string[])[] => {
  if (!isTree(value)) return [path];
  const entries = Object.entries(value);
  return [
    path,
    ...(Array.isArray(value) ? entries.slice(0, MOST_PER_LIST) : entries).flatMap(([key, inner]) =>
      placesOf(inner, [...path, key]),
    ),
  ];
};

/** The input with something else at a place, or with nothing there. */
function put(value: unknown, [key, ...rest]: readonly string[], other: unknown): unknown {
  if (key === undefined) return other;
  if (Array.isArray(value)) return value.map((v, i) => (String(i) === key ? put(v, rest, other) : (v as unknown)));
  const tree = value as Tree;
  const inner = put(tree[key], rest, other);
  return inner === undefined
    ? Object.fromEntries(Object.entries(tree).filter(([k]) => k !== key))
    : { ...tree, [key]: inner };
}

const inputOf = (record: Tree): Tree =>
  Object.fromEntries(
    Object.entries(record).filter(([key]) => !['id', 'version', 'updatedAt', 'deletedAt'].includes(key)),
  );

/** A photo of some bag. */
async function attachment(): Promise<Tree> {
  const { body: content } = await t.http
    .post('/api/v1/attachments/content')
    .set('Content-Type', 'application/octet-stream')
    .send(PNG);
  const { items } = (await t.http.get('/api/v1/products?limit=1')).body as { items: readonly { id: string }[] };
  return { productId: items[0]?.id, name: 'front.png', ...(content as object) };
}

/** The fullest record of a kind, so that most fields are met. */
async function fullest(path: string): Promise<Tree> {
  if (path === 'shelf-filters')
    return {
      name: 'Strong',
      filter: {
        text: 'meal',
        nutrient: 'N',
        atLeastPercent: 5,
        form: 'meal',
        origin: 'animal',
        organic: 'yes',
        priced: true,
        inStock: false,
      },
    };
  if (path === 'catalogue-searches')
    return {
      name: 'Strong',
      search: {
        words: 'meal',
        by: 'N',
        currency: 'EUR',
        atLeast: [{ nutrient: 'N', percent: 5 }],
        form: 'meal',
        organic: 'yes',
        seller: 'Brindle',
        origin: 'animal',
        place: 'Larkmere',
        list: '00000000-0000-4000-8000-000000000009',
        chloridePercent: 1,
        inStock: true,
        seenSince: '2026-03-01',
      },
    };
  const { items } = (await t.http.get(`/api/v1/${path}?limit=500`)).body as { items: readonly Tree[] };
  if (path === 'attachments') return attachment();
  const [most] = items.map(inputOf).sort((a, b) => placesOf(b).length - placesOf(a).length);
  if (!most) throw new Error(`The sample has no ${path}.`);
  // A sheet is of one day: another of the sample's is there already.
  return path === 'trial-sheets' ? { ...most, on: '2026-01-02' } : most;
}

test.each(PATHS)(
  'whatever stands in any field of %s, it is taken or refused in words, and never breaks the server',
  async (path) => {
    const input = await fullest(path);
    await t.http.post(`/api/v1/${path}`).send(input).expect(201);
    const broken: string[] = [];
    let refused = 0;
    for (const place of placesOf(input))
      for (const other of [undefined, ...HOSTILE]) {
        const sent = put(input, place, other);
        const { status, body } = await t.http
          .post(`/api/v1/${path}`)
          .send(isTree(sent) ? sent : JSON.stringify(sent))
          .set('Content-Type', 'application/json');
        if (status !== 201) refused += 1;
        // A second sheet of one day is there already, whatever else is in it.
        const fine = path === 'trial-sheets' ? [201, 400, 409, 422] : [201, 400, 422];
        if (!fine.includes(status)) broken.push(`${place.join('.')} = ${JSON.stringify(other)}: ${status}`);
        else if (status !== 201 && !(body as { detail?: string }).detail)
          broken.push(`${place.join('.')} = ${JSON.stringify(other)}: refused without a word`);
      }
    expect(broken).toEqual([]);
    expect(refused).toBeGreaterThan(20);
  },
);

test('what was taken all the same can be listed, exported and computed with', async () => {
  const all = async <T>(path: string): Promise<readonly T[]> =>
    ((await t.http.get(`/api/v1/${path}?limit=500`).expect(200)).body as { items: readonly T[] }).items;
  const products = new Map((await all<ProductRecord>('products')).map((p) => [p.id, toProduct(p, p.id)]));
  expect(products.size).toBeGreaterThan(30);
  for (const product of products.values())
    expect(labelChecks(product).filter((f) => f.severity === 'impossible')).toEqual([]);
  for (const p of await all<PlotRecord>('plots'))
    expect(siteSoilTemperature(toSite(p), '2026-03-15', 30).filter(Number.isFinite)).toHaveLength(30);
  for (const c of await all<ClaimRecord>('claims'))
    expect(contentCheck(toClaim(c, products.get(c.productId)!)).text).toMatch(/\w/);
  await t.http.get('/api/v1/workspace/export').expect(200);
  await t.http.get('/api/v1/shelf/csv').expect(200);
});
