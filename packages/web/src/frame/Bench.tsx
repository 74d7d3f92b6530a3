import { memo, useEffect, useState } from 'react';
import { Link } from 'react-router';
import { ChevronDown, ChevronUp, X } from 'lucide-react';
import { MOST_ON_BENCH, type BenchPlace } from '@wheat-ledger/contract';
import { api } from '../app/api';
import { useBench, useBenchChanges, type BenchItem } from '../app/bench';
import { readKept, writeKept } from '../app/keep';
import { useAppDispatch, useAppSelector } from '../app/store';
import { Bag } from '../ui/Bag';
import { useFolding } from './useFolding';

const NONE: readonly never[] = [];

/** Benches were kept in the browser once: one that is still there is laid where the ledger's is empty. */
const OLD_BENCH = 'bench';
interface OldPlace {
  readonly id: string;
  readonly aside: boolean;
}
function useOldBench(empty: boolean, lay: (places: readonly BenchPlace[]) => void): void {
  useEffect(() => {
    const old = readKept<unknown>(OLD_BENCH);
    if (!old || !empty) return;
    writeKept(OLD_BENCH, undefined);
    const places: readonly OldPlace[] = Array.isArray(old) ? (old as readonly OldPlace[]) : NONE;
    if (places.length > 0) lay(places.map(({ id, aside }) => ({ kind: 'product', id, aside: aside === true })));
  }, [empty, lay]);
}

/** Another window may have laid the bench while this one was away. */
function useFreshBench(): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const again = (): void => void dispatch(api.util.invalidateTags(['bench']));
    window.addEventListener('focus', again);
    return () => window.removeEventListener('focus', again);
  }, [dispatch]);
}

function Place({ item, at }: { item: BenchItem; at: number }) {
  const { toggle, setAside } = useBenchChanges();
  const basis = useAppSelector((s) => s.settings.basis);
  const { id, kind, name, product, unknown, aside } = item;
  return (
    <li className={`relative flex w-[9.1rem] shrink-0 border-l border-rule ${aside ? 'opacity-55' : ''}`}>
      <button
        type="button"
        aria-pressed={!aside}
        onClick={() => setAside(id)}
        title={aside ? `Compare again (${at})` : `Set aside (${at})`}
        className="flex min-w-0 flex-1 cursor-pointer items-center gap-1.5 py-0.5 pr-5 pl-1.5 text-left"
      >
        <span className="relative shrink-0">
          {product ? (
            <Bag product={product} basis={basis} width={36} letters={false} />
          ) : (
            <span className="block w-9 text-center text-2xl text-faint">?</span>
          )}
          <kbd className="absolute -top-0.5 -left-0.5 bg-pine px-1 text-xs text-chalk">{at}</kbd>
        </span>
        <span className="min-w-0 text-[0.8125rem] leading-tight">
          <span className={`line-clamp-3 hyphens-auto break-words ${aside ? 'line-through' : ''}`}>{name}</span>
          {kind === 'recipe' && <span className="block text-faint">a mix</span>}
          {unknown && <span className="line-clamp-3 text-beet">{unknown}</span>}
          {aside && <span className="text-faint">set aside</span>}
        </span>
      </button>
      <button
        type="button"
        className="absolute top-0 right-0 cursor-pointer p-1"
        onClick={() => toggle(kind, id)}
        title="Take off the bench"
      >
        <X size={13} aria-hidden="true" />
        <span className="sr-only">Take {name} off the bench</span>
      </button>
    </li>
  );
}

/** The bench as one line: what lies on it, in words. */
function FoldedBench({ items, isLoading }: { items: readonly BenchItem[]; isLoading: boolean }) {
  if (isLoading) return <p className="text-faint">…</p>;
  if (items.length === 0)
    return (
      <p className="text-faint">
        Nothing on it. Put two to eight bags here from the{' '}
        <Link to="/shelf" className="plain">
          shelf
        </Link>{' '}
        to compare them in every stage.
      </p>
    );
  return (
    <p className="truncate text-faint">
      {items.map(({ id, name, aside }, i) => (
        <span key={id}>
          {i > 0 && ' · '}
          <b className="text-pine">{i + 1}</b> <span className={aside ? 'line-through' : ''}>{name}</span>
        </span>
      ))}
    </p>
  );
}

/** The bags and recipes under comparison, kept in the ledger and there in every stage. A number key sets one aside and takes it back. */
export const Bench = memo(function Bench() {
  const { items, isLoading } = useBench();
  const { lay } = useBenchChanges();
  const [cleared, setCleared] = useState<readonly BenchPlace[]>(NONE);
  const folding = useFolding();
  const empty = items.length === 0;
  const folded = folding.folded || empty;
  useOldBench(empty && !isLoading, lay);
  useFreshBench();
  const clear = (): void => {
    setCleared(items.map(({ kind, id, aside }) => ({ kind, id, aside })));
    lay(NONE);
  };
  const clearing = !empty && (
    <button type="button" className="plain text-left" onClick={clear}>
      clear
    </button>
  );
  const bringBack = empty && cleared.length > 0 && (
    <button type="button" className="plain shrink-0" onClick={() => lay(cleared)}>
      Put the {cleared.length} back
    </button>
  );
  const count = (
    <span className="shrink-0 whitespace-nowrap text-faint">
      {items.length} of {MOST_ON_BENCH}
    </span>
  );
  const fold = !empty && (
    <button
      type="button"
      className="cursor-pointer p-1"
      aria-expanded={!folded}
      title={folded ? 'Unfold the bench (b)' : 'Fold the bench to one line (b)'}
      onClick={folding.turn}
    >
      {folded ? <ChevronUp size={18} aria-hidden="true" /> : <ChevronDown size={18} aria-hidden="true" />}
      <span className="sr-only">{folded ? 'Unfold the bench' : 'Fold the bench'}</span>
    </button>
  );
  return (
    <section
      aria-label="Bench"
      className="no-print border-t-[5px] border-line-strong bg-paper px-2"
      data-testid="bench"
      data-folded={folded}
    >
      {folded ? (
        <div className="flex items-center gap-3 py-0.5 pl-1 text-sm">
          <h2 className="text-base">Bench</h2>
          {!empty && count}
          <div className="min-w-0 flex-1">
            <FoldedBench items={items} isLoading={isLoading} />
          </div>
          {bringBack}
          {fold}
        </div>
      ) : (
        <div className="flex items-stretch gap-1 pt-1.5 pb-1">
          <div className="flex shrink-0 flex-col justify-center pr-2 pl-1 text-sm">
            <h2 className="text-base">Bench</h2>
            {count}
            {clearing}
          </div>
          <ol className="flex min-w-0 flex-1 gap-1 overflow-x-auto">
            {items.map((item, i) => (
              <Place key={item.id} item={item} at={i + 1} />
            ))}
          </ol>
          <div className="shrink-0 self-start">{fold}</div>
        </div>
      )}
    </section>
  );
});
