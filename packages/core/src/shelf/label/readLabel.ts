import type { Provenance } from '../../figure/index.js';
import { basesOf } from '../../nutrient/index.js';
import { formatGiven, scaleDeclared } from '../../quantity/index.js';
import { linesOf, MOST_LINES, MOST_PER_LINE } from '../../reading/index.js';
import { labelChecks, type Finding } from '../labelChecks.js';
import type { AnalysisFigure } from '../product.js';
import { densityFrom, limingFrom, moistureFrom } from './agree.js';
import type { Context } from './context.js';
import { readLines, taughtBy, type ReadLine } from './lines.js';
import type { Correction, LabelReading, Taught } from './reading.js';
import { eachOnce, settled, withTitlePackage } from './weigh.js';

/** Figures on dry matter brought to what is in the bag: as-is = dry × (1 − moisture). Without the moisture none can be. */
function asIs(analysis: readonly AnalysisFigure[], { dryFigures, moisture }: Context): readonly AnalysisFigure[] {
  return analysis.flatMap((f) => {
    if (!dryFigures.has(f)) return [f];
    if (moisture === undefined) return [];
    const wet = 1 - moisture;
    return [
      {
        ...f,
        value: scaleDeclared(f.value, wet),
        source: `${f.source}; dry matter × ${formatGiven(wet)}`.slice(0, 300),
      },
    ];
  });
}

const warning = (code: string, path: string, message: string): Finding => ({
  code,
  severity: 'warning',
  path,
  message,
});

/** What contradicts in the text itself, or had to be supposed. */
function ownFindings(
  text: string,
  reads: readonly ReadLine[],
  context: Context,
  grades: readonly string[],
): readonly Finding[] {
  const figures = reads.flatMap(({ read }) => read.figures ?? []);
  const waiting = context.moisture === undefined ? figures.filter((f) => context.dryFigures.has(f)) : [];
  const asked = reads.filter(({ read }) => read.kind === 'notUnderstood' && (read.choices ?? []).length > 1);
  const long = linesOf(text).length > MOST_LINES || linesOf(text).some((l) => l.length > MOST_PER_LINE);
  return [
    ...reads.flatMap(({ read }) => (read.finding ? [{ ...read.finding, path: 'label' }] : [])),
    ...asked
      .filter(({ read }) => / told more than once/.test(read.says))
      .slice(0, 1)
      .map(({ read }) => warning('label.repeated', 'label', `${read.says[0]?.toUpperCase()}${read.says.slice(1)}.`)),
    ...(grades.length > 1
      ? [
          warning(
            'grade.several',
            'grade',
            `The text has more than one grade, ${grades.slice(0, 4).join(' and ')}: the first was taken.`,
          ),
        ]
      : []),
    ...(waiting.length > 0
      ? [
          warning(
            'label.dry',
            'label',
            `${waiting.length === figures.length ? 'The figures are' : `${waiting.length} of the figures ${waiting.length === 1 ? 'is' : 'are'}`} on dry matter and say nothing yet of what is in the bag. Add a line such as “Moisture 12 %”; until then none of them is taken over.`,
          ),
        ]
      : []),
    ...(long
      ? [
          {
            code: 'label.long',
            severity: 'note',
            path: 'label',
            message: `Only the first ${MOST_LINES} lines, and ${MOST_PER_LINE} characters of each, were read.`,
          } as const,
        ]
      : []),
  ];
}

/**
 * Reads the text of a label, a feed tag or a lab slip: what each line was taken to be, what became of every number, what could be several things,
 * and what contradicts. It never guesses a number, a unit or a nutrient, and it never throws.
 *
 * @param text as pasted; lines beyond 400 and characters beyond 400 a line are left out, and that is said
 * @param provenance `label` for a bag, `measured` for a lab slip
 * @param corrections a person's word on misread lines, by line number from 1
 * @param known what answers on earlier papers of the same seller say
 * @example readLabel('Total Nitrogen (N) .... 5.0%\n  3.0% Water Insoluble Nitrogen').analysis
 */
export function readLabel(
  text: string,
  provenance: Provenance = 'label',
  corrections: Readonly<Record<number, Correction>> = {},
  known?: Taught,
): LabelReading {
  const first = readLines(text, provenance, corrections, known);
  // An answer on one line holds for the others of the paper.
  const taught = taughtBy(first.lines, corrections);
  const read = taught ? readLines(text, provenance, corrections, { ...known, ...taught }) : first;
  const { context } = read;
  const lines = withTitlePackage(read.lines);
  const all = lines.map(({ read }) => read);
  const grades = [...new Set(all.flatMap((read) => read.grade ?? []))];
  const [grade] = grades;
  const wet = moistureFrom(lines, context);
  context.moisture = wet.value;
  const dense = all.filter((read) => read.density !== undefined);
  const byTwo = densityFrom(lines, context, (dense.find((read) => !read.packages) ?? dense[0])?.density);
  const densityKgPerL = byTwo.value;
  const beside = { grade, densityKgPerL };
  const reads = eachOnce(settled(lines, beside, context), context, beside, corrections);
  const figures = reads.flatMap(({ read }) => read.figures ?? []);
  const analysis = asIs(figures, context).filter((f) => basesOf(f.analyte).includes(f.basis));
  const liming = limingFrom(reads, analysis);
  const derivedFrom = [...new Set(all.flatMap((read) => read.ingredients ?? []))].slice(0, 40);
  const waits = context.moisture === undefined ? ': waits for the moisture' : '';
  return {
    lines: reads.map(({ line }) =>
      line.figures.some((f) => context.dryFigures.has(f))
        ? { ...line, says: `${line.says}, on dry matter${waits}` }
        : line,
    ),
    grade,
    analysis,
    derivedFrom,
    densityKgPerL,
    packages: all
      .flatMap((read) => read.packages ?? [])
      .filter((p, i, packages) => packages.findIndex((q) => q.size === p.size && q.unit === p.unit) === i)
      .slice(0, 5),
    limingPer100Kg: liming.value,
    carbonToNitrogen: all.find((read) => read.carbonToNitrogen !== undefined)?.carbonToNitrogen,
    directions: all.flatMap((read) => read.directions ?? []).slice(0, 12),
    taught,
    findings: [
      ...ownFindings(text, reads, context, grades),
      ...wet.findings,
      ...byTwo.findings,
      ...liming.findings,
      ...labelChecks({ grade, analysis, derivedFrom, densityKgPerL }),
    ],
  };
}
