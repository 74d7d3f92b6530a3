import { BAG_FIGURES, basesOf, labelChecks } from '@wheat-ledger/core';
import type { ProductInput } from './product.js';
import { ownFigureProblems } from './ownFigure.js';
import { toProduct } from './toCore.js';
import type { FieldProblem } from './validate.js';

/** What no field's own rule can see: bases that are not the element's own, and impossible values. Contradictions only warn and are not here. */
export function productProblems(input: ProductInput): readonly FieldProblem[] {
  const bases = input.analysis.flatMap((line, i): FieldProblem[] =>
    basesOf(line.analyte).includes(line.basis)
      ? []
      : [
          {
            path: `analysis.${i}.basis`,
            message: `Read ${line.basis} for ${line.analyte}, expected ${basesOf(line.analyte).join(' or ')}.`,
          },
        ],
  );
  const turned = (input.directions ?? []).flatMap((d, i): FieldProblem[] =>
    (d.least ?? 0) > d.amount
      ? [
          {
            path: `directions.${i}.amount`,
            message: `Read ${d.least} to ${d.amount}, expected the least before the most.`,
          },
        ]
      : [],
  );
  const impossible = labelChecks(toProduct(input)).filter((f) => f.severity === 'impossible');
  return [
    ...bases,
    ...turned,
    ...ownFigureProblems(input.ownFigures, BAG_FIGURES),
    ...impossible.map(({ path, message }) => ({ path, message })),
  ];
}
