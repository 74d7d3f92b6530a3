import { askedBy, isNoDay, isNoPercent, keptOf, NO_SEARCH, searchOf } from './asked';

test('words and a ranking ask for just that, in the money there is', () => {
  expect(askedBy({ ...NO_SEARCH, words: ' oak meal ' }, 'EUR')).toEqual({
    by: 'N',
    currency: 'EUR',
    words: 'oak meal',
  });
  expect(askedBy({ ...NO_SEARCH, currency: 'GBP' }, 'EUR')).toEqual({ by: 'N', currency: 'GBP' });
});

test('without money nothing is ranked, and by name no money is asked for', () => {
  expect(askedBy(NO_SEARCH, '')).toEqual({});
  expect(askedBy({ ...NO_SEARCH, by: '' }, 'EUR')).toEqual({});
});

test('percentages as people type them; nothing, zero and what is none ask nothing', () => {
  const search = { ...NO_SEARCH, by: '' as const, atLeast: { N: '5 %', K2O: '3,5', Mg: '', S: 'lots', Ca: '0' } };
  expect(askedBy({ ...search, chloride: '2' }, '')).toEqual({ atLeast: 'N:5,K2O:3.5', chloride: '2' });
  expect(askedBy({ ...search, chloride: '0' }, '')).toMatchObject({ chloride: '0' });
  expect([isNoPercent('lots'), isNoPercent('101'), isNoPercent(''), isNoPercent('100')]).toEqual([
    true,
    true,
    false,
    false,
  ]);
});

test('form, organic, seller and list go as they are', () => {
  const search = { ...NO_SEARCH, by: '' as const, form: 'meal', organic: 'yes', seller: 'Brindle', list: 'x' };
  expect(askedBy(search, '')).toEqual({ form: 'meal', organic: 'yes', seller: 'Brindle', list: 'x' });
});

test('in stock, where it is sold, its origin and the day of its price; a day that is none asks nothing', () => {
  const search = { ...NO_SEARCH, by: '' as const, inStock: 'no', place: ' Larkmere ', origin: 'plant' };
  expect(askedBy({ ...search, seenSince: '2026-03-01' }, '')).toEqual({
    inStock: 'no',
    place: 'Larkmere',
    origin: 'plant',
    seenSince: '2026-03-01',
  });
  expect(askedBy({ ...search, seenSince: 'soon' }, '')).not.toHaveProperty('seenSince');
  expect([isNoDay('soon'), isNoDay(''), isNoDay('2026-03-01')]).toEqual([true, false, false]);
});

test('a search that is kept asks the same when it is opened again', () => {
  const search = {
    ...NO_SEARCH,
    words: 'oak',
    currency: 'GBP',
    atLeast: { N: '5 %', K2O: '3,5', Mg: 'lots' },
    form: 'meal',
    organic: 'yes',
    chloride: '0',
    inStock: 'yes',
    place: 'Larkmere',
    seenSince: '2026-03-01',
  };
  const kept = keptOf(search);
  expect(kept.atLeast).toEqual([
    { nutrient: 'N', percent: 5 },
    { nutrient: 'K2O', percent: 3.5 },
  ]);
  expect(askedBy(searchOf(kept), 'EUR')).toEqual(askedBy(search, 'EUR'));
  expect(searchOf(keptOf(NO_SEARCH))).toEqual(NO_SEARCH);
});
