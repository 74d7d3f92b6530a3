import { useMemo, useState } from 'react';
import { commonestCurrency, currentOffers, formatTrimmed, printDay, typedNumber } from '@wheat-ledger/core';
import { settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { today } from '../app/today';
import { useShelf } from '../app/workspace';
import { usePrinting } from '../ui/usePrinting';
import { NumberField, numberIn } from '../ui/NumberField';

/** The money most of the shelf is priced in, and the others that stand beside it. */
function useCurrencies(): { readonly main: string | undefined; readonly others: readonly string[] } {
  const { shelf } = useShelf();
  return useMemo(() => {
    const products = shelf.map((s) => s.product);
    const main = commonestCurrency(products);
    const all = products.flatMap((p) => currentOffers(p).flatMap((o) => (o.price ? [o.price.currency] : [])));
    return { main, others: [...new Set(all)].filter((c) => c !== main).sort() };
  }, [shelf]);
}

function HourField({ currency }: { currency: string }) {
  const hour = useAppSelector((s) => s.settings.hour);
  const dispatch = useAppDispatch();
  const [text, setText] = useState(typedNumber(hour?.amount));
  return (
    <NumberField
      label={`An hour of your work, ${currency}`}
      text={text}
      onText={(typed) => {
        setText(typed);
        const amount = numberIn(typed, undefined);
        dispatch(settingsSlice.actions.changed({ hour: amount === undefined ? undefined : { amount, currency } }));
      }}
    />
  );
}

function RateField({ from, to }: { from: string; to: string }) {
  const rates = useAppSelector((s) => s.settings.rates);
  const dispatch = useAppDispatch();
  const rate = rates.find((r) => r.from === from && r.to === to);
  const [text, setText] = useState(typedNumber(rate?.rate));
  return (
    <span>
      <NumberField
        label={`1 ${from} in ${to}`}
        text={text}
        onText={(typed) => {
          setText(typed);
          const others = rates.filter((r) => r.from !== from);
          const read = numberIn(typed, 0);
          const next = read > 0 ? [...others, { from, to, rate: read, on: today() }] : others;
          dispatch(settingsSlice.actions.changed({ rates: next }));
        }}
      />
      <span className="block text-sm text-faint">
        {rate ? `typed on ${printDay(rate.on)}` : 'not ranked together without'}
      </span>
    </span>
  );
}

/** What else counts in a price: an hour's worth, and rates between currencies. One line until it is opened. */
export function CountedPart() {
  const { main, others } = useCurrencies();
  const { hour, rates } = useAppSelector((s) => s.settings);
  const printing = usePrinting();
  if (!main) return null;
  const used = rates.filter((r) => r.to === main && others.includes(r.from));
  const told = [
    hour?.currency === main ? `your hours at ${formatTrimmed(hour.amount, 4)} ${main}, and haulage` : '',
    ...used.map((r) => `1 ${r.from} = ${formatTrimmed(r.rate, 6)} ${main} (${printDay(r.on)})`),
  ].filter(Boolean);
  const counted = `Counted: ${told.join('; ')}`;
  if (printing) return told.length > 0 && <p className="mb-3">{counted}</p>;
  return (
    <details className="mb-3 text-[0.9375rem]" data-testid="counted">
      <summary className="cursor-pointer text-faint">
        {told.length > 0 ? counted : 'Count your work, haulage or other money'}
      </summary>
      <div className="mt-2 flex flex-wrap items-start gap-x-5 gap-y-2">
        <HourField key={main} currency={main} />
        {others.map((from) => (
          <RateField key={`${from} ${main}`} from={from} to={main} />
        ))}
        <p className="max-w-72 text-sm text-faint">
          Hours and haulage of a bag are typed with its label, under “Beyond nutrients”. A free bag then costs its
          handling.
        </p>
      </div>
    </details>
  );
}
