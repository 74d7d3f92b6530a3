import { Big } from 'big.js';
import { QuantityError } from '../errors.js';

/** An amount as an exact decimal string with its ISO 4217 currency. Money is never a binary float at rest. */
export interface Money {
  readonly amount: string;
  readonly currency: string;
}

/** A plain amount of at most four decimals. */
export const AMOUNT = /^\d{1,9}(\.\d{1,4})?$/;

/** An exact decimal with the two places money has, more only where they were given. @example plainAmount('34.5000') // '34.50' */
export const plainAmount = (amount: string): string => amount.replace(/(\.\d\d)(\d*?)0*$/, '$1$2');

/**
 * Reads an amount and a currency. @throws QuantityError when the amount is not a plain non-negative decimal or the currency not three letters.
 * @example money('24.90', 'EUR')
 */
export function money(amount: string, currency: string): Money {
  if (!AMOUNT.test(amount))
    throw new QuantityError('money.amount', `Read "${amount}", expected an amount such as 24.90.`, 'amount');
  if (!/^[A-Z]{3}$/.test(currency))
    throw new QuantityError('money.currency', `Read "${currency}", expected a currency code such as EUR.`, 'currency');
  return { amount, currency };
}

/** a + b, exactly. @throws QuantityError when the currencies differ: there is no silent conversion. */
export function addMoney(a: Money, b: Money): Money {
  if (a.currency !== b.currency)
    throw new QuantityError('money.mixed', `Cannot add ${b.currency} to ${a.currency}: no conversion rate is kept.`);
  return { amount: new Big(a.amount).plus(b.amount).toFixed(), currency: a.currency };
}

/** The amount times a plain number, kept to ten decimals. @throws Error when the factor is not a finite number. */
export const scaleMoney = (a: Money, factor: number): Money => ({
  amount: new Big(a.amount).times(factor).round(10).toFixed(),
  currency: a.currency,
});

/** The amount as a number, for plotting and ranking only. */
export const moneyValue = (a: Money): number => new Big(a.amount).toNumber();

/** Two decimals, half up, with the code. @example formatMoney(money('24.9', 'EUR')) // '24.90 EUR' */
export const formatMoney = (a: Money): string => `${new Big(a.amount).toFixed(2, Big.roundHalfUp)} ${a.currency}`;
