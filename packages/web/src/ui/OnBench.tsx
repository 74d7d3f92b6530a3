import { MOST_ON_BENCH, type BenchKind } from '@wheat-ledger/contract';
import { useBenchChanges, useBenchPlaces } from '../app/bench';

interface OnBenchProps {
  readonly kind: BenchKind;
  readonly id: string;
  readonly name: string;
  /** The tick alone, where a heading says what it is. */
  readonly bare?: boolean;
}

/** The tick that puts a bag or a recipe on the bench, or takes it off. */
export function OnBench({ kind, id, name, bare = false }: OnBenchProps) {
  const { places, isLoading } = useBenchPlaces();
  const { toggle } = useBenchChanges();
  const onBench = places.some((place) => place.id === id);
  return (
    <label className="flex cursor-pointer items-center gap-1.5">
      <input
        type="checkbox"
        className="size-4 accent-wheat"
        checked={onBench}
        disabled={isLoading || (!onBench && places.length >= MOST_ON_BENCH)}
        onChange={() => toggle(kind, id)}
      />
      <span className={bare ? 'sr-only' : ''}>
        on the bench<span className="sr-only">: {name}</span>
      </span>
    </label>
  );
}
