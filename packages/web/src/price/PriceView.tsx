import { useMemo } from 'react';
import {
  COST_REASONS,
  declaredNutrients,
  rankByCost,
  symbolIn,
  groupOf,
  labelBasis,
  analyteName,
  NUTRIENTS,
  type Basis,
  type CostQuestion,
  type Nutrient,
} from '@wheat-ledger/core';
import { useBench } from '../app/bench';
import { useCounted } from '../app/counted';
import { settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';

import { Term } from '../glossary/Term';
import { Choice } from '../ui/Choice';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { RestsOn } from '../ui/RestsOn';
import { Swatch } from '../ui/patterns';
import { Empty, Loading } from '../ui/Sheet';
import { Ladder } from './Ladder';
import { PricePage } from './PricePages';
import { priceRests } from './priceRests';
import { PriceTable } from './PriceTable';

/** What a unit of each nutrient costs, for everything on the bench. */
export function PriceView() {
  const { compared: asked, isLoading } = useBench();
  const compared = useCounted(asked);
  const { massUnit, basis, nutrient: chosen } = useAppSelector((s) => s.settings);
  const dispatch = useAppDispatch();
  const nutrients = useMemo(() => {
    const found = new Set(compared.flatMap((p) => declaredNutrients(p)));
    return NUTRIENTS.filter((n) => found.has(n) && groupOf(n) !== 'contaminant');
  }, [compared]);
  const nutrient: Nutrient = nutrients.includes(chosen) ? chosen : (nutrients[0] ?? 'N');
  const questionOf = useMemo(
    () =>
      (n: Nutrient): CostQuestion => ({
        nutrient: n,
        basis: (basis === 'oxide' ? labelBasis(n) : 'element') satisfies Basis,
        perUnit: massUnit,
      }),
    [basis, massUnit],
  );
  const ranking = useMemo(() => rankByCost(compared, questionOf(nutrient)), [compared, nutrient, questionOf]);
  if (isLoading) return <Loading what="the bench" />;
  const symbol = symbolIn(nutrient, questionOf(nutrient).basis);
  const ranked = Object.entries(ranking.byCurrency);
  return (
    <PricePage
      question={`What does a ${massUnit === 'kg' ? 'kilogram' : 'pound'} of each nutrient cost?`}
      empty="to see what a unit of each nutrient costs in them."
    >
      <div className="no-print">
        <Choice
          label="Nutrient on the ladder"
          value={nutrient}
          onChange={(n) => dispatch(settingsSlice.actions.changed({ nutrient: n }))}
          options={nutrients.map((n) => ({
            value: n,
            text: (
              <span className="flex items-center gap-1.5">
                <Swatch nutrient={n} />
                {symbolIn(n, questionOf(n).basis)}
                <span className="sr-only"> {analyteName(n)}</span>
              </span>
            ),
          }))}
        />
      </div>
      {ranked.map(([currency, list]) => (
        <Ladder
          key={currency}
          ranked={list.rows()}
          unit={`${currency} per ${massUnit} ${symbol}`}
          question={questionOf(nutrient)}
        />
      ))}
      {ranked.length === 0 && (
        <Empty>Nothing on the bench has both a price and a figure for {analyteName(nutrient)}.</Empty>
      )}
      {ranking.unranked.length > 0 && (
        <p className="mt-1 mb-4 text-[0.9375rem] text-faint">
          Not on the ladder:{' '}
          {ranking.unranked.map(({ product, why }) => `${product.name} (${COST_REASONS[why]})`).join('; ')}.
        </p>
      )}
      <PriceTable
        products={compared}
        nutrients={nutrients}
        chosen={nutrient}
        questionOf={questionOf}
        ranking={ranking}
      />
      <MarginNotes>
        {compared.length > 0 && <RestsOn {...priceRests(compared)} />}
        <MarginNote title="How to read it">
          <p>
            All of a bag’s price is put on one nutrient at a time. That is simple, and unfair to bags that bring
            several: compare like with like.
          </p>
          <p>
            Each rung sits at its cost on a logarithmic scale: equal steps are equal ratios. A thick rung is a range.
          </p>
          <p>
            Costs within half a per cent of the best, or whose ranges overlap with it, are a <Term of="tie">tie</Term>{' '}
            with it. P₂O₅ and K₂O are <Term of="basis">oxides</Term>, and count what is{' '}
            <Term of="available">available</Term>.
          </p>
        </MarginNote>
        {ranked.length > 1 && (
          <MarginNote title="Two currencies">
            <p>Without a rate that you type, currencies are not converted, and each has a ladder of its own.</p>
          </MarginNote>
        )}
      </MarginNotes>
    </PricePage>
  );
}
