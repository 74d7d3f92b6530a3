import { useState } from 'react';
import { CloudSun } from 'lucide-react';
import { CLIMATE_NAMES, CLIMATES, type ClimateType } from '@wheat-ledger/contract';
import { useLazyStationQuery } from '../app/api';

interface StationProps {
  readonly start: string;
  readonly busy: boolean;
  readonly onReadings: (name: string, csv: Blob) => Promise<void>;
}

/** The simulated station: a stand-in whose file takes the way of any logger's. */
export function Station({ start, busy, onReadings }: StationProps) {
  const [climate, setClimate] = useState<ClimateType>('coolTemperate');
  const [fetchReadings] = useLazyStationQuery();
  const take = async (): Promise<void> => {
    const csv = await fetchReadings({ climate, from: start, days: 365, seed: 1 }).unwrap();
    await onReadings(`Simulated station, ${CLIMATE_NAMES[climate]}`, new Blob([csv], { type: 'text/csv' }));
  };
  return (
    <div className="flex flex-wrap items-end gap-2">
      <label className="text-sm text-faint">
        Simulated station, a stand-in
        <select
          aria-label="Simulated station, a stand-in"
          className="field block text-pine"
          value={climate}
          onChange={(e) => setClimate(e.target.value as ClimateType)}
        >
          {CLIMATES.map((c) => (
            <option key={c} value={c}>
              {CLIMATE_NAMES[c]}
            </option>
          ))}
        </select>
      </label>
      <button type="button" className="action" disabled={busy} onClick={() => void take()}>
        <CloudSun size={16} aria-hidden="true" />
        Take a year of its readings
      </button>
    </div>
  );
}
