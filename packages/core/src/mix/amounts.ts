import { CONTAMINANTS, NUTRIENTS, OXIDES, typedFormula, type Basis, type Nutrient } from '../nutrient/index.js';
import { findUnit, parseNumber, parseQuantity } from '../quantity/index.js';
import type { Grade } from '../shelf/index.js';

/** Amounts of nutrients in all, in kg; or what could not be read, and in which of the two texts. */
export type ParsedAmounts =
  | { readonly ok: true; readonly parts: Grade }
  | { readonly ok: false; readonly field: 'target' | 'madeFor'; readonly reason: string };

const ELEMENTS = NUTRIENTS.filter((n) => !CONTAMINANTS.includes(n));
interface Named {
  readonly nutrient: Nutrient;
  readonly basis: Basis;
}
const NAMES: ReadonlyMap<string, Named> = new Map<string, Named>([
  ...ELEMENTS.map((nutrient) => [nutrient.toLowerCase(), { nutrient, basis: 'element' as const }] as const),
  ...OXIDES.map(({ basis, element }) => [basis.toLowerCase(), { nutrient: element, basis }] as const),
]);
const EXAMPLE = 'such as 120 g N, 60 g K2O';
/** "120 g N", "N 120 g", "60 kg/ha K2O", "N 4 g/m²". */
const PIECE =
  /^(?:([A-Za-z][A-Za-z0-9]*)\s*[:=]?\s+)?([\d.,/\s]+\s*[A-Za-zµ]+)(?:\s*(?:\/|per)\s*([A-Za-z²2]+))?(?:\s+(?:of\s+)?([A-Za-z][A-Za-z0-9]*))?$/;

/** For how much it is made: an area in m², so many of something, or once. */
type MadeFor = { readonly m2: number } | { readonly times: number };
function readMadeFor(text: string): MadeFor | string {
  const typed = text.trim();
  if (typed === '') return { times: 1 };
  const area = parseQuantity(typed, 'area');
  if (area.ok)
    return area.value > 0 ? { m2: area.value * area.unit.factor } : `Read “${typed}”, expected more than nothing.`;
  const [, number = '', what = ''] = /^([\d.,½¼¾/\s]+)(.*)$/.exec(typed) ?? [];
  const count = parseNumber(number);
  if (!count.ok || count.value <= 0 || findUnit(what.trim()))
    return `Read “${typed.slice(0, 40)}”, expected an area such as 8 m², or so many of something such as 12 plants.`;
  return { times: count.value };
}

function readPiece(text: string, madeFor: MadeFor): Grade[number] | string {
  const [, before, amount = '', per, behind] = PIECE.exec(typedFormula(text)) ?? [];
  const named = NAMES.get((before ?? behind ?? '').toLowerCase());
  if (!named || (before && behind)) return `Read “${text.slice(0, 40)}”, expected ${EXAMPLE}.`;
  const mass = parseQuantity(amount, 'mass');
  if (!mass.ok) return mass.reason;
  const kg = mass.value * mass.unit.factor;
  const ground = per === undefined ? undefined : findUnit(per.replace(/^m2$/i, 'm²'));
  if (per !== undefined && ground?.dimension !== 'area') return `Read “${per}”, expected an area such as m² or ha.`;
  if (ground && !('m2' in madeFor)) return `Read an amount for each ${per ?? ''}: say for which area it is made.`;
  const times = 'm2' in madeFor ? (ground ? madeFor.m2 / ground.factor : 1) : madeFor.times;
  return { ...named, amount: Number((kg * times).toPrecision(9)) };
}

/**
 * Reads amounts of nutrients that a mix shall bring in all: as such, for each of so many plants or beds, or for an area.
 * @param target names with weights, `120 g N, 60 g K2O`, or `60 kg/ha N`
 * @param madeFor empty for once, `12 plants` for so many times as much, an area for what is told by the area
 * @returns the amounts in kg, each nutrient in the basis it was told in
 * @example parseAmounts('5 g N, 2 g P2O5', '12 plants') // 0.06 kg N, 0.024 kg P₂O₅
 * @example parseAmounts('60 kg/ha N', '50 m²') // 0.3 kg N
 */
export function parseAmounts(target: string, madeFor = ''): ParsedAmounts {
  const refuse = (field: 'target' | 'madeFor', reason: string): ParsedAmounts => ({ ok: false, field, reason });
  const often = readMadeFor(madeFor);
  if (typeof often === 'string') return refuse('madeFor', often);
  const pieces = target
    .split(/[;\n]|,(?!\d)|\s\+\s|\band\b/)
    .map((p) => p.trim())
    .filter((p) => p !== '');
  if (pieces.length === 0) return refuse('target', `Read nothing, expected ${EXAMPLE}.`);
  const parts: Grade[number][] = [];
  for (const piece of pieces) {
    const part = readPiece(piece, often);
    if (typeof part === 'string') return refuse('target', part);
    if (parts.some((p) => p.nutrient === part.nutrient))
      return refuse('target', `Read ${part.nutrient} twice, expected it once.`);
    parts.push(part);
  }
  return { ok: true, parts };
}
