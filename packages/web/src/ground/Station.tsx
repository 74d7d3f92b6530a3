import { useState } from 'react';
import { format, parseISO, subDays } from 'date-fns';
import { CloudSun } from 'lucide-react';
import { CLIMATE_NAMES, CLIMATES, type ClimateType } from '@wheat-ledger/contract';
import { useLazyStationQuery } from '../app/api';

const YEAR_DAYS = 365.25;

interface StationProps {
  /** The last day of its readings. */
  readonly end: string;
  readonly busy: boolean;
  readonly onReadings: (name: string, csv: Blob) => Promise<void>;
}

/** The simulated station: a stand-in whose file takes the way of any logger's. */
export function Station({ end, busy, onReadings }: StationProps) {
  const [climate, setClimate] = useState<ClimateType>('coolTemperate');
  const [fetchReadings] = useLazyStationQuery();
  const take = async (years: number): Promise<void> => {
    const days = Math.round(years * YEAR_DAYS);
    const from = format(subDays(parseISO(end), days), 'yyyy-MM-dd');
    const csv = await fetchReadings({ climate, from, days, seed: 1 }).unwrap();
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
      <button type="button" className="action" disabled={busy} onClick={() => void take(1)}>
        <CloudSun size={16} aria-hidden="true" />
        Take a year of its readings
      </button>
      <button type="button" className="action" disabled={busy} onClick={() => void take(20)}>
        Take twenty years
      </button>
    </div>
  );
}
