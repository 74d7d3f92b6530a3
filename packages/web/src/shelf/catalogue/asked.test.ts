import { askedBy, isNoPercent, NO_SEARCH } from './asked';

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
