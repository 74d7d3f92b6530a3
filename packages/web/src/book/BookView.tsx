import { useState } from 'react';
import { Undo2 } from 'lucide-react';
import { format } from 'date-fns';
import { KINDS, type JournalAction, type JournalRecord } from '@wheat-ledger/contract';
import { problemOf, useJournalQuery, useUndoMutation } from '../app/api';
import { deskSlice, settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { LedgersLink } from '../frame/LedgerSwitch';
import { BookPages } from './BookPages';
import { changesBetween } from './changes';
import { Exchange } from './Exchange';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { Empty, Failed, Loading, Sheet } from '../ui/Sheet';

const ACTION_WORDS: Readonly<Record<JournalAction, string>> = {
  create: 'added',
  update: 'changed',
  remove: 'taken out',
  restore: 'restored',
};
/** What an operation changed, newest first. */
type Group = readonly [JournalRecord, ...JournalRecord[]];

/** Neighbouring entries of one operation together. */
function byOperation(entries: readonly JournalRecord[]): readonly Group[] {
  const groups: [JournalRecord, ...JournalRecord[]][] = [];
  for (const entry of entries) {
    const last = groups.at(-1);
    if (last && last[0].operation === entry.operation) last.push(entry);
    else groups.push([entry]);
  }
  return groups;
}

const wordsOf = (entry: JournalRecord): string =>
  `${KINDS[entry.kind].word} ${entry.name} ${ACTION_WORDS[entry.action]}`;

/** One change with what differs; of several changes, what they were for and each in a line. */
function What({ entries }: { entries: Group }) {
  const [entry] = entries;
  const undone = entry.undoes ? ', as an undo' : '';
  if (entries.length === 1) {
    const changes = entry.action === 'update' ? changesBetween(entry.before, entry.after) : [];
    return (
      <>
        {KINDS[entry.kind].word} <b>{entry.name}</b> {ACTION_WORDS[entry.action]}
        {undone}
        {changes.length > 0 && (
          <ul className="text-[0.875rem] text-faint">
            {changes.map((c) => (
              <li key={c.path}>
                {c.path}: {c.before} → {c.after}
              </li>
            ))}
          </ul>
        )}
      </>
    );
  }
  return (
    <>
      <b className="inline-block first-letter:uppercase">{entry.why || 'several changes'}</b>
      {undone}: {entries.length} changes
      <details className="text-[0.875rem] text-faint">
        <summary className="cursor-pointer">each of them</summary>
        <ul>
          {entries.map((e) => (
            <li key={e.id}>{wordsOf(e)}</li>
          ))}
        </ul>
      </details>
    </>
  );
}

function Entry({ entries }: { entries: Group }) {
  const [entry] = entries;
  const [undo, { isLoading }] = useUndoMutation();
  const dispatch = useAppDispatch();
  const takeBack = async (): Promise<void> => {
    const result = await undo({ operation: entry.operation });
    dispatch(
      deskSlice.actions.noticed({
        text: result.error ? problemOf(result.error).detail : 'Undone. The book keeps both entries.',
        recordId: undefined,
      }),
    );
  };
  return (
    <tr>
      <td className="whitespace-nowrap text-faint">{format(new Date(entry.at), 'd MMM yyyy, HH:mm')}</td>
      <th scope="row">
        <What entries={entries} />
      </th>
      <td className="text-faint">{entry.who}</td>
      <td className="num no-print">
        {entry.undoable && (
          <button
            type="button"
            className="plain inline-flex items-center gap-1"
            disabled={isLoading}
            onClick={() => void takeBack()}
          >
            <Undo2 size={14} aria-hidden="true" />
            {entry.undoes ? 'Redo' : 'Undo'}
            <span className="sr-only">
              {' '}
              {entries.length === 1 ? `${ACTION_WORDS[entry.action]} ${entry.name}` : entry.why}
            </span>
          </button>
        )}
      </td>
    </tr>
  );
}

/** Who writes, typed once in this browser; the book has the name beside every change made from here on. */
function WhoWrites() {
  const who = useAppSelector((s) => s.settings.who);
  const dispatch = useAppDispatch();
  return (
    <label className="no-print mb-3 flex max-w-md flex-wrap items-center gap-x-2 text-[0.9375rem]">
      Your name in the book
      <input
        className="field !w-44"
        value={who}
        maxLength={80}
        placeholder="gardener"
        autoComplete="name"
        onChange={(e) => dispatch(settingsSlice.actions.changed({ who: e.target.value }))}
      />
    </label>
  );
}

/** Every change, newest first, together what was done for one reason; what nothing was built on can be undone, and an undo done again. */
export function BookView() {
  const [before, setBefore] = useState<string>();
  const { data, isLoading, error, refetch } = useJournalQuery(before ? { before } : {});
  if (isLoading) return <Loading what="the book" />;
  return (
    <Sheet title="Book" question="What was changed, and when?" actions={<PrintButton />}>
      <BookPages />
      <WhoWrites />
      <Exchange />
      {error !== undefined && <Failed error={error} retry={() => void refetch()} />}
      {data?.items.length === 0 && <Empty>Nothing was entered yet.</Empty>}
      {data && data.items.length > 0 && (
        <div className="overflow-x-auto">
          <table className="ledger" data-testid="journal">
            <thead>
              <tr>
                <th scope="col">When</th>
                <th scope="col">What</th>
                <th scope="col">Who</th>
                <th scope="col" className="num no-print">
                  Take back
                </th>
              </tr>
            </thead>
            <tbody>
              {byOperation(data.items).map((entries) => (
                <Entry key={entries[0].id} entries={entries} />
              ))}
            </tbody>
          </table>
        </div>
      )}
      <div className="mt-3 flex gap-3">
        {before && (
          <button type="button" className="action" onClick={() => setBefore(undefined)}>
            Newest
          </button>
        )}
        {data?.next && (
          <button type="button" className="action" onClick={() => setBefore(data.next ?? undefined)}>
            Older
          </button>
        )}
      </div>
      <MarginNotes>
        <MarginNote title="Several gardens">
          <p>
            Books for several gardens, or several people, are kept in ledgers of their own. <LedgersLink />.
          </p>
        </MarginNote>
        <MarginNote title="Nothing is lost">
          <p>
            Every change is written here together with the change itself, and no entry is ever altered. An undo is an
            entry of its own, so it can be undone too.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
