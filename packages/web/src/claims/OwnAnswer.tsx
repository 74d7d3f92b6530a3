import { useWatch } from 'react-hook-form';
import { Pencil } from 'lucide-react';
import { ANSWER_WORDS, type CheckKey } from '@wheat-ledger/core';
import { SelectField, TextField } from '../ui/Field';
import type { ClaimText } from './claimText';

const ANSWERS = [
  { value: '', text: 'only a note' },
  ...(['supports', 'against', 'cannotTell', 'notRelevant'] as const).map((a) => ({ value: a, text: ANSWER_WORDS[a] })),
];

/** A note on one check, or an answer of one's own in its place. */
export function OwnAnswer({ check, name }: { check: CheckKey; name: string }) {
  const note = useWatch<ClaimText, `notes.${CheckKey}`>({ name: `notes.${check}` });
  return (
    <details
      className="no-print float-right ml-2 open:float-none open:ml-0"
      open={note.answer !== '' || note.reason !== ''}
    >
      <summary className="w-fit cursor-pointer list-none py-0.5 text-faint" title="Note it, or answer it yourself">
        <Pencil size={14} aria-hidden="true" />
        <span className="sr-only">Note it, or answer it yourself: {name}</span>
      </summary>
      <div className="mt-1 flex flex-wrap gap-2">
        <SelectField
          name={`notes.${check}.answer`}
          label={`Your answer, ${name}`}
          bare
          options={ANSWERS}
          className="w-36"
        />
        <TextField
          name={`notes.${check}.reason`}
          label={`Your reason, ${name}`}
          bare
          placeholder="why"
          className="min-w-40 flex-1"
        />
      </div>
    </details>
  );
}
