export {
  type Column,
  conflictIn,
  type Limits,
  type LinearModel,
  type LpSolver,
  meets,
  type Outcome,
  type Row,
  type Solution,
  solve,
} from './linearModel.js';
