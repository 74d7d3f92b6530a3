import { useMemo, useState } from 'react';
import {
  analyteName,
  cropNeed,
  cropRemoval,
  doseFromNeed,
  formatTrimmed,
  formatTrimmedRange,
  judgeTissue,
  literal,
  nextRate,
  parseNumber,
  perEach,
  weighedWords,
  type Nutrient,
  type Product,
} from '@wheat-ledger/core';
import { toTissueTest } from '@wheat-ledger/contract';
import { useRecords } from '../app/api';
import { useBenchPlaces } from '../app/bench';
import { usePlotCrop } from '../app/seasons';
import { useAppSelector } from '../app/store';
import { useWindowShares } from '../app/useWindowShares';
import { useAdvice } from '../app/soil';
import { usePlotYears } from '../app/usePlotYears';
import { ofPlot, useShelf } from '../app/workspace';
import { FigureButton } from '../ui/FigureButton';
import { Remark } from '../ui/Sheet';
import { Scoops } from './Scoops';

const ELEMENTS = ['N', 'P', 'K', 'Ca', 'Mg', 'S'] as const satisfies readonly Nutrient[];

/** How much of the bag, on a square metre and on the plot. */
function Answer({
  product,
  nutrient,
  gPerM2,
  inTime,
}: {
  product: Product;
  nutrient: Nutrient;
  gPerM2: number;
  inTime: boolean;
}) {
  const massUnit = useAppSelector((s) => s.settings.massUnit);
  const { plot, crop } = usePlotCrop();
  const { shares, settled } = useWindowShares(useMemo(() => (inTime ? [product] : []), [product, inTime]));
  const need = literal(`${analyteName(nutrient)} that is needed`, gPerM2, 'g/m²', 'chosen', 'typed beside it');
  const dose = doseFromNeed(product, nutrient, need, inTime ? shares.get(product.id) : undefined);
  if (inTime && !settled) return <p className="mt-2 text-faint">What arrives in time is being worked out …</p>;
  if (dose.kind === 'unknown') return <p className="mt-2 text-faint">{dose.why}</p>;
  const { perM2, short, by } = dose;
  return (
    <div className="mt-2" data-testid="need">
      <p>
        <b className="text-lg">
          <FigureButton figure={perM2}>{formatTrimmedRange(perM2.value, 3)} g/m²</FigureButton>
        </b>{' '}
        of {product.name}
        {plot && `, ${weighedWords((perM2.value.mid * plot.areaM2) / 1000, massUnit)} on ${plot.name}`}
        {plot && <Scoops product={product} kg={(perM2.value.mid * plot.areaM2) / 1000} />}
        <span className="text-faint">
          {by === 'arriving'
            ? ', by what arrives in time'
            : inTime
              ? ', by all of it: none surely arrives in time'
              : ''}
          .
        </span>
      </p>
      <p className="text-sm text-faint">
        That is{' '}
        {perEach(perM2.value.mid, crop?.spacing)
          .map(({ of, amount, unit }) => `${formatTrimmed(amount, 3)} ${unit}/${of}`)
          .join(', ')}
        .
      </p>
      {short && (
        <Remark tone="caution">
          The label allows no more at once.{' '}
          <FigureButton figure={short}>{formatTrimmedRange(short.value, 2)} g/m²</FigureButton> of{' '}
          {analyteName(nutrient)} are then short: give it again later, or take another bag.
        </Remark>
      )}
    </div>
  );
}

/** What may be needed of an element, g/m²: what the crop takes up, what its harvest takes away, what the soil report recommends, what a leaf test asks for. */
function useNeeds(nutrient: Nutrient): readonly { readonly gPerM2: number; readonly words: string }[] {
  const { plot, crop } = usePlotCrop();
  const advice = useAdvice(plot?.id);
  const { years } = usePlotYears(plot);
  const { records: tests } = useRecords('leaf', ofPlot(plot?.id));
  if (!crop) return [];
  const name = crop.name.toLowerCase();
  const uptake = cropNeed(crop, nutrient)?.value.mid;
  const removal = cropRemoval(crop, nutrient);
  const recommended = advice?.[nutrient]?.mid;
  const test = [...tests]
    .sort((a, b) => b.on.localeCompare(a.on))
    .find((t) => t.found.some((f) => f.nutrient === nutrient));
  const result = test && judgeTissue(crop, toTissueTest(test), test.stepPercent).find((r) => r.nutrient === nutrient);
  const went = years
    .find((y) => String(y.year) === test?.on.slice(0, 4))
    ?.rows.find((r) => r.nutrient === nutrient)?.brought;
  const asked = result && went && nextRate(result, went)?.value.mid;
  const KG_HA = 10;
  return [
    ...(uptake === undefined ? [] : [{ gPerM2: uptake, words: `what ${name} takes up` }]),
    ...(removal.kind === 'figure'
      ? [{ gPerM2: removal.figure.value.mid / KG_HA, words: 'what its harvest takes away' }]
      : []),
    ...(recommended === undefined ? [] : [{ gPerM2: recommended / KG_HA, words: 'as the soil report recommends' }]),
    ...(asked === undefined ? [] : [{ gPerM2: asked / KG_HA, words: 'as the leaf test asks for' }]),
  ];
}

/** From what is needed to how much of a bag. */
export function NeedDesk() {
  const { shelf } = useShelf();
  const [bagId, setBagId] = useState('');
  const [nutrient, setNutrient] = useState<Nutrient>('N');
  const [typed, setTyped] = useState('6');
  const [inTime, setInTime] = useState(false);
  const { places } = useBenchPlaces();
  // What lies on the bench first is what is being thought about.
  const wanted = bagId || places.find((p) => p.kind === 'product')?.id;
  const product = (shelf.find((s) => s.record.id === wanted) ?? shelf[0])?.product;
  const read = parseNumber(typed.replace(/\s*g\s*\/\s*m(²|2)$/i, ''));
  const needs = useNeeds(nutrient);
  return (
    <section className="border-b border-rule py-4">
      <h2 className="mb-2 text-lg">How much of this bag?</h2>
      <div className="flex flex-wrap items-end gap-3">
        <label>
          <span className="block text-sm text-faint">Needed, g/m²</span>
          <input
            className="field !w-28"
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
            aria-invalid={!read.ok}
          />
        </label>
        <select
          className="field !w-36"
          aria-label="Needed element"
          value={nutrient}
          onChange={(e) => setNutrient(e.target.value as Nutrient)}
        >
          {ELEMENTS.map((n) => (
            <option key={n} value={n}>
              {analyteName(n)}
            </option>
          ))}
        </select>
        <select
          className="field !w-60"
          aria-label="From which bag"
          value={product?.id ?? ''}
          onChange={(e) => setBagId(e.target.value)}
        >
          {shelf.map((s) => (
            <option key={s.record.id} value={s.record.id}>
              {s.product.name}
            </option>
          ))}
        </select>
        {nutrient === 'N' && (
          <label className="flex items-center gap-1.5 pb-1.5">
            <input
              type="checkbox"
              className="size-4 accent-wheat"
              checked={inTime}
              onChange={(e) => setInTime(e.target.checked)}
            />
            only what arrives in time counts
          </label>
        )}
      </div>
      <p className="mt-1 flex flex-wrap gap-x-4">
        {needs.map(({ gPerM2, words }) => (
          <button key={words} type="button" className="plain" onClick={() => setTyped(formatTrimmed(gPerM2, 3))}>
            {formatTrimmed(gPerM2, 3)} g/m², {words}
          </button>
        ))}
      </p>
      {!read.ok && <p className="mt-2 text-beet">{read.reason}</p>}
      {read.ok && read.value > 0 && product && (
        <Answer product={product} nutrient={nutrient} gPerM2={read.value} inTime={inTime && nutrient === 'N'} />
      )}
    </section>
  );
}
