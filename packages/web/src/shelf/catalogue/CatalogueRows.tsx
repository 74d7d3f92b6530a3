import { memo, useCallback, useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useVirtualizer } from '@tanstack/react-virtual';
import type { CatalogueProduct } from '@wheat-ledger/contract';
import { formatTrimmed, formulaText, RANKED_NUTRIENTS, type RankedNutrient } from '@wheat-ledger/core';
import { Failed } from '../../ui/Sheet';
import { useInPage } from '../../ui/useInPage';
import { PAGE_OF_PRODUCTS, useCataloguePageQuery, type Asked } from '../../app/catalogueApi';
import { usePin, type Pinning } from './usePin';

const ROW = 52;
const BAR = 120;

/** What is in it, in per cent. @example 'N 12 · K₂O 9–10 %' */
function shares(p: CatalogueProduct): string {
  const all = RANKED_NUTRIENTS.flatMap((n) => {
    const f = p.fractions[n];
    if (!f) return [];
    const [low, high] = [formatTrimmed(f.low * 100, 2), formatTrimmed(f.high * 100, 2)];
    return [`${formulaText(n)} ${low === high ? low : `${low}–${high}`}`];
  });
  return all.length > 0 ? `${all.join(' · ')} %` : '';
}

interface RankedBy {
  readonly by: RankedNutrient | '';
  /** The most that the cheapest of all may cost: what reaches below it is tied with it. */
  readonly bestHigh: number | undefined;
  /** What the bars are drawn against. */
  readonly widest: number;
}

/** What a kg of the nutrient costs, drawn from the least to the most. */
function CostCell({ product, by, bestHigh, widest, first }: RankedBy & { product: CatalogueProduct; first: boolean }) {
  const { cost, pricePerKg, currency } = product;
  if (by === '' || !cost)
    return (
      <span className="w-56 text-right text-faint max-sm:w-auto">
        {pricePerKg === null ? 'no price' : `${formatTrimmed(pricePerKg, 3)} ${currency ?? ''} a kg`}
      </span>
    );
  const x = (n: number): number => Math.min(BAR, (n / widest) * BAR);
  const high = cost.high ?? widest;
  const tied = !first && bestHigh !== undefined && cost.low <= bestHigh;
  return (
    <span className="flex w-72 items-center justify-end gap-3 max-sm:w-auto">
      {tied && <span className="text-sm text-slate">tie</span>}
      <svg width={BAR} height={12} className="max-md:hidden" aria-hidden="true">
        <rect x={0} y={5} width={x(cost.mid)} height={2} fill="var(--rule)" />
        <rect x={x(cost.low)} y={3} width={Math.max(3, x(high) - x(cost.low))} height={6} fill="var(--moss)" />
      </svg>
      <span className="w-32 text-right tabular-nums">
        <b>
          {formatTrimmed(cost.low, 3)}
          {cost.high === null
            ? ' and more'
            : cost.high - cost.low > 0.005 * cost.mid
              ? `–${formatTrimmed(cost.high, 3)}`
              : ''}
        </b>{' '}
        <span className="text-sm text-faint">
          {currency}/kg {formulaText(by)}
        </span>
      </span>
    </span>
  );
}

interface ProductRowProps extends RankedBy {
  readonly product: CatalogueProduct;
  readonly first: boolean;
  readonly pinning: Pinning;
}
function ProductRow({ product, first, pinning: { pin, busy, full }, ...ranked }: ProductRowProps) {
  return (
    <li
      className="flex items-center gap-3 border-b border-rule"
      style={{ height: ROW, contentVisibility: 'auto', containIntrinsicSize: `auto ${ROW}px` }}
      data-testid="catalogue-product"
    >
      <span className="min-w-0 flex-1 leading-tight">
        <Link to={`/shelf/catalogue/${product.id}`} className="block truncate font-slab font-bold" title={product.name}>
          {product.name}
        </Link>
        <span className="block truncate text-sm text-faint">
          {[product.seller, product.form, shares(product)].filter(Boolean).join(', ')}
        </span>
      </span>
      <CostCell product={product} first={first} {...ranked} />
      <span className="flex gap-2 text-sm">
        <button type="button" className="plain" disabled={busy} onClick={() => void pin(product, false)}>
          shelf<span className="sr-only">: put {product.name} there</span>
        </button>
        <button type="button" className="plain" disabled={busy || full} onClick={() => void pin(product, true)}>
          bench<span className="sr-only">: put {product.name} there</span>
        </button>
      </span>
    </li>
  );
}

interface PageRowsProps extends RankedBy {
  readonly asked: Asked;
  readonly nth: number;
  readonly onNext: (nth: number, next: string | null) => void;
  readonly pinning: Pinning;
}
/** One page of the list; while it is on its way its room stands empty. */
function PageRows({ asked, nth, onNext, ...ranked }: PageRowsProps) {
  const { currentData, error } = useCataloguePageQuery(asked);
  const next = currentData?.next;
  useEffect(() => {
    if (next !== undefined) onNext(nth, next);
  }, [nth, next, onNext]);
  if (error) return <Failed error={error} />;
  return (
    <ul>
      {currentData?.items.map((product, i) => (
        // By their place: while somebody types, words change and rows stay.
        <ProductRow key={i} product={product} first={nth === 0 && i === 0} {...ranked} />
      ))}
    </ul>
  );
}

/** Where each page begins; the first has no place. */
type Places = readonly (string | undefined)[];
const FIRST_PAGE: Places = [undefined];

/** The pages of what is asked, as far as they were read; another question begins again. */
function usePlaces(asked: Asked): readonly [Places, PageRowsProps['onNext']] {
  const [walked, setWalked] = useState({ asked, places: FIRST_PAGE });
  const onNext = useCallback(
    (nth: number, next: string | null): void =>
      setWalked((before) => {
        const places = before.asked === asked ? before.places : FIRST_PAGE;
        return next !== null && places.length === nth + 1 ? { asked, places: [...places, next] } : before;
      }),
    [asked],
  );
  return [walked.asked === asked ? walked.places : FIRST_PAGE, onNext];
}

/** Everything that was found, page by page: only those near the view are held and in the page. */
export const CatalogueRows = memo(function CatalogueRows({ asked }: { asked: Asked }) {
  const by = RANKED_NUTRIENTS.find((n) => n === asked['by']) ?? '';
  const list = useRef<HTMLDivElement>(null);
  const place = useInPage(list);
  const pinning = usePin();
  const [places, onNext] = usePlaces(asked);
  const { data: first } = useCataloguePageQuery(asked);
  const virtual = useVirtualizer({
    count: places.length,
    getScrollElement: () => place?.scroller ?? null,
    estimateSize: (nth) =>
      (nth === places.length - 1 && nth === 0 ? Math.max(1, first?.items.length ?? 1) : PAGE_OF_PRODUCTS) * ROW,
    overscan: 1,
    scrollMargin: place?.margin ?? 0,
  });
  const bestHigh = first?.items[0]?.cost?.high ?? undefined;
  const widest = 1.2 * Math.max(1e-9, ...(first?.items ?? []).map((p) => p.cost?.high ?? p.cost?.mid ?? 0));
  return (
    <div ref={list} className="relative" style={{ height: virtual.getTotalSize() }} data-testid="catalogue">
      {virtual.getVirtualItems().map(({ key, index, start }) => {
        const after = places[index];
        return (
          <div
            key={key}
            ref={virtual.measureElement}
            data-index={index}
            className="absolute top-0 left-0 w-full"
            style={{ transform: `translateY(${start - virtual.options.scrollMargin}px)` }}
          >
            <PageRows
              asked={after === undefined ? asked : { ...asked, after }}
              nth={index}
              onNext={onNext}
              pinning={pinning}
              by={by}
              bestHigh={bestHigh}
              widest={widest}
            />
          </div>
        );
      })}
    </div>
  );
});
