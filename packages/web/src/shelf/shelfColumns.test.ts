import { toProduct } from '@wheat-ledger/contract';
import { productNamed } from '../../test/show';
import { SHELF_COLUMNS, USUAL_COLUMNS } from './shelfColumns';

const column = (id: string) => {
  const found = SHELF_COLUMNS.find((c) => c.id === id);
  if (!found) throw new Error(id);
  return found;
};
const bag = (name: string) => {
  const record = productNamed(name);
  return { record, product: toProduct(record, record.id) };
};

test('the usual columns are all there are to choose from, and no id stands twice', () => {
  expect(new Set(SHELF_COLUMNS.map((c) => c.id)).size).toBe(SHELF_COLUMNS.length);
  for (const id of USUAL_COLUMNS) expect(column(id).id).toBe(id);
});
test('potash as oxide or element: 50 % K₂O is 41.5 % K, and both are sorted by what the bag supplies', () => {
  const potash = bag('Quernlow Sulfate of Potash');
  expect([column('K').head('oxide'), column('K').words(potash, 'oxide')]).toEqual(['K₂O %', '50']);
  expect([column('K').head('element'), column('K').words(potash, 'element')]).toEqual(['K %', '41.5']);
  expect(column('K').sortBy(potash)).toBeCloseTo(0.5 / 1.2046, 4);
});
test('what is not told is a dash and stands last, never a nought', () => {
  const straw = bag('Barn straw');
  expect([column('seller').words(straw, 'oxide'), column('seller').sortBy(straw)]).toEqual(['–', undefined]);
  expect([column('perKg').words(straw, 'oxide'), column('perKg').sortBy(straw)]).toEqual(['no price', undefined]);
  expect([column('Na').words(straw, 'oxide'), column('Na').sortBy(straw)]).toEqual(['–', undefined]);
  expect(column('P').words(bag('Green Can Nettle Ferment'), 'oxide')).toBe('below detection');
});
test('ranges stay ranges, and 23.75 EUR for 25 kg are 0.95 EUR per kg', () => {
  expect(column('N').words(bag('Barn straw'), 'oxide')).toBe('0.4–0.7');
  expect(column('perKg').words(bag('Quernlow Urea'), 'oxide')).toBe('0.95 EUR');
  expect(column('package').words(bag('Quernlow Urea'), 'oxide')).toMatch(/^23\.75 EUR for 25 kg/);
});
