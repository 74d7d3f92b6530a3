/** Kinds of organic material that decompose alike. The numbers belonging to each are with the release model. */
export const ORGANIC_CLASSES = [
  'animalMeal',
  'keratinPellet',
  'seedMeal',
  'alfalfaMeal',
  'poultryManure',
  'wholeGrain',
  'compostedManure',
  'greenCompost',
  'greenCuttings',
  'straw',
  'woodChips',
  'biochar',
] as const;
export type OrganicClass = (typeof ORGANIC_CLASSES)[number];

export const ORGANIC_CLASS_NAMES: Readonly<Record<OrganicClass, string>> = {
  animalMeal: 'blood, feather, bone and fish meals',
  keratinPellet: 'wool and hair pellets',
  seedMeal: 'oilseed meals',
  alfalfaMeal: 'alfalfa meal',
  poultryManure: 'poultry manure',
  wholeGrain: 'rolled whole grain',
  compostedManure: 'composted manure',
  greenCompost: 'mature green compost',
  greenCuttings: 'green cuttings',
  straw: 'straw',
  woodChips: 'wood chips',
  biochar: 'biochar',
};
