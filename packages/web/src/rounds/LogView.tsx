import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { Download, Plus } from 'lucide-react';
import type { EntryRecord } from '@wheat-ledger/contract';
import { formatGiven, printDay, standing, WHERE_WORDS } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { usePlot, useShelfWith } from '../app/workspace';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { saveText } from '../ui/saveFile';
import { Empty, Failed, Loading, Sheet } from '../ui/Sheet';
import { logCsv } from './logCsv';
import { TakeOverLog } from './TakeOverLog';
import { RoundPages } from './RoundPages';

/** Amounts with their bags and lots. */
const itemWords = ({ items }: EntryRecord, nameOf: (id: string) => string): string =>
  items.length === 0
    ? 'plain water'
    : items
        .map((i) => `${formatGiven(i.amount)} ${i.unit} of ${nameOf(i.productId)}${i.lot ? `, lot ${i.lot}` : ''}`)
        .join('; ');

function EntryLine({
  entry,
  stands,
  plot,
  nameOf,
  photos,
}: {
  entry: EntryRecord;
  stands: boolean;
  plot: string;
  nameOf: (id: string) => string;
  photos: number;
}) {
  const how = [
    entry.where && WHERE_WORDS[entry.where],
    entry.areaM2 !== undefined && `${formatGiven(Number(entry.areaM2.toPrecision(4)))} m²`,
    entry.minutes !== undefined && `${formatGiven(entry.minutes)} min`,
    entry.waterL !== undefined && `${formatGiven(entry.waterL)} L of water`,
    entry.by && `by ${entry.by}`,
    entry.weather,
    entry.note,
    entry.beyondStock && `more than was on hand: ${entry.beyondStock}`,
  ].filter(Boolean);
  return (
    <tr className={stands ? '' : 'text-faint'} data-testid="log-entry">
      <td className="whitespace-nowrap">{printDay(entry.on)}</td>
      <td>
        <span className={stands ? '' : 'line-through'}>
          <b>{entry.what}</b>, {plot}: {itemWords(entry, nameOf)}
        </span>
        {!stands && <span className="ml-2 text-sm">corrected since</span>}
        {entry.corrects && <span className="ml-2 text-sm text-faint">corrects an earlier entry</span>}
        {how.length > 0 && <span className="block text-sm text-faint">{how.join(' · ')}</span>}
      </td>
      <td className="no-print whitespace-nowrap">
        {stands && (
          <Link to={`/rounds/log/${entry.id}/correct`} className="plain">
            Correct
          </Link>
        )}{' '}
        <Link to={`/rounds/log/${entry.id}/photos`} className="plain">
          {photos === 0 ? 'Photos' : `${photos} ${photos === 1 ? 'photo' : 'photos'}`}
          <span className="sr-only"> of {entry.what}</span>
        </Link>
      </td>
    </tr>
  );
}

/** What was really done, the newest first. */
export function LogView() {
  const { records, isLoading, error } = useRecords('entry');
  const { records: photos } = useRecords('attachment');
  const { plots } = usePlot();
  const { shelf } = useShelfWith(records.flatMap((e) => e.items.map((i) => i.productId)));
  const [plotId, setPlotId] = useState('');
  const stand = useMemo(() => new Set(standing(records).map((e) => e.id)), [records]);
  const shown = useMemo(
    () =>
      records
        .filter((e) => plotId === '' || e.plotId === plotId)
        .sort((a, b) => b.on.localeCompare(a.on) || b.updatedAt.localeCompare(a.updatedAt)),
    [records, plotId],
  );
  if (isLoading) return <Loading what="the log" />;
  const nameOf = (id: string): string => shelf.find((s) => s.record.id === id)?.product.name ?? 'a bag that is gone';
  const plotName = (id: string): string => plots.find((p) => p.id === id)?.name ?? 'a plot that is gone';
  const save = (): void => saveText('log.csv', logCsv(shown, plotName, nameOf), 'text/csv');
  return (
    <Sheet
      title="The log"
      question="What was really done, and how much went on?"
      actions={
        <>
          {shown.length > 0 && (
            <button type="button" className="action" onClick={save}>
              <Download size={16} aria-hidden="true" />
              CSV
            </button>
          )}
          <TakeOverLog />
          <PrintButton />
          <Link to="/rounds/log/new" className="action main">
            <Plus size={17} aria-hidden="true" />
            Log by hand
          </Link>
        </>
      }
    >
      <RoundPages />
      {error !== undefined && <Failed error={error} />}
      {plots.length > 1 && (
        <label className="no-print mb-2 flex items-center gap-2 text-faint">
          Plot
          <select className="field !w-auto" value={plotId} onChange={(e) => setPlotId(e.target.value)}>
            <option value="">all</option>
            {plots.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </select>
        </label>
      )}
      {shown.length === 0 ? (
        <Empty>Nothing is logged yet. Tick something off in today’s round, or log it by hand.</Empty>
      ) : (
        <table className="ledger" data-testid="log">
          <caption className="sr-only">Log entries, the newest first</caption>
          <thead>
            <tr>
              <th scope="col">Day</th>
              <th scope="col">What was done</th>
              <th scope="col" className="no-print">
                <span className="sr-only">Correct it</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map((entry) => (
              <EntryLine
                key={entry.id}
                entry={entry}
                stands={stand.has(entry.id)}
                plot={plotName(entry.plotId)}
                nameOf={nameOf}
                photos={photos.filter((p) => p.entryId === entry.id).length}
              />
            ))}
          </tbody>
        </table>
      )}
      <MarginNotes>
        <MarginNote title="What an entry does">
          <p>It takes what went on from the stock of its lot. The balance of the plot counts it, and no plan.</p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
