import { HOME_LEDGER } from '@wheat-ledger/contract';

const IN_ADDRESS = /^\/l\/([a-z0-9-]+)(?=\/|$)/;

/** The ledger that an address names; one that names none means the home ledger. @example ledgerIn('/l/rosewood/shelf') // 'rosewood' */
export const ledgerIn = (path: string): string => IN_ADDRESS.exec(path)?.[1] ?? HOME_LEDGER;

/** The page's own ledger: it is settled when the page opens, and another one is another page. */
export const LEDGER = ledgerIn(globalThis.location?.pathname ?? '');

/** What stands before every address of a ledger's views. */
export const pagesOf = (ledger: string): string => (ledger === HOME_LEDGER ? '' : `/l/${ledger}`);

/** What stands before every route of a ledger's data. */
export const routesOf = (ledger: string): string => (ledger === HOME_LEDGER ? '/api/v1' : `/api/v1/ledgers/${ledger}`);

/** An address of this ledger's data. @example dataAt('workspace/export') // '/api/v1/workspace/export' */
export const dataAt = (path: string): string => `${routesOf(LEDGER)}/${path}`;
