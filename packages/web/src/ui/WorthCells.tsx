import type { ReactNode } from 'react';
import type { Figure } from '@wheat-ledger/core';
import { FigureButton } from './FigureButton';

interface WorthCellsProps {
  /** What a kg is worth, and its price less that; or why neither is known. */
  readonly worth: { readonly value: Figure; readonly premium: Figure } | string;
  /** What stands in its place. */
  readonly inItsPlace: ReactNode;
  /** Whether a narrow screen leaves that to another cell. */
  readonly wideOnly?: boolean;
}
/** What a product is worth by what would replace it: three cells of a table. */
export function WorthCells({ worth, inItsPlace, wideOnly = false }: WorthCellsProps) {
  if (typeof worth === 'string')
    return (
      <td colSpan={3} className="text-[0.9375rem] text-faint">
        {worth}
      </td>
    );
  return (
    <>
      <td className="num">
        <FigureButton figure={worth.value} />
      </td>
      <td className={`num ${worth.premium.value.low > 0 ? 'text-beet' : ''}`}>
        <FigureButton figure={worth.premium} />
      </td>
      <td className={`text-[0.9375rem] ${wideOnly ? 'hidden sm:table-cell' : ''}`}>{inItsPlace}</td>
    </>
  );
}
