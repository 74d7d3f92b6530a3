import { open } from 'node:fs/promises';
import type { INestApplicationContext } from '@nestjs/common';
import { WorkspaceScope } from './common/workspaceScope.js';
import { CatalogueStore } from './catalogue/catalogue.store.js';
import { CatalogueImports } from './catalogue/catalogueImport.service.js';
import { CatalogueRevisions } from './catalogue/catalogueRevisions.js';
import { SHARED_LISTS } from './catalogue/catalogueRows.js';

const within = <T>(app: INestApplicationContext, work: () => Promise<T>): Promise<T> =>
  app.get(WorkspaceScope).run({ id: SHARED_LISTS, who: 'installation' }, work);

const productWords = (n: number): string => `${n} ${n === 1 ? 'product' : 'products'}`;

/** Lists of the whole installation are brought in, changed and taken back here alone; in a ledger they are read only. */
export const sharedLists = {
  /** Reads a CSV file as the next revision of a list and says what came of it. */
  take: (app: INestApplicationContext, file: string, name: string, currency: string | undefined): Promise<string> =>
    within(app, async () => {
      const opened = await open(file).catch(() => {
        throw new Error(`The file ${file} cannot be read.`);
      });
      const body = opened.createReadStream();
      const { signal } = new AbortController();
      const read = await app.get(CatalogueImports).read({ body, list: name, currency, decimal: undefined, signal });
      const { products, revision } = await app.get(CatalogueRevisions).take(read.importId, name, '');
      const told = read.problems.map((p) => `\n  row ${p.row}: ${p.message}`).join('');
      return `“${name}”, revision ${revision}: ${productWords(products)} in every ledger.${told}`;
    }),

  /** Takes the last revision of a list back. @throws Error where there is no list of that name */
  back: (app: INestApplicationContext, name: string): Promise<string> =>
    within(app, async () => {
      const list = (await app.get(CatalogueStore).lists()).find((l) => l.name === name);
      if (!list) throw new Error(`There is no list of the whole installation called “${name}”.`);
      const { revision, products } = await app.get(CatalogueRevisions).takeBack(list.id);
      return revision === 0
        ? `“${name}” is gone.`
        : `“${name}” is at revision ${revision} again: ${productWords(products)}.`;
    }),

  /** Every one of them, a line each. */
  all: (app: INestApplicationContext): Promise<string> =>
    within(app, async () => {
      const lists = await app.get(CatalogueStore).lists();
      return lists.length === 0
        ? 'No list of the whole installation yet.'
        : lists.map((l) => `“${l.name}”, revision ${l.revision}: ${productWords(l.products)}`).join('\n');
    }),
};
