import { useMemo, useState } from 'react';
import {
  carriageOf,
  cheapestPurchase,
  formatFixed,
  formatGiven,
  formatTrimmed,
  handlingCost,
  midSupply,
  packagesOf,
  paysFrom,
  type HourlyRate,
  type Package,
  type Product,
} from '@wheat-ledger/core';
import { useBench } from '../app/bench';
import { useCounted, useCounting } from '../app/counted';
import { useSite } from '../app/seasons';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty } from '../ui/Sheet';
import { CarriageFields, useCarriage } from '../ui/CarriageFields';
import { NumberField, numberIn } from '../ui/NumberField';
import { BreakEven } from './BreakEven';
import { PricePage } from './PricePages';
import { Unpriced } from './Unpriced';
import { usePriced } from './usePriced';

const M2_PER_HA = 10_000;
const USUAL_N = 100;

/** A bag as it is bought for a need of nitrogen. */
export interface Buying {
  readonly product: Product;
  readonly nitrogen: number;
  readonly packages: readonly Package[];
}

/** How long what is left lasts. @example leftWords(0.16) // '16 % of a season' */
const leftWords = (seasons: number): string =>
  seasons < 1 ? `${Math.round(seasons * 100)} % of a season` : `${formatTrimmed(seasons, 2)} more seasons`;

interface SeasonRowProps {
  readonly buying: Buying;
  readonly needN: number;
  readonly hour: HourlyRate | undefined;
  readonly currency: string;
}
/** Work and haulage of what is used; what nobody said is not known, and not nothing. */
function HandlingCell({
  product,
  kg,
  hour,
  currency,
}: {
  product: Product;
  kg: number;
  hour: HourlyRate | undefined;
  currency: string;
}) {
  const cost = handlingCost(product, kg, hour, currency);
  const { ease, hoursPer100Kg } = product.handling ?? {};
  return (
    <td className="num text-[0.9375rem]">
      {cost ? (
        <FigureButton figure={cost} />
      ) : (
        hoursPer100Kg === undefined && <span className="text-faint">not known</span>
      )}
      <span className="block text-sm text-faint">
        {hoursPer100Kg !== undefined && `${formatTrimmed((hoursPer100Kg * kg) / 100, 2)} h`}
        {hoursPer100Kg !== undefined && ease !== undefined && ', '}
        {ease !== undefined && `ease ${formatTrimmed(ease, 2)} of 5`}
      </span>
    </td>
  );
}

/** What a season of it costs for so much nitrogen, in whole packages. */
function SeasonRow({ buying, needN, hour, currency }: SeasonRowProps) {
  const carriage = useCarriage();
  const { product, nitrogen, packages } = buying;
  const needKg = needN / nitrogen;
  const purchase = cheapestPurchase(packages, needKg);
  if (!purchase) return null;
  const paid = purchase.paid + carriageOf([{ product, purchase }], carriage);
  const left = purchase.kg > 0 ? (purchase.paid * purchase.leftKg) / purchase.kg : 0;
  const seasons = needKg > 0 ? purchase.leftKg / needKg : 0;
  return (
    <tr data-testid="season-cost">
      <th scope="row">{product.name}</th>
      <td className="num">{formatTrimmed(needKg, 3)}</td>
      <td className="text-[0.9375rem]">
        {purchase.bought
          .map(({ package: p, count }) => `${count} × ${formatGiven(p.offer.size)} ${p.offer.unit}`)
          .join(' + ')}
      </td>
      <td className="num">
        <b>{formatFixed(paid, 2)}</b>
      </td>
      <td className="num">{formatFixed(paid - left, 2)}</td>
      <HandlingCell product={product} kg={needKg} hour={hour} currency={currency} />
      <td className="num text-[0.9375rem]">
        {purchase.leftKg < 0.01 ? 'nothing' : `${formatTrimmed(purchase.leftKg, 2)} kg`}
        {seasons >= 0.05 && <span className="block text-sm text-faint">{leftWords(seasons)}</span>}
      </td>
    </tr>
  );
}

function PaysFromLines({ buyings }: { buyings: readonly Buying[] }) {
  const lines = buyings.flatMap(({ product, packages }) =>
    paysFrom(packages).map((p) => ({ key: `${product.id} ${p.large.kg} ${p.small.kg}`, product, ...p })),
  );
  if (lines.length === 0) return null;
  return (
    <section className="mt-6">
      <h2 className="mb-2 text-xl">When a larger package pays</h2>
      <ul className="list-disc pl-5">
        {lines.map(({ key, product, small, large, fromKg }) => (
          <li key={key} data-testid="pays-from">
            <b>{product.name}</b>:{' '}
            {fromKg === undefined
              ? `${formatGiven(large.offer.size)} ${large.offer.unit} is never cheaper than as many of ${formatGiven(small.offer.size)} ${small.offer.unit}.`
              : fromKg === 0
                ? `${formatGiven(large.offer.size)} ${large.offer.unit} costs no more than ${formatGiven(small.offer.size)} ${small.offer.unit}: it always pays.`
                : `buying ${formatGiven(large.offer.size)} ${large.offer.unit} pays from just over ${formatTrimmed(fromKg, 3)} kg a season on.`}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Season() {
  const compared = useCounted(useBench().compared, false);
  const { hour } = useCounting();
  const { plot, crop, site } = useSite();
  const [ground, setGround] = useState('');
  const [dose, setDose] = useState('');
  const { currency, unpriced } = usePriced(compared);
  const usualGround = (plot?.areaM2 ?? 100) * (site?.season.share ?? 1);
  const usualDose = crop?.uptakeKgPerHa.N?.mid ?? USUAL_N;
  const [areaM2, nitrogenKgPerHa] = [numberIn(ground, usualGround), numberIn(dose, usualDose)];
  const buyings = useMemo(
    () =>
      compared.flatMap((product): Buying[] => {
        const nitrogen = midSupply(product, 'N');
        const packages = packagesOf(product, currency ?? '');
        return nitrogen > 0 && packages.length > 0 ? [{ product, nitrogen, packages }] : [];
      }),
    [compared, currency],
  );
  const without = compared.filter((p) => !unpriced.includes(p) && !buyings.some((b) => b.product.id === p.id));
  if (!currency) return <Empty>Nothing on the bench has a price by weight.</Empty>;
  const needN = (nitrogenKgPerHa * areaM2) / M2_PER_HA;
  return (
    <>
      <div className="no-print mb-4 flex flex-wrap items-start gap-x-5 gap-y-2">
        <NumberField label="Ground, m²" text={ground} onText={setGround} fallback={usualGround} />
        <NumberField label="Nitrogen, kg N/ha" text={dose} onText={setDose} fallback={usualDose} />
        <CarriageFields currency={currency} />
      </div>
      <div className="overflow-x-auto">
        <table className="ledger">
          <caption className="pb-1 text-left text-sm text-faint">
            {formatTrimmed(needN, 3)} kg N from each bag alone, in whole packages; {currency}.
          </caption>
          <thead>
            <tr>
              <th scope="col">Bag</th>
              <th scope="col" className="num">
                Needed, kg
              </th>
              <th scope="col">Bought</th>
              <th scope="col" className="num">
                Paid
              </th>
              <th scope="col" className="num">
                Used up
              </th>
              <th scope="col" className="num">
                Work and haulage
              </th>
              <th scope="col" className="num">
                Left
              </th>
            </tr>
          </thead>
          <tbody>
            {buyings.map((buying) => (
              <SeasonRow key={buying.product.id} {...{ buying, needN, hour, currency }} />
            ))}
          </tbody>
        </table>
      </div>
      {without.length > 0 && (
        <p className="mt-2 text-[0.9375rem] text-faint">Bring no nitrogen: {without.map((p) => p.name).join(', ')}.</p>
      )}
      <Unpriced products={unpriced} currency={currency} />
      <BreakEven
        buyings={buyings}
        nitrogenKgPerHa={nitrogenKgPerHa}
        areaM2={areaM2}

        currency={currency}
      />
      <PaysFromLines buyings={buyings} />
      <MarginNotes>
        <MarginNote title="Paid and used up">
          <p>
            <b>Paid</b> is whole packages and carriage. <b>Used up</b> takes off what is left over at what it cost,
            which is fair only where it keeps.
          </p>
        </MarginNote>
        <MarginNote title="Nitrogen alone">
          <p>
            Each bag is asked for the same nitrogen. What else it brings, and when, is on the other pages: a cheap bag
            may be incomplete.
          </p>
        </MarginNote>
      </MarginNotes>
    </>
  );
}

/** What a season's nitrogen costs in whole packages, and where one bag becomes cheaper than another. */
export const SeasonPriceView = () => (
  <PricePage question="What does a season cost, in packages you can buy?" empty="to see what a season of them costs.">
    <Season />
  </PricePage>
);
