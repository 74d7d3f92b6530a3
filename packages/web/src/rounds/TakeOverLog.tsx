import { useRef, useState } from 'react';
import { FolderOpen } from 'lucide-react';
import { usePlot, useShelf } from '../app/workspace';
import { useTakeOver } from '../ui/useTakeOver';
import { readLogCsv, type ReadLog } from './readLogCsv';

const MOST_SHOWN = 8;

/** Takes over a spreadsheet of what was done, after showing what was read of it. */
export function TakeOverLog() {
  const { plots } = usePlot();
  const { shelf } = useShelf();
  const file = useRef<HTMLInputElement>(null);
  const [read, setRead] = useState<ReadLog>();
  const { takeOver, say, isLoading } = useTakeOver('entry', 'log entries');
  const open = async (chosen: File | undefined): Promise<void> => {
    if (!chosen) return;
    const bags = shelf.map((s) => ({ id: s.record.id, name: s.product.name }));
    try {
      setRead(readLogCsv(await chosen.text(), plots, bags));
    } catch (e) {
      say(e instanceof Error ? e.message : 'The file could not be read.');
    }
  };
  const take = async (): Promise<void> => {
    if (await takeOver(read?.entries ?? [])) setRead(undefined);
  };
  return (
    <>
      <button type="button" className="action" onClick={() => file.current?.click()}>
        <FolderOpen size={16} aria-hidden="true" />A spreadsheet
      </button>
      <input
        ref={file}
        type="file"
        className="hidden"
        aria-label="A spreadsheet of what was done, as CSV"
        accept=".csv,.txt"
        onChange={(e) => {
          void open(e.target.files?.[0]);
          e.target.value = '';
        }}
      />
      {read && (
        <div className="w-full border-l-4 border-slate bg-paper px-3 py-2" data-testid="take-over">
          <p>
            {read.entries.length} entries were read
            {read.problems.length > 0 && `, and ${read.problems.length} rows could not be`}.
          </p>
          <ul className="my-1 ml-5 list-disc text-[0.9375rem]">
            {read.problems.slice(0, MOST_SHOWN).map((p) => (
              <li key={p.line}>
                Line {p.line}: {p.why}
              </li>
            ))}
            {read.problems.length > MOST_SHOWN && <li>and {read.problems.length - MOST_SHOWN} more.</li>}
          </ul>
          <p className="flex gap-2">
            <button
              type="button"
              className="action"
              disabled={isLoading || read.entries.length === 0}
              onClick={() => void take()}
            >
              {isLoading ? 'Taking over …' : `Take over ${read.entries.length}`}
            </button>
            <button type="button" className="action" onClick={() => setRead(undefined)}>
              Leave it
            </button>
          </p>
        </div>
      )}
    </>
  );
}
