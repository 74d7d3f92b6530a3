import { OXIDES, type Basis, type CompoundBasis, type Nutrient } from '../nutrient/index.js';
import { tells, type Token } from './token.js';
import type { Meaning } from './words/lookup.js';

/** A form of nitrogen as papers name it. */
export type NitrogenWord = 'nitrate' | 'ammoniacal' | 'urea' | 'waterSolubleOrganic' | 'waterInsoluble' | 'coated';
/** What of an element a figure counts: all of it, or what some liquid takes out. */
export type Share = 'total' | 'said' | 'citrate' | 'acid' | 'water' | 'bound';

export interface NutrientSubject {
  readonly kind: 'nutrient';
  readonly element: Nutrient;
  readonly basis: Basis;
  readonly form: NitrogenWord | undefined;
  readonly share: Share;
  /** "extractable", "available": what a lab takes out. */
  readonly extract: boolean;
}
/** What a name speaks of. */
export type Subject =
  | NutrientSubject
  /** A word for the oxide beside the symbol of the element: it could be either, more than twice apart for P. */
  | { readonly kind: 'either'; readonly element: Nutrient; readonly oxide: CompoundBasis }
  /** A salt by its name: what of it is the element depends on its formula and its water. */
  | { readonly kind: 'salt' }
  /** Names of several things at once. */
  | { readonly kind: 'several' }
  | { readonly kind: 'protein' | 'liming' | 'moisture' | 'dryMatter' | 'matter' }
  | { readonly kind: 'soil'; readonly what: SoilWord };

export type SoilWord =
  | 'pH'
  | 'buffer'
  | 'CEC'
  | 'EC'
  | 'SAR'
  | 'ESP'
  | 'saturation'
  | 'acidity'
  | 'bulkDensity'
  | 'texture'
  | 'ratio'
  | 'release'
  | 'advice'
  | 'quickTest'
  | 'index'
  | 'organicMatter'
  | 'carbon'
  | 'carbonate';

type Means = ReadonlySet<Meaning>;

const OXIDE_WORD = /^(?:oxide|oxid|oxyde|oxido|óxido|ossido)s?$/iu;
/** What stands behind "as" says in which form it is there, not how it is told: "Phosphorus (as phosphate)", "Magnesium (Mg) as oxide". */
function withoutPresence(tokens: readonly Token[], inNitrogen: boolean): readonly Token[] {
  return tokens.filter(
    (token, i) =>
      !(
        tells(tokens[i - 1], 'as') &&
        (tells(token, 'anion', 'anion.sulphate', 'anion.carbonate', 'trade.P2O5') ||
          (OXIDE_WORD.test(token.text) && tokens.slice(0, i).some((t) => tells(t, ...APPLIED_AS_OXIDE))) ||
          (tells(token, 'form.nitrate', 'el.Cl') && !inNitrogen && !tokens.slice(0, i).some((t) => tells(t, 'el.N'))))
      ),
  );
}

/** Elements that are given as an oxide. Phosphorus and potassium are not: theirs is how they are told. */
const APPLIED_AS_OXIDE = ['el.Mg', 'el.Ca', 'el.Zn', 'el.Mn', 'el.Fe', 'el.Cu'] as const;

const SOIL_WORDS: readonly (readonly [Meaning, SoilWord])[] = [
  ['of.advice', 'advice'],
  ['of.quickTest', 'quickTest'],
  ['of.release', 'release'],
  ['of.buffer', 'buffer'],
  ['of.ESP', 'ESP'],
  ['of.SAR', 'SAR'],
  ['of.acidity', 'acidity'],
  ['of.CEC', 'CEC'],
  ['of.bulkDensity', 'bulkDensity'],
  ['of.pH', 'pH'],
  ['of.EC', 'EC'],
  ['of.texture', 'texture'],
  ['of.organicMatter', 'organicMatter'],
];

/** What is said of a thing that is no element, by its most telling word. */
function otherSubject(means: Means): Subject | undefined {
  if (means.has('of.ratio')) return { kind: 'soil', what: 'ratio' };
  if (means.has('form.protein')) return { kind: 'protein' };
  if (means.has('of.liming')) return { kind: 'liming' };
  if (means.has('of.saturation')) return { kind: 'soil', what: 'saturation' };
  const soil = SOIL_WORDS.find(([meaning]) => means.has(meaning))?.[1];
  if (soil) return { kind: 'soil', what: soil };
  if (means.has('of.moisture')) return { kind: 'moisture' };
  if (means.has('of.matter')) return { kind: 'matter' };
  return undefined;
}

const FORMS: readonly (readonly [Meaning, NitrogenWord])[] = [
  ['form.nitrate', 'nitrate'],
  ['ox.NO3', 'nitrate'],
  ['form.ammonium', 'ammoniacal'],
  ['ox.NH4', 'ammoniacal'],
  ['form.urea', 'urea'],
];

/** The form of nitrogen that words tell; undefined for all of it. */
function nitrogenForm(means: Means): NitrogenWord | undefined {
  if (means.has('form.slow')) return 'coated';
  const water = means.has('q.water') || means.has('q.soluble');
  if (means.has('q.insoluble')) return 'waterInsoluble';
  if (means.has('form.organic')) return water ? 'waterSolubleOrganic' : 'waterInsoluble';
  const form = FORMS.find(([meaning]) => means.has(meaning))?.[1];
  return form ?? (means.has('q.water') ? 'waterSolubleOrganic' : undefined);
}

function shareOf(means: Means): Share {
  if (means.has('el.N') && means.has('q.available') && !means.has('q.total')) return 'bound';
  if (means.has('q.chelated') || means.has('q.free')) return 'bound';
  if (means.has('q.citrate')) return means.has('q.water') || means.has('method.water') ? 'said' : 'citrate';
  if (means.has('q.water')) return 'water';
  if (means.has('q.acid')) return 'acid';
  return means.has('q.total') ? 'total' : 'said';
}

const nutrient = (means: Means, element: Nutrient, basis: Basis, form?: NitrogenWord): Subject => ({
  kind: 'nutrient',
  element,
  basis,
  form,
  share: shareOf(means),
  extract: (means.has('q.available') || means.has('q.extract')) && !means.has('q.total'),
});

function nitrogen(means: Means, inNitrogen: boolean): Subject | undefined {
  const named = means.has('el.N');
  // Ammonium and nitrate together are neither of them.
  if (new Set(FORMS.flatMap(([m, form]) => (means.has(m) ? [form] : []))).size > 1) return { kind: 'several' };
  if (!named && !inNitrogen) {
    // An anion or a cation beside the form makes it a salt.
    if (means.has('anion') || means.has('anion.sulphate') || means.has('trade.P2O5') || means.has('el.Cl'))
      return { kind: 'salt' };
    if (means.has('form.nitrate') || means.has('ox.NO3')) return nutrient(means, 'N', 'NO3', 'nitrate');
    if (means.has('form.ammonium') || means.has('ox.NH4')) return nutrient(means, 'N', 'NH4', 'ammoniacal');
    // "6 % slowly available, coated" leaves the nitrogen to be understood.
    return means.has('form.slow') ? nutrient(means, 'N', 'element', 'coated') : undefined;
  }
  const form = nitrogenForm(means);
  return named || form ? nutrient(means, 'N', 'element', form) : undefined;
}

const TRADE: Readonly<Partial<Record<Nutrient, { readonly meaning: Meaning; readonly oxide: CompoundBasis }>>> = {
  P: { meaning: 'trade.P2O5', oxide: 'P2O5' },
  K: { meaning: 'trade.K2O', oxide: 'K2O' },
  Mg: { meaning: 'trade.MgO', oxide: 'MgO' },
  Si: { meaning: 'trade.SiO2', oxide: 'SiO2' },
};
const ELEMENT_OF: ReadonlyMap<string, Nutrient> = new Map<string, Nutrient>([
  ...OXIDES.map(({ basis, element }) => [basis, element] as const),
  ['CaCO3', 'Ca'],
  ['MgCO3', 'Mg'],
  ['Fe2O3', 'Fe'],
  ['MnO', 'Mn'],
  ['ZnO', 'Zn'],
  ['CuO', 'Cu'],
  ['SO4', 'S'],
  ['PO4', 'P'],
  ['B2O3', 'B'],
]);

/** Elements and compounds among the words, each once. */
function named(means: Means): { readonly elements: readonly Nutrient[]; readonly compounds: readonly CompoundBasis[] } {
  const elements: Nutrient[] = [];
  const compounds: CompoundBasis[] = [];
  for (const meaning of means)
    if (meaning.startsWith('el.')) elements.push(meaning.slice(3) as Nutrient);
    else if (meaning.startsWith('ox.') && ELEMENT_OF.has(meaning.slice(3)))
      compounds.push(meaning.slice(3) as CompoundBasis);
  return { elements, compounds };
}

const isSaltOf = (means: Means, elements: readonly Nutrient[]): boolean => {
  const [first] = elements;
  if (means.has('salt')) return true;
  const bound = means.has('anion') || means.has('form.nitrate') || means.has('trade.P2O5');
  const sulphate = means.has('anion.sulphate') && first !== 'S';
  const chloride = elements.length === 2 && elements.includes('Cl');
  return first !== 'P' && (bound || sulphate || chloride || means.has('anion.carbonate'));
};

/** What words for oxides name without a word for their element: phosphate, potash. */
function tradeSubject(means: Means): Subject | undefined {
  if (means.has('salt') || means.has('method.KCl') || means.has('method.CaCl2')) return { kind: 'salt' };
  // A bare "sulphate" is told as sulfur by some laboratories and as the ion by others.
  if (means.has('anion.sulphate')) return { kind: 'either', element: 'S', oxide: 'SO4' };
  const [traded, other] = tradesIn(means);
  const oxide = traded && TRADE[traded]?.oxide;
  return traded && oxide && other === undefined ? nutrient(means, traded, oxide) : undefined;
}
const tradesIn = (means: Means): readonly Nutrient[] =>
  (['P', 'K', 'Mg', 'Si'] as const).filter((e) => means.has(TRADE[e]?.meaning as Meaning));

/** One element by its word or symbol: as such, as its oxide, or as either. */
function oneElement(means: Means, element: Nutrient): Subject {
  const traded = tradesIn(means)[0] === element ? TRADE[element]?.oxide : undefined;
  if (traded && !means.has('oxide')) return { kind: 'either', element, oxide: traded };
  if (traded) return nutrient(means, element, traded);
  if (element === 'Ca' && means.has('anion.carbonate')) return nutrient(means, 'Ca', 'CaCO3');
  if (isSaltOf(means, [element])) return { kind: 'salt' };
  if (!means.has('oxide')) return nutrient(means, element, 'element');
  const oxide = OXIDES.find((o) => o.element === element);
  return oxide ? nutrient(means, element, oxide.basis) : { kind: 'salt' };
}

function elementSubject(means: Means): Subject | undefined {
  const { elements, compounds } = named(means);
  const [compound, otherCompound] = compounds;
  const [first, second] = elements;
  if (otherCompound !== undefined) return { kind: 'several' };
  if (compound !== undefined) {
    const element = ELEMENT_OF.get(compound) as Nutrient;
    // "SO4-S" and "PO4-P" count the element, as "NO3-N" does; "sulfur as SO4" counts the ion.
    const ofElement = (compound === 'SO4' || compound === 'PO4') && elements.length > 0 && !means.has('as');
    const basis = ofElement ? 'element' : compound;
    return elements.some((e) => e !== element) ? { kind: 'several' } : nutrient(means, element, basis);
  }
  if (first === undefined) return tradeSubject(means);
  if (second === undefined) return oneElement(means, first);
  return isSaltOf(means, elements) ? { kind: 'salt' } : { kind: 'several' };
}

/** Whether words can only speak of nitrogen: they name no other element, no carbon, and nothing that is told as an oxide. */
function isNitrogen(means: Means, inNitrogen: boolean): boolean {
  const { elements, compounds } = named(means);
  if (compounds.length > 0 || elements.some((e) => e !== 'N')) return false;
  if (means.has('el.N')) return true;
  if (means.has('of.carbon') || tradesIn(means).length > 0) return false;
  return inNitrogen || means.has('form.slow') || FORMS.some(([m]) => means.has(m));
}

/**
 * What the words of a name speak of together; undefined where they name nothing that is known.
 * @param inNitrogen the name stands below or behind nitrogen, so that "nitrate" is its part
 * @example subjectOf(tokenize('Gesamtstickstoff (N)')) // { kind: 'nutrient', element: 'N', basis: 'element', … }
 */
export function subjectOf(tokens: readonly Token[], inNitrogen = false): Subject | undefined {
  const words = withoutPresence(tokens, inNitrogen).flatMap((token) => (token.kind === 'word' ? [...token.means] : []));
  const means: Means = new Set(words);
  if (means.size === 0) return undefined;
  const { elements, compounds } = named(means);
  if (means.has('of.index') && (elements.length > 0 || compounds.length > 0)) return { kind: 'soil', what: 'index' };
  const other = otherSubject(means);
  if (other) return other;
  const found = isNitrogen(means, inNitrogen)
    ? (nitrogen(means, inNitrogen) ?? elementSubject(means))
    : elementSubject(means);
  if (found) return found;
  if (means.has('of.dryMatter')) return { kind: 'dryMatter' };
  if (means.has('anion.carbonate')) return { kind: 'soil', what: 'carbonate' };
  return means.has('of.carbon') ? { kind: 'soil', what: 'carbon' } : undefined;
}
