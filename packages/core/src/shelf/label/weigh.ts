import { analyteName, compoundPerElement, elementOf } from '../../nutrient/index.js';
import { declaredRange, scaleDeclared } from '../../quantity/index.js';
import type { NutrientSubject } from '../../reading/index.js';
import { labelChecks } from '../labelChecks.js';
import { isPerVolume } from '../massFraction.js';
import type { AnalysisFigure } from '../product.js';
import type { Context } from './context.js';
import { figureWords, sameShare } from './figures.js';
import type { ReadLine } from './lines.js';
import type { Choice, Correction, Read } from './reading.js';

/** What else of the label weighs on a choice. */
export interface Beside {
  readonly grade: string | undefined;
  readonly densityKgPerL: number | undefined;
}

/** How much of a label contradicts itself. */
const contradictions = (analysis: readonly AnalysisFigure[], { grade, densityKgPerL }: Beside): number =>
  labelChecks({ grade, analysis, derivedFrom: [], densityKgPerL }).reduce(
    (sum, f) => sum + (f.severity === 'impossible' ? 5 : f.severity === 'warning' ? 1 : 0),
    0,
  );

/** The one choice that contradicts the rest of the label least, if there is one. */
function clearest<T>(choices: readonly T[], weight: (choice: T) => number): T | undefined {
  const weights = choices.map(weight);
  const least = Math.min(...weights);
  return weights.filter((w) => w === least).length === 1 ? choices[weights.indexOf(least)] : undefined;
}

const figuresOf = (lines: readonly ReadLine[]): readonly AnalysisFigure[] =>
  lines.flatMap(({ read }) => read.figures ?? []);
const withRead = (line: ReadLine, read: Read): ReadLine => ({
  read,
  line: {
    ...line.line,
    kind: read.kind,
    says: read.says,
    figures: read.figures ?? [],
    choices: read.choices ?? [],
    numbers: line.line.numbers.map((n) =>
      n.fate === 'asked' && read.kind !== 'notUnderstood'
        ? { ...n, fate: read.kind === 'part' ? ('setAside' as const) : ('taken' as const), why: read.says }
        : n,
    ),
  },
});

/** Lines that could be several things, settled where the rest of the label leaves one. */
export function settled(lines: readonly ReadLine[], beside: Beside): readonly ReadLine[] {
  return lines.map((line, at) => {
    const { choices = [], kind } = line.read;
    if (kind !== 'notUnderstood' || choices.length < 2 || choices.some((c) => c.figures.length === 0)) return line;
    const others = figuresOf(lines.filter((_, i) => i !== at));
    const choice = clearest(choices, (c: Choice) => contradictions([...others, ...c.figures], beside));
    return choice
      ? withRead(line, {
          ...line.read,
          kind: 'analysis',
          says: `${choice.says}: no other reading agrees with the rest of the label`,
          figures: choice.figures,
        })
      : line;
  });
}

const RANK: Readonly<Record<NutrientSubject['share'], number>> = {
  total: 5,
  said: 4,
  citrate: 3,
  acid: 2,
  water: 1,
  bound: 0,
};

/** What a label guarantees as available goes before its total. */
const AVAILABLE = 6;
function rankOf(subject: NutrientSubject | undefined, { provenance }: Context): number {
  if (!subject) return RANK.said;
  return provenance === 'label' && subject.extract ? AVAILABLE : RANK[subject.share];
}

interface Counted {
  readonly figure: AnalysisFigure;
  readonly at: number;
  readonly rank: number;
}
const element = ({ analyte, value, basis }: AnalysisFigure): number =>
  elementOf(analyte) === 'N' ? declaredRange(value).mid : declaredRange(value).mid / compoundPerElement(basis);
/** Whether two figures are one thing said twice: on another basis, or in another unit. */
function sameThing(a: AnalysisFigure, b: AnalysisFigure): boolean {
  if (a.unit === b.unit && a.basis === b.basis) return JSON.stringify(a.value) === JSON.stringify(b.value);
  const asElement = (f: AnalysisFigure): AnalysisFigure => ({
    ...f,
    value: scaleDeclared(f.value, element(f) / (declaredRange(f.value).mid || 1)),
  });
  if (a.unit === b.unit) return Math.abs(element(a) / (element(b) || 1) - 1) < 0.06;
  return sameShare(asElement(a), asElement(b));
}

/** Figures of one thing, the one that counts and what becomes of the others. */
interface Group {
  readonly kept: Counted | undefined;
  readonly said: ReadonlyMap<AnalysisFigure, string>;
  readonly asked: readonly Counted[];
}
function grouped(
  group: readonly Counted[],
  all: readonly AnalysisFigure[],
  beside: Beside,
  isChosen: (at: number) => boolean,
): Group {
  const said = new Map<AnalysisFigure, string>();
  const chosen = group.find((c) => isChosen(c.at));
  const best = Math.max(...group.map((c) => c.rank));
  const main = chosen ?? group.find((c) => c.rank === best);
  if (!main) return { kept: undefined, said, asked: [] };
  const name = analyteName(elementOf(main.figure.analyte));
  const rivals: Counted[] = [];
  for (const other of group) {
    if (other === main) continue;
    if (
      other.rank < main.rank &&
      other.figure.unit === main.figure.unit &&
      element(other.figure) <= element(main.figure) * 1.001
    )
      said.set(other.figure, `part of ${name}, already counted in its total`);
    else if (main.rank === AVAILABLE && other.rank < AVAILABLE)
      said.set(other.figure, `not guaranteed as available: ${figureWords(other.figure)}`);
    else if (sameThing(other.figure, main.figure)) said.set(other.figure, `said again: ${figureWords(other.figure)}`);
    else if (isPerVolume(other.figure.unit) !== isPerVolume(main.figure.unit))
      said.set(other.figure, `said again by volume: ${figureWords(other.figure)}`);
    else if (chosen) said.set(other.figure, 'set aside for the figure you chose');
    else rivals.push(other);
  }
  if (rivals.length === 0) return { kept: main, said, asked: [] };
  const rest = all.filter((f) => !group.some((c) => c.figure === f));
  const clear = clearest([main, ...rivals], (c) => contradictions([...rest, c.figure], beside));
  if (!clear) return { kept: undefined, said, asked: [main, ...rivals] };
  for (const other of [main, ...rivals])
    if (other !== clear)
      said.set(other.figure, `${figureWords(other.figure)} does not agree with the rest of the label`);
  return { kept: clear, said, asked: [] };
}

/**
 * Each thing once: parts of a total and what is said again are set aside; of two figures that contradict each other the one that agrees with the
 * rest of the label counts, and where neither does more than the other, a person is asked.
 */
export function eachOnce(
  lines: readonly ReadLine[],
  context: Context,
  beside: Beside,
  corrections: Readonly<Record<number, Correction>>,
): readonly ReadLine[] {
  const all = lines.flatMap(({ read }, at): Counted[] =>
    (read.figures ?? []).map((figure) => ({ figure, at, rank: rankOf(context.subjects.get(figure), context) })),
  );
  const keys = new Map<string, Counted[]>();
  for (const counted of all) {
    const { analyte, extract } = counted.figure;
    const key = `${analyte}|${extract ?? ''}`;
    keys.set(key, [...(keys.get(key) ?? []), counted]);
  }
  const dropped = new Map<AnalysisFigure, string>();
  const asked = new Map<number, Group['asked']>();
  for (const group of keys.values()) {
    if (group.length < 2) continue;
    const { said, asked: doubts } = grouped(
      group,
      all.map((c) => c.figure),
      beside,
      (at) => corrections[at + 1] !== undefined,
    );
    for (const [figure, why] of said) dropped.set(figure, why);
    for (const doubt of doubts) {
      dropped.set(doubt.figure, 'asked');
      asked.set(doubt.at, doubts);
    }
  }
  if (dropped.size === 0) return lines;
  return lines.map((line, at) => {
    const { figures = [] } = line.read;
    const gone = figures.filter((f) => dropped.has(f));
    if (gone.length === 0) return line;
    const kept = figures.filter((f) => !dropped.has(f));
    const doubts = asked.get(at);
    if (doubts) return askedLine(line, kept, doubts);
    const why = [...new Set(gone.map((f) => dropped.get(f) ?? ''))];
    const says = [...kept.map(figureWords), ...why].join('; ');
    return withRead(line, {
      ...line.read,
      kind: kept.length > 0 ? line.read.kind : 'part',
      says: line.read.kind === 'notUnderstood' ? `${line.read.says}; ${why.join('; ')}` : says,
      figures: kept,
    });
  });
}

function askedLine(line: ReadLine, kept: readonly AnalysisFigure[], doubts: Group['asked']): ReadLine {
  const name = analyteName(doubts[0]?.figure.analyte ?? 'N');
  const where = doubts
    .slice(0, 4)
    .map((d) => `${figureWords(d.figure)} in line ${d.at + 1}`)
    .join(', ');
  return withRead(line, {
    ...line.read,
    kind: 'notUnderstood',
    says: [...kept.map(figureWords), `${name} is told more than once, ${where}: say which`].join('; '),
    figures: kept,
    choices: doubts.map((d) => ({ says: figureWords(d.figure), figures: [...kept, d.figure] })),
  });
}
