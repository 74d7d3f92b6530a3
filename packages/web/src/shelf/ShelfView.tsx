import { lazy, Suspense, useDeferredValue, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { Plus } from 'lucide-react';
import { formatGiven, formatMoney, formatTrimmed, labelChecks, type Product } from '@wheat-ledger/core';
import type { ProductRecord, ShelfFilterInput } from '@wheat-ledger/contract';
import { problemOf, useRecords, useRestoreMutation } from '../app/api';
import { deskSlice, settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { useShelf, type ShelfProduct } from '../app/workspace';
import { Bag } from '../ui/Bag';
import { bagContents } from '../ui/bagContents';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { RestsOn, type Missing } from '../ui/RestsOn';
import { OnBench } from '../ui/OnBench';
import { Swatch } from '../ui/patterns';
import { Empty, Failed, Loading, Sheet } from '../ui/Sheet';
import { useOnHand } from './useStock';
import { VirtualRows } from '../ui/VirtualRows';
import { FilterBar } from './FilterBar';
import { filterShelf, filterWords, isNoFilter, NO_FILTER } from './shelfFilter';

const BAG_WIDTH = 180;

function gradeOf(product: Product, basis: 'oxide' | 'element'): string {
  if (product.grade) return product.grade;
  const named = bagContents(product, basis)
    .slice(0, 2)
    .map((s) => `${formatTrimmed(s.share * 100, 2)} % ${s.symbol}`);
  return named.join(', ') || 'nothing declared';
}

function priceOf({ offers }: Product): string {
  const priced = offers.find((o) => o.price);
  if (!priced?.price) return 'no price';
  return `${formatMoney(priced.price)} for ${formatGiven(priced.size)} ${priced.unit}${offers.length > 1 ? ` (+${offers.length - 1})` : ''}`;
}

function StandingBag({ record, product }: ShelfProduct) {
  const basis = useAppSelector((s) => s.settings.basis);
  const warnings = useMemo(() => labelChecks(product).filter((f) => f.severity === 'warning').length, [product]);
  return (
    <article className="flex flex-col" data-testid="shelf-bag">
      <Link to={`/shelf/${record.id}`} className="flex justify-center px-2" title={`Open ${record.name}`}>
        <Bag product={product} basis={basis} />
      </Link>
      <div className="shelfboard" />
      <div className="px-1.5 pt-1.5 text-[0.875rem] leading-snug">
        <h2 className="font-slab text-[0.9375rem] leading-tight">
          <Link to={`/shelf/${record.id}`} className="hover:underline">
            {record.name}
          </Link>
        </h2>
        <p className="font-semibold">{gradeOf(product, basis)}</p>
        <p className="text-faint">{priceOf(product)}</p>
        {warnings > 0 && (
          <p className="text-beet">{warnings === 1 ? '1 thing to check' : `${warnings} things to check`}</p>
        )}
        <div className="mt-0.5">
          <OnBench kind="product" id={record.id} name={record.name} />
        </div>
      </div>
    </article>
  );
}

function Removed() {
  const { records } = useRecords('product', { removed: true });
  const [restore] = useRestoreMutation();
  const dispatch = useAppDispatch();
  if (records.length === 0) return null;
  const bringBack = async (record: ProductRecord): Promise<void> => {
    const result = await restore({ kind: 'product', record });
    dispatch(
      deskSlice.actions.noticed({
        text: result.error ? problemOf(result.error).detail : `“${record.name}” is back on the shelf.`,
        recordId: result.error ? undefined : record.id,
      }),
    );
  };
  return (
    <details className="mt-8 border-t border-rule pt-2">
      <summary className="cursor-pointer text-faint">Taken off the shelf ({records.length})</summary>
      <ul className="mt-2">
        {records.map((r) => (
          <li key={r.id} className="flex gap-3 py-1">
            {r.name}
            <button type="button" className="plain" onClick={() => void bringBack(r)}>
              Restore<span className="sr-only"> {r.name}</span>
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}

const LEGEND = ['N', 'P', 'K', 'Ca', 'Mg', 'S', 'Si'] as const;
const LEGEND_NAMES: Readonly<Record<(typeof LEGEND)[number], string>> = {
  N: 'nitrogen',
  P: 'phosphorus',
  K: 'potassium',
  Ca: 'calcium',
  Mg: 'magnesium',
  S: 'sulfur',
  Si: 'anything else named',
};

const ReadingABag = () => (
  <MarginNote title="Reading a bag">
    <p>
      Each bag is cut open and drawn to scale by mass. What the label names is patterned; the speckled rest is
      everything else.
    </p>
    <ul className="grid grid-cols-2 gap-x-3 gap-y-0.5">
      {LEGEND.map((n) => (
        <li key={n} className="flex items-center gap-2">
          <Swatch nutrient={n} />
          <span className="text-[0.875rem]">
            {n !== 'Si' && <b>{n} </b>}
            {LEGEND_NAMES[n]}
          </span>
        </li>
      ))}
    </ul>
    <p>A dashed edge means the figure is a range, not a number.</p>
  </MarginNote>
);

const ASSUMED = ['What a label does not name is drawn as everything else, which does not mean there is none of it.'];

/** What bags lack that later stages ask for, counted. */
function shelfLacks(shelf: readonly ShelfProduct[]): readonly Missing[] {
  const count = (lacks: (product: Product) => boolean): number => shelf.filter(({ product }) => lacks(product)).length;
  const bags = (n: number): string => (n === 1 ? '1 bag' : `${n} bags`);
  const [unpriced, bare] = [count((p) => !p.offers.some((o) => o.price)), count((p) => p.analysis.length === 0)];
  return [
    ...(unpriced > 0 ? [{ what: `The price of ${bags(unpriced)}`, why: 'they are left out where cost counts' }] : []),
    ...(bare > 0 ? [{ what: `What is in ${bags(bare)}`, why: 'no analysis is entered' }] : []),
  ];
}

/** The two ways to look at the shelf; a few buttons, since the first page has no code to spare. */
function BagsOrLines() {
  const as = useAppSelector((s) => s.settings.shelfAs);
  const dispatch = useAppDispatch();
  const other = as === 'bags' ? 'lines' : 'bags';
  return (
    <button
      type="button"
      className="action"
      onClick={() => dispatch(settingsSlice.actions.changed({ shelfAs: other }))}
    >
      As {other}
    </button>
  );
}

const ShelfLines = lazy(async () => ({ default: (await import('./ShelfLines')).ShelfLines }));

/** The shelf: every bag cut open, to scale by mass. */
export function ShelfView() {
  const { shelf, isLoading, error } = useShelf();
  const as = useAppSelector((s) => s.settings.shelfAs);
  const [filter, setFilter] = useState<ShelfFilterInput>(NO_FILTER);
  const wanted = useDeferredValue(filter);
  const onHand = useOnHand(shelf, wanted.inStock === true);
  const shown = useMemo(
    () => (isNoFilter(wanted) ? shelf : filterShelf(shelf, wanted, onHand)),
    [shelf, wanted, onHand],
  );
  if (isLoading) return <Loading what="the shelf" />;
  return (
    <Sheet
      title="Shelf"
      question="What is really in each bag?"
      actions={
        <>
          <BagsOrLines />
          <Link to="/shelf/label" className="action">
            Paste a label
          </Link>
          <Link to="/shelf/catalogue" className="action">
            Catalogue
          </Link>
          <Link to="/shelf/materials" className="action">
            Materials
          </Link>
          <Link to="/shelf/new" className="action main">
            <Plus size={17} aria-hidden="true" />
            Add a bag
          </Link>
        </>
      }
    >
      {error !== undefined && <Failed error={error} />}
      {shelf.length === 0 && error === undefined && (
        <Empty>
          The shelf is empty.{' '}
          <Link to="/shelf/new" className="plain">
            Add the first bag
          </Link>
          : its label is all you need.
        </Empty>
      )}
      {shelf.length > 0 && <FilterBar filter={filter} onChange={setFilter} found={shown.length} of={shelf.length} />}
      {shelf.length > 0 && shown.length === 0 && <Empty>No bag fits: {filterWords(wanted)}.</Empty>}
      {as === 'lines' && shown.length > 0 ? (
        <Suspense fallback={<Loading what="the lines" />}>
          <ShelfLines bags={shown} />
        </Suspense>
      ) : (
        <VirtualRows
          items={shown}
          itemWidth={BAG_WIDTH}
          estimatedHeight={254}
          keyOf={(s) => s.record.id}
          render={(s) => <StandingBag {...s} />}
        />
      )}
      <Removed />
      <MarginNotes>
        {as === 'bags' && <ReadingABag />}
        {shelf.length > 0 && <RestsOn assumed={ASSUMED} missing={shelfLacks(shelf)} />}
        <MarginNote title="Also here">
          <p>
            The shelf can be saved as a{' '}
            <Link to="/shelf/csv" className="plain">
              CSV file
            </Link>{' '}
            and read from one. How much calcium vinegar can draw out of shells is worked out under{' '}
            <Link to="/shelf/kitchen" className="plain">
              kitchen extracts
            </Link>
            .
          </p>
        </MarginNote>
        <MarginNote title="What to do here">
          <p>Tick two to eight bags onto the bench. They stay with you through price, release, mix and claims.</p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
