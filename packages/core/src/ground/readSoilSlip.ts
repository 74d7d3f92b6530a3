import { compoundPerElement, formulaText, oxideIn } from '../nutrient/index.js';
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
  SOIL_ANALYTES,
  SOIL_METHOD_NAMES,
  soilFigureProblem,
  soilUnits,
  type SoilAnalyte,
  type SoilFigure,
  type SoilMethod,
  type SoilUnit,
} from './soilReport.js';
import { methodIn, NAMES, NO_FIGURES, OTHER_THINGS, RETOLD, SEVERAL_BEDS, UNIT_WORDS, WANTED } from './slipWords.js';

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

const measuresOnly = (line: string): string =>
  NO_FIGURES.reduce((text, [pattern, instead]) => text.replace(pattern, instead), line).replace(/\s+/g, ' ');

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
  several: boolean,
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
  if (!found)
    return /\bindex\b.*\d/.test(plain)
      ? 'an index is a class, no amount: expected the figure it stands for, in mg/kg or mg/L'
      : 'words without figures';
  if (several && values.length > 1)
    return `${values.length} figures under several beds: expected one, paste one bed at a time`;
  const name = settled.line.toLowerCase().slice(0, Math.max(found.start, 1)) || plain;
  // "P2O5" beside a figure makes it the oxide's.
  const oxide = oxideIn(plain, SOIL_ANALYTES);
  const analyte =
    NAMES.find(([pattern]) => pattern.test(name))?.[1] ??
    NAMES.find(([pattern]) => pattern.test(plain))?.[1] ??
    oxide?.element;
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
  const basis = oxide?.element === analyte ? oxide.basis : undefined;
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
  let several = false;
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
    if (SEVERAL_BEDS.test(line)) several = true;
    const read = figureOf(line, general, unit, comma, several);
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
