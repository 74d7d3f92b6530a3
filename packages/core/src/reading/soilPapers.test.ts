import { LONG_SLIPS } from '../../test/papers/longSlips.js';
import { MORE_SLIPS } from '../../test/papers/moreSlips.js';
import { PAPER_TEXTS } from '../../test/papers/paperTexts.js';
import { SOIL_SLIPS } from '../../test/papers/soilSlips.js';
import { WEIGHED_SLIPS } from '../../test/papers/weighedSlips.js';
import { readSoilSlip, type SoilFigure } from '../ground/index.js';
import { shownDeclared } from '../quantity/index.js';

const figureOf = ({ analyte, value, unit, method }: SoilFigure): string =>
  `${analyte} ${shownDeclared(value).replace(/[\s\u2009]/g, '')} ${unit} ${method}`;

const SLIPS = [
  ...SOIL_SLIPS,
  ...MORE_SLIPS,
  ...LONG_SLIPS,
  ...WEIGHED_SLIPS,
  ...PAPER_TEXTS.filter((paper) => paper.kind === 'slip'),
];
test.each(SLIPS.map((paper) => [paper.name, paper] as const))('%s', (_, { text, figures, chosen }) => {
  const read = readSoilSlip(text, chosen).flatMap((l) => (l.figure ? [figureOf(l.figure)] : []));
  expect(read.sort()).toEqual([...figures].sort());
});
