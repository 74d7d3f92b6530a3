import { useState } from 'react';
import type { TrialRecord } from '@wheat-ledger/contract';
import type { TrialUnit } from '@wheat-ledger/core';
import { Attachments } from '../ui/Attachments';

/** Photos of a trial, of a unit or of the whole. */
export function UnitPhotos({ trial, units }: { trial: TrialRecord; units: readonly TrialUnit[] }) {
  const [unit, setUnit] = useState('');
  const code = (number: number): string => units.find((u) => u.number === number)?.code ?? String(number);
  return (
    <section className="mt-6">
      <label className="no-print mb-2 block w-44">
        <span className="block text-sm text-faint">The next photo shows</span>
        <select
          className="field"
          aria-label="The next photo shows"
          value={unit}
          onChange={(e) => setUnit(e.target.value)}
        >
          <option value="">the whole trial</option>
          {units.map((u) => (
            <option key={u.number} value={u.number}>
              unit {u.number}, {u.code}
            </option>
          ))}
        </select>
      </label>
      <Attachments
        owner={{ trialId: trial.id, ...(unit === '' ? {} : { unit: Number(unit) }) }}
        title="Photos"
        hint="a photo or a PDF of at most 5 MB"
        captionOf={(a) => (a.unit === undefined ? '' : `${code(a.unit)}: `)}
      />
    </section>
  );
}
