import { useState } from 'react';
import { formatFixed, typedNumber, type Carriage, type CarriageTerms } from '@wheat-ledger/core';
import { settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { NumberField, numberIn } from './NumberField';

/** What sellers ask for bringing an order, as it was typed. */
export const useCarriage = (): Carriage => useAppSelector((s) => s.settings.carriage);

const termsFrom = (amount: string, freeFrom: string): CarriageTerms | undefined => {
  const asked = numberIn(amount, undefined);
  return asked === undefined ? undefined : { amount: asked, freeFrom: numberIn(freeFrom, undefined) };
};

/** What an order costs to bring, and from which sum on nothing. @param seller of one seller; of all that are not named where it is left out */
export function CarriageFields({ currency, seller }: { currency: string; seller?: string | undefined }) {
  const carriage = useCarriage();
  const dispatch = useAppDispatch();
  const own = seller === undefined ? carriage.other : carriage.sellers?.[seller];
  const [amount, setAmount] = useState(typedNumber(own?.amount));
  const [freeFrom, setFreeFrom] = useState(typedNumber(own?.freeFrom));
  const keep = (nextAmount: string, nextFree: string): void => {
    setAmount(nextAmount);
    setFreeFrom(nextFree);
    const terms = termsFrom(nextAmount, nextFree);
    if (seller === undefined) {
      dispatch(settingsSlice.actions.changed({ carriage: { ...carriage, other: terms } }));
      return;
    }
    const others = Object.entries(carriage.sellers ?? {}).filter(([name]) => name !== seller);
    const sellers = Object.fromEntries(terms ? [...others, [seller, terms]] : others);
    dispatch(settingsSlice.actions.changed({ carriage: { ...carriage, sellers } }));
  };
  const of = seller === undefined ? '' : ` from ${seller}`;
  return (
    <>
      <NumberField
        label={`Carriage for an order${of}, ${currency}`}
        text={amount}
        onText={(text) => keep(text, freeFrom)}
        fallback={seller === undefined ? 0 : carriage.other?.amount}
      />
      <NumberField label={`Free from, ${currency}`} text={freeFrom} onText={(text) => keep(amount, text)} />
    </>
  );
}

/** What is paid for carriage, as the end of a sentence. */
export const carriageWords = (paid: number, currency: string): string =>
  paid > 0 ? `${formatFixed(paid, 2)} ${currency} of it carriage` : 'no carriage counted';
