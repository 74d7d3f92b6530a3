import { useState } from 'react';
import { polygonPlan, type PolygonPlan, type Shape } from '@wheat-ledger/core';
import { PlotSketch } from './PlotSketch';

/** How the corners of uneven sides turn, as the person says by pressing them. */
export interface Turns {
  readonly inward: number[];
  readonly outline: number;
}
interface PlotDrawingProps {
  readonly shape: Shape;
  readonly onTurns: (turns: Turns) => void;
}

const cornersIn = ({ inward }: PolygonPlan): number[] => inward.flatMap((turnsIn, i) => (turnsIn ? [i] : []));

/** The plot to scale; of uneven sides, with corners to turn in or out and what cannot be. */
export function PlotDrawing({ shape, onTurns }: PlotDrawingProps) {
  const [refused, setRefused] = useState<number>();
  if (shape.kind !== 'polygon') return <PlotSketch shape={shape} />;
  const plan = polygonPlan(shape);
  const turn = (corner: number): void => {
    const wanted = plan.inward.flatMap((turnsIn, i) => (turnsIn !== (i === corner) ? [i] : []));
    const next = polygonPlan({ ...shape, inward: wanted, outline: 0 });
    const turns = next.inward[corner] !== plan.inward[corner];
    setRefused(turns ? undefined : corner + 1);
    if (turns) onTurns({ inward: cornersIn(next), outline: 0 });
  };
  const inside = cornersIn(plan).map((i) => i + 1);
  return (
    <>
      <PlotSketch shape={shape} onTurn={turn} />
      <p className="text-sm text-faint" aria-live="polite">
        {inside.length === 0
          ? 'Every corner turns out. Press one that turns in.'
          : `${inside.length === 1 ? 'Corner' : 'Corners'} ${inside.join(', ')} ${inside.length === 1 ? 'turns' : 'turn'} in. Press a corner to turn it.`}
        {refused !== undefined && ` With these lengths corner ${refused} cannot turn the other way.`}
      </p>
      {plan.outlines > 1 && (
        <p className="text-sm">
          {plan.outlines} outlines have these lengths and corners.{' '}
          <button
            type="button"
            className="plain"
            onClick={() => onTurns({ inward: cornersIn(plan), outline: ((shape.outline ?? 0) + 1) % plan.outlines })}
          >
            Show another
          </button>
        </p>
      )}
    </>
  );
}
