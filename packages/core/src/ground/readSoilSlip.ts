import { compoundPerElement, formulaText, type CompoundBasis } from '../nutrient/index.js';
import { spelledOut } from '../reading/index.js';
import {
  commaIn,
  findValues,
  scaleDeclared,
  shownDeclared,
  settleThousands,
  unclearWords,
  type AnalysisUnit,
  type CommaMark,
} from '../shelf/index.js';
import {
  SOIL_ANALYTE_NAMES,
  SOIL_METHOD_NAMES,
  soilFigureProblem,
  soilUnits,
  type SoilAnalyte,
  type SoilFigure,
  type SoilMethod,
  type SoilUnit,
} from './soilReport.js';

const NAMES: readonly (readonly [RegExp, SoilAnalyte])[] = [
  [/\bph\b/, 'pH'],
  [/\borganic matter\b|\bom\b|\bhumus\b/, 'organicMatter'],
  [/\bcec\b|\bcation exchange\b/, 'CEC'],
  [/\bsar\b|\bsodium adsorption\b/, 'SAR'],
  [/\besp\b|\bexchangeable sodium (?:percentage|percent|%)/, 'ESP'],
  [/\bece?\b|\bconductivity\b|\bsoluble salts\b/, 'EC'],
  [/\bnitrate\b|\bno3\b/, 'nitrateN'],
  [/\bammonium n|\bnh4\b/, 'ammoniumN'],
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
const METHODS: readonly (readonly [RegExp, SoilMethod])[] = [
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
const methodIn = (text: string): SoilMethod | undefined => METHODS.find(([pattern]) => pattern.test(text))?.[1];

const UNIT_WORDS: readonly (readonly [RegExp, SoilUnit])[] = [
  [/cmol|meq\s*\/\s*100|me\s*\/\s*100/, 'cmol_c/kg'],
  [/ms\s*\/\s*cm|ds\s*\/\s*m|mmho/, 'mS/cm'],
  [/mg\s*\/\s*l\b/, 'mg/L'],
  [/\b(?:meq|me|mmol_?c|mmol\(\+\))\s*\/\s*l\b/, 'mmol_c/L'],
  [/\bppm\b|\bmg\s*\/\s*kg\b/, 'mg/kg'],
  [/\bkg\s*\/\s*l\b|\bg\s*\/\s*(?:cm3|cm³|ml|cc)/, 'kg/L'],
];
/**
 * Units that are told in another: mg in 100 g are ten times as many in a kg. Pounds an acre are given by labs for a furrow slice,
 * 6⅔ inches that weigh two million pounds an acre, so that two of them are one part in a million.
 */
const RETOLD: readonly { readonly pattern: RegExp; readonly factor: number; readonly words: string }[] = [
  { pattern: /\bmg ?(?:\/|per) ?100 ?g(?:rams?)?\b/gi, factor: 10, words: 'from mg/100 g × 10' },
  {
    pattern: /\b(?:lbs?|pounds?)\.? ?(?:\/|per) ?a(?:c|cre)?\b\.?/gi,
    factor: 0.5,
    words: 'from lb/acre ÷ 2, for a furrow slice of two million lb',
  },
];
/** The unit a line is told in that is told in another here; where mg/kg is given beside it, that counts. */
const retold = (text: string) =>
  RETOLD.find(
    (r) => text.search(r.pattern) >= 0 && !findValues(text.replace(r.pattern, ' ')).some((v) => v.unit !== undefined),
  );

/** The unit that holds for lines without one, and what it was before it was told in mg/kg. */
interface GeneralUnit {
  readonly unit: SoilUnit;
  readonly from: (typeof RETOLD)[number] | undefined;
}

const FROM_LABEL: Readonly<Partial<Record<AnalysisUnit, SoilUnit>>> = { '%': '%', 'mg/kg': 'mg/kg' };
/** A unit that needs no saying, since it is the only one; free lime may be told in others. */
const obvious = (analyte: SoilAnalyte): SoilUnit | undefined =>
  soilUnits(analyte).length === 1 && analyte !== 'freeLime' ? soilUnits(analyte)[0] : undefined;

export interface SoilLine {
  readonly number: number;
  readonly text: string;
  readonly figure: SoilFigure | undefined;
  /** What it was taken to be, or why not. */
  readonly says: string;
}

/** Numbers of a line that measure nothing: of a method, a ratio of soil to water, a depth, a date. */
const NO_FIGURES: readonly (readonly [RegExp, string])[] = [
  [/\b(?:no3|nh4|cacl2|kcl|h2o|caco3|m3|nh4oac|p2o5|k2o|na2o|so3)\b/gi, ' '],
  [/\b(mehlich|bray)[- ]?(?:p[- ]?)?(?:[123]|i{1,3})\b/gi, '$1'],
  [/\b1 ?: ?\d+(?:[.,]\d+)?\b/g, ' '],
  [/\b\d{1,4}([-/.])\d{1,2}\1\d{1,4}\b/g, ' '],
  [/\b\d+(?:[.,]\d+)?(?: ?(?:[-–]|to) ?\d+(?:[.,]\d+)?)? ?(?:cm|inch(?:es)?|in)\b/gi, ' '],
];
const measuresOnly = (line: string): string =>
  NO_FIGURES.reduce((text, [pattern, instead]) => text.replace(pattern, instead), line).replace(/\s+/g, ' ');

/** What looks like a figure of the soil and is another thing. */
const OTHER_THINGS: readonly (readonly [RegExp, string])[] = [
  [
    /\bbuffer(?:ed)?\b.*\b(?:ph|index)\b|\bph\b.*\bbuffer|\bsmp\b/,
    'a buffer pH: it tells of lime, and is not the soil’s own pH',
  ],
  [
    /\bbase saturation\b|\bsaturation,? (?:of )?(?:ca|mg|k|na|calcium|magnesium|potassium|sodium)\b|% ?(?:of )?cec\b/,
    'a share of the exchange: worked out here from the cations',
  ],
];

/** "P2O5" beside a figure makes it the oxide's. */
const OXIDES: readonly (readonly [RegExp, CompoundBasis, SoilAnalyte])[] = [
  [/\bp2o5\b/, 'P2O5', 'P'],
  [/\bk2o\b/, 'K2O', 'K'],
  [/\bcao\b/, 'CaO', 'Ca'],
  [/\bmgo\b/, 'MgO', 'Mg'],
  [/\bna2o\b/, 'Na2O', 'Na'],
  [/\bso3\b/, 'SO3', 'S'],
];

/** A number behind such a word is what somebody wants of the soil, not what was found in it. */
const WANTED =
  /\b(?:target|desired|ideal|optimum|optimal|goal|guideline|recommended|wanted|sufficient)(?: (?:range|level|value))?\W*$/i;

interface ReadFigure {
  readonly figure: SoilFigure;
  /** What it was before: an oxide, another unit. */
  readonly from: readonly string[];
}

function figureOf(
  line: string,
  general: SoilMethod,
  generalUnit: GeneralUnit | undefined,
  comma: CommaMark,
): ReadFigure | string {
  const own = retold(line);
  const text = own ? line.replace(own.pattern, 'mg/kg') : line;
  const plain = text.toLowerCase();
  const other = OTHER_THINGS.find(([pattern]) => pattern.test(plain));
  if (other && /\d/.test(text)) return other[1];
  const settled = settleThousands(measuresOnly(text), comma);
  if ('unclear' in settled) return unclearWords(settled.unclear);
  const all = findValues(settled.line);
  const values = all.filter((v) => !WANTED.test(settled.line.slice(0, v.start)));
  const found = values.find((v) => v.unit !== undefined) ?? values[0];
  if (!found) return 'words without figures';
  const name = settled.line.toLowerCase().slice(0, Math.max(found.start, 1)) || plain;
  const oxide = OXIDES.find(([pattern]) => pattern.test(plain));
  const analyte =
    NAMES.find(([pattern]) => pattern.test(name))?.[1] ??
    NAMES.find(([pattern]) => pattern.test(plain))?.[1] ??
    oxide?.[2];
  if (!analyte) return 'a number without a name that is known';
  const either = oxide ? undefined : /\bphosphate\b(?!.*\bp\b)|\bpotash\b(?!.*\bk\b)/.exec(plain)?.[0];
  if (either)
    return `${either} could be the element or its oxide: say ${either === 'potash' ? 'K or K2O' : 'P or P2O5'}`;
  const unit =
    (found.unit ? FROM_LABEL[found.unit] : undefined) ??
    UNIT_WORDS.find(([pattern]) => pattern.test(plain))?.[1] ??
    (found.foreign === undefined ? (obvious(analyte) ?? generalUnit?.unit) : undefined);
  if (unit === undefined)
    return `${SOIL_ANALYTE_NAMES[analyte]}: no unit that is known here, expected ${soilUnits(analyte).join(', ')}`;
  const basis = oxide?.[2] === analyte ? oxide[1] : undefined;
  const told = own ?? (found.unit === undefined && unit === 'mg/kg' ? generalUnit?.from : undefined);
  const factor = (told?.factor ?? 1) / (basis ? compoundPerElement(basis) : 1);
  const figure: SoilFigure = {
    analyte,
    value: factor === 1 ? found.value : scaleDeclared(found.value, factor, basis ? 4 : 6),
    unit,
    method:
      methodIn(plain) ?? (analyte === 'pH' || analyte === 'CEC' || analyte === 'organicMatter' ? 'notSaid' : general),
  };
  const problem = soilFigureProblem(figure);
  if (problem) return problem.message;
  return {
    figure,
    from: [
      ...(basis ? [`from ${formulaText(basis)}`] : []),
      ...(told ? [told.words] : []),
      ...(values.length < all.length ? ['what is wanted is set aside'] : []),
    ],
  };
}

const MOST_LINES = 200;
const LONGEST_LINE = 200;

/** What a figure was read as, in words. */
function figureWords({ analyte, value, unit, method }: SoilFigure): string {
  const number = shownDeclared(value);
  return analyte === 'pH'
    ? `pH ${number}, ${SOIL_METHOD_NAMES[method]}`
    : `${number}${unit ? ` ${unit}` : ''} ${SOIL_ANALYTE_NAMES[analyte]}, ${SOIL_METHOD_NAMES[method]}`;
}

/** "pH 5.4, P Olsen 22 mg/kg, K 180 mg/kg" is three figures: a line is cut where every piece has a name and a number of its own. */
function clausesOf(raw: string): readonly string[] {
  const pieces = raw.split(/[,;]\s+(?=\p{L})/u);
  return pieces.every(
    (piece) =>
      NAMES.some(([pattern]) => pattern.test(piece.toLowerCase())) && findValues(measuresOnly(piece)).length > 0,
  )
    ? pieces
    : [raw];
}

/**
 * Reads a soil report as pasted text or as a CSV's rows joined by spaces: one figure a line, with its unit and method. A line that
 * names only a method or a unit holds for the lines after it. Nothing is guessed: what has no unit or no known name is told.
 * @example readSoilSlip('pH 6.4\nPhosphorus (Olsen) 32 mg/kg')
 */
export function readSoilSlip(text: string): readonly SoilLine[] {
  let general: SoilMethod = 'notSaid';
  let unit: GeneralUnit | undefined;
  const comma = commaIn(text);
  const lines = text.split(/\r\n|\r|\n/, MOST_LINES + 1);
  return lines.flatMap((raw, i) =>
    (i < MOST_LINES ? clausesOf(raw.slice(0, 2 * LONGEST_LINE)) : [raw]).map((clause) => readClause(clause, i)),
  );

  function readClause(raw: string, i: number): SoilLine {
    if (i === MOST_LINES)
      return {
        number: i + 1,
        text: raw.slice(0, LONGEST_LINE),
        figure: undefined,
        says: `not read, nor is what follows: expected at most ${MOST_LINES} lines`,
      };
    const line = spelledOut(raw.slice(0, 2 * LONGEST_LINE))
      .replace(/[\t;|]/g, ' ')
      .replace(/[.]{2,}/g, ' ')
      .replace(/\s+/g, ' ')
      .trim()
      .slice(0, LONGEST_LINE);
    if (line === '') return { number: i + 1, text: '', figure: undefined, says: '' };
    const read = figureOf(line, general, unit, comma);
    if (typeof read === 'object')
      return {
        number: i + 1,
        text: line,
        figure: read.figure,
        says: [figureWords(read.figure), ...read.from].join(', '),
      };
    const plain = line.toLowerCase();
    const method = methodIn(plain);
    const from = retold(line);
    const named = from ? 'mg/kg' : UNIT_WORDS.find(([pattern]) => pattern.test(plain))?.[1];
    const heading = from ? line.replace(from.pattern, ' ') : line;
    if (!/\d/.test(heading) || findValues(heading).length === 0) {
      if (method) general = method;
      if (named) unit = { unit: named, from };
      const told = [method && SOIL_METHOD_NAMES[method], named, from?.words].filter(Boolean).join(', ');
      return {
        number: i + 1,
        text: line,
        figure: undefined,
        says: told ? `holds for the lines below: ${told}` : (read ?? ''),
      };
    }
    return { number: i + 1, text: line, figure: undefined, says: read ?? '' };
  }
}
