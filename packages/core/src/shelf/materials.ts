import type { NitrogenForm } from '../nutrient/index.js';
import type { OrganicClass } from './organicClass.js';

/** Traits that decide what may not be mixed and what must be said beside a material. */
export type Trait =
  | 'ammonium'
  | 'urea'
  | 'ammoniumNitrate'
  | 'calciumAmmoniumNitrate'
  | 'ammoniumPhosphate'
  | 'magnesium'
  | 'manure'
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
  material('urea', { aliases: ['carbamide'], nitrogen: ['urea'], traits: ['urea'] }),
  material('polymer-coated urea', {
    aliases: ['coated urea', 'sulfur-coated urea'],
    nitrogen: ['urea', 'coated'],
    traits: ['urea'],
  }),
  material('ammonium sulfate', {
    aliases: ['sulfate of ammonia', 'ammonium sulphate', 'sulphate of ammonia', 'ams'],
    nitrogen: ['ammoniacal'],
    traits: ['ammonium', 'sulfate'],
  }),
  material('ammonium nitrate', {
    nitrogen: ['nitrate', 'ammoniacal'],
    traits: ['ammonium', 'ammoniumNitrate', 'oxidiser'],
  }),
  material('calcium ammonium nitrate', {
    aliases: ['nitrate of lime and ammonia'],
    nitrogen: ['nitrate', 'ammoniacal'],
    traits: ['ammonium', 'calciumAmmoniumNitrate', 'calciumSalt', 'oxidiser'],
  }),
  material('calcium nitrate', {
    aliases: ['nitrate of lime', 'lime nitrate'],
    nitrogen: ['nitrate', 'ammoniacal'],
    traits: ['calciumSalt', 'oxidiser'],
  }),
  material('potassium nitrate', {
    aliases: ['nitrate of potash', 'saltpetre', 'saltpeter'],
    nitrogen: ['nitrate'],
    traits: ['oxidiser'],
  }),
  material('sodium nitrate', {
    aliases: ['nitrate of soda', 'chilean nitrate', 'chile saltpetre'],
    nitrogen: ['nitrate'],
    traits: ['sodium', 'oxidiser'],
  }),
  material('magnesium nitrate', { nitrogen: ['nitrate'], traits: ['magnesium', 'oxidiser'] }),
  material('monoammonium phosphate', {
    aliases: ['map', 'ammonium dihydrogen phosphate'],
    nitrogen: ['ammoniacal'],
    traits: ['ammonium', 'phosphate', 'ammoniumPhosphate'],
  }),
  material('diammonium phosphate', {
    aliases: ['dap'],
    nitrogen: ['ammoniacal'],
    traits: ['ammonium', 'phosphate', 'ammoniumPhosphate'],
  }),
  material('ammonium phosphate', { nitrogen: ['ammoniacal'], traits: ['ammonium', 'phosphate', 'ammoniumPhosphate'] }),
  material('monopotassium phosphate', {
    aliases: ['mkp', 'potassium dihydrogen phosphate'],
    traits: ['phosphate'],
  }),
  material('superphosphate', {
    aliases: ['single superphosphate', 'normal superphosphate', 'ssp'],
    traits: ['superphosphate', 'phosphate', 'calciumSalt', 'sulfate'],
  }),
  material('triple superphosphate', {
    aliases: ['concentrated superphosphate'],
    traits: ['superphosphate', 'phosphate', 'calciumSalt'],
  }),
  material('rock phosphate', {
    aliases: ['phosphate rock', 'soft rock phosphate', 'reactive phosphate rock', 'colloidal phosphate'],
    traits: ['dusty', 'metals'],
  }),
  material('bone meal', {
    aliases: ['steamed bone meal', 'bonemeal', 'bone flour', 'steamed bone flour'],
    organic: 'animalMeal',
    traits: ['dusty'],
  }),
  material('potassium sulfate', {
    aliases: ['sulfate of potash', 'potassium sulphate', 'sulphate of potash', 'sop'],
    traits: ['sulfate'],
  }),
  material('potassium chloride', {
    aliases: ['muriate of potash', 'muriate', 'mop', 'potassium muriate', 'chloride of potash'],
    traits: ['chloride'],
  }),
  material('potassium magnesium sulfate', {
    aliases: ['sulfate of potash magnesia', 'langbeinite'],
    traits: ['sulfate', 'magnesium'],
  }),
  material('magnesium sulfate', {
    aliases: ['epsom salt', 'magnesium sulphate', 'epsom salts', 'bitter salt'],
    traits: ['sulfate', 'magnesium'],
  }),
  material('kieserite', { aliases: ['magnesium sulfate monohydrate'], traits: ['sulfate', 'magnesium'] }),
  material('gypsum', {
    aliases: ['calcium sulfate', 'calcium sulphate', 'land plaster', 'agricultural gypsum'],
    traits: ['calciumSalt', 'sulfate'],
  }),
  material('limestone', {
    aliases: [
      'calcium carbonate',
      'garden lime',
      'chalk',
      'ground limestone',
      'ag lime',
      'aglime',
      'agricultural lime',
      'lime',
      'calcitic lime',
      'carbonate of lime',
    ],
    traits: ['lime', 'dusty'],
  }),
  material('dolomite', {
    aliases: ['dolomitic limestone', 'dolomite lime', 'dolomitic lime', 'magnesian limestone'],
    traits: ['lime', 'dusty'],
  }),
  material('wood ash', { aliases: ['ashes', 'hardwood ash', 'fireplace ash'], traits: ['lime', 'dusty'] }),
  material('elemental sulfur', {
    aliases: ['sulfur', 'sulphur', 'flowers of sulfur', 'sulfur prills', 'yellow sulfur'],
    traits: ['dusty'],
  }),
  material('borax', { aliases: ['sodium borate'] }),
  material('boric acid'),
  material('iron chelate', { aliases: ['chelated iron', 'iron edta'] }),
  material('iron sulfate', { aliases: ['ferrous sulfate', 'copperas', 'sulfate of iron'], traits: ['sulfate'] }),
  material('manganese sulfate', { traits: ['sulfate'] }),
  material('zinc sulfate', { traits: ['sulfate'] }),
  material('copper sulfate', { aliases: ['bluestone'], traits: ['sulfate'] }),
  material('sodium molybdate'),
  material('hydrated lime', {
    aliases: ['slaked lime', 'calcium hydroxide', 'builders lime'],
    traits: ['lime', 'dusty'],
  }),
  material('greensand', { aliases: ['glauconite', 'green sand'], traits: ['dusty'] }),
  material('granite dust', { aliases: ['granite meal'], traits: ['dusty'] }),
  material('basalt dust', { aliases: ['basalt rock dust', 'rock dust', 'basalt', 'basalt meal'], traits: ['dusty'] }),
  material('diatomaceous earth', { traits: ['dusty'] }),
  material('potassium silicate'),
  material('zeolite', { aliases: ['clinoptilolite'], traits: ['dusty'] }),
  material('feather meal', {
    aliases: ['feathermeal', 'hydrolyzed feather meal', 'hydrolysed feather meal'],
    organic: 'animalMeal',
    traits: ['dusty'],
  }),
  material('blood meal', { aliases: ['dried blood', 'bloodmeal', 'blood'], organic: 'animalMeal', traits: ['dusty'] }),
  material('fish meal', { aliases: ['fishmeal'], organic: 'animalMeal', traits: ['dusty'] }),
  material('wool', { aliases: ['wool pellets', 'sheep wool'], organic: 'keratinPellet' }),
  material('soybean meal', {
    aliases: ['soya meal', 'soy meal', 'soymeal', 'soyabean meal', 'soya bean meal'],
    organic: 'seedMeal',
  }),
  material('cottonseed meal', { aliases: ['cotton seed meal', 'cotton meal'], organic: 'seedMeal' }),
  material('rape meal', {
    aliases: ['rapeseed meal', 'canola meal', 'oilseed rape meal', 'mustard meal'],
    organic: 'seedMeal',
  }),
  material('alfalfa meal', {
    aliases: ['lucerne meal', 'alfalfa', 'alfalfa pellets', 'lucerne pellets'],
    organic: 'alfalfaMeal',
  }),
  material('poultry manure', {
    aliases: [
      'chicken manure',
      'poultry litter',
      'dried poultry manure',
      'hen manure',
      'chook manure',
      'chicken litter',
      'pelleted poultry manure',
      'broiler litter',
    ],
    organic: 'poultryManure',
    traits: ['pathogens', 'manure'],
  }),
  material('composted manure', {
    aliases: ['composted cattle manure', 'well rotted manure', 'farmyard manure', 'fym', 'rotted manure'],
    organic: 'compostedManure',
    traits: ['pathogens', 'manure'],
  }),
  material('green compost', { aliases: ['compost', 'mature compost'], organic: 'greenCompost' }),
  material('green cuttings', { aliases: ['grass clippings', 'nettle', 'comfrey'], organic: 'greenCuttings' }),
  material('straw', { organic: 'straw' }),
  material('wood chips', { aliases: ['woodchip', 'woodchips', 'bark chips', 'ramial wood'], organic: 'woodChips' }),
  material('rolled grain', { aliases: ['cracked grain', 'rolled oats', 'cracked corn'], organic: 'wholeGrain' }),
  material('vinasse', { aliases: ['molasses extract', 'beet vinasse'], organic: 'seedMeal' }),
  material('meat and bone meal', { organic: 'animalMeal', traits: ['dusty'] }),
  material('horn meal', {
    aliases: ['hoof and horn', 'hoof and horn meal', 'hoof meal', 'horn shavings'],
    organic: 'animalMeal',
    traits: ['dusty'],
  }),
  material('shrimp meal', { aliases: ['crab meal'], organic: 'animalMeal', traits: ['dusty'] }),
  material('linseed meal', { organic: 'seedMeal' }),
  material('corn gluten meal', { organic: 'seedMeal' }),
  material('castor meal', { aliases: ['castor pomace'], organic: 'seedMeal', traits: ['poisonousToPets'] }),
  material('spent brewers grain', {
    aliases: ['brewers grain', 'wet brewers grain', 'spent grain'],
    organic: 'wholeGrain',
  }),
  material('dried brewers grain', { organic: 'wholeGrain' }),
  material('yeast', { aliases: ['bakers yeast', 'dried yeast', 'brewers yeast'], organic: 'seedMeal' }),
  material('milk', { aliases: ['cow milk', 'whole milk'], organic: 'seedMeal' }),
  material('sugar', { aliases: ['table sugar', 'sucrose'] }),
  material('bones', { aliases: ['kitchen bones', 'meat bones'], organic: 'animalMeal', traits: ['pathogens'] }),
  material('banana peel', { aliases: ['banana peels', 'banana skin'], organic: 'greenCuttings' }),
  material('malt culms', { aliases: ['malt sprouts'], organic: 'seedMeal' }),
  material('cocoa husk', { aliases: ['cocoa shell'], organic: 'alfalfaMeal', traits: ['poisonousToPets'] }),
  material('cattle manure', {
    aliases: ['cow manure', 'cow dung', 'steer manure', 'dairy manure'],
    organic: 'compostedManure',
    traits: ['pathogens', 'manure'],
  }),
  material('horse manure', {
    aliases: ['stable manure', 'horse dung'],
    organic: 'compostedManure',
    traits: ['pathogens', 'manure'],
  }),
  material('sheep manure', { aliases: ['sheep dung'], organic: 'compostedManure', traits: ['pathogens', 'manure'] }),
  material('rabbit manure', { organic: 'poultryManure', traits: ['pathogens', 'manure'] }),
  material('mushroom compost', {
    aliases: ['spent mushroom compost', 'spent mushroom substrate', 'mushroom manure'],
    organic: 'greenCompost',
  }),
  material('worm compost', {
    aliases: ['vermicompost', 'worm castings', 'vermicast', 'worm casts', 'worm cast'],
    organic: 'greenCompost',
  }),
  material('leaf mould', { aliases: ['leaf mold'], organic: 'greenCompost' }),
  material('biosolids', {
    aliases: ['sewage sludge'],
    organic: 'poultryManure',
    traits: ['pathogens', 'manure', 'metals'],
  }),
  material('sawdust', { aliases: ['saw dust'], organic: 'woodChips', traits: ['dusty'] }),
  material('coffee grounds', { aliases: ['spent coffee grounds'], organic: 'wholeGrain' }),
  material('biochar', { aliases: ['charcoal', 'char'], organic: 'biochar', traits: ['dusty'] }),
  material('eggshell', {
    aliases: ['eggshells', 'egg shell', 'egg shells'],
    organic: 'greenCompost',
    traits: ['lime'],
  }),
  material('fish hydrolysate', { aliases: ['fish emulsion', 'liquid fish', 'hydrolyzed fish'], organic: 'animalMeal' }),
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

/** A name in one spelling: small letters, no full stops or apostrophes, sulphate as sulfate, mould as mold, & as and. */
const spelling = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/[.'’]/g, '')
    .replace(/\s*&\s*/g, ' and ')
    .replace(/[\s-]+/g, ' ')
    .replace(/sulph/g, 'sulf')
    .replace(/mould/g, 'mold');

const byName = new Map<string, Material>();
for (const m of MATERIALS) for (const name of [m.name, ...m.aliases]) byName.set(spelling(name), m);

/** The known material a word on a "derived from" line names, or undefined when the program does not know it. @example findMaterial('Sulphate of Potash')?.name // 'potassium sulfate' */
export function findMaterial(name: string): Material | undefined {
  const spelled = spelling(name);
  return byName.get(spelled) ?? byName.get(spelled.replace(/s$/, '')) ?? byName.get(`${spelled}s`);
}

/** The known materials of a list, and whether every entry was known. */
export function readIngredients(derivedFrom: readonly string[]): {
  readonly known: readonly Material[];
  readonly complete: boolean;
} {
  const known = derivedFrom.map(findMaterial).filter((m): m is Material => m !== undefined);
  return { known, complete: derivedFrom.length > 0 && known.length === derivedFrom.length };
}
