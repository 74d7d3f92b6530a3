import { useCallback, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { toProduct, type CatalogueRecord } from '@wheat-ledger/contract';
import {
  compoundPerElement,
  costPerUnit,
  COST_REASONS,
  formatTrimmed,
  formulaText,
  printDay,
  RANKED_AS,
  RANKED_NUTRIENTS,
  supplyFraction,
  type Product,
  type RankedNutrient,
} from '@wheat-ledger/core';
import { useCatalogueRecordQuery } from '../../app/catalogueApi';
import { useAppSelector } from '../../app/store';
import { Bag } from '../../ui/Bag';
import { FigureButton } from '../../ui/FigureButton';
import { MarginNote, MarginNotes } from '../../ui/MarginNotes';
import { Empty, Failed, Loading, Sheet } from '../../ui/Sheet';
import { WorthByLists } from '../../ui/WorthByLists';
import { usePin } from './usePin';

const basisOf = (n: RankedNutrient) => (n === 'P2O5' || n === 'K2O' ? n : 'element');

/** What a product brings of each nutrient, and what a kg of it costs; each opens to its working. */
function NutrientTable({ product, currency }: { product: Product; currency: string | undefined }) {
  const rows = RANKED_NUTRIENTS.flatMap((n) => {
    const reading = supplyFraction(product, RANKED_AS[n]);
    if (reading.kind !== 'figure') return [];
    const question = { nutrient: RANKED_AS[n], basis: basisOf(n), perUnit: 'kg' } as const;
    return [{ n, share: reading.figure, counted: reading.counted, cost: costPerUnit(product, question, currency) }];
  });
  if (rows.length === 0) return <Empty>The list says of none of N, P, K, Ca, Mg and S how much is in it.</Empty>;
  return (
    <table className="ledger max-w-2xl">
      <caption className="pb-1 text-left text-sm text-faint">
        Phosphate counts as available, potash as soluble. All of the price is laid on the one nutrient.
      </caption>
      <thead>
        <tr>
          <th scope="col">Nutrient</th>
          <th scope="col" className="num">
            in it, %
          </th>
          <th scope="col" className="num">
            a kg of it costs{currency ? `, ${currency}` : ''}
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ n, share, counted, cost }) => {
          const factor = 100 * compoundPerElement(basisOf(n));
          const [low, high] = [formatTrimmed(share.value.low * factor, 3), formatTrimmed(share.value.high * factor, 3)];
          return (
            <tr key={n} data-testid="listed-nutrient">
              <th scope="row">
                {formulaText(n)}
                {counted === 'total' && <span className="font-normal text-faint"> in all</span>}
              </th>
              <td className="num">
                <FigureButton figure={share}>{low === high ? low : `${low}–${high}`}</FigureButton>
              </td>
              <td className="num">
                {cost.kind === 'cost' ? (
                  <FigureButton figure={cost.figure} />
                ) : (
                  <span className="text-faint">{COST_REASONS[cost.kind]}</span>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** Where what is said of it comes from. */
function Source({ found }: { found: CatalogueRecord }) {
  const { list, row, shared, place, seenOn, inStock } = found;
  return (
    <MarginNote title="Where this is from">
      <p>
        {row === null || row === 0 ? `From “${list}”.` : `Row ${row} of “${list}”, when it last came or changed.`}
        {shared && ' A list of the whole installation.'}
      </p>
      {place !== '' && <p>Sold in {place}.</p>}
      {seenOn && <p>Price seen on {printDay(seenOn)}.</p>}
      {inStock !== null && <p>{inStock ? 'In stock, as the list says.' : 'Not in stock, as the list says.'}</p>}
      <p>Nobody here has looked at the bag: it is what the seller’s list says.</p>
    </MarginNote>
  );
}

function Listed({ found }: { found: CatalogueRecord }) {
  const { pin, busy, full } = usePin();
  const basis = useAppSelector((s) => s.settings.basis);
  const product = useMemo(() => toProduct(found.record, found.id), [found]);
  const alone = useMemo(() => [product], [product]);
  const { record, currency } = found;
  const sellerOf = useCallback(() => record.seller, [record.seller]);
  const facts = [record.seller, record.form, record.grade ?? '', record.derivedFrom.join(', ')].filter(Boolean);
  return (
    <Sheet
      title={found.name}
      question="What is in it, what does it cost, and what else would bring the same?"
      actions={
        <>
          <Link to="/shelf/catalogue" className="action">
            Catalogue
          </Link>
          <button type="button" className="action" disabled={busy || full} onClick={() => void pin(found, true)}>
            To the bench
          </button>
          <button type="button" className="action main" disabled={busy} onClick={() => void pin(found, false)}>
            To the shelf
          </button>
        </>
      }
    >
      <div className="flex flex-wrap gap-6">
        <Bag product={product} basis={basis} />
        <div className="min-w-0 flex-1">
          <p>{facts.join(' · ')}</p>
          <ul className="my-2">
            {record.offers.map((o, i) => (
              <li key={i}>
                {formatTrimmed(o.size, 4)} {o.unit}
                {o.price ? `: ${o.price.amount} ${o.price.currency}` : ': no price'}
                {o.seenOn && <span className="text-faint"> on {printDay(o.seenOn)}</span>}
              </li>
            ))}
          </ul>
          <NutrientTable product={product} currency={currency ?? undefined} />
        </div>
      </div>
      {currency !== null && (
        <WorthByLists
          title="What else would bring the same"
          products={alone}
          sellerOf={sellerOf}
          currency={currency}
          nutrients={RANKED_NUTRIENTS}
        />
      )}
      <MarginNotes>
        <Source found={found} />
      </MarginNotes>
    </Sheet>
  );
}

/** One product of a seller's list, before it is on the shelf. */
export function ListedProductView() {
  const { id = '' } = useParams();
  const { data, isLoading, error } = useCatalogueRecordQuery(id);
  if (isLoading) return <Loading what="the product" />;
  if (data) return <Listed key={id} found={data} />;
  return (
    <Sheet title="Not in the lists" question="This product is in no list any more, or was never there.">
      {error !== undefined && <Failed error={error} />}
    </Sheet>
  );
}
