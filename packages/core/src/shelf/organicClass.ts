/** Kinds of organic material that decompose alike. The numbers belonging to each are with the release model. */
export const ORGANIC_CLASSES = [
  'animalMeal', 'keratinPellet', 'seedMeal', 'alfalfaMeal', 'poultryManure', 'wholeGrain', 'compostedManure', 'greenCompost', 'greenCuttings', 'straw', 'woodChips',
] as const;
export type OrganicClass = (typeof ORGANIC_CLASSES)[number];
