import { memo, useMemo, useState } from 'react';
import { formatGiven, formatGivenRange, formatRange, isExact, type Figure } from '@wheat-ledger/core';
import type { Course } from './series';

/** Each assumption once, over all courses; those that differ by material keep the names of their bags. */
function assumptionRows(courses: readonly Course[]) {
  const found = new Map<string, { figure: Figure; bags: string[] }>();
  for (const c of courses)
    for (const figure of c.assumptions) {
      const key = `${figure.label}|${formatRange(figure.value)}`;
      const row = found.get(key) ?? { figure, bags: [] };
      row.bags.push(c.product.name);
      found.set(key, row);
    }
  return [...found.values()];
}

/** How many assumptions some courses rest on. */
export const assumptionsOf = (courses: readonly Course[]): number => assumptionRows(courses).length;

/** The assumptions with their ranges, in a list that opens. */
export const Assumptions = memo(function Assumptions({ courses }: { courses: readonly Course[] }) {
  const [open, setOpen] = useState(false);
  const rows = useMemo(() => assumptionRows(courses), [courses]);
  return (
    <details className="mt-6" data-testid="assumptions" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer font-slab text-lg font-semibold">What was assumed ({rows.length})</summary>
      {open && (
        <table className="ledger mt-2 text-[0.9375rem]">
          <thead>
            <tr>
              <th scope="col">Assumption</th>
              <th scope="col" className="num">
                used
              </th>
              <th scope="col" className="num">
                range
              </th>
              <th scope="col">unit</th>
              <th scope="col">from, and for which bags</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ figure, bags }) => (
              <tr key={figure.label + bags.join()}>
                <th scope="row">{figure.label}</th>
                <td className="num">{formatGiven(figure.value.mid)}</td>
                <td className="num">{isExact(figure.value) ? 'fixed' : formatGivenRange(figure.value)}</td>
                <td>{figure.unit.text}</td>
                <td className="text-faint">
                  {figure.how.kind === 'assumption' ? figure.how.source : ''}
                  {bags.length < courses.length && `; ${bags.join(', ')}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </details>
  );
});
