import { oxideIn, typedFormula, type Analyte } from '../../nutrient/index.js';
import { plainWord } from '../../reading/index.js';
import { is, type NamedAnalyte } from './named.js';
import { OTHER_LANGUAGES } from './otherLanguages.js';

const part = (analyte: Analyte): NamedAnalyte => ({ kind: 'analyte', analyte, basis: 'element', partOnly: true });

const TRACES: readonly (readonly [string, Analyte])[] = [
  ['iron', 'Fe'],
  ['manganese', 'Mn'],
  ['zinc', 'Zn'],
  ['copper', 'Cu'],
  ['boron', 'B'],
  ['molybdenum', 'Mo'],
];
const METALS = 'potassium|calcium|magnesium|ammonium|sodium|iron|ferrous|ferric|manganese|zinc|copper|cobalt|nickel';

/**
 * Names as labels print them, the most particular first: the first that fits is taken. Spelling with ph or f, hyphens
 * and case do not matter; the name is compared without brackets and the words "soluble in …".
 */
const NAMES: readonly (readonly [RegExp, NamedAnalyte])[] = [
  [/\b(crude )?protein\b/, { kind: 'protein' }],
  [/\bmoisture\b|\bwater content\b/, { kind: 'moisture' }],
  [/\bdry (matter|substance)\b|^dm$/, { kind: 'dryMatter' }],
  [/\b(calcium carbonate|caco3) equivalent\b|\bcce\b|\bneutrali[sz]ing value\b|\btnv\b/, { kind: 'liming' }],

  [/\bcalcium carbonate\b|\bcaco3\b/, is('Ca', 'CaCO3')],
  [
    new RegExp(
      `\\b(?:mono|di)?(?:${METALS}) (?:(?:mono|di|poly|bi|thio)?(?:sul(?:f|ph)ate|nitrate|phosphate|carbonate|chloride|molybdate|silicate|borate|humate|acetate|citrate|gluconate|hydroxide)|sul(?:f|ph)ide)s?\\b`,
    ),
    { kind: 'salt' },
  ],
  [/\b(?:iron|manganese|zinc|copper|cobalt|nickel) oxide\b/, { kind: 'salt' }],
  [
    /^(?!.*\b(?:p2o5|k2o)\b).*(?:\b(?:sul(?:f|ph)ate|muriate|nitrate|chloride|phosphate) of (?:potash|ammonia|soda|lime|magnesia|iron|zinc|copper|manganese)\b|\brock phosphate\b|\b(?:triple )?superphosphate\b)/,
    { kind: 'salt' },
  ],

  ...OTHER_LANGUAGES,
  [
    /\b(slow(ly)? (available|release)|controlled release|coated|timed release)\b.*\b(nitrogen|n)\b|\b(nitrogen|n)\b.*\b(slow(ly)? (available|release)|controlled release|coated)\b/,
    is('N.coated'),
  ],
  // A footnote names the coating and leaves the nitrogen to be understood.
  [/\bslow(?:ly)? (?:available|release)\b.*\bcoated\b|\bcoated slow release\b/, is('N.coated')],
  [
    /\bother water soluble (organic )?(nitrogen|n)\b|\bwater soluble organic (nitrogen|n)\b|\bsoluble organic (nitrogen|n)\b/,
    is('N.waterSolubleOrganic'),
  ],
  [
    /\bwater insoluble (organic )?(nitrogen|n)\b|\binsoluble (organic )?(nitrogen|n)\b|\borganic (nitrogen|n)\b|^(nitrogen|n) organic$/,
    is('N.waterInsoluble'),
  ],
  [/\bwater soluble (nitrogen|n)\b/, is('N.waterSolubleOrganic')],
  [/\b(nitrate|nitric) ?(nitrogen|n)\b|\bno3 ?n\b|\b(nitrogen|n) as (nitrate|no3)\b/, is('N.nitrate')],
  [/\bnitrate\b|\bno3\b/, is('N.nitrate', 'NO3')],
  [
    /\b(ammoniacal|ammonia|ammonium|ammonic) ?(nitrogen|n)\b|\bnh4 ?n\b|\b(nitrogen|n) as (ammonium|ammonia|nh4)\b/,
    is('N.ammoniacal'),
  ],
  [/\bammonium\b|\bnh4\b/, is('N.ammoniacal', 'NH4')],
  [/\b(urea|ureic|carbamide) ?(nitrogen|n)\b|\b(nitrogen|n) as urea\b/, is('N.urea')],
  [/\b(total )?nitrogen\b|\btotal n\b|^n$|^n total$|^tn$/, is('N')],

  [/^(?!.*\bp2o5\b).*\bphosph(ate|oric acid)\b.*\bp$/, { kind: 'either', of: 'P or P₂O₅' }],
  [/^(?!.*\bk2o\b).*\bpotash\b.*\bk$/, { kind: 'either', of: 'K or K₂O' }],
  // "Phosphorus (as phosphate)" names the element and says in which form it is there.
  [/^(?!.*\bp2o5\b).*\bphosphorus (p )?as \w*phosph/, is('P')],
  [
    /\b(phosphorus|phosphoric) (pentoxide|anhydride)\b|\bp2o5\b|\bavailable phosph(ate|oric acid)\b|\bphosphate\b|\bphosphoric acid\b/,
    is('P', 'P2O5'),
  ],
  [
    /^(?!.*pentoxide)(?:.*\b(?:water|citrate) (?:in)?soluble\b.*\bphosphorus\b|.*\bphosphorus\b.*\b(?:water|citrate) (?:in)?soluble\b)/,
    part('P'),
  ],
  [/\bphosphorus\b|\btotal p\b|^p$|^tp$/, is('P')],
  [/\bpotassium oxide\b|\bk2o\b|\b(soluble )?potash\b/, is('K', 'K2O')],
  [/\bpotassium\b|\btotal k\b|^k$|^tk$/, is('K')],

  [/\bcalcium oxide\b|\bcao\b/, is('Ca', 'CaO')],
  [/\b(water soluble) calcium\b/, part('Ca')],
  [/\bcalcium\b|^ca$/, is('Ca')],
  [/\bmagnesium oxide\b|\bmgo\b|\bmagnesia\b/, is('Mg', 'MgO')],
  [/\bwater soluble magnesium\b/, part('Mg')],
  [/\bmagnesium\b|^mg$/, is('Mg')],
  [/\bsul(f|ph)ur(ic)? (trioxide|anhydride)\b|\bso3\b/, is('S', 'SO3')],
  [/\b(free|combined|elemental) sul(f|ph)ur\b/, part('S')],
  [/\bsul(f|ph)ur\b|^s$/, is('S')],
  [/\bsodium oxide\b|\bna2o\b/, is('Na', 'Na2O')],
  [/\bsodium\b|^na$/, is('Na')],
  [/\bsilicon dioxide\b|\bsilica\b|\bsio2\b/, is('Si', 'SiO2')],
  [/\bsilicon\b|^si$/, is('Si')],
  [/\bchlor(ide|ine)\b|^cl$/, is('Cl')],

  ...TRACES.map(([name, analyte]) => [new RegExp(`\\b(chelated|water soluble) ${name}\\b`), part(analyte)] as const),
  [/\biron\b|^fe$/, is('Fe')],
  [/\bmanganese\b|^mn$/, is('Mn')],
  [/\bzinc\b|^zn$/, is('Zn')],
  [/\bcopper\b|^cu$/, is('Cu')],
  [/\bboron\b|^b$/, is('B')],
  [/\bmolybdenum\b|^mo$/, is('Mo')],
  [/\bnickel\b|^ni$/, is('Ni')],
  [/\bcobalt\b|^co$/, is('Co')],
  [/\bselenium\b|^se$/, is('Se')],
  [/\barsenic\b|^as$/, is('As')],
  [/\bcadmium\b|^cd$/, is('Cd')],
  [/\blead\b|^pb$/, is('Pb')],
  [/\bmercury\b|^hg$/, is('Hg')],
  [/\bchromium\b|^cr$/, is('Cr')],
];

/** A printed name made comparable: lower case, no accents, subscripts as digits, hyphens as spaces, and no word for a unit or for what a metal is bound to. */
export const plainName = (text: string): string =>
  plainWord(typedFormula(text))
    .replace(/soluble in [a-z0-9 ,%]+/g, ' ')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()
    .replace(/ (?:edta|dtpa|eddha|hedta|chelated|ppm|mg kg|g kg|[wm] [wv])\b|^(?:edta|dtpa|eddha|hedta|ppm) /g, ' ')
    .trim();

/** A formula says the basis outright, whatever word stands before it: "Phosphor (P2O5)" is the oxide. */
function withFormula(found: NamedAnalyte | undefined, name: string): NamedAnalyte | undefined {
  if (found?.kind !== 'analyte' || found.basis !== 'element') return found;
  const oxide = oxideIn(name, [found.analyte]);
  return oxide ? { ...found, basis: oxide.basis } : found;
}

/** What a printed name stands for, or undefined when it is none that is known. @example analyteNamed('Available Phosphate (P2O5)') // P as P2O5 */
export function analyteNamed(text: string): NamedAnalyte | undefined {
  const name = plainName(text);
  return name.length > 0 && name.length <= 120
    ? withFormula(NAMES.find(([pattern]) => pattern.test(name))?.[1], name)
    : undefined;
}
