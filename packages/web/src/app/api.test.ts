import { RECORD_KINDS, type ClaimRecord } from '@wheat-ledger/contract';
import { idOf } from '../../test/show';
import { api, problemOf } from './api';
import { makeStore } from './store';

const claim = (n: number, statement: string, version = 1): ClaimRecord => ({
  id: idOf(n),
  version,
  updatedAt: '2026-02-20T10:00:00.000Z',
  deletedAt: null,
  statement,
  saidBy: '',
  productId: idOf(1),
  crop: 'wheat',
  needs: [],
});
const listed = { kind: 'claim' } as const;
const asked: { method: string; path: string; ifMatch: string | null }[] = [];
/** Answers what is written, and never what is listed: what is seen comes from the save alone. */
function serverAnswers(body: unknown, status = 200): void {
  globalThis.fetch = jest.fn((input: RequestInfo | URL) => {
    const { method, url, headers } = input as Request;
    asked.push({ method, path: new URL(url).pathname, ifMatch: headers.get('if-match') });
    return method === 'GET'
      ? new Promise<Response>(() => undefined)
      : Promise.resolve(
          new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } }),
        );
  });
}
const storeWith = async (...claims: ClaimRecord[]) => {
  const store = makeStore();
  await store.dispatch(api.util.upsertQueryData('records', listed, claims));
  void store.dispatch(api.endpoints.records.initiate(listed));
  return {
    store,
    seen: () =>
      (api.endpoints.records.select(listed)(store.getState()).data as readonly ClaimRecord[]).map((c) => c.statement),
  };
};
beforeEach(() => {
  asked.length = 0;
});

test('a new record is there before the list is asked for again, so that the page that opens on it finds it', async () => {
  serverAnswers(claim(2, 'It feeds all year'));
  const { store, seen } = await storeWith(claim(1, 'It cannot burn'));
  await store.dispatch(api.endpoints.save.initiate({ kind: 'claim', input: {} }));
  expect(seen()).toEqual(['It cannot burn', 'It feeds all year']);
  expect(asked.filter((a) => a.method !== 'GET' || a.path.endsWith('/claims'))).toEqual([
    { method: 'POST', path: '/api/v1/claims', ifMatch: null },
  ]);
});

test('a changed record takes its place by name, and goes out with the version that was seen', async () => {
  serverAnswers(claim(1, 'It rarely burns', 4));
  const { store, seen } = await storeWith(claim(1, 'It cannot burn', 3), claim(2, 'It feeds all year'));
  await store.dispatch(
    api.endpoints.save.initiate({ kind: 'claim', existing: { id: idOf(1), version: 3 }, input: {} }),
  );
  expect(seen()).toEqual(['It feeds all year', 'It rarely burns']);
  expect(asked[0]).toEqual({ method: 'PUT', path: `/api/v1/claims/${idOf(1)}`, ifMatch: '"3"' });
});

test('a save sets the record in its place in the list; a removal takes it out; neither asks for the list again', async () => {
  serverAnswers(claim(3, 'It helps'));
  const { store, seen } = await storeWith(claim(1, 'It cannot burn'), claim(2, 'It lasts'));
  await store.dispatch(api.endpoints.save.initiate({ kind: 'claim', input: {} }));
  expect(seen()).toEqual(['It cannot burn', 'It helps', 'It lasts']);
  await store.dispatch(api.endpoints.remove.initiate({ kind: 'claim', record: { id: idOf(3), version: 1 } }));
  expect(seen()).toEqual(['It cannot burn', 'It lasts']);
  expect(asked.map((a) => `${a.method} ${a.path}`).filter((a) => a === 'GET /api/v1/claims')).toEqual([]);
});

test('what is refused changes nothing here', async () => {
  serverAnswers(
    { type: '/problems/changed', title: 'Changed elsewhere', status: 409, detail: 'Somebody saved it.' },
    409,
  );
  const { store, seen } = await storeWith(claim(1, 'It cannot burn'));
  const result = await store.dispatch(
    api.endpoints.save.initiate({ kind: 'claim', existing: { id: idOf(1), version: 3 }, input: {} }),
  );
  expect(seen()).toEqual(['It cannot burn']);
  expect(problemOf(result.error)).toMatchObject({ status: 409, detail: 'Somebody saved it.' });
});

test.each(RECORD_KINDS)('every page of %s is read, one after the other', async (kind) => {
  const pages: Readonly<Record<string, object>> = {
    '': { items: [claim(1, 'a')], next: 'two' },
    two: { items: [claim(2, 'b')], next: null },
  };
  globalThis.fetch = jest.fn((input: RequestInfo | URL) =>
    Promise.resolve(
      new Response(JSON.stringify(pages[new URL((input as Request).url).searchParams.get('after') ?? '']), {
        headers: { 'content-type': 'application/json' },
      }),
    ),
  );
  const { data } = await makeStore().dispatch(api.endpoints.records.initiate({ kind }));
  expect(data?.map((r) => r.id)).toEqual([idOf(1), idOf(2)]);
});

test('a server that is away, or answers with no words of ours, is told in words', () => {
  expect(problemOf({ status: 'FETCH_ERROR', error: 'x' }).detail).toMatch(
    /does not answer\. What you typed is kept here/,
  );
  expect(problemOf({ status: 502, data: '<html>bad gateway</html>' }).detail).toMatch(/does not answer/);
  expect(problemOf({ status: 422, data: '{"detail":"Read the headings mood."}' }).detail).toBe(
    'Read the headings mood.',
  );
});
