import type { NitrogenForm } from '../nutrient/index.js';
import type { OrganicClass } from './organicClass.js';

/** Traits that decide what may not be mixed and what must be said beside a material. */
export type Trait =
  | 'ammonium'
  | 'urea'
  | 'ammoniumNitrate'
  | 'lime'
  | 'calciumSalt'
  | 'sulfate'
  | 'phosphate'
  | 'superphosphate'
  | 'chloride'
  | 'sodium'
  | 'dusty'
  | 'pathogens'
  | 'oxidiser'
  | 'metals'
  | 'poisonousToPets';

/** A generic ingredient as it appears on a "derived from" line. */
export interface Material {
  readonly key: string;
  readonly name: string;
  readonly aliases: readonly string[];
  /** Forms of nitrogen it brings, when it brings any declared form. */
  readonly nitrogen: readonly NitrogenForm[];
  readonly organic: OrganicClass | undefined;
  readonly traits: readonly Trait[];
}

/** A material that decomposes. */
export type OrganicMaterial = Material & { readonly organic: OrganicClass };

interface Extra {
  readonly aliases?: readonly string[];
  readonly nitrogen?: readonly NitrogenForm[];
  readonly organic?: OrganicClass;
  readonly traits?: readonly Trait[];
}
const material = (name: string, extra: Extra = {}): Material => ({
  key: name.replace(/\s+/g, '-'),
  name,
  aliases: extra.aliases ?? [],
  nitrogen: extra.nitrogen ?? (extra.organic ? ['waterInsoluble', 'waterSolubleOrganic'] : []),
  organic: extra.organic,
  traits: extra.traits ?? [],
});

/** Materials the program knows by name. What each holds stands in the library alone (`materialHolds`). */
export const MATERIALS: readonly Material[] = [
  material('urea', { nitrogen: ['urea'], traits: ['urea'] }),
  material('polymer-coated urea', {
    aliases: ['coated urea', 'sulfur-coated urea'],
    nitrogen: ['urea', 'coated'],
    traits: ['urea'],
  }),
  material('ammonium sulfate', {
    aliases: ['sulfate of ammonia', 'ammonium sulphate'],
    nitrogen: ['ammoniacal'],
    traits: ['ammonium', 'sulfate'],
  }),
  material('ammonium nitrate', {
    nitrogen: ['nitrate', 'ammoniacal'],
    traits: ['ammonium', 'ammoniumNitrate', 'oxidiser'],
  }),
  material('calcium ammonium nitrate', {
    nitrogen: ['nitrate', 'ammoniacal'],
    traits: ['ammonium', 'calciumSalt', 'oxidiser'],
  }),
  material('calcium nitrate', { nitrogen: ['nitrate', 'ammoniacal'], traits: ['calciumSalt', 'oxidiser'] }),
  material('potassium nitrate', {
    aliases: ['nitrate of potash', 'saltpetre'],
    nitrogen: ['nitrate'],
    traits: ['oxidiser'],
  }),
  material('sodium nitrate', {
    aliases: ['nitrate of soda'],
    nitrogen: ['nitrate'],
    traits: ['sodium', 'oxidiser'],
  }),
  material('magnesium nitrate', { nitrogen: ['nitrate'], traits: ['oxidiser'] }),
  material('monoammonium phosphate', {
    aliases: ['map', 'ammonium dihydrogen phosphate'],
    nitrogen: ['ammoniacal'],
    traits: ['ammonium', 'phosphate'],
  }),
  material('diammonium phosphate', {
    aliases: ['dap'],
    nitrogen: ['ammoniacal'],
    traits: ['ammonium', 'phosphate'],
  }),
  material('ammonium phosphate', { nitrogen: ['ammoniacal'], traits: ['ammonium', 'phosphate'] }),
  material('monopotassium phosphate', {
    aliases: ['mkp', 'potassium dihydrogen phosphate'],
    traits: ['phosphate'],
  }),
  material('superphosphate', {
    aliases: ['single superphosphate'],
    traits: ['superphosphate', 'phosphate', 'calciumSalt', 'sulfate'],
  }),
  material('triple superphosphate', { traits: ['superphosphate', 'phosphate', 'calciumSalt'] }),
  material('rock phosphate', {
    aliases: ['phosphate rock', 'soft rock phosphate'],
    traits: ['dusty', 'metals'],
  }),
  material('bone meal', { aliases: ['steamed bone meal'], organic: 'animalMeal', traits: ['dusty'] }),
  material('potassium sulfate', {
    aliases: ['sulfate of potash', 'potassium sulphate', 'sulphate of potash'],
    traits: ['sulfate'],
  }),
  material('potassium chloride', { aliases: ['muriate of potash', 'muriate'], traits: ['chloride'] }),
  material('potassium magnesium sulfate', {
    aliases: ['sulfate of potash magnesia', 'langbeinite'],
    traits: ['sulfate'],
  }),
  material('magnesium sulfate', { aliases: ['epsom salt', 'magnesium sulphate'], traits: ['sulfate'] }),
  material('kieserite', { aliases: ['magnesium sulfate monohydrate'], traits: ['sulfate'] }),
  material('gypsum', { aliases: ['calcium sulfate', 'calcium sulphate'], traits: ['calciumSalt', 'sulfate'] }),
  material('limestone', { aliases: ['calcium carbonate', 'garden lime', 'chalk'], traits: ['lime', 'dusty'] }),
  material('dolomite', { aliases: ['dolomitic limestone'], traits: ['lime', 'dusty'] }),
  material('wood ash', { traits: ['lime', 'dusty'] }),
  material('elemental sulfur', { aliases: ['sulfur', 'sulphur'], traits: ['dusty'] }),
  material('borax', { aliases: ['sodium borate'] }),
  material('boric acid'),
  material('iron chelate', { aliases: ['chelated iron', 'iron edta'] }),
  material('iron sulfate', { aliases: ['ferrous sulfate'], traits: ['sulfate'] }),
  material('manganese sulfate', { traits: ['sulfate'] }),
  material('zinc sulfate', { traits: ['sulfate'] }),
  material('copper sulfate', { traits: ['sulfate'] }),
  material('sodium molybdate'),
  material('hydrated lime', { aliases: ['slaked lime', 'calcium hydroxide'], traits: ['lime', 'dusty'] }),
  material('greensand', { aliases: ['glauconite'], traits: ['dusty'] }),
  material('granite dust', { traits: ['dusty'] }),
  material('basalt dust', { aliases: ['basalt rock dust', 'rock dust'], traits: ['dusty'] }),
  material('diatomaceous earth', { traits: ['dusty'] }),
  material('potassium silicate'),
  material('zeolite', { aliases: ['clinoptilolite'], traits: ['dusty'] }),
  material('feather meal', { organic: 'animalMeal', traits: ['dusty'] }),
  material('blood meal', { aliases: ['dried blood'], organic: 'animalMeal', traits: ['dusty'] }),
  material('fish meal', { organic: 'animalMeal', traits: ['dusty'] }),
  material('wool', { aliases: ['wool pellets', 'sheep wool'], organic: 'keratinPellet' }),
  material('soybean meal', { aliases: ['soya meal'], organic: 'seedMeal' }),
  material('cottonseed meal', { organic: 'seedMeal' }),
  material('rape meal', { aliases: ['rapeseed meal', 'canola meal'], organic: 'seedMeal' }),
  material('alfalfa meal', { aliases: ['lucerne meal'], organic: 'alfalfaMeal' }),
  material('poultry manure', {
    aliases: ['chicken manure', 'poultry litter', 'dried poultry manure'],
    organic: 'poultryManure',
    traits: ['pathogens'],
  }),
  material('composted manure', {
    aliases: ['composted cattle manure'],
    organic: 'compostedManure',
    traits: ['pathogens'],
  }),
  material('green compost', { aliases: ['compost', 'mature compost'], organic: 'greenCompost' }),
  material('green cuttings', { aliases: ['grass clippings', 'nettle', 'comfrey'], organic: 'greenCuttings' }),
  material('straw', { organic: 'straw' }),
  material('wood chips', { organic: 'woodChips' }),
  material('rolled grain', { organic: 'wholeGrain' }),
  material('vinasse', { aliases: ['molasses extract'], organic: 'seedMeal' }),
  material('meat and bone meal', { organic: 'animalMeal', traits: ['dusty'] }),
  material('horn meal', { aliases: ['hoof and horn'], organic: 'animalMeal', traits: ['dusty'] }),
  material('shrimp meal', { aliases: ['crab meal'], organic: 'animalMeal', traits: ['dusty'] }),
  material('linseed meal', { organic: 'seedMeal' }),
  material('corn gluten meal', { organic: 'seedMeal' }),
  material('castor meal', { aliases: ['castor pomace'], organic: 'seedMeal', traits: ['poisonousToPets'] }),
  material('spent brewers grain', { aliases: ['brewers grain', 'wet brewers grain'], organic: 'wholeGrain' }),
  material('dried brewers grain', { organic: 'wholeGrain' }),
  material('yeast', { aliases: ['bakers yeast', 'dried yeast', 'brewers yeast'], organic: 'seedMeal' }),
  material('milk', { aliases: ['cow milk', 'whole milk'], organic: 'seedMeal' }),
  material('sugar', { aliases: ['table sugar', 'sucrose'] }),
  material('bones', { aliases: ['kitchen bones', 'meat bones'], organic: 'animalMeal', traits: ['pathogens'] }),
  material('banana peel', { aliases: ['banana peels', 'banana skin'], organic: 'greenCuttings' }),
  material('malt culms', { aliases: ['malt sprouts'], organic: 'seedMeal' }),
  material('cocoa husk', { aliases: ['cocoa shell'], organic: 'alfalfaMeal', traits: ['poisonousToPets'] }),
  material('cattle manure', { aliases: ['cow manure'], organic: 'compostedManure', traits: ['pathogens'] }),
  material('horse manure', { organic: 'compostedManure', traits: ['pathogens'] }),
  material('sheep manure', { organic: 'compostedManure', traits: ['pathogens'] }),
  material('rabbit manure', { organic: 'poultryManure', traits: ['pathogens'] }),
  material('mushroom compost', { organic: 'greenCompost' }),
  material('worm compost', { aliases: ['vermicompost', 'worm castings'], organic: 'greenCompost' }),
  material('leaf mould', { aliases: ['leaf mold'], organic: 'greenCompost' }),
  material('biosolids', {
    aliases: ['sewage sludge'],
    organic: 'poultryManure',
    traits: ['pathogens', 'metals'],
  }),
  material('sawdust', { organic: 'woodChips', traits: ['dusty'] }),
  material('coffee grounds', { aliases: ['spent coffee grounds'], organic: 'wholeGrain' }),
  material('biochar', { organic: 'biochar', traits: ['dusty'] }),
  material('eggshell', { aliases: ['eggshells'], organic: 'greenCompost', traits: ['lime'] }),
  material('fish hydrolysate', { aliases: ['fish emulsion'], organic: 'animalMeal' }),
  material('urine', {
    aliases: ['fresh urine'],
    nitrogen: ['urea', 'ammoniacal'],
    traits: ['urea', 'pathogens', 'sodium'],
  }),
  material('diluted urine', { nitrogen: ['urea', 'ammoniacal'], traits: ['urea', 'pathogens', 'sodium'] }),
  material('seaweed', {
    aliases: ['kelp', 'kelp meal', 'seaweed extract'],
    organic: 'alfalfaMeal',
    traits: ['metals', 'sodium'],
  }),
  material('fresh seaweed', { aliases: ['wet seaweed'], organic: 'greenCuttings', traits: ['metals', 'sodium'] }),
  material('nettle ferment', {
    nitrogen: ['ammoniacal', 'waterSolubleOrganic'],
    organic: 'greenCuttings',
    traits: ['pathogens'],
  }),
  material('water'),
];

const byName = new Map<string, Material>();
for (const m of MATERIALS) for (const name of [m.key, m.name, ...m.aliases]) byName.set(name, m);

/** The known material a word on a "derived from" line names, or undefined when the program does not know it. */
export const findMaterial = (name: string): Material | undefined =>
  byName.get(
    name
      .trim()
      .toLowerCase()
      .replace(/\s+/g, ' ')
      .replace(/sulphate/g, 'sulfate'),
  ) ?? byName.get(name.trim().toLowerCase());

/** The known materials of a list, and whether every entry was known. */
export function readIngredients(derivedFrom: readonly string[]): {
  readonly known: readonly Material[];
  readonly complete: boolean;
} {
  const known = derivedFrom.map(findMaterial).filter((m): m is Material => m !== undefined);
  return { known, complete: derivedFrom.length > 0 && known.length === derivedFrom.length };
}
