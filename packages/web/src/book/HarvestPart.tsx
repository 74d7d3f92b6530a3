import { useState, type FormEvent } from 'react';
import { Trash2 } from 'lucide-react';
import type { HarvestRecord, PlotRecord } from '@wheat-ledger/contract';
import { formatGiven, parseDay, parseQuantity, printDay } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useSeasons } from '../app/seasons';
import { today } from '../app/today';
import { usePlot } from '../app/workspace';
import { TakeOverSheet } from '../ui/TakeOverSheet';
import { useKeep } from '../ui/useKeep';
import { useScale } from '../ui/useScale';
import { useTakeOut } from '../ui/useTakeOut';
import { readHarvestCsv } from './readHarvestCsv';

/** One line to write a harvest down in the field. */
function HarvestForm({ plot }: { plot: PlotRecord }) {
  const { seasons, chosen } = useSeasons(plot.id);
  const { keep, saving } = useKeep('harvest');
  const [typed, setTyped] = useState({ amount: '', on: printDay(today()), seasonId: '' });
  const [trouble, setTrouble] = useState('');
  const { shown } = useScale();
  const onScale = shown.kind === 'reading' && shown.steady && shown.kg > 0 ? `${formatGiven(shown.kg)} kg` : undefined;
  const seasonId = typed.seasonId || chosen?.record.id;
  const set = (field: keyof typeof typed) => (e: { target: { value: string } }) =>
    setTyped({ ...typed, [field]: e.target.value });
  const write = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const mass = parseQuantity(typed.amount, 'mass', 'kg');
    const day = parseDay(typed.on);
    if (!mass.ok || !day.ok) return setTrouble(mass.ok ? (day.ok ? '' : day.reason) : mass.reason);
    setTrouble('');
    const kg = mass.value * mass.unit.factor;
    await keep(
      { plotId: plot.id, ...(seasonId ? { seasonId } : {}), on: day.value, kg, note: '' },
      undefined,
      `Wrote down ${formatGiven(kg)} kg.`,
    );
    setTyped({ ...typed, amount: '' });
  };
  return (
    <form className="no-print flex flex-wrap items-end gap-2" onSubmit={(e) => void write(e)}>
      <label>
        <span className="block text-sm text-faint">Harvested</span>
        <input className="field !w-28 max-w-full" value={typed.amount} onChange={set('amount')} placeholder="12.5 kg" />
      </label>
      <label>
        <span className="block text-sm text-faint">Day</span>
        <input className="field !w-36 max-w-full" value={typed.on} onChange={set('on')} />
      </label>
      <label>
        <span className="block text-sm text-faint">Of</span>
        <select
          className="field !w-60 max-w-full"
          aria-label="Of which season"
          value={seasonId ?? ''}
          onChange={set('seasonId')}
        >
          {seasons.map((s) => (
            <option key={s.record.id} value={s.record.id}>
              {s.season.crop.name} from {printDay(s.season.from)}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="action" disabled={saving}>
        Write it down
      </button>
      {onScale && (
        <button type="button" className="plain pb-1.5" onClick={() => setTyped({ ...typed, amount: onScale })}>
          {onScale} lie on the scale: take that
        </button>
      )}
      <HarvestSheet />
      {trouble !== '' && (
        <p role="alert" className="w-full text-sm text-beet">
          {trouble}
        </p>
      )}
    </form>
  );
}

/** Takes over a spreadsheet of harvests. */
function HarvestSheet() {
  const { plots } = usePlot();
  const { records: seasons } = useRecords('season');
  return (
    <TakeOverSheet
      kind="harvest"
      what="harvests"
      label="A spreadsheet of harvests, as CSV"
      read={(text) => readHarvestCsv(text, plots, seasons)}
    />
  );
}

/** What was harvested, and one line to add to it. */
export function HarvestPart({
  plot,
  harvests,
  cropOf,
}: {
  plot: PlotRecord;
  harvests: readonly HarvestRecord[];
  cropOf: (harvest: HarvestRecord) => string;
}) {
  const takeOut = useTakeOut('harvest');
  return (
    <>
      <ul className="mb-2">
        {harvests.map((h) => (
          <li key={h.id} className="flex items-baseline gap-3 border-b border-rule py-1" data-testid="harvest">
            <span className="w-28 shrink-0">{printDay(h.on)}</span>
            <b>{formatGiven(h.kg)} kg</b>
            <span>
              {cropOf(h)}
              {h.count !== undefined && `, ${formatGiven(h.count)} of them`}
              {h.note && <span className="text-faint"> · {h.note}</span>}
            </span>
            <button
              type="button"
              className="no-print ml-auto cursor-pointer"
              onClick={() => void takeOut(h, 'Took the harvest out.')}
            >
              <Trash2 size={15} aria-hidden="true" />
              <span className="sr-only">Take out the harvest of {printDay(h.on)}</span>
            </button>
          </li>
        ))}
      </ul>
      <HarvestForm plot={plot} />
    </>
  );
}
