import { Link } from 'react-router';
import { compoundPerElement, RANKED_AS, RANKED_NUTRIENTS, type BlendTarget } from '@wheat-ledger/core';
import { useCatalogueCurrenciesQuery } from '../app/catalogueApi';

/** How much of each nutrient a target asks for, kg, as the page of sellers' lists takes it; undefined for a ratio, which is no amount. */
export function askedOfLists({ kind, parts }: BlendTarget, batchKg: number): string | undefined {
  if (kind === 'ratio') return undefined;
  const query = new URLSearchParams();
  for (const n of RANKED_NUTRIENTS) {
    const part = parts.find((p) => p.nutrient === RANKED_AS[n]);
    if (!part || part.amount <= 0) continue;
    const kg = kind === 'amount' ? part.amount : (part.amount / 100) * batchKg;
    const perElement = n === 'P2O5' || n === 'K2O' ? compoundPerElement(n) : 1;
    query.set(n, String(Number(((kg / compoundPerElement(part.basis)) * perElement).toPrecision(6))));
  }
  return query.size > 0 ? query.toString() : undefined;
}

/** From the bags at hand to everything that could be bought. */
export function FromLists({ target, batchKg }: { target: BlendTarget | undefined; batchKg: number }) {
  const { data: currencies = [] } = useCatalogueCurrenciesQuery();
  const asked = target && askedOfLists(target, batchKg);
  if (currencies.length === 0 || asked === undefined) return null;
  return (
    <p className="no-print mt-3">
      <Link to={`/shelf/cheapest?${asked}`} className="plain">
        The same nutrients from everything in sellers’ lists
      </Link>
    </p>
  );
}
