import type { ReactNode } from 'react';
import { formatFixed, formatRange, type Figure, type Range } from '@wheat-ledger/core';
import { deskSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { usePrinting } from './usePrinting';

/** Money to two places, as it is paid. */
const inCents = ({ low, mid, high }: Range): string =>
  low === high ? formatFixed(mid, 2) : `${formatFixed(low, 2)}–${formatFixed(high, 2)}`;

interface FigureButtonProps {
  readonly figure: Figure;
  /** What is shown; the value by default, to so many significant figures. */
  readonly children?: ReactNode;
  readonly figures?: number;
}

/** A number that opens to its working in the margin. */
export function FigureButton({ figure, children, figures = 3 }: FigureButtonProps) {
  const dispatch = useAppDispatch();
  const open = useAppSelector((s) => s.desk.working === figure);
  const shown = children ?? (figure.unit.currency ? inCents(figure.value) : formatRange(figure.value, figures));
  if (usePrinting()) return <span className="tabular-nums">{shown}</span>;
  return (
    <button
      type="button"
      className="fig"
      aria-expanded={open}
      title={`${figure.label}: show the working`}
      onClick={() => dispatch(open ? deskSlice.actions.workingClosed() : deskSlice.actions.workingOpened(figure))}
    >
      {shown}
    </button>
  );
}
