import type { SoilAnalyte, SoilMethod, SoilUnit } from './soilReport.js';

/** What laboratories call what they measure. The first that fits counts. */
export const NAMES: readonly (readonly [RegExp, SoilAnalyte])[] = [
  [/\bph\b/, 'pH'],
  [/\borganic matter\b|\bom\b|\bhumus\b/, 'organicMatter'],
  [/\bcec\b|\bcation exchange\b/, 'CEC'],
  [/\bsar\b|\bsodium adsorption\b/, 'SAR'],
  [/\besp\b|\bexchangeable sodium (?:percentage|percent|%)/, 'ESP'],
  [/\bece?\b|\bconductivity\b|\bsoluble salts\b/, 'EC'],
  [/\bnitrate\b|\bno3\b/, 'nitrateN'],
  [/\bammonium[- ]n\b|\bnh4\b/, 'ammoniumN'],
  [/\bfree lime\b|\bcarbonate\b|\bcaco3\b/, 'freeLime'],
  [/\bacidity\b/, 'acidity'],
  [/\bbulk density\b/, 'bulkDensity'],
  [/\bphosphorus\b|\bphosphate\b|\bp\b/, 'P'],
  [/\bpotassium\b|\bk\b/, 'K'],
  [/\bcalcium\b|\bca\b/, 'Ca'],
  [/\bmagnesium\b|\bmg\b(?!\s*(\/|per|kg))/, 'Mg'],
  [/\bsodium\b|\bna\b/, 'Na'],
  [/\bsul(f|ph)ur\b|\bsul(f|ph)ate\b|\bs\b/, 'S'],
  [/\bboron\b|\bb\b/, 'B'],
  [/\bzinc\b|\bzn\b/, 'Zn'],
  [/\bmanganese\b|\bmn\b/, 'Mn'],
  [/\bcopper\b|\bcu\b/, 'Cu'],
  [/\biron\b|\bfe\b/, 'Fe'],
];
/** The words that tell a method. The first that fits counts. */
export const METHODS: readonly (readonly [RegExp, SoilMethod])[] = [
  [/\bolsen\b|\bbicarbonate\b/, 'olsen'],
  [/\bbray/, 'bray'],
  [/\bmehlich[- ]?(?:1|i)\b|\bhot water\b|\bdtpa\b|\bedta\b|\bcal\b|\bdl\b|\bmorgan\b|\blactate\b/, 'other'],
  [/\bmehlich\b|\bm3\b/, 'mehlich3'],
  [/\bammonium acetate\b|\bexchangeable\b|\bnh4oac\b|\bamm?oac\b/, 'ammoniumAcetate'],
  [/\bsaturat(ed|ion) (paste|extract)\b|\bece\b/, 'saturatedPaste'],
  [/\bcacl2\b|\bcalcium chloride\b/, 'CaCl2'],
  [/\bkcl\b|\bpotassium chloride\b/, 'KCl'],
  [/\bwater\b|\bh2o\b/, 'water'],
];
export const methodIn = (text: string): SoilMethod | undefined => METHODS.find(([pattern]) => pattern.test(text))?.[1];

export const UNIT_WORDS: readonly (readonly [RegExp, SoilUnit])[] = [
  [/cmol|meq\s*\/\s*100|me\s*\/\s*100/, 'cmol_c/kg'],
  [/ms\s*\/\s*cm|ds\s*\/\s*m|mmho/, 'mS/cm'],
  [/(?:mg\s*\/\s*l|[uµμ]g\s*\/\s*ml)\b/, 'mg/L'],
  [/\b(?:meq|me|mmol_?c|mmol\(\+\))\s*\/\s*l\b/, 'mmol_c/L'],
  [/\bppm\b|\bmg\s*\/\s*kg\b/, 'mg/kg'],
  [/\bkg\s*\/\s*l\b|\bg\s*\/\s*(?:cm3|cm³|ml|cc)/, 'kg/L'],
];
/**
 * Units that are told in another: mg in 100 g are ten times as many in a kg. Pounds an acre are given by labs for a furrow slice,
 * 6⅔ inches that weigh two million pounds an acre, so that two of them are one part in a million.
 */
export const RETOLD: readonly { readonly pattern: RegExp; readonly factor: number; readonly words: string }[] = [
  { pattern: /\bmg ?(?:\/|per) ?100 ?g(?:rams?)?\b/gi, factor: 10, words: 'from mg/100 g × 10' },
  {
    pattern: /\b(?:lbs?|pounds?)\.? ?(?:\/|per) ?a(?:c|cre)?\b\.?/gi,
    factor: 0.5,
    words: 'from lb/acre ÷ 2, for a furrow slice of two million lb',
  },
];
/** Numbers of a line that measure nothing: of a method, a class, a ratio of soil to water, a depth, a date. */
export const NO_FIGURES: readonly (readonly [RegExp, string])[] = [
  [/\b(?:no3|nh4|cacl2|kcl|h2o|caco3|m3|nh4oac|p2o5|k2o|na2o|so3)\b/gi, ' '],
  [/\b(mehlich|bray)[- ]?(?:p[- ]?)?(?:[123]|i{1,3})\b/gi, '$1'],
  [/\bindex\b\W*\d+(?:[.,]\d+)?[+-]?/gi, ' '],
  [/\b1 ?: ?\d+(?:[.,]\d+)?\b/g, ' '],
  [/\b\d{1,4}([-/.])\d{1,2}\1\d{1,4}\b/g, ' '],
  [/\b\d+(?:[.,]\d+)?(?: ?(?:[-–]|to) ?\d+(?:[.,]\d+)?)? ?(?:cm|inch(?:es)?|in)\b/gi, ' '],
];
/** What looks like a figure of the soil and is another thing. */
export const OTHER_THINGS: readonly (readonly [RegExp, string])[] = [
  [
    /\bbuffer(?:ed)?\b.*\b(?:ph|index)\b|\bph\b.*\bbuffer|\bsmp\b/,
    'a buffer pH: it tells of lime, and is not the soil’s own pH',
  ],
  [
    /\bbase saturation\b|\bsaturation,? (?:of )?(?:ca|mg|k|na|calcium|magnesium|potassium|sodium)\b|% ?(?:of )?cec\b|% ?(?:k|mg|ca|na|h)\b\W*\d|\b(?:k|mg|ca|na|h) ?%\W*\d/,
    'a share of the exchange: worked out here from the cations',
  ],
];

/** A number behind such a word is what somebody wants of the soil, not what was found in it. */
export const WANTED =
  /\b(?:target|desired|ideal|optimum|optimal|goal|guideline|recommended|wanted|sufficient)(?: (?:range|level|value))?\W*$/i;

/** A heading with several beds side by side: "Bed A  Bed B", "Sample 1  Sample 2". */
export const SEVERAL_BEDS = /\b(bed|plot|field|block|garden|sample|lot)\b.*\b\1\b/i;
