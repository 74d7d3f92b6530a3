import type { Language } from './words/languages.js';
import { plainWord } from './words/lookup.js';

/** What a logger writes down. */
export type LoggerWord = 'date' | 'soilC' | 'airC' | 'rainMm' | 'irrigationMm' | 'etMm';

/** Headings of loggers in other languages, phrases parted by `|`, as `plainWord` makes them; the most particular first. */
// prettier-ignore
const WORDS: readonly (readonly [LoggerWord, Readonly<Partial<Record<Language, string>>>])[] = [
  ['soilC', { de: 'bodentemperatur|bodentemp|erdtemperatur', fr: 'temperature du sol|temperature sol|temp sol', es: 'temperatura del suelo|temperatura suelo|temp suelo', it: 'temperatura del suolo|temperatura suolo|temperatura del terreno|temp suolo', nl: 'bodemtemperatuur|bodemtemp', pt: 'temperatura do solo|temp solo', pl: 'temperatura gleby|temp gleby', sv: 'marktemperatur|jordtemperatur' }],
  ['airC', { de: 'lufttemperatur|lufttemp', fr: 'temperature de l air|temperature air|temp air', es: 'temperatura del aire|temperatura aire', it: 'temperatura dell aria|temperatura aria', nl: 'luchttemperatuur', pt: 'temperatura do ar', pl: 'temperatura powietrza', sv: 'lufttemperatur' }],
  ['etMm', { de: 'verdunstung', fr: 'evapotranspiration|etp', es: 'evapotranspiracion', it: 'evapotraspirazione', nl: 'verdamping|gewasverdamping', pt: 'evapotranspiracao', pl: 'ewapotranspiracja', sv: 'avdunstning|fordampning' }],
  ['rainMm', { de: 'niederschlag|regen|regenmenge', fr: 'pluie|pluviometrie|precipitations', es: 'lluvia|precipitacion', it: 'pioggia|precipitazioni|precipitazione', nl: 'neerslag', pt: 'chuva|precipitacao', pl: 'opad|opady|deszcz', sv: 'regn|nederbord|nedbor' }],
  ['irrigationMm', { de: 'bewasserung|beregnung', fr: 'arrosage', es: 'riego', it: 'irrigazione', nl: 'beregening|irrigatie', pt: 'rega|irrigacao', pl: 'nawadnianie', sv: 'bevattning|vanding' }],
  ['date', { de: 'datum|zeit|zeitstempel|uhrzeit|tag', fr: 'heure|horodatage|jour', es: 'fecha|hora|dia', it: 'data|ora|giorno', nl: 'tijd|tijdstip|dag', pt: 'carimbo', pl: 'czas|godzina|dzien', sv: 'tid|dato|dag' }],
];

const PATTERNS = WORDS.map(
  ([means, words]) => [new RegExp(`\\b(?:${Object.values(words).join('|')})\\b`), means] as const,
);

/** What a heading of a logger's file means in another language than English. @example loggerWord('Niederschlag (mm)') // 'rainMm' */
export function loggerWord(heading: string): LoggerWord | undefined {
  const plain = plainWord(heading).replace(/[^a-z0-9]+/g, ' ');
  return PATTERNS.find(([pattern]) => pattern.test(plain))?.[1];
}

const RUNNING =
  /\b(?:cumulative|cumulated|running|accumulated|kumul\w*|aufsummiert|cumul\w*|acumul\w*|narastajac\w*|ackumuler\w*|summe|total|gesamt|totale|totaal)\b/;
/** Whether a heading may speak of a total that runs on, reading after reading. @example mayRun('Rain cumulative mm') // true */
export const mayRun = (heading: string): boolean => RUNNING.test(plainWord(heading).replace(/[^a-z0-9]+/g, ' '));
