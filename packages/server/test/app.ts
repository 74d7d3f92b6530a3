import { randomBytes } from 'node:crypto';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MikroORM } from '@mikro-orm/postgresql';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import type { ProductInput } from '@wheat-ledger/contract';
import type { Config } from '../src/config.js';
import { createApp } from '../src/createApp.js';

const urlOf = (database: string): string => {
  const url = new URL(process.env['TEST_DATABASE_URL'] ?? '');
  url.pathname = `/${database}`;
  return url.toString();
};

/** A new, empty database in the test cluster; its address. */
export async function newDatabase(): Promise<string> {
  const name = `t_${randomBytes(6).toString('hex')}`;
  const admin = await MikroORM.init({
    clientUrl: urlOf('wheat_ledger'),
    entities: [],
    discovery: { warnWhenNoEntities: false },
  });
  await admin.em.getConnection().execute(`create database ${name}`);
  await admin.close();
  return urlOf(name);
}

export interface TestApp {
  readonly app: NestExpressApplication;
  readonly http: ReturnType<typeof request.agent>;
  readonly address: string;
  readonly databaseUrl: string;
  readonly close: () => Promise<void>;
}

/** Tells whether a statement touches a table of a workspace without saying whose rows it means. */
export function scopeCheck(orm: MikroORM): (sql: string) => boolean {
  const scoped = Object.values(orm.getMetadata().getAll())
    .filter((meta) => Object.values(meta.properties).some((p) => p.fieldNames.includes('workspace_id')))
    .map((meta) => meta.tableName);
  const table = new RegExp(`(?:from|join|into|update) "?(?:${scoped.join('|')})\\b`, 'i');
  return (sql) => !table.test(sql) || sql.includes('workspace_id');
}

/** What the application asks of the database without saying whose rows it means. */
function watchScope(orm: MikroORM): readonly string[] {
  const isScoped = scopeCheck(orm);
  const found: string[] = [];
  orm.em
    .getConnection()
    .getKnex()
    .on('query', ({ sql }: { sql: string }) => {
      if (!isScoped(sql)) found.push(sql);
    });
  return found;
}

/** Asks the database directly, as somebody beside the application would. */
export async function ask<Row extends object>(databaseUrl: string, sql: string): Promise<Row[]> {
  const orm = await MikroORM.init({ clientUrl: databaseUrl, entities: [], discovery: { warnWhenNoEntities: false } });
  try {
    return await orm.em.getConnection().execute<Row[]>(sql);
  } finally {
    await orm.close();
  }
}

/** A web app of one page and one asset, since the server behaves differently where it serves one. */
function pages(): string {
  const root = mkdtempSync(join(tmpdir(), 'pages-'));
  mkdirSync(join(root, 'assets'));
  writeFileSync(join(root, 'index.html'), '<!doctype html><title>Ledger</title>');
  writeFileSync(join(root, 'assets', 'app-1.js'), 'void 0;');
  return root;
}

/** The real application on a database of its own, listening on loopback. */
export async function startApp({
  databaseUrl,
  idleMs,
  priceFeed,
  scale,
  requestsPerMinute,
}: Pick<
  Partial<Config>,
  'databaseUrl' | 'idleMs' | 'priceFeed' | 'scale' | 'requestsPerMinute'
> = {}): Promise<TestApp> {
  const url = databaseUrl ?? (await newDatabase());
  const webRoot = pages();
  const app = await createApp({
    databaseUrl: url,
    port: 0,
    webRoot,
    sample: false,
    priceFeed,
    scale,
    ...(idleMs ? { idleMs } : {}),
    ...(requestsPerMinute ? { requestsPerMinute } : {}),
  });
  const unscoped = watchScope(app.get(MikroORM));
  await app.listen(0, '127.0.0.1');
  const { port } = app.getHttpServer().address() as AddressInfo;
  const address = `http://127.0.0.1:${port}`;
  return {
    app,
    http: request.agent(address),
    address,
    databaseUrl: url,
    close: async () => {
      await app.close().finally(() => rmSync(webRoot, { recursive: true, force: true }));
      if (unscoped.length > 0) throw new Error(`SQL that names no workspace_id: ${unscoped.slice(0, 5).join('; ')}`);
    },
  };
}

export const product = (given: Partial<ProductInput> = {}): ProductInput => ({
  name: 'Feather meal',
  seller: 'Larkmere Feed',
  form: 'meal',
  note: '',
  derivedFrom: ['feather meal'],
  analysis: [
    {
      analyte: 'N',
      basis: 'element',
      value: { kind: 'number', value: 13 },
      unit: '%',
      provenance: 'label',
      source: 'bag label',
    },
  ],
  offers: [{ size: 20, unit: 'kg', price: { amount: '34.50', currency: 'EUR' }, seenOn: '2026-02-20' }],
  ...given,
});
export const ifMatch = (version: number): { 'If-Match': string } => ({ 'If-Match': `"${version}"` });

/** A picture of one grey dot. */
export const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGNgAAAAAgABSK+kcQAAAABJRU5ErkJggg==',
  'base64',
);
