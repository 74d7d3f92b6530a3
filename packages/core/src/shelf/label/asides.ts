import { plainWord, rolesIn } from '../../reading/index.js';

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
