import { useMemo, useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import type { TrialRecord, TrialSheetRecord } from '@wheat-ledger/contract';
import { oddOf, parseDay, printDay, type TrialOutcome, type TrialUnit } from '@wheat-ledger/core';
import { today } from '../app/today';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { saveText } from '../ui/saveFile';
import { TakeOverSheet } from '../ui/TakeOverSheet';
import { Loading, Remark, Sheet } from '../ui/Sheet';
import { useKeep } from '../ui/useKeep';
import { useScale } from '../ui/useScale';
import { keptSheet, readingsCsv, readReadingsCsv } from './readingsCsv';
import { pasted, readValue, valueText } from './sheetText';
import { OutcomeChoice } from './OutcomeChoice';
import { NoTrial, TrialPages } from './TrialPages';
import { UnitPhotos } from './UnitPhotos';
import { readingsOf, useTrial } from './useTrial';

type Typed = Readonly<Record<number, string>>;

/** One outcome on one day: a field for each unit, down the column by Enter. */
function Grid({
  trial,
  outcome,
  on,
  units,
  sheets,
}: {
  trial: TrialRecord;
  outcome: TrialOutcome;
  on: string;
  units: readonly TrialUnit[];
  sheets: readonly TrialSheetRecord[];
}) {
  const kept = keptSheet(sheets, { outcome: outcome.key, on });
  const saved = useMemo(
    (): Typed => Object.fromEntries((kept?.values ?? []).map((v) => [v.unit, valueText(v)])),
    [kept],
  );
  const [typed, setTyped] = useState<Typed>(saved);
  const { keep, saving } = useKeep('sheet');
  const { shown } = useScale();
  const fields = useRef(new Map<number, HTMLInputElement>());
  const odd = new Map(trial.odd.map((o) => [o.unit, o]));
  const read = units.map((u) => ({ unit: u.number, value: readValue(outcome, u.number, typed[u.number] ?? '') }));
  const wrong = new Map(read.flatMap(({ unit, value }) => (typeof value === 'string' ? [[unit, value] as const] : [])));
  const values = read.flatMap(({ value }) => (value !== undefined && typeof value !== 'string' ? [value] : []));
  const changed = JSON.stringify(typed) !== JSON.stringify(saved);
  const others = readingsOf(sheets.filter((s) => s !== kept));
  const now = values.map((v) => ({ measure: outcome.key, unit: v.unit, on, value: v.value }));
  const doubts = now.flatMap((r) => oddOf(r, [...others, ...now], outcome.unit) ?? []);
  const step = (event: KeyboardEvent, at: number): void => {
    const by = event.key === 'Enter' || event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    fields.current.get(units[at + by]?.number ?? 0)?.focus();
  };
  const paste = (event: ClipboardEvent, unit: number): void => {
    const text = event.clipboardData.getData('text');
    if (!/\n/.test(text.trim())) return;
    event.preventDefault();
    setTyped({ ...typed, ...pasted(text, unit) });
  };
  const onScale = shown.kind === 'reading' && shown.steady && shown.kg > 0 ? shown.kg : undefined;
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        if (wrong.size > 0) return;
        void keep(
          { trialId: trial.id, on, outcome: outcome.key, values, note: kept?.note ?? '' },
          kept,
          `Wrote down ${values.length} of ${units.length} units.`,
        );
      }}
    >
      <ol className="grid gap-x-6 sm:grid-cols-2" data-testid="grid">
        {units.map((u, at) => (
          <li key={u.number} className="flex items-center gap-3 border-b border-rule py-1">
            <span className="w-8 text-right tabular-nums text-faint">{u.number}</span>
            <b className="w-14 font-slab tracking-wider">{u.code}</b>
            <input
              ref={(field) => {
                if (field) fields.current.set(u.number, field);
              }}
              className="field !w-28 max-sm:!py-2.5"
              inputMode="decimal"
              aria-label={`Unit ${u.number}, ${u.code}`}
              aria-invalid={wrong.has(u.number)}
              value={typed[u.number] ?? ''}
              onChange={(e) => setTyped({ ...typed, [u.number]: e.target.value })}
              onKeyDown={(e) => step(e, at)}
              onPaste={(e) => paste(e, u.number)}
            />
            {outcome.unit && <span className="text-faint">{outcome.unit}</span>}
            {onScale !== undefined && outcome.unit === 'kg' && (
              <button
                type="button"
                className="plain no-print"
                onClick={() => setTyped({ ...typed, [u.number]: String(onScale) })}
              >
                {onScale} kg
              </button>
            )}
            <span className="min-w-0 text-sm text-beet">
              {wrong.get(u.number) ?? (odd.has(u.number) ? odd.get(u.number)?.state : '')}
            </span>
          </li>
        ))}
      </ol>
      {doubts.map(({ reading, why }) => (
        <Remark key={reading.unit} tone="caution">
          Unit {reading.unit} has {reading.value} {outcome.unit}: {why}. Is that right?
        </Remark>
      ))}
      <p className="no-print mt-3 flex flex-wrap items-center gap-3">
        <button type="submit" className="action main" disabled={saving || !changed || wrong.size > 0}>
          Write it down
        </button>
        <span className="text-faint">
          {values.length} of {units.length} units
          {outcome.kind === 'timed' && '; >15 stands for: not over by 15'}
        </span>
      </p>
    </form>
  );
}

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
          <Grid
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
