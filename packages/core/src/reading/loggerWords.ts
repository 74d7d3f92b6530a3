import type { Language } from './words/languages.js';
import { plainWord } from './words/lookup.js';

/** What a logger writes down. */
export type LoggerWord = 'date' | 'soilC' | 'airC' | 'rainMm' | 'irrigationMm' | 'etMm';

/** Headings of loggers, phrases parted by `|`, as `plainWord` makes them with spaces for all other signs; the most particular first. */
// prettier-ignore
const WORDS: readonly (readonly [LoggerWord, Readonly<Partial<Record<Language, string>>>])[] = [
  ['soilC', { en: 'temp(?:erature)? (?:of )?soil|soil (?:\\S+ )*?(?:temp\\w*|c|f)|soil ?t|soil ?temp\\w*|soilc|t soil', de: 'bodentemperatur|bodentemp|erdtemperatur|t boden', fr: 'temperature du sol|temperature sol|temp sol|temp du sol|t sol|t du sol', es: 'temperatura del suelo|temperatura suelo|temp suelo|temp del suelo|t suelo', it: 'temperatura del suolo|temperatura suolo|temperatura del terreno|temp suolo|temp del suolo|t suolo|t terreno', nl: 'bodemtemperatuur|bodemtemp|t bodem', pt: 'temperatura do solo|temp solo|t solo', pl: 'temperatura gleby|temp gleby|t gleby', sv: 'marktemperatur|jordtemperatur|t mark|t jord' }],
  ['airC', { en: 'air|airc|temperature|temp', de: 'lufttemperatur|lufttemp', fr: 'temperature de l air|temperature air|temp air', es: 'temperatura del aire|temperatura aire', it: 'temperatura dell aria|temperatura aria', nl: 'luchttemperatuur', pt: 'temperatura do ar', pl: 'temperatura powietrza', sv: 'lufttemperatur' }],
  ['etMm', { en: 'evapotranspiration|evapotrans\\w*|eto?0?|etmm|et mm', de: 'verdunstung', fr: 'evapotranspiration|etp', es: 'evapotranspiracion', it: 'evapotraspirazione', nl: 'verdamping|gewasverdamping', pt: 'evapotranspiracao', pl: 'ewapotranspiracja', sv: 'avdunstning|fordampning' }],
  ['rainMm', { en: 'rain\\w*|precip\\w*', de: 'niederschlag|regen|regenmenge', fr: 'pluie|pluviometrie|precipitations', es: 'lluvia|precipitacion', it: 'pioggia|precipitazioni|precipitazione', nl: 'neerslag', pt: 'chuva|precipitacao', pl: 'opad|opady|deszcz', sv: 'regn|nederbord|nedbor' }],
  ['irrigationMm', { en: 'irrigat\\w*|watering', de: 'bewasserung|beregnung', fr: 'arrosage', es: 'riego', it: 'irrigazione', nl: 'beregening|irrigatie', pt: 'rega|irrigacao', pl: 'nawadnianie', sv: 'bevattning|vanding' }],
  ['date', { en: 'date|day|time|timestamp|datetime', de: 'datum|zeit|zeitstempel|uhrzeit|tag', fr: 'heure|horodatage|jour', es: 'fecha|hora|dia', it: 'data|ora|giorno', nl: 'tijd|tijdstip|dag', pt: 'carimbo', pl: 'czas|godzina|dzien', sv: 'tid|dato|dag' }],
];

const PATTERNS = WORDS.map(
  ([means, words]) => [new RegExp(`\\b(?:${Object.values(words).join('|')})\\b`), means] as const,
);

const ENGLISH = new RegExp(`\\b(?:${WORDS.flatMap(([, { en }]) => en ?? []).join('|')})\\b`);
const plainHeading = (heading: string): string => plainWord(heading).replace(/[^a-z0-9]+/g, ' ');
/** Whether headings are in a language other than English: where it is spoken the day stands before the month. @example inOtherLanguage(['Data', 'Chuva (mm)']) // true */
export const inOtherLanguage = (headings: readonly string[]): boolean =>
  headings.some((heading) => loggerWord(heading) !== undefined && !ENGLISH.test(plainHeading(heading)));

/** What loggers write beside: it means nothing here, whatever else the heading says. */
const OTHERS =
  /humid|moist|feucht|humedad|umid|vocht|wilgot|fukt|pressure|druck|pression|presion|wind|vent\b|radiat|strahl|solar|battery|batter|voltage|dew|leaf|rh\b/;

/**
 * What a heading of a logger's file means, in any of the languages: the word that stands first tells, of two at one place the more particular.
 * @example loggerWord('Niederschlag (mm)') // 'rainMm'
 */
export function loggerWord(heading: string): LoggerWord | undefined {
  const plain = plainHeading(heading);
  if (OTHERS.test(plain)) return undefined;
  const found = PATTERNS.flatMap(([pattern, means]) => {
    const at = pattern.exec(plain)?.index;
    return at === undefined ? [] : [{ at, means }];
  });
  const first = Math.min(...found.map((f) => f.at));
  return found.find((f) => f.at === first)?.means;
}

const RUNNING =
  /\b(?:cumulative|cumulated|running|accumulated|kumul\w*|aufsummiert|cumul\w*|acumul\w*|narastajac\w*|ackumuler\w*|summe|total|gesamt|totale|totaal)\b/;
/** Whether a heading may speak of a total that runs on, reading after reading. @example mayRun('Rain cumulative mm') // true */
export const mayRun = (heading: string): boolean => RUNNING.test(plainHeading(heading));
