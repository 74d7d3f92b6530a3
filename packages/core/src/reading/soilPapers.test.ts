import { MORE_SLIPS } from '../../test/papers/moreSlips.js';
import { SOIL_SLIPS } from '../../test/papers/soilSlips.js';
import { readSoilSlip, type SoilFigure } from '../ground/index.js';
import { shownDeclared } from '../quantity/index.js';

const figureOf = ({ analyte, value, unit, method }: SoilFigure): string =>
  `${analyte} ${shownDeclared(value).replace(/[\s\u2009]/g, '')} ${unit} ${method}`;

test.each([...SOIL_SLIPS, ...MORE_SLIPS].map((paper) => [paper.name, paper] as const))(
  '%s',
  (_, { text, figures, chosen }) => {
    const read = readSoilSlip(text, chosen).flatMap((l) => (l.figure ? [figureOf(l.figure)] : []));
    expect(read.sort()).toEqual([...figures].sort());
  },
);
