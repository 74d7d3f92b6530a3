import type { CatalogueList, CataloguePreview } from '@wheat-ledger/contract';
import type { TestApp } from './app.js';

/** Headings of a seller's list for tests. */
export const HEAD = 'name,seller,form,N %,P2O5 %,K2O %,Cl %,package,price,currency,seen on,organic';
/** A row of it. */
export const row = (
  name: string,
  n: string,
  price: string,
  rest: Partial<Record<'k' | 'cl' | 'form' | 'currency' | 'organic', string>> = {},
): string =>
  [
    name,
    'Brindle',
    rest.form ?? 'granule',
    n,
    '',
    rest.k ?? '',
    rest.cl ?? '',
    '25 kg',
    price,
    rest.currency ?? 'EUR',
    '2026-10-01',
    rest.organic ?? '',
  ].join(',');

/** Sends a list to be read. */
export const readList = (t: TestApp, csv: string, list: string, status = 200, base = '/api/v1', more = '') =>
  t.http
    .post(`${base}/catalogue/imports?list=${encodeURIComponent(list)}${more}`)
    .set('Content-Type', 'text/csv')
    .send(csv)
    .expect(status);
/** Reads a list and takes it over. */
export async function takeList(t: TestApp, csv: string, list: string, base = '/api/v1'): Promise<CatalogueList> {
  const preview = (await readList(t, csv, list, 200, base)).body as CataloguePreview;
  const { body } = await t.http
    .post(`${base}/catalogue/imports/${preview.importId}/take`)
    .send({ list, seller: 'Brindle' })
    .expect(200);
  return body as CatalogueList;
}
