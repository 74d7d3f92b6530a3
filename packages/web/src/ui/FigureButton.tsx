import type { ReactNode } from 'react';
import { formatRange, type Figure } from '@wheat-ledger/core';
import { deskSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';

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
  return (
    <button
      type="button"
      className="fig"
      aria-expanded={open}
      title={`${figure.label}: show the working`}
      onClick={() => dispatch(open ? deskSlice.actions.workingClosed() : deskSlice.actions.workingOpened(figure))}
    >
      {children ?? formatRange(figure.value, figures)}
    </button>
  );
}
