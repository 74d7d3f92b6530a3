import { parseAdvice, soilFigureProblem } from '@wheat-ledger/core';
import { toSoilReport } from './toCore.js';
import type { SoilReportInput } from './soil.js';
import type { FieldProblem } from './validate.js';

/** What no field's own rule can see: a unit that is not the figure's own, a value no soil has. */
export function soilProblems(input: SoilReportInput): readonly FieldProblem[] {
  const advice = parseAdvice(input.advice ?? '');
  const figures = toSoilReport(input).figures.flatMap((figure, i) => {
    const problem = soilFigureProblem(figure);
    return problem ? [{ path: `figures.${i}.${problem.part}`, message: problem.message }] : [];
  });
  return advice.ok ? figures : [...figures, { path: 'advice', message: advice.reason }];
}
