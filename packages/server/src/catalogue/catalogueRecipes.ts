import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type {
  CatalogueAloneQuery,
  CataloguePackaged,
  CataloguePackagedQuery,
  CataloguePricedQuery,
  CatalogueProduct,
} from '@wheat-ledger/contract';
import { OTHER_END, type HeldEnd, type RankedNutrient } from '@wheat-ledger/core';
import { WorkspaceScope } from '../common/workspaceScope.js';
import {
  columnOf,
  conditions,
  joined,
  seenBy,
  SHOWN,
  shown,
  type Fractions,
  type Row,
  type Where,
} from './catalogueRows.js';

/** Products that are told at once while a recipe is made. */
const MOST_PRICED = 30;

/** What a product holds of a nutrient by one end, kg of a kg; null where its list does not say. */
const held = (nutrient: RankedNutrient, end: HeldEnd): string => {
  const column = columnOf(nutrient);
  return end === 'mid' ? `((${column}_low + ${column}_high) / 2)` : `${column}_${end}`;
};
/** A nutrient with an amount, as it stands in a question. */
function amountOf(text: string): { readonly nutrient: RankedNutrient; readonly amount: number } {
  const [nutrient = '', amount = '0'] = text.split(':');
  return { nutrient: nutrient as RankedNutrient, amount: Number(amount) };
}
/** What a kg is worth at the prices of a question, with what stands for its question marks. */
function worthOf({ worth, burden = [], held: end = 'low' }: CataloguePricedQuery) {
  const terms = [
    ...worth.map((w) => ({ sign: '+', end, ...amountOf(w) })),
    ...burden.map((b) => ({ sign: '-', end: OTHER_END[end], ...amountOf(b) })),
  ];
  const each = terms.map((t) => ` ${t.sign} coalesce(${held(t.nutrient, t.end)}, 0) * ?::double precision`);
  return { sql: `(0${each.join('')})`, values: terms.map((t) => t.amount) };
}
const PRICED = { sql: 'price_per_kg is not null', values: [] };

/** What recipes over the whole catalogue ask of it. */
@Injectable()
export class CatalogueRecipes {
  constructor(
    private readonly em: EntityManager,
    private readonly scope: WorkspaceScope,
  ) {}

  /** The products that cost least beyond what they are worth to a recipe, of everything there is. */
  priced(query: CataloguePricedQuery): Promise<readonly CatalogueProduct[]> {
    const worth = worthOf(query);
    return this.cheapest({ sql: `price_per_kg - ${worth.sql}`, values: worth.values }, [...conditions(query), PRICED]);
  }

  /** The packages that cost least beyond what is worth in them. */
  async packages(query: CataloguePackagedQuery): Promise<readonly CataloguePackaged[]> {
    const worth = worthOf(query);
    const beyond = `pack_price - pack_kg * greatest(0, ${worth.sql})`;
    const within =
      query.within === undefined ? [] : [{ sql: `${beyond} <= ?`, values: [...worth.values, query.within] }];
    const end = `order by at, id, pack_kg limit ${query.most}`;
    const { sql, values } = seenBy(
      this.scope.id,
      {
        sql: `${SHOWN}, pack_kg, pack_price, ${beyond} as at
              from catalogue_product p, unnest(p.package_kg, p.package_price) as pack (pack_kg, pack_price)`,
        values: worth.values,
      },
      joined([...conditions(query), PRICED, ...within]),
      end,
    );
    const rows = await this.em.execute<(Row & Fractions & { readonly pack_kg: number; readonly pack_price: number })[]>(
      `select * from ${sql} as seen ${end}`,
      [...values],
    );
    return rows.map((row) => ({ product: shown(row, undefined), kg: row.pack_kg, price: row.pack_price }));
  }

  /** The products that bring all of what is wanted by themselves, the cheapest first. */
  async alone(query: CatalogueAloneQuery): Promise<readonly CatalogueProduct[]> {
    const wanted = query.wanted.map(amountOf).filter((w) => w.amount > 0);
    if (wanted.length === 0) return [];
    const shares = wanted.map((w) => held(w.nutrient, query.held ?? 'low'));
    const needed = shares.map((share) => `?::double precision / nullif(${share}, 0)`);
    return this.cheapest(
      { sql: `price_per_kg * greatest(${needed.join(', ')})`, values: wanted.map((w) => w.amount) },
      [...conditions(query), PRICED, ...shares.map((share) => ({ sql: `${share} > 0`, values: [] }))],
    );
  }

  /** The products of which a sum of money is the least. */
  private async cheapest(sum: Where, where: readonly Where[]): Promise<readonly CatalogueProduct[]> {
    const end = `order by at, id limit ${MOST_PRICED}`;
    const select = { sql: `${SHOWN}, ${sum.sql} as at from catalogue_product p`, values: sum.values };
    const { sql, values } = seenBy(this.scope.id, select, joined(where), end);
    const rows = await this.em.execute<(Row & Fractions)[]>(`select * from ${sql} as seen ${end}`, [...values]);
    return rows.map((row) => shown(row, undefined));
  }
}
