import type { SoilFigure } from '../ground/index.js';
import type { AnalysisFigure } from '../shelf/index.js';

const soil = (
  analyte: SoilFigure['analyte'],
  value: number,
  unit: SoilFigure['unit'],
  method: SoilFigure['method'] = 'notSaid',
): SoilFigure => ({ analyte, value: { kind: 'number', value }, unit, method });

/** What an ordinary garden soil could hold, for a practice sample of a plot that has no report. */
export const PRACTICE_SOIL: readonly SoilFigure[] = [
  soil('pH', 6.3, '', 'water'),
  soil('organicMatter', 4.1, '%'),
  soil('CEC', 13.5, 'cmol_c/kg'),
  soil('P', 28, 'mg/kg', 'olsen'),
  soil('K', 150, 'mg/kg', 'mehlich3'),
  soil('Mg', 95, 'mg/kg', 'mehlich3'),
  soil('Ca', 1850, 'mg/kg', 'mehlich3'),
  soil('nitrateN', 14, 'mg/kg'),
];

const compost = (
  analyte: AnalysisFigure['analyte'],
  basis: AnalysisFigure['basis'],
  value: number,
  unit: AnalysisFigure['unit'],
): AnalysisFigure => ({
  analyte,
  basis,
  value: { kind: 'number', value },
  unit,
  provenance: 'measured',
  source: 'practice sample',
});
/** What an ordinary garden compost could hold. */
export const PRACTICE_COMPOST: readonly AnalysisFigure[] = [
  compost('N', 'element', 1.3, '%'),
  compost('N.ammoniacal', 'element', 0.08, '%'),
  compost('P', 'P2O5', 0.8, '%'),
  compost('K', 'K2O', 1.1, '%'),
  compost('Mg', 'MgO', 0.6, '%'),
  compost('Zn', 'element', 110, 'mg/kg'),
  compost('Cu', 'element', 32, 'mg/kg'),
  compost('Pb', 'element', 24, 'mg/kg'),
];
