import { analyteName, compoundPerElement, elementOf } from '../../nutrient/index.js';
import { declaredRange, formatGiven, rangeValue, scaleDeclared } from '../../quantity/index.js';
import { readPackages, type NutrientSubject } from '../../reading/index.js';
import { labelChecks } from '../labelChecks.js';
import { isPerVolume } from '../massFraction.js';
import type { AnalysisFigure } from '../product.js';
import { againstDry, overflows, receivedOf, sameShare } from './agree.js';
import type { Context } from './context.js';
import { figureWords } from './figures.js';
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

/** "Nitrogen 0.9 % 1.4 %" with 36 % moisture: the first is what was received, the second what is dry; what follows says it in another unit. */
function received(choices: readonly Choice[], { moisture }: Context): Choice | undefined {
  const single = choices.flatMap((choice) => {
    const [figure, another] = choice.figures;
    return figure && !another ? [{ choice, figure }] : [];
  });
  const [first] = single;
  if (!first || single.length !== choices.length) return undefined;
  if (single.some(({ figure: f }) => f.analyte !== first.figure.analyte || f.basis !== first.figure.basis))
    return undefined;
  for (const [i, a] of single.entries())
    for (const b of single.slice(i + 1)) {
      const found = receivedOf(a.figure, b.figure, moisture);
      if (found) return found === a.figure ? a.choice : b.choice;
    }
  return undefined;
}

/** "4.9  5.4  5.1": values of one thing side by side. Where many lines have them they are several samples, and none agrees better by itself. */
const isSeries = ({ choices = [] }: Read): boolean => {
  const [first] = choices[0]?.figures ?? [];
  return (
    choices.length > 1 && choices.every((c) => c.figures.at(-1)?.analyte === first?.analyte && c.figures.length === 1)
  );
};
const MOST_ALONE = 2;

/** Lines that could be several things, settled where the rest of the label leaves one. */
export function settled(lines: readonly ReadLine[], beside: Beside, context: Context): readonly ReadLine[] {
  const series = lines.filter(({ read }) => isSeries(read) && (read.choices ?? []).length > 2);
  const columns = new Set(
    series.map(({ read: { choices = [] } }) => choices.findIndex((c) => c === received(choices, context))),
  );
  // Which column was received is the same in every row.
  const alike = columns.size === 1 && !columns.has(-1);
  const inRows = series.length > MOST_ALONE;
  return lines.map((line, at) => {
    const { choices = [], kind } = line.read;
    if (kind !== 'notUnderstood' || choices.length < 2 || choices.some((c) => c.figures.length === 0)) return line;
    const others = figuresOf(lines.filter((_, i) => i !== at));
    const { number } = line.line;
    const choice =
      (inRows && isSeries(line.read) && !alike ? undefined : received(choices, context)) ??
      clearest(
        inRows && isSeries(line.read) ? [] : choices,
        (c: Choice) =>
          contradictions([...others, ...c.figures], beside) +
          c.figures.filter((f) => againstDry(number, f, context) || overflows(f, context)).length,
      );
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

/** Lines above the rest, where the name of a product stands. */
const TITLE_LINES = 3;
const AT_END = /(?<![\d.,/-])\d+(?:[.,]\d+)?\s?(?:kg|g|l|lt|lit(?:re|er)s?|ml|lbs?)\.?\s*$/i;
/** "BROOKSIDE COMPOST 50 L": the amount that ends a title is the package, where nothing else tells one. */
export function withTitlePackage(lines: readonly ReadLine[]): readonly ReadLine[] {
  if (lines.some(({ read }) => read.packages)) return lines;
  const titles = lines.filter(({ read }) => read.kind !== 'blank').slice(0, TITLE_LINES);
  const title = titles.find(
    ({ read, line }) =>
      read.kind === 'notUnderstood' && !read.choices && line.numbers.length === 1 && AT_END.test(line.text),
  );
  const found = title && readPackages(`net ${AT_END.exec(title.line.text)?.[0] ?? ''}`);
  if (found?.kind !== 'packages') return lines;
  const says = found.packages.map(({ size, unit }) => `a package of ${formatGiven(size)} ${unit}`).join(' and ');
  const read: Read = { kind: 'package', says, packages: found.packages.map(({ size, unit }) => ({ size, unit })) };
  return lines.map((line) => {
    if (line !== title) return line;
    const taken = withRead(line, read);
    return {
      ...taken,
      line: { ...taken.line, numbers: line.line.numbers.map((n) => ({ ...n, fate: 'taken', why: says })) },
    };
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
  const highest = group.find((c) => c.rank === best);
  // "CaO soluble in water 26.5 %", then "(Ca 19 %)": said again on another basis, the first counts.
  const told = group.find(
    (c) =>
      highest && c.at < highest.at && c.figure.basis !== highest.figure.basis && sameThing(c.figure, highest.figure),
  );
  const main = chosen ?? told ?? highest;
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

/** "Calcium, not less than 0.7 %" and "Calcium, not more than 1.2 %" below it: together a range, put down in the first. */
function spanned(lines: readonly ReadLine[], context: Context): readonly ReadLine[] {
  const out = [...lines];
  lines.forEach((line, at) => {
    const next = lines[at + 1];
    const [a, b] = [line.read.figures ?? [], next?.read.figures ?? []];
    const [first, second] = [a[0], b[0]];
    if (!next || !first || !second || a.length > 1 || b.length > 1) return;
    const alike = first.analyte === second.analyte && first.basis === second.basis && first.unit === second.unit;
    const values = [first.value, second.value];
    const least = values.find((v) => v.kind === 'number');
    const most = values.find((v) => v.kind === 'range' && v.low === 0);
    if (!alike || least?.kind !== 'number' || most?.kind !== 'range' || least.value > most.high) return;
    const figure: AnalysisFigure = { ...first, value: rangeValue(least.value, most.high) };
    const subject = context.subjects.get(first);
    if (subject) context.subjects.set(figure, subject);
    if (context.dryFigures.has(first)) context.dryFigures.add(figure);
    out[at] = withRead(line, { ...line.read, says: figureWords(figure), figures: [figure] });
    out[at + 1] = withRead(next, { ...next.read, kind: 'part', says: 'the other end of the range above', figures: [] });
  });
  return out;
}

/**
 * Each thing once: parts of a total and what is said again are set aside; of two figures that contradict each other the one that agrees with the
 * rest of the label counts, and where neither does more than the other, a person is asked.
 */
export function eachOnce(
  read: readonly ReadLine[],
  context: Context,
  beside: Beside,
  corrections: Readonly<Record<number, Correction>>,
): readonly ReadLine[] {
  const lines = spanned(read, context);
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
