import { useState } from 'react';
import { parseDay, printDay } from '@wheat-ledger/core';
import { today } from '../app/today';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { saveText } from '../ui/saveFile';
import { TakeOverSheet } from '../ui/TakeOverSheet';
import { Loading, Sheet } from '../ui/Sheet';
import { keptSheet, readingsCsv, readReadingsCsv } from './readingsCsv';
import { SheetGrid } from './SheetGrid';
import { OutcomeChoice } from './OutcomeChoice';
import { NoTrial, TrialPages } from './TrialPages';
import { UnitPhotos } from './UnitPhotos';
import { useTrial } from './useTrial';

/** Measuring: an outcome, a day, and a number for each unit. */
export function SheetView() {
  const { trial, units, sheets, isLoading } = useTrial();
  const [key, setKey] = useState('');
  const [day, setDay] = useState(printDay(today()));
  if (isLoading) return <Loading what="the sheets" />;
  if (!trial) return <NoTrial />;
  const outcome =
    trial.outcomes.find((o) => o.key === key) ??
    trial.outcomes.find((o) => o.key === trial.decides) ??
    trial.outcomes[0];
  const read = parseDay(day);
  const days = [...new Set(sheets.filter((s) => s.outcome === outcome?.key).map((s) => s.on))].sort();
  return (
    <Sheet
      title={trial.name}
      question={trial.question}
      actions={
        <>
          <TakeOverSheet
            kind="sheet"
            what="sheets"
            label="A spreadsheet of readings, as CSV"
            read={(text) => readReadingsCsv(text, trial, units, sheets)}
            existingOf={(input) => keptSheet(sheets, input)}
          />
          <button
            type="button"
            className="action"
            onClick={() => saveText('trial-readings.csv', readingsCsv(trial, units, sheets), 'text/csv')}
          >
            Readings as CSV
          </button>
          <PrintButton />
        </>
      }
    >
      <TrialPages id={trial.id} />
      <div className="no-print mb-3 flex flex-wrap items-end gap-3">
        <label className="w-56">
          <span className="block text-sm text-faint">Outcome</span>
          <OutcomeChoice trial={trial} open={outcome?.key} onChoose={setKey} />
        </label>
        <label className="w-36">
          <span className="block text-sm text-faint">Day</span>
          <input
            className="field"
            aria-label="Day"
            value={day}
            onChange={(e) => setDay(e.target.value)}
            aria-invalid={!read.ok}
          />
        </label>
        <p className="flex flex-wrap gap-x-3 pb-1.5">
          {days.map((on) => (
            <button key={on} type="button" className="plain" onClick={() => setDay(printDay(on))}>
              {printDay(on)}
            </button>
          ))}
        </p>
      </div>
      {!read.ok ? (
        <p className="text-beet">{read.reason}</p>
      ) : (
        outcome && (
          <SheetGrid
            key={`${outcome.key} ${read.value} ${keptSheet(sheets, { outcome: outcome.key, on: read.value })?.version ?? 0}`}
            trial={trial}
            outcome={outcome}
            on={read.value}
            units={units}
            sheets={sheets}
          />
        )
      )}
      <UnitPhotos trial={trial} units={units} />
      <MarginNotes>
        <MarginNote title="Down the column">
          <p>
            Enter goes to the next unit. A column from a spreadsheet can be pasted into any field. Leave a lost unit
            blank.
          </p>
        </MarginNote>
        <MarginNote title="Codes, no arms">
          <p>Only codes stand here, so that who measures does not know what was given.</p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
