import { memo, useCallback, useDeferredValue, useMemo, useRef, useState, type ClipboardEvent } from 'react';
import type { TrialRecord, TrialSheetRecord } from '@wheat-ledger/contract';
import { oddOnes, type TrialOutcome, type TrialReading, type TrialUnit } from '@wheat-ledger/core';
import { Remark } from '../ui/Sheet';
import { useKeep } from '../ui/useKeep';
import { useScale } from '../ui/useScale';
import { keptSheet } from './readingsCsv';
import { pasted, readValue, valueText } from './sheetText';
import { readingsOf } from './useTrial';

type Typed = Readonly<Record<number, string>>;

/** What every row of the grid does. */
interface RowDeeds {
  readonly onType: (typed: Typed) => void;
  /** Goes to the field so many rows on. */
  readonly onStep: (from: number, by: number) => void;
}
interface GridRowProps extends RowDeeds {
  readonly unit: TrialUnit;
  readonly at: number;
  readonly text: string;
  readonly in: string;
  /** Why the text cannot be read. */
  readonly wrong: string | undefined;
  /** What happened to the unit. */
  readonly state: string;
  /** What lies on the scale, kg. */
  readonly onScale: number | undefined;
}
/** One unit; drawn again only when something of its own changed. */
const GridRow = memo(function GridRow({ unit, at, text, in: of, wrong, state, onScale, onType, onStep }: GridRowProps) {
  const paste = (event: ClipboardEvent): void => {
    const copied = event.clipboardData.getData('text');
    if (!/\n/.test(copied.trim())) return;
    event.preventDefault();
    onType(pasted(copied, unit.number));
  };
  return (
    <li className="flex items-center gap-3 border-b border-rule py-1">
      <span className="w-8 text-right tabular-nums text-faint">{unit.number}</span>
      <b className="w-14 font-slab tracking-wider">{unit.code}</b>
      <input
        data-at={at}
        className="field !w-28 max-sm:!py-2.5"
        inputMode="decimal"
        aria-label={`Unit ${unit.number}, ${unit.code}`}
        aria-invalid={wrong !== undefined}
        value={text}
        onChange={(e) => onType({ [unit.number]: e.target.value })}
        onKeyDown={(e) => {
          const by = e.key === 'Enter' || e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0;
          if (by === 0) return;
          e.preventDefault();
          onStep(at, by);
        }}
        onPaste={paste}
      />
      {of && <span className="text-faint">{of}</span>}
      {onScale !== undefined && (
        <button type="button" className="plain no-print" onClick={() => onType({ [unit.number]: String(onScale) })}>
          {onScale} kg
        </button>
      )}
      <span className="min-w-0 text-sm text-beet">{wrong ?? state}</span>
    </li>
  );
});

interface SheetGridProps {
  readonly trial: TrialRecord;
  readonly outcome: TrialOutcome;
  readonly on: string;
  readonly units: readonly TrialUnit[];
  readonly sheets: readonly TrialSheetRecord[];
}

/** Values of the day that do not fit the course of their unit; they are looked for when the hand rests. */
function Doubts({ day, all, unit }: { day: readonly TrialReading[]; all: readonly TrialReading[]; unit: string }) {
  const odd = useMemo(() => oddOnes(day, all, unit), [day, all, unit]);
  return odd.map(({ reading, why }) => (
    <Remark key={reading.unit} tone="caution">
      Unit {reading.unit} has {reading.value} {unit}: {why}. Is that right?
    </Remark>
  ));
}

/** One outcome on one day: a field for each unit, down the column by Enter. */
export function SheetGrid({ trial, outcome, on, units, sheets }: SheetGridProps) {
  const kept = keptSheet(sheets, { outcome: outcome.key, on });
  const saved = useMemo(
    (): Typed => Object.fromEntries((kept?.values ?? []).map((v) => [v.unit, valueText(v)])),
    [kept],
  );
  const [typed, setTyped] = useState<Typed>(saved);
  const [note, setNote] = useState(kept?.note ?? '');
  const { keep, saving } = useKeep('sheet');
  const { shown } = useScale();
  const list = useRef<HTMLOListElement>(null);
  const odd = useMemo(() => new Map(trial.odd.map((o) => [o.unit, o.state])), [trial.odd]);
  const read = units.map((u) => ({ unit: u.number, value: readValue(outcome, u.number, typed[u.number] ?? '') }));
  const wrong = new Map(read.flatMap(({ unit, value }) => (typeof value === 'string' ? [[unit, value] as const] : [])));
  const values = read.flatMap(({ value }) => (value !== undefined && typeof value !== 'string' ? [value] : []));
  const changed = note !== (kept?.note ?? '') || JSON.stringify(typed) !== JSON.stringify(saved);
  const others = useMemo(() => readingsOf(sheets.filter((s) => s !== kept)), [sheets, kept]);
  const rested = useDeferredValue(typed);
  const day = useMemo(
    () =>
      units.flatMap((u): TrialReading[] => {
        const value = readValue(outcome, u.number, rested[u.number] ?? '');
        return value === undefined || typeof value === 'string'
          ? []
          : [{ measure: outcome.key, unit: u.number, on, value: value.value }];
      }),
    [units, outcome, rested, on],
  );
  const onType = useCallback((more: Typed) => setTyped((before) => ({ ...before, ...more })), []);
  const onStep = useCallback(
    (from: number, by: number) => list.current?.querySelector<HTMLInputElement>(`[data-at="${from + by}"]`)?.focus(),
    [],
  );
  const weighed =
    outcome.unit === 'kg' && shown.kind === 'reading' && shown.steady && shown.kg > 0 ? shown.kg : undefined;
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        if (wrong.size > 0) return;
        void keep(
          { trialId: trial.id, on, outcome: outcome.key, values, note: note.trim() },
          kept,
          `Wrote down ${values.length} of ${units.length} units.`,
        );
      }}
    >
      <ol ref={list} className="grid gap-x-6 sm:grid-cols-2" data-testid="grid">
        {units.map((u, at) => (
          <GridRow
            key={u.number}
            unit={u}
            at={at}
            text={typed[u.number] ?? ''}
            in={outcome.unit}
            wrong={wrong.get(u.number)}
            state={odd.get(u.number) ?? ''}
            onScale={weighed}
            onType={onType}
            onStep={onStep}
          />
        ))}
      </ol>
      <Doubts day={day} all={others} unit={outcome.unit} />
      <label className="mt-3 block max-w-xl">
        <span className="block text-sm text-faint">Note of the day</span>
        <input
          className="field"
          maxLength={500}
          value={note}
          onChange={(e) => setNote(e.target.value)}
          placeholder="after rain; slugs in block 2"
        />
      </label>
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
