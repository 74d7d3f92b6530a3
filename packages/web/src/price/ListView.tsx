import { useMemo, useState } from 'react';
import Papa from 'papaparse';
import { Download } from 'lucide-react';
import { productText, readProduct, toProduct, type ProductRecord } from '@wheat-ledger/contract';
import {
  formatGiven,
  offersAfter,
  priceChanges,
  printDay,
  type ListCells,
  type Offer,
  type PriceChange,
  type Product,
} from '@wheat-ledger/core';
import { problemOf, useRecords } from '../app/api';
import { useChangeMutation } from '../app/changeApi';
import { useLazyPriceListQuery } from '../app/priceApi';
import { today } from '../app/today';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Remark } from '../ui/Sheet';
import { TakeBack } from '../ui/TakeBack';
import { PricePage } from './PricePages';

const MOST_LINES = 5000;
/** The lines of a price list by their headings; what is longer is left out. */
export const linesOfList = (csv: string): readonly ListCells[] =>
  Papa.parse<Record<string, string>>(csv, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
  }).data.slice(0, MOST_LINES);

type Taken = Extract<PriceChange, { kind: 'changed' | 'added' | 'withdrawn' }>;
const isTaken = (change: PriceChange): change is Taken => ['changed', 'added', 'withdrawn'].includes(change.kind);
const KIND_WORDS = { changed: 'changed', added: 'new package', withdrawn: 'sold no more' } as const;
const priceWords = (offer: Pick<Offer, 'price'> | undefined): string =>
  offer?.price ? `${offer.price.amount} ${offer.price.currency}` : 'no price';

function ChangeRow({ change, ticked, onTick }: { change: Taken; ticked: boolean; onTick: () => void }) {
  const { after, before, product } = change;
  const [old, now] = [Number(before?.price?.amount), Number(after.price?.amount)];
  const share = before?.price && after.price && old > 0 ? now / old - 1 : undefined;
  return (
    <tr data-testid="price-change">
      <td>
        <input
          type="checkbox"
          checked={ticked}
          onChange={onTick}
          aria-label={`Take over ${product.name}, ${formatGiven(after.size)} ${after.unit}`}
        />
      </td>
      <th scope="row">{product.name}</th>
      <td>
        {formatGiven(after.size)} {after.unit}
      </td>
      <td>{KIND_WORDS[change.kind]}</td>
      <td className="num">{priceWords(before)}</td>
      <td className="num">
        <b>{priceWords(after)}</b>
        {share !== undefined && (
          <span className={`block text-sm ${share > 0 ? 'text-beet' : 'text-moss'}`}>
            {share > 0 ? '+' : '−'}
            {Math.abs(share * 100).toFixed(0)} %
          </span>
        )}
      </td>
      <td>{after.seenOn ? printDay(after.seenOn) : 'today'}</td>
    </tr>
  );
}

const nth = (change: PriceChange, i: number): string => `${change.kind} ${i}`;

/** What is left of the list: what is the same, what is not on the shelf, and lines that cannot be right. */
function Beside({ changes }: { changes: readonly PriceChange[] }) {
  const same = changes.filter((c) => c.kind === 'same').length;
  const unknown = changes.flatMap((c) => (c.kind === 'unknownBag' ? [c.after.item] : []));
  const refused = changes.flatMap((c) => (c.kind === 'refused' ? [c.why] : []));
  return (
    <>
      {same > 0 && (
        <p className="mt-2 text-[0.9375rem] text-faint">
          {same === 1 ? '1 price is as you have it' : `${same} prices are as you have them`}.
        </p>
      )}
      {unknown.length > 0 && (
        <p className="mt-2 text-[0.9375rem] text-faint">Not on your shelf: {[...new Set(unknown)].join(', ')}.</p>
      )}
      {refused.map((why, i) => (
        <Remark key={i} tone="caution">
          {why}
        </Remark>
      ))}
    </>
  );
}

function Differences({
  changes,
  records,
  seller,
}: {
  changes: readonly PriceChange[];
  records: readonly ProductRecord[];
  seller: string;
}) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [change, { isLoading }] = useChangeMutation();
  const [done, setDone] = useState<{ readonly operation: string; readonly many: number }>();
  const [trouble, setTrouble] = useState<string>();
  const taken = changes.flatMap((c, i) => (isTaken(c) && !left.has(nth(c, i)) ? [c] : []));
  const take = async (): Promise<void> => {
    const byBag = new Map<string, Taken[]>();
    for (const c of taken) byBag.set(c.product.id, [...(byBag.get(c.product.id) ?? []), c]);
    const result = await change({
      why: `prices of ${seller}`,
      changes: [...byBag].flatMap(([id, of]) => {
        const record = records.find((r) => r.id === id);
        const product = of[0]?.product;
        if (!record || !product) return [];
        const input = readProduct(productText(record)).plain;
        const offers = offersAfter(product, of, today()).map(({ size, unit, price, seenOn, seller: by }) => ({
          size,
          unit,
          ...(price ? { price } : {}),
          ...(seenOn ? { seenOn } : {}),
          ...(by ? { seller: by } : {}),
        }));
        return [
          {
            kind: 'product' as const,
            action: 'update' as const,
            id,
            version: record.version,
            input: { ...input, offers },
          },
        ];
      }),
    });
    if (result.error) return setTrouble(problemOf(result.error).detail);
    setTrouble(undefined);
    setDone({ operation: result.data.operation, many: taken.length });
  };
  if (done)
    return (
      <p className="flex flex-wrap items-center gap-3" role="status">
        {done.many} {done.many === 1 ? 'price was' : 'prices were'} taken over.
        <TakeBack operation={done.operation} what="them" />
      </p>
    );
  const offered = changes.some(isTaken);
  return (
    <>
      {offered ? (
        <div className="overflow-x-auto">
          <table className="ledger" data-testid="price-changes">
            <caption className="pb-1 text-left text-sm text-faint">Nothing is taken over until you say so.</caption>
            <thead>
              <tr>
                <th scope="col">
                  <span className="sr-only">Take over</span>
                </th>
                <th scope="col">Bag</th>
                <th scope="col">Package</th>
                <th scope="col">What is new</th>
                <th scope="col" className="num">
                  You have
                </th>
                <th scope="col" className="num">
                  The list says
                </th>
                <th scope="col">Of</th>
              </tr>
            </thead>
            <tbody>
              {changes.map((c, i) =>
                isTaken(c) ? (
                  <ChangeRow
                    key={nth(c, i)}
                    change={c}
                    ticked={!left.has(nth(c, i))}
                    onTick={() => {
                      const next = new Set(left);
                      if (!next.delete(nth(c, i))) next.add(nth(c, i));
                      setLeft(next);
                    }}
                  />
                ) : null,
              )}
            </tbody>
          </table>
        </div>
      ) : (
        <Empty>Nothing on the list differs from what you have.</Empty>
      )}
      <Beside changes={changes} />
      {trouble && (
        <p role="alert" className="mt-2 text-beet">
          {trouble}
        </p>
      )}
      {offered && (
        <button
          type="button"
          className="action main mt-3"
          disabled={isLoading || taken.length === 0}
          onClick={() => void take()}
        >
          {isLoading ? 'Taking over …' : `Take over ${taken.length} ${taken.length === 1 ? 'price' : 'prices'}`}
        </button>
      )}
    </>
  );
}

function List() {
  const { records } = useRecords('product');
  const [ask, { isFetching }] = useLazyPriceListQuery();
  const [csv, setCsv] = useState<string>();
  const [trouble, setTrouble] = useState<string>();
  const [seller, setSeller] = useState('Quernlow Stores');
  // What was on the shelf when the list came: taking over must not change what is told while it is shown.
  const [bags, setBags] = useState<readonly ProductRecord[]>([]);
  const show = (text: string): void => {
    setBags(records);
    setCsv(text);
    setTrouble(undefined);
  };
  const fetchIt = async (): Promise<void> => {
    const result = await ask(undefined, false);
    if (result.error) setTrouble(problemOf(result.error).detail);
    else show(result.data ?? '');
  };
  const products = useMemo((): readonly Product[] => bags.map((r) => toProduct(r, r.id)), [bags]);
  const changes = useMemo(
    () => (csv === undefined ? undefined : priceChanges(products, linesOfList(csv), seller)),
    [csv, products, seller],
  );
  return (
    <>
      <div className="no-print mb-4 flex flex-wrap items-end gap-x-5 gap-y-2">
        <label className="text-sm text-faint">
          Whose list
          <input className="field block !w-56 text-pine" value={seller} onChange={(e) => setSeller(e.target.value)} />
        </label>
        <button
          type="button"
          className="action"
          data-testid="fetch-list"
          disabled={isFetching}
          onClick={() => void fetchIt()}
        >
          <Download size={16} aria-hidden="true" />
          {isFetching ? 'Fetching …' : 'Fetch the seller’s list'}
        </button>
        <label className="action cursor-pointer">
          Or choose a file (CSV)
          <input
            type="file"
            accept=".csv,text/csv"
            className="sr-only"
            onChange={(e) => {
              const [file] = e.target.files ?? [];
              if (file) void file.text().then(show);
            }}
          />
        </label>
      </div>
      {trouble && (
        <p role="alert" className="text-beet">
          {trouble}
        </p>
      )}
      {changes ? (
        <Differences key={csv} changes={changes} records={bags} seller={seller} />
      ) : (
        <Empty>Fetch a list, and see every price that differs before anything is taken over.</Empty>
      )}
      <MarginNotes>
        <MarginNote title="What a list is">
          <p>
            A file with a line for each package: item, size, unit, price, currency, seen, status. “Withdrawn” in the
            status says that it is sold no more.
          </p>
          <p>Bags are found by their names. A new price stands beside the old one, which stays in the history.</p>
        </MarginNote>
        <MarginNote title="For practice">
          <p>
            The list that is fetched is a stand-in that comes with this program. Its seller and prices are invented.
          </p>
        </MarginNote>
      </MarginNotes>
    </>
  );
}

/** A seller's price list against the shelf, taken over as one change. */
export const ListView = () => (
  <PricePage question="What has changed on a seller’s list?" counts={false}>
    <List />
  </PricePage>
);
