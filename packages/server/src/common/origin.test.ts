import type { NextFunction, Request, Response } from 'express';
import { ownPagesOnly } from './origin.js';

/** What comes of a request: 'next', or status and text. */
function asked(publicOrigin: string | undefined, headers: Record<string, string>, path = '/', method = 'GET'): string {
  let said = '';
  const response = {
    status: (status: number) => {
      said = String(status);
      return response;
    },
    type: () => response,
    send: (text: string) => (said += ` ${text}`),
  };
  const next: NextFunction = () => (said = 'next');
  ownPagesOnly(publicOrigin)({ headers, path, method } as unknown as Request, response as unknown as Response, next);
  return said;
}
const PUBLIC = 'https://garden.example';
const NAVIGATE = { 'sec-fetch-mode': 'navigate', 'sec-fetch-site': 'none' };

test('behind another name the page says where it is opened, and so does whoever writes at the wrong address', () => {
  expect(asked(PUBLIC, { host: 'garden.example', ...NAVIGATE })).toBe('next');
  expect(asked(PUBLIC, { host: '127.0.0.1:4180', ...NAVIGATE })).toBe(
    '403 This ledger is opened at https://garden.example (PUBLIC_ORIGIN), not at this address.',
  );
  const write = { host: '127.0.0.1:4180', origin: 'http://127.0.0.1:4180', 'sec-fetch-site': 'same-origin' };
  expect(asked(PUBLIC, write, '/api/v1/products', 'POST')).toMatch(/^403 .*opened at https:\/\/garden\.example/);
  // Health is asked on loopback by whoever runs it.
  expect(asked(PUBLIC, { host: '127.0.0.1:4180' }, '/api/v1/health')).toBe('next');
  expect(asked(PUBLIC, { host: 'evil.example' }, '/api/v1/health')).toMatch(/^403/);
});

test('without another name loopback is opened as ever', () => {
  expect(asked(undefined, { host: '127.0.0.1:4180', ...NAVIGATE })).toBe('next');
  expect(asked(undefined, { host: 'localhost:4180', 'sec-fetch-site': 'same-site' }, '/api/v1/scale')).toMatch(/^403/);
});
