export {
  assumption,
  assumptionsIn,
  computed,
  constant,
  difference,
  type Figure,
  type How,
  literal,
  product,
  type Provenance,
  PROVENANCES,
  quotient,
  sum,
} from './figure.js';
export { type WorkingLine, workingLines } from './working.js';
