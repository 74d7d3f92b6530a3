import { useMemo, useState } from 'react';
import {
  errorWords,
  formatFixed,
  inScoops,
  measuredWords,
  NEAR_ENOUGH,
  parseQuantity,
  symbolIn,
  weighedWords,
  withScoop,
  type Mixture,
  type ScoopRecipe,
} from '@wheat-ledger/core';
import { settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { FigureButton } from '../ui/FigureButton';
import { Remark } from '../ui/Sheet';
import { WeighScoop } from './WeighScoop';

/** Volumes of a typed list, litres; what is none is told. */
export function readScoops(text: string): { readonly litres: readonly number[]; readonly trouble: string } {
  const typed = text
    .split(/[;,]\s+|\s*;\s*/)
    .map((t) => t.trim())
    .filter(Boolean);
  const read = typed.map((t) => ({ t, read: parseQuantity(t, 'volume') }));
  const bad = read.find(({ read: r }) => !r.ok || r.value <= 0);
  return {
    litres: read.flatMap(({ read: r }) => (r.ok && r.value > 0 ? [r.value * r.unit.factor] : [])),
    trouble: bad ? `Read “${bad.t}”, expected a volume such as 250 mL.` : '',
  };
}

function Counts({
  title,
  recipe,
  scoopL,
  batchKg,
  massUnit,
}: {
  title: string;
  recipe: ScoopRecipe;
  scoopL: number;
  batchKg: number;
  massUnit: 'kg' | 'lb';
}) {
  const { mixture, counts, errors, error } = withScoop(recipe, scoopL);
  const times = batchKg / mixture.totalKg;
  const off = errorWords(errors);
  return (
    <div className="min-w-56 flex-1">
      <h3 className="font-semibold">{title}</h3>
      <ul>
        {counts.map(({ product, count }) => (
          <li key={product.id}>
            <b className="font-slab text-lg">{count}</b> {product.name}
          </li>
        ))}
      </ul>
      <p className="text-[0.9375rem]">
        Makes {weighedWords(mixture.totalKg, massUnit)}
        {times >= 1.5 ? `: ${formatFixed(times, 0)} times for the batch` : ''}. Really{' '}
        {mixture.analysis.slice(0, 6).map((n, i) => (
          <span key={n.nutrient}>
            {i > 0 && ', '}
            <FigureButton figure={n.percent}>{formatFixed(n.percent.value.mid, 1)}</FigureButton> %{' '}
            {symbolIn(n.nutrient, n.basis)}
          </span>
        ))}
        .
      </p>
      <p className={`text-sm ${error > NEAR_ENOUGH ? 'text-beet' : 'text-faint'}`}>
        {off.length === 0
          ? 'As near as it can be told.'
          : `Off by ${formatFixed(error * 100, 1)} % at most: ${off.join(', ')}.`}
      </p>
    </div>
  );
}

/** A mix in whole scoops of one's own, with what really results. */
export function ScoopsPart({
  mix,
  batchKg,
  fillerShare,
  massUnit,
}: {
  mix: Mixture;
  batchKg: number;
  fillerShare: number;
  massUnit: 'kg' | 'lb';
}) {
  const text = useAppSelector((s) => s.settings.scoops);
  const dispatch = useAppDispatch();
  const [chosen, setChosen] = useState(0);
  const { litres, trouble } = useMemo(() => readScoops(text), [text]);
  const scoopL = litres[chosen] ?? litres[0];
  const found = useMemo(() => inScoops(mix, 1), [mix]);
  return (
    <section data-testid="scoops" aria-label="In whole scoops">
      <h2 className="mb-1 font-slab text-lg font-semibold">In whole scoops</h2>
      {found.kind === 'needsDensity' && (
        <p className="text-faint">A scoop needs to know what a litre of {found.products.join(' and ')} weighs.</p>
      )}
      <WeighScoop products={mix.components.map((c) => c.product)} volume={measuredWords(scoopL ?? 0.25)} />
      {found.kind === 'tooMany' && <p className="text-faint">So many materials are better weighed than scooped.</p>}
      {found.kind === 'scoops' && (
        <>
          {fillerShare > 0 && <p className="mb-1 text-sm text-faint">The materials alone, without the filler.</p>}
          <div className="no-print mb-2 flex flex-wrap items-start gap-3">
            <label className="text-sm text-faint">
              Your scoops, level
              <input
                className="field block w-60 text-base text-pine"
                value={text}
                onChange={(e) => dispatch(settingsSlice.actions.changed({ scoops: e.target.value }))}
              />
            </label>
            {litres.length > 1 && (
              <label className="text-sm text-faint">
                Use the
                <select
                  className="field block !w-auto text-base text-pine"
                  value={chosen < litres.length ? chosen : 0}
                  onChange={(e) => setChosen(Number(e.target.value))}
                >
                  {litres.map((l, i) => (
                    <option key={l} value={i}>
                      {measuredWords(l)} scoop
                    </option>
                  ))}
                </select>
              </label>
            )}
          </div>
          {trouble !== '' && <Remark tone="caution">{trouble}</Remark>}
          {scoopL !== undefined && (
            <div className="flex flex-wrap gap-x-8 gap-y-3">
              {found.fewest && found.fewest.scoops < found.nearest.scoops && (
                <Counts
                  title={`The fewest, ${measuredWords(scoopL)} each`}
                  recipe={found.fewest}
                  {...{ scoopL, massUnit }}
                  batchKg={batchKg * (1 - fillerShare)}
                />
              )}
              <Counts
                title={`The nearest, ${measuredWords(scoopL)} each`}
                recipe={found.nearest}
                {...{ scoopL, massUnit }}
                batchKg={batchKg * (1 - fillerShare)}
              />
            </div>
          )}
        </>
      )}
    </section>
  );
}
