import {
  ANALYTES,
  analyteName,
  basesOf,
  formulaText,
  PROTEIN_FACTOR_KEYS,
  type Analyte,
  type Basis,
  type Correction,
  type LabelLine,
  type LineKind,
} from '@wheat-ledger/core';

export const KIND_WORDS: Readonly<Record<LineKind, string>> = {
  grade: 'grade',
  analysis: 'figure',
  part: 'set aside',
  derivedFrom: 'ingredients',
  package: 'package',
  density: 'density',
  liming: 'liming',
  ratio: 'ratio',
  rate: 'rate',
  heading: 'heading',
  setAside: 'set aside',
  blank: '',
  notUnderstood: 'asked',
};
export const kindInk = (kind: LineKind): string =>
  kind === 'notUnderstood'
    ? 'text-beet'
    : kind === 'part' || kind === 'setAside' || kind === 'heading'
      ? 'text-faint'
      : 'text-moss';

/** Everything a line can be taken as. */
export const TAKEN_AS = ANALYTES.flatMap((a) =>
  basesOf(a).map((b) => ({
    value: `${a}|${b}`,
    text: `${analyteName(a)}${b === 'element' ? '' : `, as ${formulaText(b)}`}`,
  })),
);

export function toCorrection(value: string): Correction | undefined {
  if (value === '') return undefined;
  if (value === 'ignore') return { kind: 'ignore' };
  if (value.startsWith('choice|')) return { kind: 'choice', says: value.slice('choice|'.length) };
  const factor = PROTEIN_FACTOR_KEYS.find((f) => value === `protein|${f}`);
  if (factor) return { kind: 'protein', factor };
  const [analyte, basis] = value.split('|') as [Analyte, Basis];
  return { kind: 'analyte', analyte, basis };
}
export function correctionValue(c: Correction | undefined): string {
  switch (c?.kind) {
    case undefined:
    case 'doubt':
      return '';
    case 'ignore':
      return 'ignore';
    case 'choice':
      return `choice|${c.says}`;
    case 'protein':
      return `protein|${c.factor}`;
    case 'analyte':
      return `${c.analyte}|${c.basis}`;
  }
}

const MAIN = new Set(['N', 'P', 'K']);
const METALS = new Set(['As', 'Cd', 'Pb', 'Hg', 'Cr', 'Ni']);
/** How much harm a wrong answer to a line could do: what is dosed by and what poisons first, then what could be several things. */
export function harmOf({ choices, text }: LabelLine): number {
  const analytes = choices.flatMap((c) => c.figures.map((f) => f.analyte.split('.')[0] ?? ''));
  if (analytes.some((a) => MAIN.has(a) || METALS.has(a))) return 3;
  return choices.length > 0 ? 2 : /\d/.test(text) ? 1 : 0;
}
