// npm run faults: what happens when things break under writers, bounded in rounds and time. `--short` is the part that npm test runs.
// `--two` puts two servers of one database behind a proxy.
// Each row says what was done to the ledger, how often, and what was found afterwards; any loss ends with 1.
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import http from 'node:http';
import net from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { bundle, compile, ensureDependencies } from './lib/build.mjs';
import { startDatabase } from './lib/database.mjs';
import { checkNode } from './lib/machine.mjs';
import { startProxy } from './lib/proxy.mjs';
import { startServer } from './lib/server.mjs';

const short = process.argv.includes('--short');
const two = process.argv.includes('--two');
const ROUNDS = short ? 1 : 4;
const WRITERS = 4;
const SAVES_A_ROUND = short ? 15 : 40;
let bad = 0;
const report = (what, found, fine) => {
  if (!fine) bad += 1;
  console.log(`${fine ? 'ok    ' : 'FAILED'}  ${what}: ${found}`);
};

/** The server, or two of them behind a proxy. */
async function serve(url, options) {
  const servers = await Promise.all(Array.from({ length: two ? 2 : 1 }, () => startServer(url, options)));
  const proxy = two ? await startProxy(servers.map((s) => s.address)) : undefined;
  return {
    address: proxy?.address ?? servers[0].address,
    children: servers.map((s) => s.child),
    stop: async () => {
      await proxy?.stop();
      await Promise.all(servers.map((s) => s.stop()));
    },
  };
}

const bag = (name) => ({
  name,
  seller: '',
  form: 'meal',
  note: '',
  derivedFrom: ['feather meal'],
  analysis: [
    { analyte: 'N', basis: 'element', value: { kind: 'number', value: 5 }, unit: '%', provenance: 'label', source: '' },
  ],
  offers: [{ size: 1, unit: 'kg' }],
});

/** A bag, a claim on it and a recipe from it, as one operation. */
const threeKinds = (name) => {
  const productId = randomUUID();
  const create = (kind, input, id) => ({ kind, action: 'create', input, ...(id ? { id } : {}) });
  return {
    why: 'three kinds at once',
    changes: [
      create('product', bag(name), productId),
      create('claim', { statement: name, saidBy: '', productId, crop: 'wheat', needs: [] }),
      create('recipe', {
        name: 'from it',
        target: '',
        strength: 'grade',
        tolerance: 0.1,
        by: 'weight',
        batchKg: 1,
        parts: [{ productId, parts: 1 }],
      }),
    ],
  };
};

const post = (address, path, body) =>
  fetch(`${address}/api/v1/${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
    signal: AbortSignal.timeout(20_000),
  });

/** A plot, and a bag with more of it on hand than is ever logged: what entries of the log are written on. */
async function toLogOn(address) {
  const made = async (path, body) => (await (await post(address, path, body)).json()).id;
  // Built by now, not yet when this file is read.
  const { PLOTS } = await import('../packages/demo/dist/index.js');
  const plotId = await made('plots', PLOTS[0]);
  const productId = await made('products', bag('stocked'));
  const on = '2026-03-01';
  await made('stock-movements', { productId, amount: 1e6, unit: 'kg', reason: 'bought', on, lot: '', note: '' });
  return { plotId, productId };
}
const entry = (name, { plotId, productId }) => ({
  plotId,
  on: '2026-04-01',
  what: name,
  items: [{ productId, amount: 1, unit: 'kg', lot: '' }],
  by: '',
  weather: '',
  note: '',
});

/** What writers save by turns: a bag, an operation over three kinds, an entry of the log with the stock it lowers. */
const SAVES = [
  ['one', 'products', bag],
  ['three', 'operations', threeKinds],
  ['log', 'log-entries', entry],
];

/** Saves by turns, until told to stop; counts what was confirmed and what was refused in words. */
async function writers(address, confirmed, statuses) {
  let on = true;
  const ground = await toLogOn(address);
  const one = async (who) => {
    for (let i = 0; on; i++) {
      const [kind, path, make] = SAVES[i % SAVES.length];
      const name = `${who} ${i} ${kind} ${randomUUID().slice(0, 8)}`;
      try {
        const response = await post(address, path, make(name, ground));
        statuses.set(response.status, (statuses.get(response.status) ?? 0) + 1);
        if (response.status === 201) confirmed.push(name);
        else await sleep(50);
        await response.arrayBuffer();
      } catch {
        statuses.set('cut', (statuses.get('cut') ?? 0) + 1);
        await sleep(50);
      }
    }
  };
  const all = Promise.all(Array.from({ length: WRITERS }, (_, w) => one(`w${w}`)));
  return async () => {
    on = false;
    await all;
  };
}

/** Confirmed saves that are gone, and what lacks a line, its entry in the book, what was made with it or the stock it lowers. */
async function audit(database, confirmed) {
  const names = new Set(
    (await database.psql('select name from product union all select name from log_entry', 'wheat_ledger')).split('\n'),
  );
  const half = await database.psql(
    `select count(*) from product p where name like 'w%' and ((select count(*) from analysis_figure a where a.product_id = p.id) <> 1
     or (select count(*) from offer o where o.product_id = p.id) <> 1 or not exists (select 1 from journal j where j.record_id = p.id)
     or (name like '% three %' and not (exists (select 1 from claim c where c.product_id = p.id) and exists (select 1 from recipe_part r where r.product_id = p.id))))`,
    'wheat_ledger',
  );
  // An entry of the log stands with the one movement of stock that it caused, or not at all.
  const halfLogged = await database.psql(
    `select count(*) from log_entry e where (select count(*) from log_item i where i.entry_id = e.id) <> 1
     or (select count(*) from stock_movement m where m.entry_id = e.id and m.amount = -1) <> 1`,
    'wheat_ledger',
  );
  return { lost: confirmed.filter((name) => !names.has(name)).length, half: Number(half) + Number(halfLogged) };
}
const until = async (what, check, seconds = 30) => {
  for (let i = 0; i < seconds * 10; i++) {
    if (await check()) return;
    await sleep(100);
  }
  throw new Error(`Waited ${seconds} s for ${what}, in vain.`);
};
const says = (statuses) => [...statuses].map(([s, n]) => `${s} × ${n}`).join(', ');

async function killServer(database) {
  const confirmed = [];
  const statuses = new Map();
  for (let round = 0; round < ROUNDS; round++) {
    const server = await serve(database.url, { sample: false });
    const stop = await writers(server.address, confirmed, statuses);
    // One after the other: while one of two is left, saves go on.
    for (const child of server.children) {
      const before = confirmed.length;
      await until('saves', () => confirmed.length >= before + SAVES_A_ROUND);
      child.kill('SIGKILL');
    }
    await stop();
    await server.stop();
  }
  const { lost, half } = await audit(database, confirmed);
  report(
    two ? 'two servers killed under writers, one after the other' : 'server killed under writers',
    `${ROUNDS} times, ${confirmed.length} confirmed, ${lost} lost, ${half} half there`,
    lost + half === 0,
  );
}

async function killDatabase(database) {
  const server = await serve(database.url, { sample: false });
  const confirmed = [];
  const statuses = new Map();
  const stop = await writers(server.address, confirmed, statuses);
  for (let round = 0; round < ROUNDS; round++) {
    const before = confirmed.length;
    await until('saves', () => confirmed.length >= before + SAVES_A_ROUND);
    process.kill(database.pidOf(), 'SIGKILL');
    await sleep(300);
    await until(
      'the database to be back',
      async () => (await fetch(`${server.address}/api/v1/plots`).catch(() => ({}))).status === 200,
    );
  }
  await stop();
  const { lost, half } = await audit(database, confirmed);
  const unworded = [...statuses.keys()].filter((s) => ![201, 503, 'cut'].includes(s)).length;
  report(
    'database killed under writers',
    `${ROUNDS} times, ${confirmed.length} confirmed, ${lost} lost, ${half} half there; answers ${says(statuses)}`,
    lost + half + unworded === 0,
  );
  await server.stop();
}

async function brokenClients(database) {
  const server = await serve(database.url, { sample: true });
  const { hostname, port } = new URL(server.address);
  const open = Array.from({ length: short ? 10 : 40 }, (_, i) => {
    const socket = net.connect(Number(port), hostname);
    socket.on('error', () => undefined);
    const body = i % 2 ? '{"name":"half' : '';
    socket.write(
      `POST /api/v1/products HTTP/1.1\r\nHost: ${hostname}:${port}\r\nContent-Type: application/json\r\nContent-Length: 5000\r\n\r\n${body}`,
    );
    return socket;
  });
  // Downloads that are begun and never read hold no connection of the database.
  const stalled = Array.from({ length: short ? 4 : 12 }, () =>
    http.get(`${server.address}/api/v1/workspace/export`, (response) => response.pause()).on('error', () => undefined),
  );
  await sleep(500);
  const answers = await Promise.all(
    Array.from({ length: 20 }, () => fetch(`${server.address}/api/v1/plots`).then((r) => r.status)),
  );
  // A download that is still being written on a slow machine is given time; one that waits for its reader would be held for ever.
  const inTransaction = async () =>
    Number(await database.psql(`select count(*) from pg_stat_activity where state = 'idle in transaction'`));
  let held = await inTransaction();
  for (let tries = 0; held > 0 && tries < 20; tries++) {
    await sleep(500);
    held = await inTransaction();
  }
  report(
    'slow and broken clients',
    `${open.length} halves of a request, ${stalled.length} downloads not read: 20 others answered ${[...new Set(answers)].join(', ')}, ${held} transactions held open`,
    answers.every((s) => s === 200) && held === 0,
  );
  open.forEach((socket) => socket.destroy());
  stalled.forEach((request) => request.destroy());
  await server.stop();
}

/** A ledger on a disk of 96 MB that runs full: refused in words, nothing lost; where a small disk may be mounted at all. */
async function diskFull(folder) {
  const disk = join(folder, 'small');
  mkdirSync(disk);
  const mounted =
    process.getuid?.() === 0 && spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=160m', 'tmpfs', disk]).status === 0;
  if (!mounted) return console.log('left out  disk full: no small disk may be mounted here');
  let database;
  try {
    database = await startDatabase(join(disk, 'data'));
    const server = await serve(database.url, { sample: false });
    const confirmed = [];
    const statuses = new Map();
    const stop = await writers(server.address, confirmed, statuses);
    await until('saves', () => confirmed.length >= SAVES_A_ROUND);
    const filler = join(disk, 'filler');
    spawnSync('dd', ['if=/dev/zero', `of=${filler}`, 'bs=1M']);
    await sleep(short ? 2000 : 6000);
    rmSync(filler, { force: true });
    const before = confirmed.length;
    await until('saves after there is room again', () => confirmed.length >= before + SAVES_A_ROUND, 60);
    await stop();
    const { lost, half } = await audit(database, confirmed);
    report(
      'disk full under writers',
      `${confirmed.length} confirmed, ${lost} lost, ${half} half there; answers ${says(statuses)}`,
      lost + half === 0 && !statuses.has(500),
    );
    await server.stop();
  } finally {
    await database?.stop();
    spawnSync('umount', [disk]);
  }
}

async function main() {
  checkNode();
  await ensureDependencies();
  await compile();
  await bundle();
  const folder = mkdtempSync(join(tmpdir(), 'wheat-ledger-faults-'));
  const database = await startDatabase(join(folder, 'data'));
  try {
    await killServer(database);
    await killDatabase(database);
    await brokenClients(database);
    if (!short) await diskFull(folder);
  } finally {
    await database.stop();
    if (existsSync(folder)) rmSync(folder, { recursive: true, force: true });
  }
  console.log(bad === 0 ? 'Nothing confirmed was lost, and nothing was half there.' : `${bad} of these failed.`);
  process.exit(bad === 0 ? 0 : 1);
}

main().catch((error) => {
  console.error(error.message);
  process.exit(1);
});
