import { useState } from 'react';
import { inputOf, type ProductInput } from '@wheat-ledger/contract';
import { formatTrimmed, parseQuantity, type Product } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useKeep } from '../ui/useKeep';

/** What a litre of it weighs, by a scoop that was weighed; undefined while nothing can be read. */
export function scoopDensity(weight: string, volume: string): number | undefined {
  const [mass, litres] = [parseQuantity(weight, 'mass', 'g'), parseQuantity(volume, 'volume', 'mL')];
  if (!mass.ok || !litres.ok || mass.value <= 0 || litres.value <= 0) return undefined;
  return (mass.value * mass.unit.factor) / (litres.value * litres.unit.factor);
}
/** Lighter than perlite or heavier than lead shot is a slip of the pen. */
const LIKELY = { low: 0.03, high: 6 };

/** Weigh a level scoop of a material once: what a litre weighs is kept with its bag, and every measure follows. */
export function WeighScoop({ products, volume }: { products: readonly Product[]; volume: string }) {
  const { records } = useRecords('product');
  const { keep, saving } = useKeep('product');
  const [id, setId] = useState(products.find((p) => p.densityKgPerL === undefined)?.id ?? products[0]?.id ?? '');
  const [weight, setWeight] = useState('');
  const [scoop, setScoop] = useState(volume);
  const record = records.find((r) => r.id === id);
  const density = scoopDensity(weight, scoop);
  const mass = parseQuantity(weight, 'mass', 'g');
  const likely = density !== undefined && density >= LIKELY.low && density <= LIKELY.high;
  const told = density === undefined ? '' : `${formatTrimmed(density, 3)} kg/L`;
  return (
    <details className="no-print mb-2" data-testid="weigh-scoop">
      <summary className="cursor-pointer">Weigh your scoop</summary>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <label className="text-sm text-faint">
          A level scoop of
          <select
            className="field mt-1 block text-base text-pine"
            aria-label="A level scoop of"
            value={id}
            onChange={(e) => setId(e.target.value)}
          >
            {products.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </select>
        </label>
        <label className="text-sm text-faint">
          of this size
          <input
            className="field mt-1 block !w-28 text-base text-pine"
            aria-label="of this size"
            value={scoop}
            onChange={(e) => setScoop(e.target.value)}
          />
        </label>
        <label className="text-sm text-faint">
          weighs
          <input
            className="field mt-1 block !w-28 text-base text-pine"
            aria-label="weighs"
            placeholder="180 g"
            value={weight}
            onChange={(e) => setWeight(e.target.value)}
          />
        </label>
      </div>
      {weight.trim() !== '' && density === undefined && (
        <p className="mt-1 text-beet">Expected a weight such as 180 g and a size such as 250 mL.</p>
      )}
      {density !== undefined && (
        <p className="mt-2" data-testid="scoop-density">
          So a litre weighs {formatTrimmed(density, 3)} kg: {told}.{' '}
          {likely ? (
            <button
              type="button"
              className="plain"
              disabled={saving || !record}
              onClick={() =>
                record &&
                void keep(
                  {
                    ...(inputOf(record) as ProductInput),
                    densityKgPerL: Number(density.toPrecision(4)),
                    // Every later dose of it is also told in this scoop.
                    ...(mass.ok ? { scoopG: Number((mass.value * mass.unit.factor * 1000).toPrecision(4)) } : {}),
                    scoopName: scoop.trim().slice(0, 60),
                  },
                  record,
                  `${record.name} weighs ${told} now.`,
                )
              }
            >
              Keep it with the bag
            </button>
          ) : (
            <span className="text-beet">Nothing in a garden weighs that: look at both numbers again.</span>
          )}
        </p>
      )}
    </details>
  );
}
