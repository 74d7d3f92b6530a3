import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import {
  formatTrimmed,
  formulaText,
  parseNumber,
  RANKED_NUTRIENTS,
  type CheapestOfAll,
  type RankedNutrient,
} from '@wheat-ledger/core';
import { dataAt } from '../../app/ledger';
import { FormPart } from '../../ui/EditForm';
import { MarginNote, MarginNotes } from '../../ui/MarginNotes';
import { PrintButton } from '../../ui/PrintButton';
import { Empty, Remark, Sheet } from '../../ui/Sheet';
import { TaskNote } from '../../ui/TaskNote';
import { useTask } from '../../ui/useTask';
import { CHEAPEST } from './allJob';
import { useCatalogueCurrenciesQuery } from './catalogueApi';
import { usePin } from './usePin';

type Typed = Readonly<Partial<Record<RankedNutrient, string>>>;
/** Amounts as typed, kg; and what cannot be read as one. */
function amountsOf(typed: Typed) {
  const amounts: Partial<Record<RankedNutrient, number>> = {};
  const wrong: RankedNutrient[] = [];
  for (const n of RANKED_NUTRIENTS) {
    const text = (typed[n] ?? '').replace(/\s*kg$/, '').trim();
    if (text === '') continue;
    const read = parseNumber(text);
    if (read.ok && read.value >= 0) amounts[n] = read.value;
    else wrong.push(n);
  }
  return { amounts, wrong };
}

function AmountFields({
  label,
  typed,
  wrong,
  onType,
}: {
  label: string;
  typed: Typed;
  wrong: readonly RankedNutrient[];
  onType: (typed: Typed) => void;
}) {
  return (
    <div className="grid grid-cols-3 gap-x-3 gap-y-2 sm:grid-cols-6">
      {RANKED_NUTRIENTS.map((n) => (
        <label key={n}>
          <span className="block text-sm text-faint">{formulaText(n)}, kg</span>
          <input
            className="field"
            inputMode="decimal"
            aria-label={`${n} ${label}, kg`}
            aria-invalid={wrong.includes(n)}
            value={typed[n] ?? ''}
            onChange={(e) => onType({ ...typed, [n]: e.target.value })}
          />
        </label>
      ))}
    </div>
  );
}

/** What to buy, what it costs, and what each nutrient is worth to it. */
function Recipe({ found, currency }: { found: CheapestOfAll; currency: string }) {
  const { pin, busy } = usePin();
  const worth = RANKED_NUTRIENTS.filter((n) => (found.prices.worth[n] ?? 0) > 1e-9);
  return (
    <div data-testid="cheapest">
      <div className="relative overflow-x-auto">
        <table className="ledger max-w-3xl">
          <caption className="sr-only">The cheapest of all</caption>
          <thead>
            <tr>
              <th scope="col">Product</th>
              <th scope="col" className="num">
                kg
              </th>
              <th scope="col" className="num">
                a kg, {currency}
              </th>
              <th scope="col" className="num">
                cost, {currency}
              </th>
              <th scope="col">
                <span className="sr-only">Put it on the shelf</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {found.parts.map(({ product, kg, cost }) => (
              <tr key={product.id}>
                <th scope="row" className="font-normal">
                  {product.name}
                </th>
                <td className="num">{formatTrimmed(kg, 4)}</td>
                <td className="num">{formatTrimmed(product.pricePerKg, 3)}</td>
                <td className="num">{cost.toFixed(2)}</td>
                <td className="no-print">
                  <button type="button" className="plain" disabled={busy} onClick={() => void pin(product, false)}>
                    to the shelf<span className="sr-only">: {product.name}</span>
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <th scope="row">All</th>
              <td className="num">
                {formatTrimmed(
                  found.parts.reduce((sum, p) => sum + p.kg, 0),
                  4,
                )}
              </td>
              <td />
              <td className="num">
                <b>{found.cost.toFixed(2)}</b>
              </td>
              <td />
            </tr>
          </tfoot>
        </table>
      </div>
      {worth.length > 0 && (
        <p className="mt-2">
          {worth
            .map(
              (n) =>
                `Another kg of ${formulaText(n)} would cost ${formatTrimmed(found.prices.worth[n] ?? 0, 3)} ${currency}`,
            )
            .join('. ')}
          .
        </p>
      )}
      <p className="text-sm text-faint">
        {found.proven
          ? `The whole catalogue was gone through ${found.rounds} ${found.rounds === 1 ? 'time' : 'times'}; nothing in it makes this cheaper.`
          : 'The search was stopped early: there may be something cheaper.'}
      </p>
    </div>
  );
}

/** The cheapest recipe of anything in the lists. */
export function CheapestView() {
  const { data: currencies = [] } = useCatalogueCurrenciesQuery();
  const [chosen, setChosen] = useState('');
  const [organic, setOrganic] = useState(false);
  const [least, setLeast] = useState<Typed>({ N: '10', K2O: '10' });
  const [most, setMost] = useState<Typed>({});
  const currency = chosen || (currencies[0] ?? '');
  const { amounts: atLeast, wrong } = useMemo(() => amountsOf(least), [least]);
  const { amounts: atMost, wrong: wrongMost } = useMemo(() => amountsOf(most), [most]);
  const some = Object.values(atLeast).some((kg) => kg > 0);
  const question = useMemo(
    () =>
      currency && some
        ? {
            wanted: { atLeast, atMost },
            address: new URL(dataAt('catalogue/priced'), globalThis.location.origin).toString(),
            conditions: { currency, ...(organic ? { organic: 'yes' } : {}) },
          }
        : undefined,
    [currency, some, atLeast, atMost, organic],
  );
  const task = useTask(CHEAPEST, question);
  return (
    <Sheet
      title="Cheapest of all"
      question="What would bring these nutrients at the least cost, of everything in the lists?"
      actions={
        <>
          <Link to="/shelf/catalogue" className="action">
            Catalogue
          </Link>
          <PrintButton />
        </>
      }
    >
      <div className="flex flex-col gap-4">
        <FormPart title="At least" hint="kg of each; blank does not matter">
          <AmountFields label="at least" typed={least} wrong={wrong} onType={setLeast} />
        </FormPart>
        <details>
          <summary className="cursor-pointer text-faint">And at most</summary>
          <div className="mt-2">
            <AmountFields label="at most" typed={most} wrong={wrongMost} onType={setMost} />
          </div>
        </details>
        <p className="flex flex-wrap items-center gap-4">
          {currencies.length > 1 && (
            <label className="flex items-center gap-2 text-faint">
              Money
              <select
                className="field !w-24"
                aria-label="Money"
                value={currency}
                onChange={(e) => setChosen(e.target.value)}
              >
                {currencies.map((c) => (
                  <option key={c}>{c}</option>
                ))}
              </select>
            </label>
          )}
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-wheat"
              checked={organic}
              onChange={(e) => setOrganic(e.target.checked)}
            />
            only what is listed for organic use
          </label>
        </p>
        <TaskNote task={task} what="the cheapest of all" />
        {wrong.length + wrongMost.length > 0 && (
          <p className="text-beet">
            Expected an amount in kg for {[...wrong, ...wrongMost].map(formulaText).join(', ')}.
          </p>
        )}
        {!question ? (
          <Empty>{currency === '' ? 'No list has a price yet.' : 'Say how much of one nutrient is wanted.'}</Empty>
        ) : task.result === 'none' ? (
          <Remark tone="caution">
            Nothing in the lists brings that within these bounds. Ask for less, or allow more at most.
          </Remark>
        ) : (
          task.result && <Recipe found={task.result} currency={currency} />
        )}
      </div>
      <MarginNotes>
        <MarginNote title="What counts">
          <p>
            By weight out of any package: whole packages and carriage are not in it. Where a product holds between two
            figures, the lower counts for at least and the higher for at most; what a list does not say counts as none
            for at least.
          </p>
        </MarginNote>
        <MarginNote title="Before it is spread">
          <Remark tone="caution">
            Salt, chloride and what must not be mixed are not looked at here. Put the products on the shelf and make the
            recipe under Mix; follow the labels.
          </Remark>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
