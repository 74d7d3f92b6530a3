import type { Range } from '../quantity/index.js';
import type { ClaimKindKey } from './kinds.js';

/** What a practice costs beside the work. */
export const PRACTICE_COSTS = ['nothing', 'little', 'some'] as const;
export type PracticeCost = (typeof PRACTICE_COSTS)[number];
/** Something to do instead of buying, or before. */
export interface Practice {
  readonly key: string;
  readonly name: string;
  /** How it is done, in a sentence. */
  readonly how: string;
  readonly cost: PracticeCost;
  /** Hours on 100 m² in a season, from general knowledge. */
  readonly hoursPer100M2: Range;
  /** The kinds of claim that it answers. */
  readonly answers: readonly ClaimKindKey[];
  /** Keys of the reading list that bear on it. */
  readonly reading: readonly string[];
}

const practice = (
  key: string,
  name: string,
  how: string,
  cost: PracticeCost,
  [low, mid, high]: readonly [number, number, number],
  answers: readonly ClaimKindKey[],
  reading: readonly string[] = [],
): Practice => ({ key, name, how, cost, hoursPer100M2: { low, mid, high }, answers, reading });

/** Practices that do what is often sold. None of them is a pesticide: label and local code decide on those. */
export const PRACTICES: readonly Practice[] = [
  practice(
    'nothing',
    'Do nothing, and count',
    'Leave a strip without it and count both at the end of the season.',
    'nothing',
    [0.2, 0.5, 1],
    ['unlocks', 'stimulates', 'yield', 'moreMinerals', 'lessNitrogen', 'cures', 'roots', 'other', 'listedSoFine'],
  ),
  practice(
    'evenWater',
    'Water evenly',
    'Water before the soil is dry a finger deep, the same each time, at the foot.',
    'little',
    [2, 5, 10],
    ['cures', 'holdsWater', 'stimulates', 'yield', 'roots'],
    ['saure2001'],
  ),
  practice(
    'mulch',
    'Mulch',
    'Lay 5 cm of straw, leaves or cut grass on damp soil, off the stems.',
    'little',
    [1, 3, 5],
    ['holdsWater', 'loosens', 'cures', 'repels'],
  ),
  practice(
    'compost',
    'Finished compost',
    'Spread 1 cm once a year and let worms and rain take it in.',
    'some',
    [1, 2, 4],
    ['loosens', 'unlocks', 'holdsWater', 'feedsAllSeason', 'moreMinerals', 'storesCarbon', 'stimulates'],
  ),
  practice(
    'rightPH',
    'Put the pH right',
    'Test, then lime or sulfur as the report asks: much that is “locked” comes free by itself.',
    'little',
    [0.5, 1, 2],
    ['unlocks', 'cures', 'changesPH', 'yield', 'moreMinerals'],
  ),
  practice(
    'greenManure',
    'A green manure',
    'Sow clover, rye or phacelia after the crop and cut it before it seeds.',
    'little',
    [1, 2, 3],
    ['lessNitrogen', 'loosens', 'replaces', 'feedsAllSeason', 'storesCarbon'],
  ),
  practice(
    'split',
    'Give less at a time, more often',
    'Split the same total into three or four: less is washed out and nothing burns.',
    'nothing',
    [0.5, 1, 2],
    ['lessNitrogen', 'feedsAllSeason', 'cannotBurn', 'naturalNoLimit'],
  ),
  practice(
    'offTheSoil',
    'Keep off wet soil',
    'Walk on boards or paths, and dig only when a crumb falls apart.',
    'nothing',
    [0, 0, 0.5],
    ['loosens'],
  ),
  practice(
    'patience',
    'Wait',
    'Set plants out when soil and nights are warm; most catch up by themselves.',
    'nothing',
    [0, 0, 0],
    ['roots', 'stimulates', 'cures'],
  ),
  practice(
    'shade',
    'Shade in the heat',
    'Hang cloth over it on the hottest weeks, and take it off again.',
    'some',
    [0.5, 1, 2],
    ['cures', 'holdsWater', 'roots'],
  ),
  practice(
    'variety',
    'Another variety',
    'Grow one beside it that is known to stand up to the trouble.',
    'little',
    [0, 0.2, 0.5],
    ['cures', 'repels', 'yield', 'moreMinerals', 'stimulates'],
  ),
  practice(
    'traps',
    'Traps, nets and picking off',
    'Net before the pest flies; pick off what is there twice a week.',
    'some',
    [2, 5, 10],
    ['repels'],
  ),
  practice(
    'allies',
    'Let others eat it',
    'Flowers beside the bed, a rough edge, water for birds: those that eat pests stay.',
    'little',
    [0.5, 1, 3],
    ['repels'],
  ),
  practice(
    'flame',
    'Hoe or flame small weeds',
    'On a dry day, when they have two leaves; mind the fire rules of the place.',
    'some',
    [1, 3, 5],
    ['repels'],
  ),
  practice(
    'rotate',
    'Change the bed',
    'Not the same family on a bed for three or four years.',
    'nothing',
    [0, 0.2, 0.5],
    ['repels', 'cures', 'yield'],
  ),
  practice(
    'askForSlip',
    'Ask for a lab slip',
    'A slip of this very lot, with the metals on it, from a laboratory the seller does not own.',
    'nothing',
    [0, 0.1, 0.3],
    ['contaminant', 'contains', 'listedSoFine', 'naturalNoLimit', 'supplies'],
  ),
];

/** What can be done instead, for a kind of claim. @example practicesFor('holdsWater')[0].name // 'Water evenly' */
export const practicesFor = (kind: ClaimKindKey): readonly Practice[] =>
  PRACTICES.filter((p) => p.answers.includes(kind));
