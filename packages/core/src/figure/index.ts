export {
  assumption,
  assumptionsIn,
  BOUNDS,
  computed,
  constant,
  everyFigure,
  type Figure,
  type How,
  identified,
  literal,
  type Powers,
  type Provenance,
  PROVENANCES,
  solved,
  type Spread,
  spreadAs,
} from './figure.js';
export { difference, inPercent, product, quotient, sum } from './operations.js';
export { compareFigures, type Comparison, type Mover, whatMoves } from './compare.js';
export { unitProblems } from './dimensions.js';
export { owned, type OwnFigure } from './own.js';
export { spreadWords, type WorkingLine, workingLines } from './working.js';
