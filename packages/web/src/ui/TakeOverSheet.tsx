import { useRef, useState } from 'react';
import { FolderOpen } from 'lucide-react';
import type { InputOf, Kept, RecordKind } from '@wheat-ledger/contract';
import { capital } from '@wheat-ledger/core';
import type { ReadSheet } from '../app/sheetRows';
import { useTakeOver } from './useTakeOver';

const MOST_SHOWN = 8;

interface TakeOverSheetProps<K extends RecordKind> {
  readonly kind: K;
  /** What several of it are called. */
  readonly what: string;
  /** What the file is, for those who do not see the button. */
  readonly label: string;
  readonly read: (text: string) => ReadSheet<InputOf<K>>;
  /** The record that one of it is the newer state of; new ones otherwise. */
  readonly existingOf?: (input: InputOf<K>) => Kept | undefined;
}
/** Takes over a spreadsheet, after showing what was read of it. */
export function TakeOverSheet<K extends RecordKind>({
  kind,
  what,
  label,
  read: readText,
  existingOf,
}: TakeOverSheetProps<K>) {
  const file = useRef<HTMLInputElement>(null);
  const [read, setRead] = useState<ReadSheet<InputOf<K>>>();
  const { takeOver, say, isLoading } = useTakeOver(kind, what, existingOf);
  const open = async (chosen: File | undefined): Promise<void> => {
    if (!chosen) return;
    try {
      setRead(readText(await chosen.text()));
    } catch (e) {
      say(e instanceof Error ? e.message : 'The file could not be read.');
    }
  };
  const take = async (): Promise<void> => {
    if (await takeOver(read?.rows ?? [])) setRead(undefined);
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
        aria-label={label}
        accept=".csv,.txt"
        onChange={(e) => {
          void open(e.target.files?.[0]);
          e.target.value = '';
        }}
      />
      {read && (
        <div className="w-full border-l-4 border-slate bg-paper px-3 py-2" data-testid="take-over">
          <p>
            {capital(what)} that were read: {read.rows.length}.
            {read.problems.length > 0 && ` Rows that could not be read: ${read.problems.length}.`}
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
              disabled={isLoading || read.rows.length === 0}
              onClick={() => void take()}
            >
              {isLoading ? 'Taking over …' : `Take over ${read.rows.length}`}
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
