import type { CatalogueList, CataloguePreview, CatalogueProduct, CatalogueRecord } from '@wheat-ledger/contract';
import { sampleProducts } from './show';

export const LIST: CatalogueList = {
  id: '11111111-1111-4111-8111-111111111111',
  name: 'Spring list',
  seller: 'Brindle',
  revision: 2,
  products: 3,
  takenAt: '2026-03-01T08:00:00.000Z',
  shared: false,
};
export const PREVIEW: CataloguePreview = {
  importId: '22222222-2222-4222-8222-222222222222',
  rows: 3,
  good: 2,
  problems: [{ row: 4, message: 'Moon dust, 1 kg: the list holds no such package, or several.' }],
  differences: { new: 0, dearer: 1, cheaper: 1, reformulated: 0, changed: 0, gone: 0 },
};
/** A product of the list, with the record of a bag of the sample. */
export const RECORD: CatalogueRecord = {
  id: '7',
  listId: LIST.id,
  name: 'Quernlow Urea',
  seller: 'Quernlow Stores',
  form: 'prill',
  organic: 'no',
  pricePerKg: 0.95,
  currency: 'EUR',
  seenOn: '2026-02-20',
  inStock: true,
  fractions: { N: { low: 0.46, high: 0.46 } },
  cost: null,
  record: sampleProducts.find((p) => p.name === 'Quernlow Urea') ?? sampleProducts[0]!,
  list: LIST.name,
  row: 12,
  place: 'Larkmere',
  shared: false,
};
const PRODUCT: CatalogueProduct = { ...RECORD, cost: { low: 2, mid: 2.1, high: 2.2 } };

/** What was asked of a catalogue: method, and the address from `catalogue/` on. */
export type Asked = readonly (readonly [method: string, address: string])[];
const json = (body: unknown, status = 200): Response =>
  new Response(status === 204 ? null : JSON.stringify(body), {
    status,
    headers: { 'Content-Type': status < 400 ? 'application/json' : 'application/problem+json' },
  });

/** Answers as a server with a catalogue does; what is given for the beginning of an address goes before. @returns what is asked, as it comes */
export function catalogueServer(given: Readonly<Record<string, unknown>> = {}): Asked {
  const asked: [string, string][] = [];
  const answers: Readonly<Record<string, unknown>> = {
    ...given,
    'catalogue/lists/': PREVIEW,
    'catalogue/imports': LIST,
    'catalogue/products/': RECORD,
    'catalogue/products': { items: [PRODUCT], next: null },
    'catalogue/count': { count: 1, more: false },
    'catalogue/facets': { seller: [{ value: 'Brindle', count: 1 }] },
    'catalogue/since': { new: 0, dearer: 2, cheaper: 0, reformulated: 0, changed: 0, gone: 0 },
    'catalogue/currencies': ['EUR', 'GBP'],
    'catalogue/lists': [LIST],
    ...given,
  };
  globalThis.fetch = jest.fn((input: RequestInfo | URL, init?: RequestInit) => {
    const request = input instanceof Request ? input : new Request(input, init);
    const at = decodeURIComponent(request.url.replace(/^.*\/api\/v1\//, ''));
    asked.push([request.method, at]);
    const found = Object.keys(answers).find((a) => at.startsWith(a));
    return Promise.resolve(found === undefined ? json({ items: [], next: null }) : json(answers[found]));
  });
  return asked;
}
