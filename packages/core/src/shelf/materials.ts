import type { Nutrient, NitrogenForm } from '../nutrient/index.js';
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
  /** Elements it carries in quantity; traces are not listed. */
  readonly contains: readonly Nutrient[];
  /** Forms of nitrogen it brings, when it brings any declared form. */
  readonly nitrogen: readonly NitrogenForm[];
  readonly organic: OrganicClass | undefined;
  readonly traits: readonly Trait[];
}

interface Extra {
  readonly aliases?: readonly string[];
  readonly nitrogen?: readonly NitrogenForm[];
  readonly organic?: OrganicClass;
  readonly traits?: readonly Trait[];
}
const material = (name: string, contains: string, extra: Extra = {}): Material => ({
  key: name.replace(/\s+/g, '-'),
  name,
  aliases: extra.aliases ?? [],
  contains: contains.split(' ').filter(Boolean) as Nutrient[],
  nitrogen: extra.nitrogen ?? (extra.organic ? ['waterInsoluble', 'waterSolubleOrganic'] : []),
  organic: extra.organic,
  traits: extra.traits ?? [],
});

/** Materials the program knows by name. Elements from their chemistry; classes from domain practice. */
export const MATERIALS: readonly Material[] = [
  material('urea', 'N', { nitrogen: ['urea'], traits: ['urea'] }),
  material('polymer-coated urea', 'N', {
    aliases: ['coated urea', 'sulfur-coated urea'],
    nitrogen: ['urea', 'coated'],
    traits: ['urea'],
  }),
  material('ammonium sulfate', 'N S', {
    aliases: ['sulfate of ammonia', 'ammonium sulphate'],
    nitrogen: ['ammoniacal'],
    traits: ['ammonium', 'sulfate'],
  }),
  material('ammonium nitrate', 'N', {
    nitrogen: ['nitrate', 'ammoniacal'],
    traits: ['ammonium', 'ammoniumNitrate', 'oxidiser'],
  }),
  material('calcium ammonium nitrate', 'N Ca', {
    nitrogen: ['nitrate', 'ammoniacal'],
    traits: ['ammonium', 'calciumSalt', 'oxidiser'],
  }),
  material('calcium nitrate', 'N Ca', { nitrogen: ['nitrate', 'ammoniacal'], traits: ['calciumSalt', 'oxidiser'] }),
  material('potassium nitrate', 'N K', {
    aliases: ['nitrate of potash', 'saltpetre'],
    nitrogen: ['nitrate'],
    traits: ['oxidiser'],
  }),
  material('sodium nitrate', 'N Na', {
    aliases: ['nitrate of soda'],
    nitrogen: ['nitrate'],
    traits: ['sodium', 'oxidiser'],
  }),
  material('magnesium nitrate', 'N Mg', { nitrogen: ['nitrate'], traits: ['oxidiser'] }),
  material('monoammonium phosphate', 'N P', {
    aliases: ['map', 'ammonium dihydrogen phosphate'],
    nitrogen: ['ammoniacal'],
    traits: ['ammonium', 'phosphate'],
  }),
  material('diammonium phosphate', 'N P', {
    aliases: ['dap'],
    nitrogen: ['ammoniacal'],
    traits: ['ammonium', 'phosphate'],
  }),
  material('ammonium phosphate', 'N P', { nitrogen: ['ammoniacal'], traits: ['ammonium', 'phosphate'] }),
  material('monopotassium phosphate', 'P K', {
    aliases: ['mkp', 'potassium dihydrogen phosphate'],
    traits: ['phosphate'],
  }),
  material('superphosphate', 'P Ca S', {
    aliases: ['single superphosphate'],
    traits: ['superphosphate', 'phosphate', 'calciumSalt', 'sulfate'],
  }),
  material('triple superphosphate', 'P Ca', { traits: ['superphosphate', 'phosphate', 'calciumSalt'] }),
  material('rock phosphate', 'P Ca', {
    aliases: ['phosphate rock', 'soft rock phosphate'],
    traits: ['dusty', 'metals'],
  }),
  material('bone meal', 'N P Ca', { aliases: ['steamed bone meal'], organic: 'animalMeal', traits: ['dusty'] }),
  material('potassium sulfate', 'K S', {
    aliases: ['sulfate of potash', 'potassium sulphate', 'sulphate of potash'],
    traits: ['sulfate'],
  }),
  material('potassium chloride', 'K Cl', { aliases: ['muriate of potash', 'muriate'], traits: ['chloride'] }),
  material('potassium magnesium sulfate', 'K Mg S', {
    aliases: ['sulfate of potash magnesia', 'langbeinite'],
    traits: ['sulfate'],
  }),
  material('magnesium sulfate', 'Mg S', { aliases: ['epsom salt', 'magnesium sulphate'], traits: ['sulfate'] }),
  material('kieserite', 'Mg S', { aliases: ['magnesium sulfate monohydrate'], traits: ['sulfate'] }),
  material('gypsum', 'Ca S', { aliases: ['calcium sulfate', 'calcium sulphate'], traits: ['calciumSalt', 'sulfate'] }),
  material('limestone', 'Ca Mg', { aliases: ['calcium carbonate', 'garden lime', 'chalk'], traits: ['lime', 'dusty'] }),
  material('dolomite', 'Ca Mg', { aliases: ['dolomitic limestone'], traits: ['lime', 'dusty'] }),
  material('wood ash', 'K Ca Mg P', { traits: ['lime', 'dusty'] }),
  material('elemental sulfur', 'S', { aliases: ['sulfur', 'sulphur'], traits: ['dusty'] }),
  material('borax', 'B Na', { aliases: ['sodium borate'] }),
  material('boric acid', 'B'),
  material('iron chelate', 'Fe', { aliases: ['chelated iron', 'iron edta'] }),
  material('iron sulfate', 'Fe S', { aliases: ['ferrous sulfate'], traits: ['sulfate'] }),
  material('manganese sulfate', 'Mn S', { traits: ['sulfate'] }),
  material('zinc sulfate', 'Zn S', { traits: ['sulfate'] }),
  material('copper sulfate', 'Cu S', { traits: ['sulfate'] }),
  material('sodium molybdate', 'Mo Na'),
  material('hydrated lime', 'Ca', { aliases: ['slaked lime', 'calcium hydroxide'], traits: ['lime', 'dusty'] }),
  material('greensand', 'K Fe Mg Si', { aliases: ['glauconite'], traits: ['dusty'] }),
  material('granite dust', 'K Si', { traits: ['dusty'] }),
  material('basalt dust', 'K Ca Mg Fe Si', { aliases: ['basalt rock dust', 'rock dust'], traits: ['dusty'] }),
  material('diatomaceous earth', 'Si', { traits: ['dusty'] }),
  material('potassium silicate', 'K Si'),
  material('zeolite', 'Si K Ca Na', { aliases: ['clinoptilolite'], traits: ['dusty'] }),
  material('feather meal', 'N S', { organic: 'animalMeal', traits: ['dusty'] }),
  material('blood meal', 'N P Fe', { aliases: ['dried blood'], organic: 'animalMeal', traits: ['dusty'] }),
  material('fish meal', 'N P Ca K', { organic: 'animalMeal', traits: ['dusty'] }),
  material('wool', 'N S K', { aliases: ['wool pellets', 'sheep wool'], organic: 'keratinPellet' }),
  material('soybean meal', 'N K P', { aliases: ['soya meal'], organic: 'seedMeal' }),
  material('cottonseed meal', 'N K P', { organic: 'seedMeal' }),
  material('rape meal', 'N K P S', { aliases: ['rapeseed meal', 'canola meal'], organic: 'seedMeal' }),
  material('alfalfa meal', 'N K Ca', { aliases: ['lucerne meal'], organic: 'alfalfaMeal' }),
  material('poultry manure', 'N P K Ca Mg S', {
    aliases: ['chicken manure', 'poultry litter', 'dried poultry manure'],
    organic: 'poultryManure',
    traits: ['pathogens'],
  }),
  material('composted manure', 'N P K Ca Mg', {
    aliases: ['composted cattle manure'],
    organic: 'compostedManure',
    traits: ['pathogens'],
  }),
  material('green compost', 'N P K Ca Mg', { aliases: ['compost', 'mature compost'], organic: 'greenCompost' }),
  material('green cuttings', 'N K Ca', { aliases: ['grass clippings', 'nettle', 'comfrey'], organic: 'greenCuttings' }),
  material('straw', 'N P K Ca', { organic: 'straw' }),
  material('wood chips', '', { organic: 'woodChips' }),
  material('rolled grain', 'N P K', { organic: 'wholeGrain' }),
  material('vinasse', 'N K S Na', { aliases: ['molasses extract'], organic: 'seedMeal' }),
  material('meat and bone meal', 'N P Ca', { organic: 'animalMeal', traits: ['dusty'] }),
  material('horn meal', 'N P S', { aliases: ['hoof and horn'], organic: 'animalMeal', traits: ['dusty'] }),
  material('shrimp meal', 'N P Ca', { aliases: ['crab meal'], organic: 'animalMeal', traits: ['dusty'] }),
  material('linseed meal', 'N P K', { organic: 'seedMeal' }),
  material('corn gluten meal', 'N', { organic: 'seedMeal' }),
  material('castor meal', 'N P K', { aliases: ['castor pomace'], organic: 'seedMeal', traits: ['poisonousToPets'] }),
  material('spent brewers grain', 'N P', { aliases: ['brewers grain'], organic: 'wholeGrain' }),
  material('malt culms', 'N P K', { aliases: ['malt sprouts'], organic: 'seedMeal' }),
  material('cocoa husk', 'N P K', { aliases: ['cocoa shell'], organic: 'alfalfaMeal', traits: ['poisonousToPets'] }),
  material('cattle manure', 'N P K', { aliases: ['cow manure'], organic: 'compostedManure', traits: ['pathogens'] }),
  material('horse manure', 'N P K', { organic: 'compostedManure', traits: ['pathogens'] }),
  material('sheep manure', 'N P K', { organic: 'compostedManure', traits: ['pathogens'] }),
  material('rabbit manure', 'N P K', { organic: 'poultryManure', traits: ['pathogens'] }),
  material('mushroom compost', 'N P K Ca S', { organic: 'greenCompost' }),
  material('worm compost', 'N P K Ca', { aliases: ['vermicompost', 'worm castings'], organic: 'greenCompost' }),
  material('leaf mould', 'N K', { aliases: ['leaf mold'], organic: 'greenCompost' }),
  material('biosolids', 'N P Fe', {
    aliases: ['sewage sludge'],
    organic: 'poultryManure',
    traits: ['pathogens', 'metals'],
  }),
  material('sawdust', 'K', { organic: 'woodChips', traits: ['dusty'] }),
  material('coffee grounds', 'N K', { aliases: ['spent coffee grounds'], organic: 'wholeGrain' }),
  material('biochar', 'N P K Ca', { organic: 'woodChips', traits: ['dusty'] }),
  material('eggshell', 'Ca N P', { aliases: ['eggshells'], organic: 'greenCompost', traits: ['lime'] }),
  material('fish hydrolysate', 'N P', { aliases: ['fish emulsion'], organic: 'animalMeal' }),
  material('diluted urine', 'N P K Na Cl', {
    aliases: ['urine'],
    nitrogen: ['urea', 'ammoniacal'],
    traits: ['urea', 'pathogens', 'sodium'],
  }),
  material('seaweed', 'K Na Cl N Ca S', {
    aliases: ['kelp', 'kelp meal', 'seaweed extract'],
    organic: 'alfalfaMeal',
    traits: ['metals', 'sodium'],
  }),
  material('nettle ferment', 'N K Ca', {
    nitrogen: ['ammoniacal', 'waterSolubleOrganic'],
    organic: 'greenCuttings',
    traits: ['pathogens'],
  }),
  material('water', ''),
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
