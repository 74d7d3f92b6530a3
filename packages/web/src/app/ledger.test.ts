import { ledgerIn, pagesOf, routesOf } from './ledger';

test('an address tells its ledger, and what stands before its views and its data', () => {
  expect(['/', '/shelf', '/l/home/shelf', '/l/rosewood', '/l/rosewood/shelf/1', '/ledgers'].map(ledgerIn)).toEqual([
    'home',
    'home',
    'home',
    'rosewood',
    'rosewood',
    'home',
  ]);
  expect([pagesOf('home'), pagesOf('rosewood')]).toEqual(['', '/l/rosewood']);
  expect([routesOf('home'), routesOf('rosewood')]).toEqual(['/api/v1', '/api/v1/ledgers/rosewood']);
});
