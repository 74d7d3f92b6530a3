import { bag, priced } from '../../test/bags.js';
import { currentOffers } from './currentOffers.js';
import { offersAfter, priceChanges, readListed, type ListCells } from './priceList.js';

const cells = (given: ListCells): ListCells => ({
  item: 'Urea',
  size: '25',
  unit: 'kg',
  price: '23.75',
  currency: 'EUR',
  seen: '2026-03-01',
  status: '',
  ...given,
});
const urea = bag({ id: 'urea', name: 'Urea', offers: [{ ...priced(25, 'kg', '22.00'), seenOn: '2026-01-05' }] });

test('a line is a package with its price, or one that is sold no more', () => {
  expect(readListed(cells({}))).toEqual({
    ok: true,
    listed: { item: 'Urea', size: 25, unit: 'kg', price: { amount: '23.75', currency: 'EUR' }, seenOn: '2026-03-01' },
  });
  expect(readListed(cells({ price: '', status: 'withdrawn' }))).toMatchObject({
    ok: true,
    listed: { price: undefined },
  });
  expect(readListed(cells({ price: '24,5' }))).toMatchObject({ ok: true, listed: { price: { amount: '24.50' } } });
});

test.each([
  [{ item: '' }, /expected a name/],
  [{ size: '-5' }, /size of Urea, expected a number above 0/],
  [{ size: 'large' }, /size of Urea/],
  [{ unit: 'furlong' }, /expected one of weight or volume/],
  [{ unit: 'm' }, /expected one of weight or volume/],
  [{ price: '0' }, /expected an amount above 0/],
  [{ price: '-3' }, /expected an amount above 0/],
  [{ price: 'ask' }, /expected an amount above 0/],
  [{ price: '1e99' }, /expected an amount above 0/],
  [{ currency: '$' }, /three letters such as EUR/],
  [{ seen: 'yesterday' }, /expected a date/],
] as const)('a bad line is refused in words: %j', (given, why) => {
  const read = readListed(cells(given));
  expect(read.ok).toBe(false);
  if (!read.ok) expect(read.why).toMatch(why);
});

test('every difference is told before anything is taken over', () => {
  const changes = priceChanges(
    [urea],
    [
      cells({}),
      cells({ size: '5', price: '7.20' }),
      cells({ item: 'Moon dust' }),
      cells({ price: 'ask', size: '1' }),
      cells({ price: '30' }),
      cells({ price: '22', size: '55.1155655', unit: 'lb' }),
    ],
    'Quernlow',
  );
  // 55.1155655 lb is the same package as 25 kg, and it stands in the list already.
  expect(changes.map((c) => c.kind)).toEqual(['changed', 'added', 'unknownBag', 'refused', 'refused', 'refused']);
  expect(priceChanges([urea], [cells({ price: '22.00' })], '')[0]?.kind).toBe('same');
  expect(priceChanges([urea], [cells({ status: 'withdrawn' })], '')[0]?.kind).toBe('withdrawn');
  expect(priceChanges([urea], [cells({ status: 'withdrawn', size: '3' })], '')[0]?.kind).toBe('same');
  // What another seller asked is not this one's to change.
  const other = { ...urea, offers: urea.offers.map((o) => ({ ...o, seller: 'Ossel' })) };
  expect(priceChanges([other], [cells({})], 'Quernlow')[0]?.kind).toBe('added');
});

test('taken over, the new price counts and the old one is history; a withdrawn package keeps its size without a price', () => {
  const changed = offersAfter(urea, priceChanges([urea], [cells({})], ''), '2026-03-09');
  expect(changed).toHaveLength(2);
  expect(currentOffers({ offers: changed }).map((o) => o.price?.amount)).toEqual(['23.75']);
  const undated = offersAfter(urea, priceChanges([urea], [cells({ seen: '' })], ''), '2026-03-09');
  expect(undated[1]?.seenOn).toBe('2026-03-09');
  const gone = offersAfter(urea, priceChanges([urea], [cells({ status: 'withdrawn' })], ''), '2026-03-09');
  expect(gone).toEqual([expect.objectContaining({ size: 25, price: undefined })]);
  expect(offersAfter(urea, priceChanges([urea], [cells({ item: 'Moon dust' })], ''), '2026-03-09')).toEqual(
    urea.offers,
  );
});
