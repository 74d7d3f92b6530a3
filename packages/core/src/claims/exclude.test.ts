import { bag } from '../../test/bags.js';
import { libraryCrop } from '../season/index.js';
import type { Claim } from './claim.js';
import { exclusions } from './exclude.js';
import { CLAIM_KIND_KEYS } from './kinds.js';

const claim = (given: Partial<Claim>): Claim => ({
  statement: 'x',
  product: bag(),
  needs: [],
  crop: libraryCrop('wheat')!,
  ...given,
});

test('carbon that stays does not feed all season, in either order, on one product only', () => {
  const [stores, feeds] = [claim({ kind: 'storesCarbon' }), claim({ kind: 'feedsAllSeason' })];
  expect(exclusions([stores, feeds])).toEqual([
    { one: 0, other: 1, why: expect.stringMatching(/gives its carbon off/) },
  ]);
  expect(exclusions([feeds, claim({}), stores])).toMatchObject([{ one: 0, other: 2 }]);
  expect(exclusions([stores, claim({ kind: 'feedsAllSeason', product: bag({ id: 'other' }) })])).toEqual([]);
});

test('claims that need opposite ground exclude each other; the same ground does not', () => {
  const on = (holds: boolean): Claim => claim({ kind: 'loosens', conditions: [{ condition: 'sodic', holds }] });
  expect(exclusions([on(true), on(false)])[0]!.why).toMatch(/only where the ground is sodic/);
  expect(exclusions([on(true), on(true)])).toEqual([]);
});

test('every kind that excludes another exists: of all pairs of kinds, seven do', () => {
  const all = CLAIM_KIND_KEYS.map((kind) => claim({ kind }));
  expect(exclusions(all)).toHaveLength(7);
});
