import { formatTrimmed, potDose } from '@wheat-ledger/core';
import { Desk, Fields, Typing, useTyped } from './desk';

/** A pot by its surface and by its litres, which differ in a deep one. */
export function ContainerDesk() {
  const rim = useTyped('30 cm', 'length', 'm');
  const medium = useTyped('15 L', 'volume', 'L');
  const onGround = useTyped('50 g', 'mass', 'g');
  const inMedium = useTyped('3 g', 'mass', 'g');
  const values = [rim.value, medium.value, onGround.value, inMedium.value];
  const [m, litres, kgPerM2, kgPerL] = values;
  const pot =
    m !== undefined && litres !== undefined && kgPerM2 !== undefined && kgPerL !== undefined
      ? potDose(m, litres, kgPerM2 * 1000, kgPerL * 1000)
      : undefined;
  return (
    <Desk title="How much for this pot?">
      <Fields>
        <Typing label="Across the rim" typed={rim} className="w-32" />
        <Typing label="Medium in it" typed={medium} className="w-32" />
        <Typing label="Label, for each m²" typed={onGround} className="w-36" />
        <Typing label="Label, for each litre" typed={inMedium} className="w-40" />
      </Fields>
      {pot && (
        <p className="mt-2" data-testid="pot">
          <b className="text-lg">{formatTrimmed(pot.bySurfaceG, 3)} g</b> by its surface of{' '}
          {formatTrimmed(pot.surfaceM2 * 10_000, 3)} cm², <b className="text-lg">{formatTrimmed(pot.byLitreG, 3)} g</b>{' '}
          by its litres.{' '}
          <span className="text-faint">Take the one your label speaks of: a deep pot has the same surface.</span>
        </p>
      )}
    </Desk>
  );
}
