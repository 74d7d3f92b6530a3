import { toShape, type PlotInput } from '@wheat-ledger/contract';
import type { DosedPlot } from '@wheat-ledger/core';

/** A plot as far as doses need it. */
export const dosedPlot = ({ areaM2, shape }: PlotInput): DosedPlot => ({
  areaM2,
  shape: shape ? toShape(shape) : undefined,
});
