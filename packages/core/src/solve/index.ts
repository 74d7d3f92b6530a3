export {
  type Column,
  conflictSets,
  type Limits,
  type LinearModel,
  type LpSolver,
  meets,
  type Outcome,
  relaxed,
  type Row,
  type Solution,
  solve,
} from './linearModel.js';
