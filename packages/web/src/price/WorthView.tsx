import { useCallback, useMemo, useState } from 'react';
import {
  analyteName,
  formatTrimmed,
  NUTRIENTS,
  pricesPerKg,
  RANKED_AS,
  RANKED_NUTRIENTS,
  referencePrices,
  residualCost,
  type Figure,
  type Nutrient,
  type Product,
  type Replacement,
} from '@wheat-ledger/core';
import { useBench } from '../app/bench';
import { useCatalogueCurrenciesQuery } from '../app/catalogueApi';
import { useCounted } from '../app/counted';
import { usePlotCrop } from '../app/seasons';
import { useShelf } from '../app/workspace';
import { Choice } from '../ui/Choice';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty } from '../ui/Sheet';
import { TaskNote } from '../ui/TaskNote';
import { useTask, type Job } from '../ui/useTask';
import { WorthCells } from '../ui/WorthCells';
import { WorthByLists } from '../ui/WorthByLists';
import type { BagValue, PriceWorker } from '../workers/price.worker';
import { PricePage } from './PricePages';
import { Unpriced } from './Unpriced';
import { usePriced } from './usePriced';

interface Asked {
  readonly shelf: readonly Product[];
  readonly ids: readonly string[];
  readonly currency: string;
  readonly nutrients: readonly Nutrient[];
}
const VALUES: Job<PriceWorker, Asked, readonly BagValue[]> = {
  what: 'the replacement values',
  start: () => new Worker(new URL('../workers/price.worker.ts', import.meta.url), { type: 'module' }),
  run: (remote, { shelf, ids, currency, nutrients }, onShare) =>
    remote.values(shelf, ids, currency, nutrients, onShare),
};

const ALWAYS: readonly Nutrient[] = ['N', 'P', 'K'];
const NO_VALUE: Readonly<Record<Extract<Replacement, { kind: 'none' }>['why'], string>> = {
  bringsNothing: 'brings none of these nutrients',
  nobodyElse: 'nothing else on the shelf brings what it does',
  failed: 'the solver gave no answer',
};

/** "0.18 kg urea and 0.5 kg bone meal". */
export function bundleWords({ bundle }: Extract<Replacement, { kind: 'value' }>): string {
  const parts = bundle.map(({ bag, kg }) => `${formatTrimmed(kg, 2)} kg ${bag.product.name}`);
  const last = parts.pop() ?? '';
  return parts.length > 0 ? `${parts.join(', ')} and ${last}` : last;
}

const priceOf = (product: Product, currency: string): Figure | undefined =>
  pricesPerKg(product).find((p) => p.currency === currency)?.figure;

function InItsPlace({ value }: { value: Extract<Replacement, { kind: 'value' }> }) {
  return (
    <>
      {bundleWords(value)}
      {value.notReplaceable.length > 0 && (
        <span className="block text-sm text-faint">
          not replaceable here: {value.notReplaceable.map((n) => analyteName(n)).join(', ')}
        </span>
      )}
    </>
  );
}

function Row({ product, value, currency }: { product: Product; value: Replacement; currency: string }) {
  const price = priceOf(product, currency);
  return (
    <tr data-testid="worth">
      <th scope="row">
        {product.name}
        {value.kind === 'value' && (
          <span className="block text-sm font-normal sm:hidden">
            in its place <InItsPlace value={value} />
          </span>
        )}
      </th>
      <td className="num hidden sm:table-cell">{price && <FigureButton figure={price} />}</td>
      <WorthCells
        worth={value.kind === 'none' ? NO_VALUE[value.why] : value}
        inItsPlace={value.kind === 'value' && <InItsPlace value={value} />}
        wideOnly
      />
    </tr>
  );
}

function ReplacementTable({
  products,
  values,
  currency,
}: {
  products: readonly Product[];
  values: readonly BagValue[];
  currency: string;
}) {
  const rows = products.flatMap((product) => {
    const found = values.find((v) => v.id === product.id);
    return found ? [{ product, value: found.value }] : [];
  });
  return (
    <div className="overflow-x-auto">
      <table className="ledger">
        <caption className="pb-1 text-left text-sm text-faint">
          What a bag is worth is what the cheapest other bags cost that bring the same. In {currency} for a kg of the
          bag.
        </caption>
        <thead>
          <tr>
            <th scope="col">Bag</th>
            <th scope="col" className="num hidden sm:table-cell">
              Asks
            </th>
            <th scope="col" className="num">
              Is worth
            </th>
            <th scope="col" className="num">
              Dearer by
            </th>
            <th scope="col" className="hidden sm:table-cell">
              In its place, for each kg
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ product, value }) => (
            <Row key={product.id} product={product} value={value} currency={currency} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What each nutrient is worth in the bundles that stand in. */
function ImpliedPrices({
  values,
  currency,
  nutrients,
}: {
  values: readonly BagValue[];
  currency: string;
  nutrients: readonly Nutrient[];
}) {
  const told = nutrients.flatMap((n) => {
    const prices = values.flatMap(({ value }) =>
      value.kind === 'value' && value.prices[n] !== undefined ? [value.prices[n]] : [],
    );
    return prices.length === 0 ? [] : [{ n, low: Math.min(...prices), high: Math.max(...prices) }];
  });
  if (told.length === 0) return null;
  return (
    <MarginNote title="What a nutrient is worth here">
      {told.map(({ n, low, high }) => (
        <p key={n}>
          <b>{n}</b>{' '}
          {high - low < 0.005 ? formatTrimmed(low, 3) : `${formatTrimmed(low, 3)} to ${formatTrimmed(high, 3)}`}{' '}
          {currency} a kg
        </p>
      ))}
      <p className="text-sm text-faint">
        What one more kg would add to the cost of the cheapest bundle (its dual price).
      </p>
    </MarginNote>
  );
}

function Residuals({
  products,
  shelf,
  currency,
  nutrients,
}: {
  products: readonly Product[];
  shelf: readonly Product[];
  currency: string;
  nutrients: readonly Nutrient[];
}) {
  const [nutrient, setNutrient] = useState<Nutrient>('N');
  const references = useMemo(() => referencePrices(shelf, nutrients, currency), [shelf, nutrients, currency]);
  const rows = useMemo(
    () =>
      products
        .flatMap((product) => {
          const found = residualCost(product, { nutrient, basis: 'element', perUnit: 'kg' }, references, currency);
          return found ? [{ product, found }] : [];
        })
        .sort((a, b) => a.found.figure.value.mid - b.found.figure.value.mid),
    [products, nutrient, references, currency],
  );
  return (
    <section className="mt-8">
      <h2 className="mb-2 text-xl">What is left for one nutrient</h2>
      <div className="no-print mb-2">
        <Choice
          label="Nutrient the rest of the price is for"
          value={nutrient}
          onChange={setNutrient}
          options={nutrients.map((n) => ({ value: n, text: n }))}
        />
      </div>
      {rows.length === 0 ? (
        <Empty>Nothing on the bench has both a price and {analyteName(nutrient)}.</Empty>
      ) : (
        <table className="ledger">
          <caption className="pb-1 text-left text-sm text-faint">
            The price less the other nutrients at their cheapest on the shelf, in {currency} per kg {nutrient}.
          </caption>
          <thead>
            <tr>
              <th scope="col">Bag</th>
              <th scope="col" className="num">
                {currency} per kg {nutrient}
              </th>
              <th scope="col">The others in a kg</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ product, found }) => (
              <tr key={product.id} data-testid="residual">
                <th scope="row">{product.name}</th>
                <td className="num">
                  <FigureButton figure={found.figure} />
                </td>
                <td className="text-[0.9375rem]">
                  {found.others ? <FigureButton figure={found.others} /> : <span className="text-faint">none</span>}
                  {found.belowZero && <span className="text-moss"> are worth more than the bag costs</span>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function Worth() {
  const { compared: onBench } = useBench();
  const { shelf } = useShelf();
  const { crop } = usePlotCrop();
  const sellerOf = useCallback((id: string) => shelf.find((s) => s.record.id === id)?.record.seller, [shelf]);
  const compared = useCounted(onBench);
  const all = useCounted(
    useMemo(() => {
      const products = shelf.map((s) => s.product);
      return [...products, ...onBench.filter((c) => !products.some((p) => p.id === c.id))];
    }, [shelf, onBench]),
  );
  const { currency, unpriced } = usePriced(compared);
  const [counted, setCounted] = useState<readonly Nutrient[]>(ALWAYS);
  const ids = useMemo(() => compared.map((p) => p.id), [compared]);
  const asked = useMemo(
    () => (currency ? { shelf: all, ids, currency, nutrients: counted } : undefined),
    [all, ids, currency, counted],
  );
  const task = useTask(VALUES, asked);
  const { data: currencies = [] } = useCatalogueCurrenciesQuery();
  const ranked = useMemo(() => RANKED_NUTRIENTS.filter((n) => counted.includes(RANKED_AS[n])), [counted]);
  const values = task.latest ?? [];
  const offered = NUTRIENTS.filter((n) => ALWAYS.includes(n) || crop?.uptakeKgPerHa[n] !== undefined);
  if (!currency) return <Empty>Nothing on the bench has a price by weight.</Empty>;
  return (
    <>
      <fieldset className="no-print mb-3 flex flex-wrap gap-x-4 text-[0.9375rem]">
        <legend className="text-sm text-faint">Nutrients that count</legend>
        {offered.map((n) => (
          <label key={n} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              checked={counted.includes(n)}
              onChange={(e) => setCounted(NUTRIENTS.filter((m) => (m === n ? e.target.checked : counted.includes(m))))}
            />
            {n}
          </label>
        ))}
      </fieldset>
      <ReplacementTable products={compared} values={values} currency={currency} />
      <TaskNote task={task} what="the replacement values" />
      <Unpriced products={unpriced} currency={currency} />
      {currencies.includes(currency) && (
        <WorthByLists
          title="By everything in sellers’ lists"
          products={compared}
          sellerOf={sellerOf}
          currency={currency}
          nutrients={ranked}
        />
      )}
      <Residuals products={compared} shelf={all} currency={currency} nutrients={counted} />
      <MarginNotes>
        <MarginNote title="In a sentence">
          <p>
            A bag is worth what you would have to pay for the same nutrients in the cheapest other bags on your shelf.
          </p>
          <p>It is the fair way to look at a bag that brings several nutrients. It says nothing of when they arrive.</p>
        </MarginNote>
        <ImpliedPrices values={values} currency={currency} nutrients={counted} />
      </MarginNotes>
    </>
  );
}

/** What each bag is worth by what would replace it, and what is left of its price for one nutrient. */
export const WorthView = () => (
  <PricePage question="What is each bag worth, by what would bring the same?" empty="to see what would replace them.">
    <Worth />
  </PricePage>
);
