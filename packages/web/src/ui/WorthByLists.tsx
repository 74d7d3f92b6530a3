import { useMemo, useState } from 'react';
import { catalogueFacts, formatTrimmed, formulaText, type Product, type RankedNutrient } from '@wheat-ledger/core';
import type { ReplacementOfAll } from '@wheat-ledger/core';
import { everything, WORTH } from './everything';
import { FigureButton } from './FigureButton';
import { TaskNote } from './TaskNote';
import { useTask } from './useTask';

const WHY: Readonly<Record<Extract<ReplacementOfAll, { kind: 'none' }>['why'], string>> = {
  bringsNothing: 'brings none of these nutrients',
  nobodyElse: 'nothing else in the lists brings what it does',
  stopped: 'the search was stopped',
};

function Row({ name, value }: { name: string; value: ReplacementOfAll }) {
  return (
    <tr data-testid="worth-by-lists">
      <th scope="row">{name}</th>
      {value.kind === 'none' ? (
        <td colSpan={3} className="text-[0.9375rem] text-faint">
          {WHY[value.why]}
        </td>
      ) : (
        <>
          <td className="num">
            <FigureButton figure={value.value} />
          </td>
          <td className={`num ${value.premium.value.low > 0 ? 'text-beet' : ''}`}>
            <FigureButton figure={value.premium} />
          </td>
          <td className="text-[0.9375rem]">
            {value.bundle.map((p) => `${formatTrimmed(p.kg, 2)} kg ${p.product.name}`).join(' + ')}
            {value.notReplaceable.length > 0 && (
              <span className="block text-sm text-faint">
                nothing else in the lists brings {value.notReplaceable.map(formulaText).join(', ')}
              </span>
            )}
          </td>
        </>
      )}
    </tr>
  );
}

interface WorthByListsProps {
  readonly products: readonly Product[];
  readonly currency: string;
  readonly nutrients: readonly RankedNutrient[];
}
/** What products are worth by the cheapest of everything in sellers' lists that brings the same; worked out when it is asked for. */
export function WorthByLists({ products, currency, nutrients }: WorthByListsProps) {
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
                ? [{ id: p.id, name: p.name, pricePerKg: price.perKg, fractions }]
                : [];
            }),
          }
        : undefined,
    [wanted, products, currency, nutrients],
  );
  const task = useTask(WORTH, question);
  const found = task.latest ?? [];
  return (
    <section className="mt-8">
      <h2 className="mb-2 text-xl">By everything in sellers’ lists</h2>
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
                <Row key={id} name={products.find((p) => p.id === id)?.name ?? ''} value={value} />
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
