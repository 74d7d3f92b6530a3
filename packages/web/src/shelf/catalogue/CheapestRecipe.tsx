import { useMemo } from 'react';
import {
  costOfAll,
  formatTrimmed,
  formulaText,
  RANKED_NUTRIENTS,
  type CheapestOfAll,
  type PartOfAll,
  type Restricted,
  type WholeOfAll,
} from '@wheat-ledger/core';
import { FigureButton } from '../../ui/FigureButton';
import { Remark } from '../../ui/Sheet';
import type { AllAnswer } from '../../workers/catalogue.worker';
import { usePin, type Pinning } from './usePin';

type Part = PartOfAll & { readonly cost: number };

const packageWords = ({ bought = [] }: Part): string =>
  bought.map(({ count, kg }) => `${count} × ${formatTrimmed(kg, 4)} kg`).join(' + ');

/** Puts all of a recipe on the shelf and the bench, where it can be mixed under every rule. */
function AllToBench({ parts, pinning: { pin, busy, full } }: { parts: readonly Part[]; pinning: Pinning }) {
  const all = async (): Promise<void> => {
    for (const { product } of parts) await pin(product, true);
  };
  return (
    <button type="button" className="action no-print" disabled={busy || full} onClick={() => void all()}>
      All to the bench
    </button>
  );
}

function PartRow({ part, whole, pinning: { pin, busy } }: { part: Part; whole: boolean; pinning: Pinning }) {
  const { product, kg, cost } = part;
  return (
    <tr>
      <th scope="row" className="font-normal">
        {product.name}
      </th>
      <td className="num">{formatTrimmed(kg, 4)}</td>
      <td className="num">{whole ? packageWords(part) : formatTrimmed(product.pricePerKg, 3)}</td>
      <td className="num">{cost.toFixed(2)}</td>
      <td className="no-print">
        <button type="button" className="plain" disabled={busy} onClick={() => void pin(product, false)}>
          to the shelf<span className="sr-only">: {product.name}</span>
        </button>
      </td>
    </tr>
  );
}

function Parts({ parts, whole, currency }: { parts: readonly Part[]; whole: boolean; currency: string }) {
  const cost = useMemo(() => costOfAll(parts, currency), [parts, currency]);
  const pinning = usePin();
  return (
    <div className="relative overflow-x-auto">
      <table className="ledger max-w-3xl">
        <caption className="sr-only">The cheapest of all</caption>
        <thead>
          <tr>
            <th scope="col">Product</th>
            <th scope="col" className="num">
              kg used
            </th>
            <th scope="col" className="num">
              {whole ? 'packages' : `a kg, ${currency}`}
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
          {parts.map((part) => (
            <PartRow key={part.product.id} part={part} whole={whole} pinning={pinning} />
          ))}
          <tr className="total">
            <th scope="row">All</th>
            <td className="num">
              {formatTrimmed(
                parts.reduce((sum, p) => sum + p.kg, 0),
                4,
              )}
            </td>
            <td />
            <td className="num">
              <FigureButton figure={cost} />
            </td>
            <td className="no-print">
              <AllToBench parts={parts} pinning={pinning} />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  );
}

/** How near the best a recipe under rules is known to be. */
function boundWords({ cost, bound, proven }: WholeOfAll, rules: Restricted, currency: string): string {
  const kinds = rules.kinds === undefined ? '' : ` of ${rules.kinds} ${rules.kinds === 1 ? 'product' : 'products'}`;
  const what = `recipe${kinds}${rules.packages ? ' in whole packages' : ''}`;
  if (proven) return `Nothing in the lists makes a cheaper ${what}.`;
  if (bound <= 0) return `How near the best ${what} this one is, is not known.`;
  const gap = cost - bound;
  return `No ${what} costs less than ${bound.toFixed(2)} ${currency}: this one is at most ${gap.toFixed(2)} ${currency} (${formatTrimmed((100 * gap) / bound, 2)} %) above the best.`;
}

function linearWords({ proven, rounds }: CheapestOfAll): string {
  return proven
    ? `The whole catalogue was gone through ${rounds} ${rounds === 1 ? 'time' : 'times'}; nothing in it makes this cheaper.`
    : 'The search was stopped early: there may be something cheaper.';
}

interface CheapestRecipeProps {
  readonly found: Extract<AllAnswer, { kind: 'found' }>;
  readonly rules: Restricted;
  readonly currency: string;
}
/** What to buy, what it costs, and what each nutrient is worth to it. */
export function CheapestRecipe({ found: { linear, whole }, rules, currency }: CheapestRecipeProps) {
  const worth = RANKED_NUTRIENTS.filter((n) => (linear.prices.worth[n] ?? 0) > 1e-9);
  if (whole === 'none')
    return (
      <Remark tone="caution">
        No recipe was found that keeps to this. By the kg, of any number of products, it costs {linear.cost.toFixed(2)}{' '}
        {currency}: allow more products, or any amount out of a package.
      </Remark>
    );
  return (
    <div data-testid="cheapest">
      <Parts parts={(whole ?? linear).parts} whole={rules.packages} currency={currency} />
      {whole && (
        <p className="mt-2">
          {boundWords(whole, rules, currency)} By the kg, of any number of products, it is {linear.cost.toFixed(2)}{' '}
          {currency}.
        </p>
      )}
      {worth.length > 0 && (
        <p className="mt-2">
          {whole ? 'By the kg, another' : 'Another'}{' '}
          {worth
            .map(
              (n) => `kg of ${formulaText(n)} would cost ${formatTrimmed(linear.prices.worth[n] ?? 0, 3)} ${currency}`,
            )
            .join(', another ')}
          .
        </p>
      )}
      {(!whole || !linear.proven) && <p className="text-sm text-faint">{linearWords(linear)}</p>}
    </div>
  );
}
