import { formatTrimmed, mixerParts, sprayerRate, spreaderRate } from '@wheat-ledger/core';
import { Desk, Fields, Typing, useTyped, type Typed } from './desk';

const ratio = (top: Typed, bottom: Typed, of: (top: number, bottom: number) => number): number | undefined =>
  top.value !== undefined && bottom.value !== undefined ? of(top.value, bottom.value) : undefined;

/** What a spreader, a sprayer or a hose-end mixer really gives. */
export function CalibrateDesk() {
  const caught = useTyped('12 g', 'mass', 'kg');
  const tray = useTyped('0.5 m²', 'area', 'm²');
  const used = useTyped('2 L', 'volume', 'L');
  const strip = useTyped('50 m²', 'area', 'm²');
  const bucket = useTyped('20 L', 'volume', 'L');
  const concentrate = useTyped('0.4 L', 'volume', 'L');
  const spread = ratio(caught, tray, (kg, m2) => spreaderRate(kg * 1000, m2));
  const sprayed = ratio(used, strip, sprayerRate);
  const parts = ratio(bucket, concentrate, mixerParts);
  return (
    <Desk title="What does it really give?">
      <div className="flex flex-col gap-3">
        <Fields>
          <Typing label="Spreader: caught" typed={caught} className="w-36" />
          <Typing label="on a tray of" typed={tray} className="w-32" />
          <p className="self-end pb-1.5" data-testid="spreader">
            {spread !== undefined && (
              <>
                <b>{formatTrimmed(spread / 10, 3)} g/m²</b>, {formatTrimmed(spread, 3)} kg/ha
              </>
            )}
          </p>
        </Fields>
        <Fields>
          <Typing label="Sprayer: used" typed={used} className="w-36" />
          <Typing label="on a strip of" typed={strip} className="w-32" />
          <p className="self-end pb-1.5">
            {sprayed !== undefined && (
              <>
                <b>{formatTrimmed(sprayed / 10, 3)} mL/m²</b>, {formatTrimmed(sprayed, 3)} L/ha
              </>
            )}
          </p>
        </Fields>
        <Fields>
          <Typing label="Hose-end mixer: filled" typed={bucket} className="w-44" />
          <Typing label="while it used" typed={concentrate} className="w-32" />
          <p className="self-end pb-1.5" data-testid="mixer">
            {parts !== undefined && parts > 0 && (
              <>
                <b>1 part to {formatTrimmed(parts, 3)} of water</b>
              </>
            )}
          </p>
        </Fields>
      </div>
    </Desk>
  );
}
