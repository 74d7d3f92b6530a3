import { useState, type FormEvent } from 'react';
import { Trash2 } from 'lucide-react';
import type { PlotRecord } from '@wheat-ledger/contract';
import {
  formatFixed,
  formatGiven,
  formatTrimmed,
  formatTrimmedRange,
  parseDay,
  parseNumber,
  pourVerdicts,
  printDay,
  starterWeeks,
  USUAL_POUR_BAND,
  type PourAdvice,
} from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { usePlotCrop } from '../app/seasons';
import { today } from '../app/today';
import { ofPlot } from '../app/workspace';
import { FigureButton } from '../ui/FigureButton';
import { useKeep } from '../ui/useKeep';
import { useTakeOut } from '../ui/useTakeOut';
import { PourChart } from './PourChart';
import { Desk, Fields } from './desk';

const ADVICE_WORDS: Readonly<Record<PourAdvice, string>> = {
  feed: 'Feed it',
  flush: 'Flush it with water',
  leave: 'Leave it',
};

/** One line to write a reading down. */
function ReadingForm({ plot }: { plot: PlotRecord }) {
  const { keep, saving } = useKeep('pour');
  const [typed, setTyped] = useState({ ec: '', pH: '', on: printDay(today()), note: '' });
  const [trouble, setTrouble] = useState('');
  const set = (field: keyof typeof typed) => (e: { target: { value: string } }) =>
    setTyped({ ...typed, [field]: e.target.value });
  const write = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const ec = parseNumber(typed.ec.replace(/\s*mS\s*\/\s*cm$/i, ''));
    const pH = typed.pH.trim() === '' ? undefined : parseNumber(typed.pH);
    const day = parseDay(typed.on);
    const wrong = [ec, ...(pH ? [pH] : []), day].find((r) => !r.ok);
    if (wrong && !wrong.ok) return setTrouble(wrong.reason);
    if (!ec.ok || !day.ok) return;
    setTrouble('');
    await keep(
      {
        plotId: plot.id,
        on: day.value,
        ecMsPerCm: ec.value,
        ...(pH?.ok ? { pH: pH.value } : {}),
        note: typed.note.trim(),
      },
      undefined,
      `Wrote down ${formatGiven(ec.value)} mS/cm.`,
    );
    setTyped({ ...typed, ec: '', pH: '', note: '' });
  };
  return (
    <form className="no-print" onSubmit={(e) => void write(e)}>
      <Fields>
        {(
          [
            ['ec', 'Ran through, mS/cm', 'w-40', '1.8'],
            ['pH', 'pH', 'w-20', ''],
            ['on', 'Day', 'w-36', ''],
            ['note', 'Which pot', 'w-44', ''],
          ] as const
        ).map(([field, label, width, placeholder]) => (
          <label key={field} className={width}>
            <span className="block text-sm text-faint">{label}</span>
            <input className="field" value={typed[field]} onChange={set(field)} placeholder={placeholder} />
          </label>
        ))}
        <button type="submit" className="action self-end" disabled={saving || typed.ec.trim() === ''}>
          Write it down
        </button>
      </Fields>
      {trouble !== '' && (
        <p role="alert" className="mt-1 text-beet">
          {trouble}
        </p>
      )}
    </form>
  );
}

/** Between what and what a pot is left alone, as typed. */
function bandOf(text: string): { readonly low: number; readonly high: number } | undefined {
  const ends = text.split(/\s*(?:–|-|\bto\b)\s*/).map((t) => parseNumber(t));
  const [low, high] = ends.flatMap((e) => (e.ok ? [e.value] : []));
  return ends.length === 2 && low !== undefined && high !== undefined && high > low && low >= 0
    ? { low, high }
    : undefined;
}

/** Potted plants: what runs through the pot tells whether to feed, to flush or to leave it. */
export function PotDesk() {
  const { plot, crop } = usePlotCrop();
  const { records } = useRecords('pour', ofPlot(plot?.id));
  const takeOut = useTakeOut('pour');
  const [typed, setTyped] = useState(`${USUAL_POUR_BAND.low}–${USUAL_POUR_BAND.high}`);
  const [weeks, setWeeks] = useState('');
  if (!plot) return null;
  const band = bandOf(typed) ?? USUAL_POUR_BAND;
  const readings = [...records]
    .sort((a, b) => a.on.localeCompare(b.on))
    .map(({ on, ecMsPerCm, pH }) => ({ on, ecMsPerCm, pH: pH ?? undefined }));
  const verdicts = pourVerdicts(readings, band, crop?.pH);
  const last = verdicts.at(-1);
  const starter = parseNumber(weeks);
  const lasts = starterWeeks(starter.ok && starter.value > 0 ? starter.value : undefined);
  return (
    <Desk
      title={`Pots on ${plot.name}: feed, flush or leave?`}
      picture={readings.length > 1 && <PourChart readings={readings} band={band} />}
    >
      {last && (
        <p data-testid="pour">
          <b className="text-lg">{ADVICE_WORDS[last.advice]}</b>: {formatTrimmed(readings.at(-1)?.ecMsPerCm ?? 0, 3)}{' '}
          mS/cm ran through on {printDay(readings.at(-1)?.on ?? '')}
          {last.perWeek !== undefined &&
            `, ${formatFixed(Math.abs(last.perWeek), 2)} ${last.perWeek < 0 ? 'less' : 'more'} a week than before`}
          {last.pHWords !== '' && `; ${last.pHWords}`}.
        </p>
      )}
      <ul className="my-2">
        {[...records]
          .sort((a, b) => b.on.localeCompare(a.on))
          .map((r, i) => (
            <li key={r.id} className="flex items-baseline gap-3 border-b border-rule py-1">
              <span className="w-28 shrink-0">{printDay(r.on)}</span>
              <span>
                <b>{formatGiven(r.ecMsPerCm)} mS/cm</b>
                {r.pH !== undefined && r.pH !== null && `, pH ${formatGiven(r.pH)}`}:{' '}
                {ADVICE_WORDS[verdicts[verdicts.length - 1 - i]?.advice ?? 'leave'].toLowerCase()}
                {r.note && <span className="text-faint"> · {r.note}</span>}
              </span>
              <button
                type="button"
                className="no-print ml-auto cursor-pointer"
                onClick={() => void takeOut(r, 'Took the reading out.')}
              >
                <Trash2 size={15} aria-hidden="true" />
                <span className="sr-only">Take out the reading of {printDay(r.on)}</span>
              </button>
            </li>
          ))}
      </ul>
      <ReadingForm plot={plot} />
      <div className="mt-3">
        <Fields>
          <label className="w-44">
            <span className="block text-sm text-faint">Left alone between, mS/cm</span>
            <input
              className="field"
              value={typed}
              onChange={(e) => setTyped(e.target.value)}
              aria-invalid={!bandOf(typed)}
            />
          </label>
          <label className="w-44">
            <span className="block text-sm text-faint">Starter charge lasts, weeks</span>
            <input className="field" value={weeks} placeholder="typical" onChange={(e) => setWeeks(e.target.value)} />
          </label>
          <p className="self-end pb-1.5 text-faint">
            Begin to feed <FigureButton figure={lasts}>{formatTrimmedRange(lasts.value, 2)} weeks</FigureButton> after
            potting.
          </p>
        </Fields>
      </div>
    </Desk>
  );
}
