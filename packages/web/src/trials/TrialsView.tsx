import { Link } from 'react-router';
import { Plus } from 'lucide-react';
import type { TrialRecord } from '@wheat-ledger/contract';
import { printDay, trialDoubts } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { deskSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Failed, Loading, Sheet } from '../ui/Sheet';
import { useKeep } from '../ui/useKeep';
import { groundOf } from './groundOf';
import { readProtocol } from './trialFile';
import { planOf, stateOf } from './useTrial';

const STATE_WORDS = { planned: 'not begun', running: 'running', finished: 'finished' } as const;

function TrialLine({ record }: { record: TrialRecord }) {
  const state = stateOf(record);
  const hard = state === 'planned' ? trialDoubts(planOf(record), groundOf(record)).filter((d) => d.hard).length : 0;
  const times = record.layout === 'latin' ? record.arms.length : record.replicates;
  return (
    <li className="border-b border-rule py-3" data-testid="trial">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 sm:flex-nowrap">
        <div className="min-w-0 flex-1">
          <h2 className="text-lg">
            <Link
              to={`/trials/${record.id}${state === 'planned' ? '' : state === 'running' ? '/sheet' : '/read'}`}
              className="hover:underline"
            >
              {record.name}
            </Link>
          </h2>
          <p className="text-faint">{record.question}</p>
        </div>
        <div className="shrink-0 sm:w-56">
          <p className="font-slab text-lg font-semibold first-letter:uppercase">{STATE_WORDS[state]}</p>
          <p className="text-sm text-faint">
            {record.arms.length} arms × {times}, read on {printDay(record.until)}
          </p>
          {hard > 0 && (
            <p className="text-sm text-beet">
              {hard} {hard === 1 ? 'thing' : 'things'} to put right first
            </p>
          )}
        </div>
      </div>
    </li>
  );
}

/** Takes over a neighbour's protocol as a trial of one's own, laid out anew. */
function OpenProtocol() {
  const { keep } = useKeep('trial');
  const dispatch = useAppDispatch();
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    try {
      const trial = readProtocol(await file.text(), 1 + Math.floor(Math.random() * 1e6));
      await keep(trial, undefined, `Took over “${trial.name}”, laid out anew.`);
    } catch (e) {
      const text = e instanceof Error ? e.message : 'The file could not be read.';
      dispatch(deskSlice.actions.noticed({ text, recordId: undefined }));
    }
  };
  return (
    <label className="action focus-within:outline-2">
      Open a protocol
      <input
        type="file"
        accept=".json"
        className="sr-only"
        aria-label="A trial of a neighbour, as JSON"
        onChange={(e) => {
          void open(e.target.files?.[0]);
          e.target.value = '';
        }}
      />
    </label>
  );
}

/** Every trial, with where it stands. */
export function TrialsView() {
  const { records, isLoading, error } = useRecords('trial');
  if (isLoading) return <Loading what="the trials" />;
  const order = { running: 0, planned: 1, finished: 2 } as const;
  const sorted = [...records].sort((a, b) => order[stateOf(a)] - order[stateOf(b)] || a.name.localeCompare(b.name));
  return (
    <Sheet
      title="Trials"
      question="What does it really do, here, side by side?"
      actions={
        <>
          {records.length > 1 && (
            <Link to="/trials/compare" className="action">
              Side by side
            </Link>
          )}
          <OpenProtocol />
          <Link to="/trials/new" className="action main">
            <Plus size={17} aria-hidden="true" />A new trial
          </Link>
        </>
      }
    >
      {error !== undefined ? (
        <Failed error={error} />
      ) : records.length === 0 ? (
        <Empty>
          No trial yet. Ask one question, give a control the same care, and repeat both: then the garden answers.
        </Empty>
      ) : (
        <ul>
          {sorted.map((record) => (
            <TrialLine key={record.id} record={record} />
          ))}
        </ul>
      )}
      <MarginNotes>
        <MarginNote title="One plant each">
          <p>Two plants of one tray differ by a tenth without any help. One of each tells luck from nothing: repeat.</p>
        </MarginNote>
        <MarginNote title="Fixed before the start">
          <p>The question, what decides and the day it is read are fixed when a trial begins, and shown ever after.</p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
