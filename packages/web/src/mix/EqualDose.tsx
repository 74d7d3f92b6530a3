import { analyteName, equalDose, scaleRange, formatFixed, type Grade, type Mixture } from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';

/** How much of the mix stands for 100 g of what it was meant to be: the same weight is not the same feed. */
export function EqualDose({ mix, target, named }: { mix: Mixture; target: Grade; named: string }) {
  const doses = target.flatMap((part) => {
    const factor = equalDose(mix, part);
    return factor ? [{ part, factor, grams: scaleRange(factor.value, 100) }] : [];
  });
  if (doses.length === 0) return null;
  return (
    <p className="mb-3" data-testid="equal-dose">
      The same weight is not the same feed. To bring as much as 100 g of {named}, give{' '}
      {doses.map(({ part, factor, grams: { low, high } }, i) => (
        <span key={part.nutrient}>
          {i > 0 && (i === doses.length - 1 ? ' or ' : ', ')}
          <FigureButton figure={factor}>
            {formatFixed(low, 0) === formatFixed(high, 0)
              ? formatFixed(high, 0)
              : `${formatFixed(low, 0)}–${formatFixed(high, 0)}`}{' '}
            g
          </FigureButton>{' '}
          for its {analyteName(part.nutrient)}
        </span>
      ))}
      .
    </p>
  );
}
