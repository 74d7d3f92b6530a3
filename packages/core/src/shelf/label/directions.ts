import { parseRate, printRate, type DecimalMark, type ParsedRate } from '../../quantity/index.js';
import type { Direction } from '../product.js';
import type { Told } from '../../reading/index.js';
import { inEnglish, RATE_WORDS } from './rateWords.js';
import type { Taken } from './reading.js';

const COUNTED: Readonly<Record<string, number>> = { once: 1, twice: 2, three: 3, four: 4, five: 5, six: 6 };

/** How often a year the directions say, when they do. @example timesAYear('twice a year') // 2 */
function timesAYear(line: string): number | undefined {
  const said =
    /\b(?:(once|twice)|(three|four|five|six|\d{1,2})\s+(?:times|applications))\s+(?:a|per|each|every)\s+(?:year|season)\b/i.exec(
      line,
    );
  const word = (said?.[1] ?? said?.[2])?.toLowerCase();
  return word === undefined ? undefined : (COUNTED[word] ?? (Number(word) || undefined));
}

const NUMBER = String.raw`(?:\d[\d.,]*(?:\s+\d/\d|/\d)?|[½⅓⅔¼¾⅛⅜⅝⅞])`;
const WHOSE = String.raw`(?:(?:us|metric|imperial|imp|uk|au|australian)\s+)?`;
const AMOUNT = String.raw`(?:${RATE_WORDS.gram}|k?g|mg|grams?|kilos?|kilograms?|ml|millilit(?:re|er)s?|l|lit(?:re|er)s?|lbs?|pounds?|oz|ounces?|${WHOSE}(?:fl\.?\s?oz|tbsp|tablespoons?|tsp|teaspoons?|cups?|pints?|quarts?|gal(?:lon)?s?))`;
const MEDIUM = String.raw`(?:growing |potting )?(?:medium|mix|compost|soil|substrate)`;
const PER = String.raw`(?:${RATE_WORDS.water}\b|${RATE_WORDS.area}\b|${RATE_WORDS.plant}\b|m²|m2|sq\.?\s?m\b|(?:sq\.?|square)\s?met(?:re|er)s?|ha\b|hectares?|ac(?:re)?s?\b|ft²|ft2|(?:sq\.?|square)\s?(?:ft|feet|foot)|yd²|(?:sq\.?|square)\s?(?:yds?\b|yards?)|plants?\b|bush(?:es)?\b|trees?\b|shrubs?\b|vines?\b|crowns?\b|(?:m|met(?:re|er)s?|ft|feet|foot)\s(?:of\s)?rows?\b|${WHOSE}(?:l|lit(?:re|er)s?|gal(?:lon)?s?)\b(?:\s(?:of\s)?(?:water|${MEDIUM}))?|(?:m³|m3|cubic\s(?:met(?:re|er)s?|yards?|f(?:oo|ee)t)|yd³|ft³)\s(?:of\s)?${MEDIUM})`;
const COUNT = String.raw`\d(?:[\d.,]*\d)?\s*`;
// "in 5 litres" and "for each plant" tell a rate; "for plants" does not.
const EACH = String.raw`(?:\/|\b(?:per|${RATE_WORDS.each})(?:\b|(?<=[.'’])))\s*((?:${COUNT})?${PER})|\b(?:in|to|for|over|with|into|on|pour|par|für|per|su|para)\s+(?:(?:each|every|an?)\s+)?(${COUNT}${PER})|\b(?:in|to|for|over|with|into|on)\s+(?:each|every|an?)\s+(${PER})`;
const RATE = new RegExp(
  String.raw`(${NUMBER}(?:\s*${AMOUNT})?(?:\s*(?:–|-|to|${RATE_WORDS.to})\s*${NUMBER})?)\s*(${AMOUNT})(?:\.(?=\s)|\))?\s*(?:of\s[a-z ]{2,24}?\s)?(?:${EACH})`,
  'gi',
);
/** An amount that a rate could begin with; most lines have none, which is quickly seen. */
const HAS_AMOUNT = new RegExp(String.raw`[\d½⅓⅔¼¾⅛⅜⅝⅞]\s*(?:of\s)?${AMOUNT}(?![a-z])`, 'i');
const OTHER_RATE = new RegExp(String.raw`${NUMBER}\s*${AMOUNT}\b.*\bper\b`, 'i');
/** Words that make "2 g/L" a dose, not what a litre holds. */
const DOSE =
  /\b(?:dos[ei]\w*|dosage|dosier\w*|dawk\w*|aufwand\w*|verd[uü]nn\w*|dilu\w*|fertig\w*|fertirr\w*|feed(?:ing)?|dissolve)\b/i;
const asRate = (
  line: string,
  [, amount = '', unit = '', per = '', counted = '', each = '']: readonly (string | undefined)[],
  mark: DecimalMark | undefined,
): ParsedRate => {
  const behind = per || counted || each;
  const read = parseRate(inEnglish(`${amount} ${unit}/${behind}`), mark);
  // "60 g/L" on a label is what a litre holds; only with the water named is it a rate.
  const content =
    read.ok &&
    read.rate.per.unit === 'L of water' &&
    !/water/i.test(behind) &&
    /^k?g|^mg/i.test(unit) &&
    !DOSE.test(line);
  return content ? { ok: false, reason: 'what a litre holds' } : read;
};

/** What a rate is for: the words before a colon, or those behind "for". Words that every label has say nothing. */
function useOf(before: string, behind: string): string {
  const named = /([^:;.]+):[^:]*$/.exec(before)?.[1] ?? /^[^;.,:]{0,3}\bfor\s+([^;.,:]+)/i.exec(behind)?.[1] ?? '';
  return named
    .replace(/^[\s,;•*–-]+|\s+$/g, '')
    .replace(
      /^(?:and|then|directions?(?: for use)?|(?:application |label )?rates?|how to use|use|apply|dosage|dose|dilution)$/i,
      '',
    )
    .slice(0, 80);
}

const words = (d: Direction): string =>
  `${printRate(d)}${d.use === '' ? '' : ` for ${d.use}`}${d.perYear === undefined ? '' : d.perYear === 1 ? ', once a year' : `, ${d.perYear} times a year`}`;

/**
 * The rates of a line of directions, each with what it is for and how often a year, where the line tells; and what else stands in the line.
 * @example takeDirections('New beds: 100 g per m², once a year')?.read.directions
 */
export function takeDirections(line: string, mark?: DecimalMark): Taken | undefined {
  const ratio = /\b(?:dilut\w*|mix\w*|rates?)\b\D{0,20}(1\s*:\s*\d{2,5})\b/i.exec(line);
  const found = [...line.matchAll(RATE)];
  const reads = found.map((m) => asRate(line, m, mark));
  // "1:200" alone could be meant in two ways; beside "5 mL/L" it says that again.
  const parts = reads.some((r) => r.ok) ? undefined : ratio && parseRate(ratio[1] ?? '');
  if (parts && !parts.ok) return { read: { kind: 'notUnderstood', says: parts.reason, told: [] }, rest: '' };
  if (!HAS_AMOUNT.test(line)) return undefined;
  const plain = ratio ? line.replace(ratio[1] ?? '', (parts) => ' '.repeat(parts.length)) : line;
  // What stands beside the rates, each sign in its place.
  const rest = plain.replace(RATE, (rate: string) => `;${' '.repeat(rate.length - 1)}`);
  const told = found.map((m): Told => ({
    start: m.index,
    end: m.index + m[0].length,
    fate: 'taken',
    why: 'a rate of the directions',
  }));
  const directions = found.flatMap((m, i): Direction[] => {
    const read = reads[i];
    const end = m.index + m[0].length;
    const from = found[i - 1];
    const behind = plain.slice(end, found[i + 1]?.index);
    // Of several rates, how often is said of the one it stands behind.
    return read?.ok
      ? [
          {
            ...read.rate,
            use: useOf(plain.slice(from ? from.index + from[0].length : 0, m.index), behind),
            perYear: timesAYear(found.length > 1 ? behind : line),
          },
        ]
      : [];
  });
  const other = OTHER_RATE.test(rest);
  if (directions.length > 0)
    return {
      read: {
        kind: other ? 'notUnderstood' : 'rate',
        says: `${directions.length === 1 ? 'a rate' : 'rates'} of ${directions.map(words).join(', and ')}${other ? '; another rate in the line was not understood' : ''}`,
        directions,
        told,
      },
      rest,
    };
  const asked = reads.find((r) => !r.ok && r.which);
  return asked && !asked.ok
    ? {
        read: {
          kind: 'notUnderstood',
          says: `a rate, but ${asked.reason}`,
          told: told.map((t) => ({ ...t, fate: 'asked' })),
        },
        rest,
      }
    : undefined;
}
