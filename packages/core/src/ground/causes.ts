import { analyteName, type Nutrient } from '../nutrient/index.js';

/** Where on the plant a sign shows first. Mobile nutrients leave old leaves for new ones; immobile ones cannot. */
export const SIGN_PLACES = ['oldLeaves', 'newLeaves', 'wholePlant', 'fruitAndTips'] as const;
export type SignPlace = (typeof SIGN_PLACES)[number];
export const SIGN_PLACE_NAMES: Readonly<Record<SignPlace, string>> = {
  oldLeaves: 'On the old leaves first',
  newLeaves: 'On the new leaves first',
  wholePlant: 'On the whole plant',
  fruitAndTips: 'On fruit and growing tips',
};

export interface Sign {
  readonly key: string;
  readonly name: string;
  readonly place: SignPlace;
}
const sign = (key: string, place: SignPlace, name: string): Sign => ({ key, place, name });

export const SIGNS: readonly Sign[] = [
  sign('old-pale', 'oldLeaves', 'pale or yellow all over'),
  sign('old-purple', 'oldLeaves', 'dull, dark or purplish'),
  sign('old-edges', 'oldLeaves', 'brown, scorched edges'),
  sign('old-between', 'oldLeaves', 'yellow between green veins'),
  sign('new-pale', 'newLeaves', 'pale all over'),
  sign('new-between', 'newLeaves', 'yellow between green veins'),
  sign('new-twisted', 'newLeaves', 'small, twisted or curled'),
  sign('wilting', 'wholePlant', 'wilts by day'),
  sign('stunted', 'wholePlant', 'stays small'),
  sign('soft', 'wholePlant', 'lush, dark and soft, few flowers'),
  sign('patchy', 'wholePlant', 'only some plants, in patches or one row'),
  sign('tips-die', 'fruitAndTips', 'growing tips die'),
  sign('sunken', 'fruitAndTips', 'sunken, dark ends on fruit'),
];

/** What finding out costs: nothing but a look, some minutes, a cheap kit, or a laboratory. */
export const CHECK_COSTS = ['a look', 'some minutes', 'a cheap kit', 'a laboratory'] as const;
export type CauseKind = 'water' | 'warmth' | 'pH' | 'damage' | 'salt' | 'excess' | 'shortage';

export interface Cause {
  readonly name: string;
  readonly kind: CauseKind;
  readonly signs: readonly string[];
  readonly check: string;
  /** Index into CHECK_COSTS. */
  readonly cost: 0 | 1 | 2 | 3;
  readonly first: string;
  /** What is short, when it is a shortage. */
  readonly nutrient?: Nutrient;
}
const cause = (
  kind: CauseKind,
  name: string,
  signs: string,
  cost: Cause['cost'],
  check: string,
  first: string,
): Cause => ({ kind, name, signs: signs.split(' '), cost, check, first });
const shortage = (nutrient: Nutrient, signs: string): Cause => ({
  ...cause(
    'shortage',
    `too little ${analyteName(nutrient)}`,
    signs,
    3,
    'a leaf or soil test, with its method named',
    'Test before you treat.',
  ),
  nutrient,
});

/** What can be behind a sign. Most of it is no shortage, and feeding does not mend it. */
export const CAUSES: readonly Cause[] = [
  cause(
    'water',
    'too dry',
    'wilting old-edges stunted new-twisted sunken',
    1,
    'dig a hand deep: does the soil hold together when squeezed?',
    'Water deeply and evenly; look again in a week.',
  ),
  cause(
    'water',
    'too wet',
    'wilting old-pale new-between stunted',
    1,
    'dig a hand deep: is it grey, smelling, or full of water?',
    'Let it drain; stop watering; do nothing else yet.',
  ),
  cause(
    'water',
    'watered by fits and starts',
    'sunken tips-die new-twisted',
    0,
    'recall the last three weeks: dry spells between soakings?',
    'Water a little and evenly, and mulch.',
  ),
  cause(
    'warmth',
    'cold soil',
    'old-purple stunted old-pale new-pale',
    1,
    'a thermometer at 10 cm in the morning: below 10 °C?',
    'Wait. It grows out as the soil warms.',
  ),
  cause(
    'warmth',
    'heat or drying wind',
    'old-edges wilting new-twisted',
    0,
    'did it come with a hot or windy spell, worst on the windward side?',
    'Shade or shelter; do nothing to the soil.',
  ),
  cause(
    'pH',
    'soil too alkaline',
    'new-between new-pale',
    2,
    'a pH test: above 7.5?',
    'Bring pH down slowly; iron in the soil is not lacking, it is locked.',
  ),
  cause('pH', 'soil too acid', 'stunted old-between tips-die', 2, 'a pH test: below 5.5?', 'Lime before feeding.'),
  cause(
    'damage',
    'roots eaten, cut or pot-bound',
    'wilting stunted patchy old-pale',
    1,
    'lift one plant and look at its roots',
    'Deal with what eats or binds them.',
  ),
  cause(
    'damage',
    'insects or mites',
    'new-twisted patchy old-between',
    0,
    'look under the leaves, with a lens if there is one',
    'Wash or pick off; follow local advice.',
  ),
  cause(
    'damage',
    'weedkiller drift, or in manure or straw',
    'new-twisted patchy stunted',
    1,
    'do beans sown in that compost twist too?',
    'Use no more of it; grow beans in a pot as a test.',
  ),
  cause(
    'damage',
    'disease of roots or vessels',
    'wilting patchy old-pale',
    1,
    'cut a stem across: is it brown inside?',
    'Take the plant out; rotate.',
  ),
  cause(
    'damage',
    'only age: the lowest leaves are shaded',
    'old-pale',
    0,
    'are just one or two of the lowest leaves pale, and growth is good?',
    'Do nothing.',
  ),
  cause(
    'salt',
    'salt or too strong a feed',
    'old-edges wilting stunted',
    1,
    'was it fed within two weeks? is there a white crust?',
    'Stop feeding; water through with clean water.',
  ),
  cause(
    'excess',
    'too much nitrogen',
    'soft sunken',
    0,
    'what was given this season, manure and compost counted?',
    'Stop feeding nitrogen.',
  ),
  cause(
    'excess',
    'potassium or magnesium crowding out calcium',
    'sunken tips-die old-between',
    3,
    'a soil test: share of K and Mg on the exchange',
    'Leave the K and Mg feeds off.',
  ),
  shortage('N', 'old-pale stunted'),
  shortage('P', 'old-purple stunted'),
  shortage('K', 'old-edges'),
  shortage('Mg', 'old-between'),
  shortage('S', 'new-pale'),
  shortage('Fe', 'new-between'),
  shortage('Mn', 'new-between'),
  shortage('Zn', 'new-between new-twisted stunted'),
  shortage('Ca', 'tips-die sunken'),
  shortage('B', 'tips-die new-twisted'),
];

export interface SortedCause {
  readonly cause: Cause;
  /** How many of the signs seen it would explain. */
  readonly explains: number;
}

/**
 * Causes behind the signs seen, the cheapest check first; among equal costs, those that explain more of them first.
 * Shortages come last by nature: only a laboratory tells them from the rest.
 * @example sortCauses(['old-pale'])[0]?.cause.name // 'only age: the lowest leaves are shaded'
 */
export function sortCauses(signs: readonly string[]): readonly SortedCause[] {
  const seen = new Set(signs);
  return CAUSES.map((c) => ({ cause: c, explains: c.signs.filter((s) => seen.has(s)).length }))
    .filter((s) => s.explains > 0)
    .sort(
      (a, b) =>
        a.cause.cost - b.cause.cost || b.explains - a.explains || CAUSES.indexOf(a.cause) - CAUSES.indexOf(b.cause),
    );
}
