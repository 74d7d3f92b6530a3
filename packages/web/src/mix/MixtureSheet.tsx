import { Fragment, useMemo } from 'react';
import {
  analyteName,
  cautionsOf,
  conflictsIn,
  formatFixed,
  formatGiven,
  inCurrency,
  product as times,
  literal,
  measure,
  symbolIn,
  weighOut,
  type Grade,
  type Mixture,
  type Shopping,
} from '@wheat-ledger/core';
import { Term } from '../glossary/Term';
import { FigureButton } from '../ui/FigureButton';
import { ReadableFigure } from '../ui/ReadableFigure';
import { Swatch } from '../ui/patterns';
import { Remark } from '../ui/Sheet';
import { usePrinting } from '../ui/usePrinting';
import { CharacterPart } from './CharacterPart';
import { ScoopsPart } from './ScoopsPart';
import { ShoppingPart } from './ShoppingPart';
import { SolutionPart } from './SolutionPart';
import { WeighOutTable } from './WeighOutTable';

const PERCENT = measure('%');

/** How many materials say nothing of a nutrient; their names open. */
function Silent({ names, of }: { names: readonly string[]; of: number }) {
  const printing = usePrinting();
  if (names.length === 0) return null;
  if (printing) return `${names.length} of ${of}`;
  return (
    <details>
      <summary className="cursor-pointer whitespace-nowrap">
        {names.length} of {of}
      </summary>
      {names.join(', ')}
    </details>
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
          <th scope="col">
            <Term of="notDeclared">not stated by</Term>
          </th>
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
              <ReadableFigure figure={percent} as={PERCENT} />
            </td>
            {target && (
              <td className="num">
                {wanted(nutrient, basis) === undefined ? '–' : `${formatGiven(wanted(nutrient, basis))} %`}
              </td>
            )}
            <td className="text-[0.875rem] text-faint">
              <Silent names={silent} of={mix.components.length} />
            </td>
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
  /** What is fetched for it, where that was worked out. */
  readonly shopping?: Shopping | undefined;
}

/** A filler above this share of a mix is said loudly. */
const MUCH_FILLER = 0.1;

/** A mix in full: what to weigh out, what it is, what it costs, and what must not be mixed. */
export function MixtureSheet({ mix, batchKg, fillerShare = 0, target, massUnit, shopping }: MixtureSheetProps) {
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
      {fillerShare > MUCH_FILLER && (
        <Remark tone="caution">
          <b>{formatFixed(fillerShare * 100, 0)} % of this mix is filler that brings nothing.</b> The materials are
          stronger than the target: leave the filler out, give less of it, and carry less.
        </Remark>
      )}
      <WeighOutTable lines={lines} batchKg={batchKg} fillerKg={fillerShare * batchKg} massUnit={massUnit} />
      {shopping && <ShoppingPart shopping={shopping} massUnit={massUnit} />}
      <AnalysisTable mix={mix} target={target} />
      <CharacterPart mix={mix} />
      <SolutionPart mix={mix} massUnit={massUnit} />
      <ScoopsPart mix={mix} batchKg={batchKg} fillerShare={fillerShare} massUnit={massUnit} />
      {cautionsOf(used).map((c) => (
        <Remark key={c} tone="caution">
          {c}
        </Remark>
      ))}
    </div>
  );
}
