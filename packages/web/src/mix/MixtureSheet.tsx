import { Fragment, useMemo } from 'react';
import {
  analyteName,
  cautionsOf,
  conflictsIn,
  formatFixed,
  formatGiven,
  formatNumber,
  fromCanonical,
  inCurrency,
  product as times,
  literal,
  symbolIn,
  weighOut,
  type Grade,
  type Mixture,
  type WeighOut,
} from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { Swatch } from '../ui/patterns';
import { Remark } from '../ui/Sheet';

const mass = (kg: number, unit: 'kg' | 'lb'): string =>
  unit === 'lb'
    ? `${formatNumber(fromCanonical(kg, 'lb'))} lb`
    : kg < 1
      ? `${formatNumber(kg * 1000)} g`
      : `${formatNumber(kg)} kg`;
const volume = (litres: number | undefined): string =>
  litres === undefined ? 'no density' : litres < 1 ? `${formatNumber(litres * 1000)} mL` : `${formatNumber(litres)} L`;

function WeighOutTable({
  lines,
  batchKg,
  fillerKg,
  massUnit,
}: {
  lines: readonly WeighOut[];
  batchKg: number;
  fillerKg: number;
  massUnit: 'kg' | 'lb';
}) {
  return (
    <div className="overflow-x-auto">
      <table className="ledger" data-testid="weigh-out">
        <caption className="pb-1 text-left text-sm text-faint">
          To make {massUnit === 'kg' ? `${formatGiven(batchKg)} kg` : mass(batchKg, massUnit)}. Weight is exact; volume
          goes through each bag’s density, and a heaped scoop is not a level one.
        </caption>
        <thead>
          <tr>
            <th scope="col">Material</th>
            <th scope="col" className="num">
              weigh out
            </th>
            <th scope="col" className="num">
              share
            </th>
            <th scope="col" className="num">
              parts by weight
            </th>
            <th scope="col" className="num">
              or measure
            </th>
            <th scope="col" className="num">
              parts by volume
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((l) => (
            <tr key={l.productId}>
              <th scope="row">{l.name}</th>
              <td className="num font-semibold">
                <FigureButton figure={l.mass}>{mass(l.kg, massUnit)}</FigureButton>
              </td>
              <td className="num">
                <FigureButton figure={l.percent}>{formatFixed(l.percent.value.mid, 1)} %</FigureButton>
              </td>
              <td className="num">{formatNumber(l.partsByWeight)}</td>
              <td className="num">{volume(l.litres)}</td>
              <td className="num">{l.partsByVolume === undefined ? '–' : formatNumber(l.partsByVolume)}</td>
            </tr>
          ))}
          {fillerKg > 0 && (
            <tr>
              <th scope="row">Filler that brings nothing (sand, dry soil)</th>
              <td className="num font-semibold">{mass(fillerKg, massUnit)}</td>
              <td className="num">{formatFixed((fillerKg / batchKg) * 100, 1)} %</td>
              <td className="num">–</td>
              <td className="num">–</td>
              <td className="num">–</td>
            </tr>
          )}
          <tr className="total">
            <th scope="row">The batch</th>
            <td className="num">{mass(batchKg, massUnit)}</td>
            <td className="num">100 %</td>
            <td />
            <td />
            <td />
          </tr>
        </tbody>
      </table>
    </div>
  );
}

function AnalysisTable({ mix, target }: { mix: Mixture; target: Grade | undefined }) {
  const wanted = (nutrient: string, basis: string): number | undefined =>
    target?.find((p) => p.nutrient === nutrient && p.basis === basis)?.amount;
  return (
    <table className="ledger" data-testid="mix-analysis">
      <caption className="pb-1 text-left text-sm text-faint">
        What the mix really is, every nutrient its materials declare
      </caption>
      <thead>
        <tr>
          <th scope="col">Nutrient</th>
          <th scope="col" className="num">
            in the mix
          </th>
          {target && (
            <th scope="col" className="num">
              wanted
            </th>
          )}
          <th scope="col">not stated by</th>
        </tr>
      </thead>
      <tbody>
        {mix.analysis.map(({ nutrient, basis, percent, silent }) => (
          <tr key={nutrient}>
            <th scope="row">
              <Swatch nutrient={nutrient} /> {symbolIn(nutrient, basis)}{' '}
              <span className="text-faint">{analyteName(nutrient)}</span>
            </th>
            <td className="num">
              <FigureButton figure={percent} /> %
            </td>
            {target && (
              <td className="num">
                {wanted(nutrient, basis) === undefined ? '–' : `${formatGiven(wanted(nutrient, basis))} %`}
              </td>
            )}
            <td className="text-[0.875rem] text-faint">{silent.join(', ')}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface MixtureSheetProps {
  readonly mix: Mixture;
  readonly batchKg: number;
  readonly fillerShare?: number;
  readonly target?: Grade | undefined;
  readonly massUnit: 'kg' | 'lb';
}

/** A mix in full: what to weigh out, what it is, what it costs, and what must not be mixed. */
export function MixtureSheet({ mix, batchKg, fillerShare = 0, target, massUnit }: MixtureSheetProps) {
  const used = mix.components.map((c) => c.product);
  const lines = useMemo(() => weighOut(mix, batchKg), [mix, batchKg]);
  const conflicts = conflictsIn(used);
  const currency = mix.currency ?? '';
  const batchCost =
    mix.costPerKg &&
    times('Cost of the batch', inCurrency(currency), [
      mix.costPerKg,
      literal('batch', batchKg, 'kg', 'chosen', 'as typed'),
    ]);
  return (
    <div className="flex flex-col gap-5">
      <dl className="flex flex-wrap gap-x-8 gap-y-1" data-testid="mix-cost">
        {mix.costPerKg && batchCost ? (
          <Fragment>
            <div>
              <dt className="text-sm text-faint">Cost per kg</dt>
              <dd className="font-slab text-xl font-semibold">
                <FigureButton figure={mix.costPerKg} />{' '}
                <span className="text-base font-normal">{mix.costPerKg.unit.text}</span>
              </dd>
            </div>
            <div>
              <dt className="text-sm text-faint">Cost of the batch</dt>
              <dd className="font-slab text-xl font-semibold">
                <FigureButton figure={batchCost} /> <span className="text-base font-normal">{currency}</span>
              </dd>
            </div>
          </Fragment>
        ) : (
          <div>
            <dt className="text-sm text-faint">Cost</dt>
            <dd>
              not known: {mix.unpriced.join(', ')} {mix.unpriced.length === 1 ? 'has' : 'have'} no price in the others’
              currency
            </dd>
          </div>
        )}
      </dl>
      {conflicts.map((c) => (
        <Remark key={c.between.join() + c.reason} tone="caution">
          <b>{c.between.join(' and ')}</b>
          {c.inSolution ? ' in one can' : ' do not belong in one heap'}: {c.reason}.
        </Remark>
      ))}
      <WeighOutTable lines={lines} batchKg={batchKg} fillerKg={fillerShare * batchKg} massUnit={massUnit} />
      <AnalysisTable mix={mix} target={target} />
      {cautionsOf(used).map((c) => (
        <Remark key={c} tone="caution">
          {c}
        </Remark>
      ))}
    </div>
  );
}
