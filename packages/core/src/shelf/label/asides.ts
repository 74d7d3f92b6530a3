import { plainWord, rolesIn } from '../../reading/index.js';

/** Other ways to print a unit of an analysis, in the way it is read. A kilogram in a tonne is a gram in a kilogram. */
const SPELLINGS: readonly (readonly [RegExp, string])[] = [
  [/\b(m?g|[µμu]g)\s*kg\s*(?:\^?-1|⁻¹|−1)/gi, '$1/kg'],
  [/\b(m?g)\s*[lL]\s*(?:\^?-1|⁻¹|−1)/g, '$1/L'],
  [/\bkg\s*(?:\/|per)\s*(?:t|tonnes?|1000 ?kg)\b/gi, 'g/kg'],
];

const NOT_FOUND = String.raw`(?:not detected|none detected|n\.\s?d\.?|nd|n\.\s?n\.?|bdl|below (?:the )?(?:detection|detection limit|limit of detection|lod|loq)|<\s?(?:lod|loq|dl))`;
const LIMIT = String.raw`(?:lod|loq|mdl|dl|rl|reporting limit|detection limit|limit of detection|limit)`;
const BELOW_LIMIT = new RegExp(
  String.raw`\b${NOT_FOUND}[\s,;:([]*(?:${LIMIT})?[\s:=<]*(\d+(?:[.,]\d+)?)\s*(%|m?g\s*\/\s*kg|ppm)\s*[)\]]?`,
  'i',
);

/** A line with its units and limits as they are read: "ND (LOD 0.05 mg/kg)" is "< 0.05 mg/kg". */
export const spelledOut = (line: string): string =>
  SPELLINGS.reduce((text, [pattern, unit]) => text.replace(pattern, unit), line).replace(BELOW_LIMIT, '< $1 $2');

const PER_OXIDE = /(?:mg|g)\s*(?:\/|per)\s*kg\s*(?:of\s*)?P\s?2\s?O\s?5\b/i;
const STRENGTH = /\b(?:feed|feeding|use|dilute|irrigat\w*|fertigat\w*|solution|at)\b.{0,20}\b\d+(?:[.,]\d+)?\s*ppm\b/i;

/** Why the number of a line is no content of the product, though a nutrient is named with it. */
export function noContent(line: string): string | undefined {
  if (PER_OXIDE.test(line)) return 'for each kg of P₂O₅, not of the product: say it as mg in a kg of the product';
  if (STRENGTH.test(line)) return 'the strength of a feed, not what is in the product';
  return undefined;
}

const MATTER =
  /\b(?:organic matter|organic carbon|crude (?:fib(?:re|er)|fat|ash)|ash|humic acids?|fulvic acids?|amino acids?|starch|matiere organique|organische substanz|materia organica|sostanza organica|organische stof|materia organiczna)\b/;
const DATE =
  /\b(?:best before|use by|expir\w*|mfg|manufactured|produced|packed|date|haltbar|verbrauch bis|consommer|caduc\w*|scadenza|houdbaar|validade|data|termin|bast fore)\b/;

/** What a line's numbers are where they are no figures of an analysis and nothing else that is known. */
export function asideOf(line: string): string | undefined {
  const plain = plainWord(line);
  if (DATE.test(plain)) return 'a date';
  if (rolesIn(line).has('reference')) return 'a number that only names something';
  return MATTER.test(plain) ? 'what it is made of, no nutrient' : undefined;
}
