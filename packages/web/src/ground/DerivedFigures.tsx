import { useMemo, useState } from 'react';
import { parseNumber, printDay, soilImplications, type Site, type SoilReport } from '@wheat-ledger/core';
import { settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { Choice } from '../ui/Choice';
import { Remark } from '../ui/Sheet';
import { Implications } from './Implications';
import { useLimes } from './useLimes';

/** What follows from the newest report, each figure with its working. */
export function DerivedFigures({ report, site }: { report: SoilReport; site: Site }) {
  const [goal, setGoal] = useState('6.5');
  const school = useAppSelector((s) => s.settings.sodicSchool);
  const dispatch = useAppDispatch();
  const read = parseNumber(goal);
  const pHGoal = read.ok && read.value >= 4 && read.value <= 9 ? read.value : undefined;
  const limes = useLimes();
  const [limeName, setLimeName] = useState('');
  const lime = limes.find((l) => l.name === limeName);
  const rows = useMemo(
    () => soilImplications(report, site, pHGoal, school, lime),
    [report, site, pHGoal, school, lime],
  );
  return (
    <div className="mt-6">
      <div className="mb-2 flex flex-wrap items-end gap-4" data-testid="derived-asks">
        <h3 className="w-full text-lg">What follows from the report of {printDay(report.sampledOn)}</h3>
        <label className="text-sm text-faint">
          pH wanted
          <input
            className="field block !w-20 text-pine"
            inputMode="decimal"
            value={goal}
            aria-invalid={pHGoal === undefined}
            onChange={(e) => setGoal(e.target.value)}
          />
        </label>
        <label className="text-sm text-faint">
          Lime at hand
          <select
            className="field block !w-44 text-pine"
            value={limeName}
            onChange={(e) => setLimeName(e.target.value)}
          >
            <option value="">pure lime</option>
            {limes.map((l) => (
              <option key={l.name} value={l.name}>
                {l.name}
              </option>
            ))}
          </select>
        </label>
        <div className="text-sm text-faint">
          Sodic by
          <div className="text-base text-pine">
            <Choice
              label="Sodic by"
              value={school}
              onChange={(sodicSchool) => dispatch(settingsSlice.actions.changed({ sodicSchool }))}
              options={[
                { value: 'US', text: 'ESP 15 (US)' },
                { value: 'Australia', text: 'ESP 6 (Australia)' },
              ]}
            />
          </div>
        </div>
      </div>
      {pHGoal === undefined && <p className="mb-2 text-sm text-beet">Read “{goal}”, expected a pH from 4 to 9.</p>}
      <Implications rows={rows} caption="Figures worked out from the newest report" testId="derived" />
      <div className="mt-3 flex flex-col gap-2">
        <Remark tone="note">
          Gypsum does not change pH appreciably; lime and sulfur do. Sulfur takes months to years and warm soil, and
          near living plants no more than about 50 g/m² at a time.
        </Remark>
        <Remark tone="caution">
          Powders: keep lime, sulfur and gypsum out of eyes and lungs. Follow the label and local code; ask a licensed
          adviser before large dressings.
        </Remark>
      </div>
    </div>
  );
}
