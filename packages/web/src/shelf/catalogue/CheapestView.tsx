import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { formulaText, parseNumber, RANKED_NUTRIENTS, type RankedNutrient, type Restricted } from '@wheat-ledger/core';
import { CHEAPEST, everything } from '../../ui/everything';
import { FormPart } from '../../ui/EditForm';
import { MarginNote, MarginNotes } from '../../ui/MarginNotes';
import { PrintButton } from '../../ui/PrintButton';
import { Empty, Remark, Sheet } from '../../ui/Sheet';
import { TaskNote } from '../../ui/TaskNote';
import { useTask } from '../../ui/useTask';
import { useCatalogueCurrenciesQuery } from '../../app/catalogueApi';
import { CheapestRecipe } from './CheapestRecipe';

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

/** What an address asks for; 10 kg of N and K2O where it asks for nothing. */
function typedIn(query: URLSearchParams): Typed {
  const asked = RANKED_NUTRIENTS.flatMap((n) => (query.has(n) ? [[n, query.get(n) ?? '']] : []));
  return asked.length > 0 ? (Object.fromEntries(asked) as Typed) : { N: '10', K2O: '10' };
}

const MOST_KINDS = 20;
/** A number of products as typed; undefined where it is none. */
function countOf(typed: string): number | undefined {
  const read = parseNumber(typed.trim());
  return read.ok && Number.isInteger(read.value) && read.value >= 1 && read.value <= MOST_KINDS
    ? read.value
    : undefined;
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

/** The cheapest recipe of anything in the lists. */
export function CheapestView() {
  const { data: currencies = [] } = useCatalogueCurrenciesQuery();
  const [chosen, setChosen] = useState('');
  const [organic, setOrganic] = useState(false);
  const [query] = useSearchParams();
  const [least, setLeast] = useState(() => typedIn(query));
  const [most, setMost] = useState<Typed>({});
  const [packages, setPackages] = useState(false);
  const [few, setFew] = useState('');
  const kinds = countOf(few);
  const currency = chosen || (currencies[0] ?? '');
  const { amounts: atLeast, wrong } = useMemo(() => amountsOf(least), [least]);
  const { amounts: atMost, wrong: wrongMost } = useMemo(() => amountsOf(most), [most]);
  const some = Object.values(atLeast).some((kg) => kg > 0);
  const rules = useMemo((): Restricted => ({ packages, ...(kinds ? { kinds } : {}) }), [packages, kinds]);
  const question = useMemo(
    () =>
      currency && some
        ? {
            of: everything({ currency, ...(organic ? { organic: 'yes' } : {}) }),
            wanted: { atLeast, atMost },
            rules,
          }
        : undefined,
    [currency, some, atLeast, atMost, organic, rules],
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
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-wheat"
              checked={packages}
              onChange={(e) => setPackages(e.target.checked)}
            />
            whole packages
          </label>
          <label className="flex items-center gap-2 text-faint">
            At most
            <input
              className="field !w-16"
              inputMode="numeric"
              aria-label="At most so many products"
              aria-invalid={few.trim() !== '' && kinds === undefined}
              value={few}
              onChange={(e) => setFew(e.target.value)}
            />
            products
          </label>
        </p>
        <TaskNote task={task} what="the cheapest of all" />
        {wrong.length + wrongMost.length > 0 && (
          <p className="text-beet">
            Expected an amount in kg for {[...wrong, ...wrongMost].map(formulaText).join(', ')}.
          </p>
        )}
        {few.trim() !== '' && kinds === undefined && (
          <p className="text-beet">
            Read “{few.trim()}” as how many products, expected a whole number from 1 to {MOST_KINDS}.
          </p>
        )}
        {!question ? (
          <Empty>{currency === '' ? 'No list has a price yet.' : 'Say how much of one nutrient is wanted.'}</Empty>
        ) : task.result?.kind === 'none' ? (
          <Remark tone="caution">
            {task.result.missing.length > 0 && `Too little ${task.result.missing.map(formulaText).join(' and ')}. `}
            Nothing in the lists brings that within these bounds. Ask for less, or allow more at most.
          </Remark>
        ) : (
          task.result && <CheapestRecipe found={task.result} rules={rules} currency={currency} />
        )}
      </div>
      <MarginNotes>
        <MarginNote title="What counts">
          <p>
            Carriage is not in it; without “whole packages” any amount out of a package is. Where a product holds
            between two figures, the lower counts for at least and the higher for at most; what a list does not say
            counts as none for at least.
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
