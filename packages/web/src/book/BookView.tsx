import { useState } from 'react';
import { Undo2 } from 'lucide-react';
import { format } from 'date-fns';
import { KINDS, type JournalAction, type JournalRecord } from '@wheat-ledger/contract';
import { problemOf, useJournalQuery, useUndoMutation } from '../app/api';
import { deskSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';
import { changesBetween } from './changes';
import { Exchange } from './Exchange';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Failed, Loading, Sheet } from '../ui/Sheet';

const ACTION_WORDS: Readonly<Record<JournalAction, string>> = {
  create: 'added',
  update: 'changed',
  remove: 'taken out',
  restore: 'restored',
};
function Entry({ entry }: { entry: JournalRecord }) {
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
  const changes = entry.action === 'update' ? changesBetween(entry.before, entry.after) : [];
  return (
    <tr>
      <td className="whitespace-nowrap text-faint">{format(new Date(entry.at), 'd MMM yyyy, HH:mm')}</td>
      <th scope="row">
        {KINDS[entry.kind].word} <b>{entry.name}</b> {ACTION_WORDS[entry.action]}
        {entry.undoes && ', as an undo'}
        {changes.length > 0 && (
          <ul className="text-[0.875rem] text-faint">
            {changes.map((c) => (
              <li key={c.path}>
                {c.path}: {c.before} → {c.after}
              </li>
            ))}
          </ul>
        )}
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
            Undo
            <span className="sr-only">
              {' '}
              {ACTION_WORDS[entry.action]} {entry.name}
            </span>
          </button>
        )}
      </td>
    </tr>
  );
}

/** Every change, newest first; the latest change of each record can be undone. */
export function BookView() {
  const [before, setBefore] = useState<string>();
  const { data, isLoading, error, refetch } = useJournalQuery(before ? { before } : {});
  if (isLoading) return <Loading what="the book" />;
  return (
    <Sheet
      title="Book"
      question="What was changed, and when?"
      actions={
        <button type="button" className="action" onClick={() => window.print()}>
          Print
        </button>
      }
    >
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
              {data.items.map((entry) => (
                <Entry key={entry.id} entry={entry} />
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
        <MarginNote title="Nothing is lost">
          <p>
            Every change is written here in the same breath as the change itself, and no entry is ever altered. An undo
            is an entry of its own, so it can be undone too.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
