import { acrossOrOut, formatTrimmed, ringArea } from '@wheat-ledger/core';
import { Desk, Fields, Typing, useTyped } from './desk';
import { RingPicture } from './dosePictures';

/** A ring around a plant, drawn to scale, and what goes on it. */
export function RingDesk() {
  const inner = useTyped('20 cm', 'length', 'm');
  const outer = useTyped('60 cm', 'length', 'm');
  const perPlant = useTyped('80 g', 'mass', 'kg');
  const [from, to] = [inner.value ?? 0, outer.value ?? 0];
  const ring = to > from ? ringArea(from, to) : undefined;
  const two = to > 0 ? acrossOrOut(to) : undefined;
  return (
    <Desk title="How large is this ring?" picture={ring !== undefined && <RingPicture innerM={from} outerM={to} />}>
      <Fields>
        <Typing label="From the stem" typed={inner} className="w-32" />
        <Typing label="Out to" typed={outer} className="w-32" />
        <Typing label="For each plant" typed={perPlant} className="w-32" />
      </Fields>
      {ring === undefined ? (
        <p className="mt-2 text-beet">The outer edge has to be beyond the inner one.</p>
      ) : (
        <p className="mt-2" data-testid="ring">
          <b className="text-lg">{formatTrimmed(ring, 3)} m²</b> a plant
          {perPlant.value !== undefined && (
            <>
              , so that is <b>{formatTrimmed((perPlant.value * 1000) / ring, 3)} g/m²</b> on it
            </>
          )}
          . Keep it {formatTrimmed(from * 100, 3)} cm off the stem.
        </p>
      )}
      {two && (
        <p className="mt-1 text-faint">
          Is it {formatTrimmed(to * 100, 3)} cm out from the stem, or across? Across it would be{' '}
          {formatTrimmed(two.acrossM2, 3)} m² instead of {formatTrimmed(two.outM2, 3)} m²: a fourth.
        </p>
      )}
    </Desk>
  );
}
