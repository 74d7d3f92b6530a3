import { productOf, sameKind, type Measure } from '../quantity/index.js';
import { everyFigure, type Figure } from './figure.js';

const told = (m: Measure): string => m.text || 'no unit';
const near = (a: number, b: number): boolean => Math.abs(a - b) <= 1e-9 * Math.max(Math.abs(a), Math.abs(b));

/** What a figure's operands come to, as a kind of measure and as a number of canonical units; undefined where nothing follows from them. */
function follows({
  how,
  unit,
}: Figure): { readonly measure: Measure; readonly canonical: number } | string | undefined {
  if (how.kind !== 'operation') return undefined;
  const [first, ...rest] = how.of;
  if (!first) return undefined;
  if (how.sign === '+' || how.sign === '−') {
    const other = how.of.find((f) => !sameKind(f.unit, unit) || !near(f.unit.factor, unit.factor));
    if (other) return `${told(other.unit)} is added up as ${told(unit)}`;
    const total = rest.reduce((all, f) => all + (how.sign === '+' ? 1 : -1) * f.value.mid, first.value.mid);
    return { measure: unit, canonical: total * unit.factor };
  }
  const canonical = (f: Figure): number => f.value.mid * f.unit.factor;
  if (how.sign === '×')
    return {
      measure: productOf(how.of.map((f) => f.unit)),
      canonical: how.of.reduce((all, f) => all * canonical(f), 1),
    };
  const inverse = (m: Measure): Measure => ({
    text: '',
    powers: Object.fromEntries(Object.entries(m.powers).map(([base, power]) => [base, -power])),
    factor: 1 / m.factor,
  });
  return {
    measure: productOf([first.unit, ...rest.map((f) => inverse(f.unit))]),
    canonical: rest.reduce((all, f) => all / canonical(f), canonical(first)),
  };
}

/**
 * Where the units of a figure's working do not fit: sums of unlike things, products and quotients that come to another unit or another number
 * than is shown.
 * @returns a sentence for each place; empty when all fits
 */
export function unitProblems(figure: Figure): readonly string[] {
  return everyFigure(figure).flatMap((f) => {
    const found = follows(f);
    if (found === undefined) return [];
    if (typeof found === 'string') return [`${f.label}: ${found}.`];
    if (!sameKind(found.measure, f.unit))
      return [`${f.label}: ${told(f.unit)} does not follow from what it was made of.`];
    const shown = f.value.mid * f.unit.factor;
    return near(found.canonical, shown) ? [] : [`${f.label}: ${shown} is shown where ${found.canonical} follows.`];
  });
}
