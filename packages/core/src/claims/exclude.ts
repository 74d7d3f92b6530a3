import { CONDITION_NAMES } from '../ground/index.js';
import type { Claim } from './claim.js';
import type { ClaimKindKey } from './kinds.js';
import { kindOfClaim } from './surroundings.js';

/** Kinds of claim that do not go together on one product, with the reason. */
const PAIRS: readonly (readonly [one: ClaimKindKey, other: ClaimKindKey, why: string])[] = [
  [
    'storesCarbon',
    'feedsAllSeason',
    'what feeds is broken down and gives its carbon off; carbon that stays does not feed',
  ],
  ['storesCarbon', 'stimulates', 'carbon that life in the soil can use does not stay'],
  [
    'repels',
    'cannotBurn',
    'a dose that harms a pest by touch has a dose that harms a leaf: both have to be told apart by a figure',
  ],
  ['repels', 'naturalNoLimit', 'what kills has a limit'],
  ['moreMinerals', 'contaminant', 'zinc, copper and manganese are metals too: it cannot bring many and be free of all'],
  ['cannotBurn', 'replaces', 'a feed that replaces a soluble one brings its salts, or it comes later'],
  ['unlocks', 'supplies', 'what the soil gives by itself need not be brought: which of the two does the work?'],
];

/** Two claims of one product that exclude each other. */
export interface Exclusion {
  readonly one: number;
  readonly other: number;
  readonly why: string;
}

/** Ground that one claim needs and the other must not have. */
function oppositeGround(a: Claim, b: Claim): string | undefined {
  const against = (a.conditions ?? []).find((c) =>
    (b.conditions ?? []).some((d) => d.condition === c.condition && d.holds !== c.holds),
  );
  return (
    against &&
    `one is true only where the ground is ${CONDITION_NAMES[against.condition]}, the other only where it is not`
  );
}

/**
 * Which claims of one product exclude each other, by their kinds or by the ground that they need. They are marked, not judged by it.
 * @returns places in the list of claims
 * @example exclusions([storesCarbon, feedsAllSeason]) // [{ one: 0, other: 1, why: '…' }]
 */
export function exclusions(claims: readonly Claim[]): readonly Exclusion[] {
  const kinds = claims.map((c) => kindOfClaim(c).key);
  return claims.flatMap((a, one) =>
    claims.slice(one + 1).flatMap((b, i): Exclusion[] => {
      const other = one + 1 + i;
      if (a.product.id !== b.product.id) return [];
      const pair = PAIRS.find(
        ([x, y]) => (x === kinds[one] && y === kinds[other]) || (y === kinds[one] && x === kinds[other]),
      );
      const why = pair?.[2] ?? oppositeGround(a, b);
      return why === undefined ? [] : [{ one, other, why }];
    }),
  );
}
