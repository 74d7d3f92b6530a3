import { useMemo, useRef, useState } from 'react';
import { inputOf, type TrialInput, type TrialRecord } from '@wheat-ledger/contract';
import { placesInRows, type Place, type TrialUnit, type UnitSize } from '@wheat-ledger/core';
import { useKeep } from '../ui/useKeep';

/** Where the blocks of a trial stand. What is moved is seen at once; what is moved while the ledger still keeps the last is kept after it. */
export function useBlockPlaces(
  trial: TrialRecord,
  units: readonly TrialUnit[],
): {
  readonly size: UnitSize;
  readonly places: readonly Place[];
  readonly move: (places: readonly Place[]) => void;
} {
  const { keep } = useKeep('trial');
  const size = useMemo(() => ({ widthM: trial.unitWidthM, depthM: trial.unitDepthM }), [trial]);
  const kept = useMemo(() => trial.blockPlaces ?? placesInRows(units, size), [trial, units, size]);
  const [shown, setShown] = useState<readonly Place[]>();
  const wanted = useRef<readonly Place[]>(undefined);
  const keeping = useRef(false);
  const keepWanted = async (): Promise<void> => {
    let version: Parameters<typeof keep>[1] = trial;
    while (version && wanted.current) {
      const blockPlaces = [...wanted.current];
      wanted.current = undefined;
      const words = blockPlaces.length === 1 ? 'Moved the trial.' : 'Moved a block.';
      version = await keep({ ...(inputOf(trial) as TrialInput), blockPlaces }, version, words);
    }
  };
  const move = (places: readonly Place[]): void => {
    setShown(places);
    wanted.current = places;
    if (keeping.current) return;
    keeping.current = true;
    void keepWanted().finally(() => {
      keeping.current = false;
      wanted.current = undefined;
      setShown(undefined);
    });
  };
  return { size, places: shown ?? kept, move };
}
