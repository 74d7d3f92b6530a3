import { useState } from 'react';
import {
  dilutedMgPerL,
  dilutionReadings,
  formatTrimmed,
  mlPerCan,
  shareOfFeed,
  tankPpm,
  type Product,
} from '@wheat-ledger/core';
import { useShelf } from '../app/workspace';
import { FigureButton } from '../ui/FigureButton';
import { Remark } from '../ui/Sheet';
import { Choice, Desk, Fields, Typing, useTyped } from './desk';
import { CanPicture } from './dosePictures';

/** What the feed holds of nitrogen, or why that cannot be told. @param mlPerL product to each litre of water */
function InTheFeed({ product, mlPerL }: { product: Product; mlPerL: number }) {
  const rate = {
    amount: mlPerL,
    unit: 'mL',
    per: { amount: 1, unit: 'L of water' },
    use: '',
    perYear: undefined,
  } as const;
  const held = dilutedMgPerL(product, rate, 'N');
  return (
    <>
      {held.kind === 'unknown' ? (
        <p className="mt-1 text-faint">How much nitrogen that is cannot be told: {held.why}.</p>
      ) : (
        <p className="mt-1">
          The feed then holds{' '}
          <b>
            <FigureButton figure={held.figure} /> mg N/L
          </b>{' '}
          (ppm). For the same through an injector of 1:100 the tank has to hold{' '}
          {formatTrimmed(tankPpm(held.figure.value.mid, 100), 3)} mg N/L.
        </p>
      )}
      {product.directions.length === 0 && (
        <Remark tone="caution">The label of {product.name} gives no dilution. Do not guess one: ask the seller.</Remark>
      )}
    </>
  );
}

/** "1:10" read both ways, for the can in the hand. */
export function DilutionDesk() {
  const [ratio, setRatio] = useState('1:100');
  const [meant, setMeant] = useState<'toWater' | 'inAll'>('toWater');
  const [bagId, setBagId] = useState('');
  const can = useTyped('10 L', 'volume', 'L');
  const { shelf } = useShelf();
  const [, parts] = /^\s*1\s*[:/]\s*([\d.]+)\s*$/.exec(ratio) ?? [];
  const n = Number(parts);
  const fits = parts !== undefined && n >= 2 && Number.isFinite(n);
  const both = fits ? dilutionReadings(n) : undefined;
  const mL = fits && can.value !== undefined ? mlPerCan(can.value, n, meant) : undefined;
  const liquids = shelf.filter((s) => s.product.form === 'liquid');
  const product = liquids.find((s) => s.record.id === bagId)?.product;
  const share = fits ? shareOfFeed(n, meant) : undefined;
  return (
    <Desk
      title="What does 1:100 mean in this can?"
      picture={share !== undefined && can.value !== undefined && <CanPicture litres={can.value} share={share} />}
    >
      <Fields>
        <label className="w-28">
          <span className="block text-sm text-faint">Dilution</span>
          <input className="field" value={ratio} onChange={(e) => setRatio(e.target.value)} aria-invalid={!fits} />
        </label>
        <Typing label="The can holds" typed={can} className="w-32" />
        <Choice
          label="It means"
          value={meant}
          onChoose={setMeant}
          options={[
            ['toWater', `one part to ${parts ?? '…'} of water`],
            ['inAll', `one part in ${parts ?? '…'} of feed`],
          ]}
        />
        <Choice
          label="Of"
          value={bagId}
          onChoose={setBagId}
          options={[['', 'any liquid'], ...liquids.map((s) => [s.record.id, s.product.name] as const)]}
        />
      </Fields>
      {!fits && (
        <p className="mt-2 text-beet">Read “{ratio}”, expected a dilution such as 1:100, of 2 parts or more.</p>
      )}
      {both && (
        <p className="mt-2" data-testid="dilution">
          {mL !== undefined && (
            <>
              <b className="text-lg">{formatTrimmed(mL, 3)} mL</b> in the can, filled up with water.{' '}
            </>
          )}
          <span className="text-faint">
            To a litre of water that is {formatTrimmed(both.toWaterMlPerL, 3)} mL if it means one part to {parts}, and{' '}
            {formatTrimmed(both.inAllMlPerL, 3)} mL if it means one part in {parts}.
          </span>
        </p>
      )}
      {product && both && (
        <InTheFeed product={product} mlPerL={meant === 'toWater' ? both.toWaterMlPerL : both.inAllMlPerL} />
      )}
    </Desk>
  );
}
