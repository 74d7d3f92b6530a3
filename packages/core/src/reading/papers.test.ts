import { HARD_LABELS } from '../../test/papers/hardLabels.js';
import { LABELS } from '../../test/papers/labels.js';
import { COUNTRY_LABELS } from '../../test/papers/countryLabels.js';
import { LAB_SHEETS } from '../../test/papers/labSheets.js';
import { LONG_LABELS } from '../../test/papers/longLabels.js';
import { MIXED_LABELS } from '../../test/papers/mixedLabels.js';
import { MORE_LABELS } from '../../test/papers/moreLabels.js';
import { ODD_LABELS } from '../../test/papers/oddLabels.js';
import { ORGANIC_LABELS } from '../../test/papers/organicLabels.js';
import { WEIGHED_LABELS } from '../../test/papers/weighedLabels.js';
import { WEIGHED_SHEETS } from '../../test/papers/weighedSheets.js';
import type { Paper } from '../../test/papers/paper.js';
import { PAPER_TEXTS } from '../../test/papers/paperTexts.js';
import { readLabel, type AnalysisFigure } from '../shelf/index.js';

const shown = ({ value }: AnalysisFigure): string =>
  value.kind === 'number'
    ? String(Number(value.value.toPrecision(6)))
    : value.kind === 'below'
      ? `<${value.limit}`
      : `${value.low}–${value.high}`;
const figureOf = (f: AnalysisFigure): string => `${f.analyte} ${f.basis} ${shown(f)} ${f.unit}`;

const PAPERS = [
  ...LABELS,
  ...COUNTRY_LABELS,
  ...MORE_LABELS,
  ...ORGANIC_LABELS,
  ...LAB_SHEETS,
  ...HARD_LABELS,
  ...ODD_LABELS,
  ...LONG_LABELS,
  ...MIXED_LABELS,
  ...WEIGHED_LABELS,
  ...WEIGHED_SHEETS,
  ...PAPER_TEXTS.filter((paper) => paper.kind !== 'slip'),
];
const choices = (chosen: Paper['chosen'] = {}) =>
  Object.fromEntries(Object.entries(chosen).map(([line, says]) => [line, { kind: 'choice' as const, says }]));
const read = ({ text, measured, chosen }: Paper) => readLabel(text, measured ? 'measured' : 'label', choices(chosen));

describe('whole papers', () => {
  test.each(PAPERS.map((paper) => [paper.name, paper] as const))('%s', (_, paper) => {
    const reading = read(paper);
    expect(reading.analysis.map(figureOf).sort()).toEqual([...paper.figures].sort());
    expect(reading.packages.map((p) => `${p.size} ${p.unit}`)).toEqual(paper.packages ?? []);
    if (paper.grade) expect(reading.grade).toBe(paper.grade);
  });
});

test('a paper reads the same with other line ends, leaders and trailing spaces', () => {
  for (const paper of PAPERS) {
    const again = readLabel(
      paper.text
        .replace(/\.{3,}/g, '  ')
        .split('\n')
        .map((line) => `${line}   `)
        .join('\r\n'),
      paper.measured ? 'measured' : 'label',
      choices(paper.chosen),
    );
    expect([paper.name, again.analysis.map(figureOf)]).toEqual([paper.name, read(paper).analysis.map(figureOf)]);
    expect([paper.name, again.packages]).toEqual([paper.name, read(paper).packages]);
  }
});
