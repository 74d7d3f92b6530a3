import { unitOf } from '../quantity/index.js';
import type { Token } from './token.js';
import type { FigureUnit } from './units.js';
import type { Meaning } from './words/lookup.js';

/** Grams or millilitres of a measure that names one thing only, of that kind; nothing else. */
function amountOf(token: Token | undefined, dimension: 'mass' | 'volume'): number {
  const [symbol, other] = token?.kind === 'unit' ? token.units : [];
  if (symbol === undefined || other !== undefined) return 0;
  const unit = unitOf(symbol);
  return unit.dimension === dimension ? unit.factor * 1000 : 0;
}
const CONTAINS =
  /\b(?:contains?|enth[aä]lt|enthalten|contient|contiennent|contiene|contengono|bevat|zawiera|inneh[aå]ller|indeholder|cont[eé]m)\b|^\s*(?:per|pro|par|por|je|na)\s/i;

/** "Contents per litre:" leaves the one to be understood. */
const PER_ONE = /^[^\d]*\b(?:per|pro|par|por|je|na)\s+(lit(?:er|re|ro|r)|kilo(?:gramm?e?)?|kg)\s*:\s*$/i;

/** "Nutrient content per 100 g dried pellets" */
const PER_HUNDRED =
  /\b(?:content|contents|nutrients?|nutrition\w*|analysis|composition|values?|gehalte?|inhaltsstoffe|n[aä]hrwerte?|teneurs?|valeurs?|contenido|contenuto|valori)\b.*\b(?:per|pro|par|por|je|na)\s+100\s?(?:g|ml)\b/i;

/** A mass as a share of so many grams or millilitres. */
function shareOf(token: Token, grams: number, millilitres: number): Token {
  const mass = amountOf(token, 'mass');
  if (mass === 0) return token;
  const { text, start, end } = token;
  const small = mass < 1;
  const told = (unit: FigureUnit, factor: number): Token => ({
    kind: 'content',
    text,
    start,
    end,
    unit,
    factor: Number(factor.toPrecision(9)),
    of: undefined,
  });
  if (grams > 0) return small ? told('mg/kg', (mass / grams) * 1e6) : told('%', (mass / grams) * 100);
  return small ? told('mg/L', (mass / millilitres) * 1e6) : told('% w/v', (mass / millilitres) * 100);
}

/** Grams and millilitres that what follows is told for. */
export interface Amount {
  readonly grams: number;
  readonly millilitres: number;
}
/** "Per 1000 kg the slurry contains:": the amount that the lines below are told for, where a line says that and no more. */
export function amountAhead(tokens: readonly Token[], line: string): Amount | undefined {
  const one = PER_ONE.exec(line)?.[1];
  if (one !== undefined) return /^k/i.test(one) ? { grams: 1000, millilitres: 0 } : { grams: 0, millilitres: 1000 };
  const at = tokens.findIndex((t) => t.kind === 'number');
  const [number, unit] = [tokens[at], tokens[at + 1]];
  if (number?.kind !== 'number' || unit?.kind !== 'unit') return undefined;
  if ((at > 3 || !CONTAINS.test(line)) && !PER_HUNDRED.test(line)) return undefined;
  const more = tokens.slice(at + 2).some((t) => t.kind === 'number' || t.kind === 'unit');
  const amount = number.readings[0] ?? 0;
  const told = { grams: amount * amountOf(unit, 'mass'), millilitres: amount * amountOf(unit, 'volume') };
  return more || told.grams + told.millilitres <= 0 ? undefined : told;
}
/** A line below it with its masses as shares of that amount. */
export const sharesOf = (tokens: readonly Token[], { grams, millilitres }: Amount): readonly Token[] =>
  tokens.map((t) => shareOf(t, grams, millilitres));

/** "Each 100 g contains: nitrogen 4 g": masses are told for an amount, so that each is a share of it. */
export function forAmount(tokens: readonly Token[], line: string): readonly Token[] {
  const at = tokens.findIndex((t) => t.kind === 'number');
  const [number, unit] = [tokens[at], tokens[at + 1]];
  if (number?.kind !== 'number' || unit?.kind !== 'unit' || at > 3 || !CONTAINS.test(line)) return tokens;
  const amount = number.readings[0] ?? 0;
  const [grams, millilitres] = [amount * amountOf(unit, 'mass'), amount * amountOf(unit, 'volume')];
  const rest = tokens.slice(at + 2);
  if (grams + millilitres <= 0 || !rest.some((t) => amountOf(t, 'mass') > 0)) return tokens;
  const text = line.slice(number.start, unit.end);
  const lead: Token = { kind: 'word', text, start: number.start, end: unit.end, means: new Set<Meaning>(['per']) };
  return [...tokens.slice(0, at), lead, ...rest.map((t) => shareOf(t, grams, millilitres))];
}
