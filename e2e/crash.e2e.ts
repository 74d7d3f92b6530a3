import { databaseUrl, startLedger, type Ledger } from './harness';

const product = (name: string): string =>
  JSON.stringify({
    name,
    seller: '',
    form: 'meal',
    analysis: [
      {
        analyte: 'N',
        basis: 'element',
        value: { kind: 'number', value: 5 },
        unit: '%',
        provenance: 'label',
        source: '',
      },
    ],
    derivedFrom: [],
    offers: [{ size: 1, unit: 'kg' }],
    note: '',
  });
const ROUNDS = 3;
const WRITERS = 6;
const SAVES = 25;

/** Saves as fast as it can until the server is gone; returns the names that were confirmed, and says so at each one. */
async function writer(ledger: Ledger, who: string, onConfirmed: () => void): Promise<string[]> {
  const confirmed: string[] = [];
  for (let i = 0; i < 10_000; i++) {
    const name = `${who} ${i}`;
    try {
      const response = await fetch(`${ledger.address}/api/v1/products`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: product(name),
      });
      if (response.status !== 201) break;
      await response.json();
      confirmed.push(name);
      onConfirmed();
    } catch {
      break;
    }
  }
  return confirmed;
}

test('kill -9 in the middle of saves: nothing confirmed is lost, and nothing is half there', async () => {
  const url = databaseUrl();
  const confirmed: string[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const ledger = await startLedger({ url, sample: false });
    // In the middle of saves by their count, not by the clock: the same on a slow machine.
    let saves = 0;
    let enough = (): void => undefined;
    const inTheMiddle = new Promise<void>((done) => (enough = done));
    const writing = Array.from({ length: WRITERS }, (_, w) =>
      writer(ledger, `round ${round} writer ${w}`, () => {
        if (++saves === SAVES) enough();
      }),
    );
    await inTheMiddle;
    await ledger.kill();
    confirmed.push(...(await Promise.all(writing)).flat());
  }
  expect(confirmed.length).toBeGreaterThanOrEqual(ROUNDS * SAVES);

  const ledger = await startLedger({ url, sample: false });
  interface Item {
    name: string;
    id: string;
    analysis: unknown[];
    offers: unknown[];
  }
  const found: Item[] = [];
  let after = '';
  do {
    const page: { items: Item[]; next: string | null } = await ledger.api(`products?limit=500${after}`);
    found.push(...page.items);
    after = page.next ? `&after=${page.next}` : '';
  } while (after);
  const names = new Set(found.map((p) => p.name));
  expect(confirmed.filter((name) => !names.has(name))).toEqual([]);
  expect(found.filter((p) => p.analysis.length !== 1 || p.offers.length !== 1)).toEqual([]);

  const entries = new Set<string>();
  let before = '';
  do {
    const page: { items: { recordId: string }[]; next: string | null } = await ledger.api(`journal?limit=200${before}`);
    for (const e of page.items) entries.add(e.recordId);
    before = page.next ? `&before=${page.next}` : '';
  } while (before);
  expect(found.filter((p) => !entries.has(p.id))).toEqual([]);
  expect(entries.size).toBe(found.length);
  await ledger.stop();
});
