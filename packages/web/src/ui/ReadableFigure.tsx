import { formatRange, readable, type Figure, type Measure } from '@wheat-ledger/core';
import { FigureButton } from './FigureButton';

/** A number that opens to its working, in the unit it is read in most easily. @param as its unit, where what it is of stands beside it already */
export function ReadableFigure({ figure, as = figure.unit }: { figure: Figure; as?: Measure }) {
  const { value, unit } = readable(figure.value, as);
  return (
    <>
      <FigureButton figure={figure}>{formatRange(value)}</FigureButton> {unit}
    </>
  );
}
