import type { CheckKey } from './checks.js';

/** Whether a claim is a figure the program reckons by itself, or an effect that only trials can show. */
export type ClaimAbout = 'figure' | 'effect';
/** A kind of claim: what is usually said, what usually decides it, and what to ask the seller. */
export interface ClaimKind {
  readonly key: string;
  readonly name: string;
  readonly about: ClaimAbout;
  readonly decides: readonly CheckKey[];
  /** What it has to say so that it can be counted. */
  readonly count: string;
  readonly ask: string;
  /** Keys of the reading list that bear on it. */
  readonly reading: readonly string[];
}

const kind = (
  key: string,
  about: ClaimAbout,
  name: string,
  decides: readonly CheckKey[],
  count: string,
  ask: string,
  reading: readonly string[] = [],
): ClaimKind => ({ key, about, name, decides, count, ask, reading });

/** The kinds of claim that are met, each with the checks that usually decide it. */
export const CLAIM_KINDS = [
  kind(
    'contains',
    'figure',
    'contains something',
    ['content'],
    'how much, in % or mg/kg',
    'What does a laboratory find of it, in % by mass?',
  ),
  kind(
    'supplies',
    'figure',
    'supplies what a crop needs',
    ['content', 'dose'],
    'how many g/m² of what, by when',
    'At what rate, and how much of each element is that a square metre?',
    ['edmeades2002', 'fageria2009'],
  ),
  kind(
    'unlocks',
    'effect',
    'unlocks what is in the soil',
    ['evidence', 'condition'],
    'how much more is taken up of what, in which soil',
    'In which soil was uptake measured with and without it?',
    ['lekberg2005', 'hoeksema2010', 'ryan2018'],
  ),
  kind(
    'cures',
    'effect',
    'cures a disorder',
    ['condition', 'evidence'],
    'how many plants of ten show it, with and without',
    'Which cause does it remove, and how was that cause tested for?',
    ['saure2001'],
  ),
  kind(
    'loosens',
    'effect',
    'loosens the soil',
    ['condition', 'evidence'],
    'minutes for so much water to soak in, before and after',
    'On which soils does it work: sodic ones only?',
    ['shainberg1989', 'handbook60', 'kopittke2007'],
  ),
  kind(
    'changesPH',
    'figure',
    'changes the pH',
    ['content', 'dose'],
    'from which pH to which, at what rate',
    'How many kg of CaCO₃ is 100 kg of it worth?',
    ['shainberg1989'],
  ),
  kind(
    'cannotBurn',
    'figure',
    'cannot burn',
    ['dose', 'harm'],
    'g salt a square metre at the highest rate, on dry ground',
    'What is its salt index, and how much is safe at once?',
  ),
  kind(
    'replaces',
    'figure',
    'replaces other feed',
    ['content', 'dose', 'timing'],
    'g/m² of each nutrient beside what it replaces',
    'Which feed does it replace, at which rate?',
    ['edmeades2002'],
  ),
  kind(
    'lessNitrogen',
    'effect',
    'less nitrogen is needed',
    ['evidence', 'confounder'],
    'yield at so much less nitrogen, with and without',
    'Was the same cut in nitrogen tried without it?',
    ['abalos2014'],
  ),
  kind(
    'moreMinerals',
    'effect',
    'more minerals in the harvest',
    ['evidence'],
    'mg/kg of what in the harvest, with and without',
    'Which laboratory found it, in how many harvests?',
    ['harley2000', 'ramezanian2013'],
  ),
  kind(
    'feedsAllSeason',
    'figure',
    'feeds all season',
    ['timing', 'dose'],
    'the share of its nitrogen set free by each month',
    'How much is set free by when, at which warmth?',
    ['hartz2006', 'gale2006'],
  ),
  kind(
    'stimulates',
    'effect',
    'stimulates growth',
    ['evidence', 'confounder'],
    'how much more, of what, by when, against which control',
    'Was it tried against water and against the same nutrients?',
    ['khan2009', 'edmeades2002', 'rose2014', 'ries1977'],
  ),
  kind(
    'repels',
    'effect',
    'repels or kills something',
    ['evidence', 'harm'],
    'how many of what are left, by when',
    'Which dose harms the pest and spares the plant? Is it allowed for that?',
    ['scheuerell2002'],
  ),
  kind(
    'roots',
    'effect',
    'better germination, rooting or planting out',
    ['evidence', 'confounder'],
    'how many of a hundred come up or live, with and without',
    'How many plants a tray, how many trays, and what did the others get?',
    ['khan2009', 'rose2014'],
  ),
  kind(
    'holdsWater',
    'effect',
    'holds water',
    ['dose', 'evidence'],
    'L/m² held between waterings, with and without',
    'How many litres does a kg hold, and how many kg go on a square metre?',
    ['jeffery2011'],
  ),
  kind(
    'yield',
    'effect',
    'more yield',
    ['evidence', 'dose'],
    'kg/m² more, of what, against which control',
    'Where are the trials, and what did the control get?',
    ['jeffery2011', 'jeffery2017', 'epstein1999', 'edmeades2002'],
  ),
  kind(
    'storesCarbon',
    'figure',
    'stores carbon',
    ['content', 'dose'],
    'kg CO₂ a hectare bound over which years, less what its making gave off',
    'How much CO₂ did making and hauling it give off?',
  ),
  kind(
    'contaminant',
    'figure',
    'is full of metals, or free of them',
    ['content', 'harm'],
    'g/ha a year of which metal',
    'What does a laboratory find of each metal?',
  ),
  kind(
    'listedSoFine',
    'figure',
    'is listed, so it must be fine',
    ['harm', 'content'],
    'which of salt, metals and dose the listing judges',
    'What does the listing test, and what not?',
  ),
  kind(
    'naturalNoLimit',
    'figure',
    'is natural, so there is no limit',
    ['harm', 'dose'],
    'salt and nutrients at twice and ten times the rate',
    'What happens at ten times the rate?',
  ),
  kind(
    'other',
    'effect',
    'something else',
    ['evidence'],
    'how much, of what, by when, against which control',
    'How was it counted, and against what?',
  ),
] as const satisfies readonly ClaimKind[];
export type ClaimKindKey = (typeof CLAIM_KINDS)[number]['key'];
export const CLAIM_KIND_KEYS: readonly string[] = CLAIM_KINDS.map((k) => k.key);
/** A kind by its key; what nobody named is something else. */
export const claimKind = (key: string): ClaimKind =>
  CLAIM_KINDS.find((k): boolean => k.key === key) ?? (CLAIM_KINDS.at(-1) as ClaimKind);
