import { LabelError } from '../errors.js';
import { ATOMIC_WEIGHT, molarMass, type Atom, type Composition } from './atoms.js';
import { NUTRIENTS, typedFormula, type Nutrient } from './nutrients.js';

/** A formula read as an analysis: what of its mass each element is, hydrate water counted in the whole. */
export interface FormulaAnalysis {
  readonly composition: Composition;
  /** g/mol. */
  readonly molarMass: number;
  /** kg of element per kg of the salt, for the elements the ledger keeps accounts of. */
  readonly fractions: Readonly<Partial<Record<Nutrient, number>>>;
  /** Molecules of hydrate water. */
  readonly water: number;
}

const refuse = (text: string): LabelError =>
  new LabelError('formula.unread', `Read "${text.slice(0, 40)}", expected a formula such as MgSO4·7H2O or (NH4)2SO4.`);

const MOST_OF_ONE = 1000;

/** Reads `text` from `at` up to the closing bracket or its end, as counts of atoms. */
function readGroup(
  text: string,
  from: number,
  depth: number,
): { readonly counts: Map<Atom, number>; readonly end: number } {
  const counts = new Map<Atom, number>();
  const add = (atom: Atom, n: number): void => void counts.set(atom, (counts.get(atom) ?? 0) + n);
  let at = from;
  const count = (): number => {
    const digits = /^\d+/.exec(text.slice(at))?.[0] ?? '';
    at += digits.length;
    const n = digits === '' ? 1 : Number(digits);
    if (n === 0 || n > MOST_OF_ONE) throw refuse(text);
    return n;
  };
  while (at < text.length && text[at] !== ')') {
    if (text[at] === '(') {
      if (depth > 4) throw refuse(text);
      const inner = readGroup(text, at + 1, depth + 1);
      if (text[inner.end] !== ')') throw refuse(text);
      at = inner.end + 1;
      const times = count();
      inner.counts.forEach((n, atom) => add(atom, n * times));
      continue;
    }
    const symbol = /^[A-Z][a-z]?/.exec(text.slice(at))?.[0];
    // "CO" is carbon and oxygen, "Co" is cobalt: two letters count as one symbol only when that element is known.
    const atom = symbol && symbol in ATOMIC_WEIGHT ? symbol : symbol?.[0];
    if (!atom || !(atom in ATOMIC_WEIGHT)) throw refuse(text);
    at += atom.length;
    add(atom as Atom, count());
  }
  return { counts, end: at };
}

/**
 * Reads a chemical formula as a label: `MgSO4·7H2O`, `CaSO4.2H2O`, `(NH4)2SO4`, `K2SO4·2MgSO4`. The dot joins the parts of a
 * double salt or its hydrate water; the water is part of the mass, and the wrong hydrate is the commonest error.
 *
 * @throws LabelError when the text is no formula, or holds an element the ledger does not know
 * @example readFormula('MgSO4·7H2O').fractions.Mg // 0.0986
 */
export function readFormula(input: string): FormulaAnalysis {
  const text = typedFormula(input.trim()).replace(/\s+/g, '');
  if (text === '' || text.length > 60) throw refuse(input);
  const total: Partial<Record<Atom, number>> = {};
  let water = 0;
  for (const piece of text.split(/[·.*•∙]/)) {
    const [, lead = '', body = ''] = /^(\d*)(.*)$/.exec(piece) ?? [];
    const times = lead === '' ? 1 : Number(lead);
    const { counts, end } = readGroup(body, 0, 0);
    if (body === '' || end !== body.length || times === 0 || times > MOST_OF_ONE) throw refuse(input);
    counts.forEach((n, atom) => {
      total[atom] = (total[atom] ?? 0) + n * times;
    });
    if (body === 'H2O') water += times;
  }
  const mass = molarMass(total);
  const fractions = Object.fromEntries(
    NUTRIENTS.flatMap((n) => {
      const count = total[n as Atom];
      return count ? [[n, (count * ATOMIC_WEIGHT[n as Atom]) / mass]] : [];
    }),
  ) as Partial<Record<Nutrient, number>>;
  return { composition: total, molarMass: mass, fractions, water };
}

/** Whether a text looks like a formula at all: capitals, digits, brackets and dots, and at least two elements. */
export const looksLikeFormula = (text: string): boolean =>
  /^[A-Z(][A-Za-z0-9()·.*•∙₀-₉]*$/.test(text.trim()) && /[A-Z].*[A-Z]/.test(text) && /\d|[₀-₉]/.test(text);
