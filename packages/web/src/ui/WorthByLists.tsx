import { useMemo, useState } from 'react';
import {
  catalogueFacts,
  formatTrimmed,
  formulaText,
  type Product,
  type RankedNutrient,
  type ReplacementOfAll,
} from '@wheat-ledger/core';
import { everything, WORTH } from './everything';
import { TaskNote } from './TaskNote';
import { useTask } from './useTask';
import { WorthCells } from './WorthCells';

const WHY: Readonly<Record<Extract<ReplacementOfAll, { kind: 'none' }>['why'], string>> = {
  bringsNothing: 'brings none of these nutrients',
  nobodyElse: 'nothing else in the lists brings what it does',
  stopped: 'the search was stopped',
};

function InItsPlace({ value }: { value: Extract<ReplacementOfAll, { kind: 'value' }> }) {
  return (
    <>
      {value.bundle.map((p) => `${formatTrimmed(p.kg, 3)} kg ${p.product.name}`).join(' + ')}
      {value.notReplaceable.length > 0 && (
        <span className="block text-sm text-faint">
          nothing else in the lists brings {value.notReplaceable.map(formulaText).join(', ')}
        </span>
      )}
    </>
  );
}

interface WorthByListsProps {
  readonly title: string;
  readonly products: readonly Product[];
  /** Who sells a product, by its id: its own entry in a list does not replace it. */
  readonly sellerOf: (id: string) => string | undefined;
  readonly currency: string;
  readonly nutrients: readonly RankedNutrient[];
}
/** What products are worth by the cheapest of everything in sellers' lists that brings the same; worked out when it is asked for. */
export function WorthByLists({ title, products, sellerOf, currency, nutrients }: WorthByListsProps) {
  const [wanted, setWanted] = useState(false);
  const question = useMemo(
    () =>
      wanted
        ? {
            of: everything({ currency }),
            currency,
            nutrients,
            products: products.flatMap((p) => {
              const { price, fractions } = catalogueFacts(p, currency);
              return price?.currency === currency
                ? [
                    {
                      ...{ id: p.id, name: p.name, fractions },
                      sellers: [sellerOf(p.id), ...p.offers.map((o) => o.seller)].flatMap((s) => s ?? []),
                      pricePerKg: price.perKg,
                    },
                  ]
                : [];
            }),
          }
        : undefined,
    [wanted, products, sellerOf, currency, nutrients],
  );
  const task = useTask(WORTH, question);
  const found = task.latest ?? [];
  return (
    <section className="mt-8">
      <h2 className="mb-2 text-xl">{title}</h2>
      {!wanted && (
        <button type="button" className="action no-print" onClick={() => setWanted(true)}>
          Work it out
        </button>
      )}
      <TaskNote task={task} what="what they are worth by the lists" />
      {found.length > 0 && (
        <div className="overflow-x-auto">
          <table className="ledger">
            <caption className="pb-1 text-left text-sm text-faint">
              What the same {nutrients.map(formulaText).join(', ')} costs from the cheapest products of all lists. In{' '}
              {currency} for a kg.
            </caption>
            <thead>
              <tr>
                <th scope="col">Product</th>
                <th scope="col" className="num">
                  Is worth
                </th>
                <th scope="col" className="num">
                  Dearer by
                </th>
                <th scope="col">In its place, for each kg</th>
              </tr>
            </thead>
            <tbody>
              {found.map(({ id, value }) => (
                <tr key={id} data-testid="worth-by-lists">
                  <th scope="row">{products.find((p) => p.id === id)?.name}</th>
                  <WorthCells
                    worth={value.kind === 'none' ? WHY[value.why] : value}
                    inItsPlace={value.kind === 'value' && <InItsPlace value={value} />}
                  />
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
