import 'reflect-metadata';
import { Entity, Property } from '@mikro-orm/core';
import { Migration } from '@mikro-orm/migrations';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { IsUUID } from 'class-validator';
import { KIND_INPUTS, KINDS, NumberBetween, RECORD_KINDS, Text, type RecordKind } from '@wheat-ledger/contract';
import type { TestApp } from '../../test/app.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { ENTITIES, MIGRATIONS } from '../database/orm.js';
import { KEPT } from '../database/migrations/kept.js';
import { missingProducts } from '../shelf/knownProducts.js';
import { Operations } from './operations.js';
import { RecordStore } from './recordStore.js';
import type { Columns } from './shapes.js';
import { STORES } from './stores.service.js';
import { Stored } from './stored.entity.js';

// All that a new kind of record is: an input, an entity, a store, a migration, and its line in the registry.

class ToyInput {
  @Text(1, 40, 'a name')
  name!: string;

  @NumberBetween(0, 10, 'a size')
  size!: number;

  @IsUUID('all', { message: 'Expected a product of this workspace.' })
  productId!: string;
}

@Entity({ tableName: 'toy' })
class ToyEntity extends Stored {
  @Property({ type: 'double' })
  size!: number;

  @Property({ type: 'uuid', fieldName: 'product_id' })
  productId!: string;
}

@Injectable()
class ToyStore extends RecordStore<ToyEntity, ToyInput> {
  readonly kind = 'toy' as RecordKind;
  protected readonly entity = ToyEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }
  protected override problems({ productId }: ToyInput, em: EntityManager) {
    return missingProducts(em, this.scope.id, [{ path: 'productId', id: productId }]);
  }
  protected columns({ name, size, productId }: ToyInput): Columns {
    return { own: { name, size, productId } };
  }
  protected toInput({ name, size, productId }: ToyEntity): ToyInput {
    return { name, size, productId };
  }
}

class Migration9999Toy extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create table toy (${KEPT}, size double precision not null, product_id uuid not null,
      unique (workspace_id, id), foreign key (workspace_id, product_id) references product (workspace_id, id))`);
  }
}

const TOY = {
  list: 'toys',
  path: 'toys',
  word: 'toy',
  sort: 'name',
  refers: [{ at: 'productId', to: 'product' }],
};

let t: TestApp;
let product: (typeof import('../../test/app.js'))['product'];
let ifMatch: (typeof import('../../test/app.js'))['ifMatch'];
let bag: string;
beforeAll(async () => {
  Object.assign(KINDS, { toy: TOY });
  (RECORD_KINDS as string[]).push('toy');
  Object.assign(KIND_INPUTS, { toy: ToyInput });
  Object.assign(STORES, { toy: ToyStore });
  ENTITIES.push(ToyEntity);
  MIGRATIONS.push(Migration9999Toy);
  // The modules read the registry when they are loaded.
  const app = await import('../../test/app.js');
  ({ product, ifMatch } = app);
  t = await app.startApp();
  bag = (
    await t.http
      .post('/api/v1/products')
      .send(product({ name: 'Toy box' }))
      .expect(201)
  ).body.id;
});
afterAll(() => t.close());

const toy = (given: object = {}): object => ({ name: 'Duck', size: 3, productId: bag, ...given });
const names = async (query = ''): Promise<readonly string[]> =>
  (await t.http.get(`/api/v1/toys${query}`).expect(200)).body.items.map((r: { name: string }) => r.name);

test('its routes: made, listed by what it belongs to, changed, taken out, put back, refused in words', async () => {
  const { body: made } = await t.http.post('/api/v1/toys').send(toy()).expect(201);
  expect(made).toMatchObject({ name: 'Duck', size: 3, productId: bag, version: 1 });
  expect(await names(`?product=${bag}`)).toEqual(['Duck']);
  expect(await names('?product=00000000-0000-4000-8000-00000000dead')).toEqual([]);
  await t.http.get('/api/v1/toys?plot=00000000-0000-4000-8000-00000000dead').expect(422);
  await t.http
    .put(`/api/v1/toys/${made.id}`)
    .set(ifMatch(1))
    .send(toy({ name: 'Drake' }))
    .expect(200);
  await t.http.put(`/api/v1/toys/${made.id}`).set(ifMatch(1)).send(toy()).expect(409);
  await t.http.delete(`/api/v1/toys/${made.id}`).set(ifMatch(2)).expect(200);
  expect([await names(), await names('?removed=true')]).toEqual([[], ['Drake']]);
  await t.http.post(`/api/v1/toys/${made.id}/restore`).set(ifMatch(3)).expect(200);
  for (const given of [{ size: 11 }, { size: 'x' }, { name: '' }, { colour: 'red' }, { productId: 'x' }])
    await t.http.post('/api/v1/toys').send(toy(given)).expect(422);
  await t.http
    .post('/api/v1/toys')
    .send(toy({ productId: '00000000-0000-4000-8000-00000000dead' }))
    .expect(422);
});

test('the book, undo, and what speaks of what', async () => {
  const { body: page } = await t.http.get('/api/v1/journal?limit=1');
  expect(page.items[0]).toMatchObject({ kind: 'toy', name: 'Drake', action: 'restore', undoable: true });
  await t.http.post(`/api/v1/operations/${page.items[0].operation}/undo`).expect(200);
  expect(await names()).toEqual([]);
  const { body: done } = await t.http
    .post('/api/v1/operations')
    .send({
      why: 'two at once',
      changes: [
        { kind: 'toy', action: 'create', input: toy({ name: 'Boat' }) },
        { kind: 'toy', action: 'create', input: toy({ name: 'Ball' }) },
      ],
    })
    .expect(201);
  expect(done.records).toHaveLength(2);
  expect(await names()).toEqual(['Ball', 'Boat']);
  expect((await t.http.get(`/api/v1/products/${bag}/uses`)).body).toEqual([{ kind: 'toy', count: 2 }]);
});

test('its description, the file and its schema, another ledger, and a copy', async () => {
  const { body: api } = await t.http.get('/api/docs-json').expect(200);
  expect(Object.keys(api.paths)).toEqual(expect.arrayContaining(['/api/v1/toys', '/api/v1/toys/{id}']));
  const { body: schema } = await t.http.get('/api/v1/workspace/schema');
  expect(Object.keys(schema.properties)).toContain('toys');
  const { body: file } = await t.http.get('/api/v1/workspace/export');
  expect(file.toys.map((x: { name: string }) => x.name)).toEqual(['Ball', 'Boat', 'Drake']);
  await t.http.post('/api/v1/ledgers').send({ name: 'Nursery' }).expect(201);
  const there = '/api/v1/ledgers/nursery';
  const { body: copy } = await t.http
    .post(`${there}/copies`)
    .send({ from: 'home', kind: 'toy', id: file.toys[0].id })
    .expect(201);
  expect(copy).toMatchObject({ added: 2 });
  const { body: taken } = await t.http.post(`${there}/workspace/import?write=yes`).send(file).expect(200);
  expect(taken).toMatchObject({
    problems: [],
    written: true,
    found: { toys: 3, products: 1 },
    alreadyHere: 2,
    added: 2,
  });
  const { body: list } = await t.http.get(`${there}/toys`);
  const { body: bags } = await t.http.get(`${there}/products`);
  expect(list.items.map((x: { name: string; productId: string }) => [x.name, x.productId])).toEqual([
    ['Ball', bags.items[0].id],
    ['Boat', bags.items[0].id],
  ]);
  expect(bags.items[0].id).not.toBe(bag);
});
