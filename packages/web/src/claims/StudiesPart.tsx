import { Link } from 'react-router';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Trash2 } from 'lucide-react';
import { studyName } from '@wheat-ledger/contract';
import { useRecords } from '../app/api';
import { today } from '../app/today';
import { FormPart } from '../ui/EditForm';
import { DayField, TextField } from '../ui/Field';
import type { ClaimText } from './claimText';

/** Searches that were made, whatever they found. */
function SearchRows() {
  const { control } = useFormContext<ClaimText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'searches' });
  return (
    <div className="mt-4">
      {fields.length > 0 && <h3 className="mb-1 font-semibold">Where it was searched</h3>}
      <ul className="flex flex-col gap-2">
        {fields.map((field, i) => (
          <li key={field.id} className="flex flex-wrap items-start gap-2">
            <TextField
              name={`searches.${i}.where`}
              label={`Search ${i + 1}, where`}
              bare
              placeholder="where"
              className="w-48"
            />
            <DayField name={`searches.${i}.on`} label={`Search ${i + 1}, day`} bare className="w-36" />
            <TextField
              name={`searches.${i}.words`}
              label={`Search ${i + 1}, words`}
              bare
              placeholder="which words"
              className="w-48"
            />
            <TextField
              name={`searches.${i}.found`}
              label={`Search ${i + 1}, found`}
              bare
              placeholder="what was found"
              className="min-w-40 flex-1"
            />
            <button type="button" className="cursor-pointer p-2" onClick={() => remove(i)}>
              <Trash2 size={15} aria-hidden="true" />
              <span className="sr-only">Remove search {i + 1}</span>
            </button>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="plain mt-1"
        onClick={() => append({ where: '', on: today(), words: '', found: '' })}
      >
        Add a search, even one that found nothing
      </button>
    </div>
  );
}

/** Which studies are weighed for a claim, and which are left out, with the reason. */
export function StudiesPart() {
  const { control } = useFormContext<ClaimText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'studies' });
  const chosen = useWatch({ control, name: 'studies' });
  const { records } = useRecords('study');
  const nameOf = (id: string): string => {
    const study = records.find((r) => r.id === id);
    return study ? studyName(study) : 'a study that was taken out';
  };
  const open = records.filter((r) => !chosen.some((c) => c.studyId === r.id));
  return (
    <FormPart title="Studies of it" hint="left out with a reason, or counted">
      <ul className="flex flex-col gap-2">
        {fields.map((field, i) => (
          <li key={field.id} className="flex flex-wrap items-center gap-2" data-testid="claim-study">
            <Link to={`/claims/studies/${chosen[i]?.studyId ?? ''}`} className="plain w-64">
              {nameOf(chosen[i]?.studyId ?? '')}
            </Link>
            <TextField
              name={`studies.${i}.leftOut`}
              label={`Leave out ${nameOf(chosen[i]?.studyId ?? '')} because`}
              bare
              placeholder="counts; type a reason to leave it out"
              className="min-w-60 flex-1"
            />
            <button type="button" className="cursor-pointer p-2" onClick={() => remove(i)}>
              <Trash2 size={15} aria-hidden="true" />
              <span className="sr-only">Take {nameOf(chosen[i]?.studyId ?? '')} off this claim</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 flex flex-wrap items-center gap-3">
        {open.length > 0 && (
          <select
            className="field !w-auto"
            aria-label="Weigh a study"
            value=""
            onChange={(e) => append({ studyId: e.target.value, leftOut: '' })}
          >
            <option value="">Weigh a study …</option>
            {open.map((r) => (
              <option key={r.id} value={r.id}>
                {studyName(r)}: {r.title.slice(0, 80)}
              </option>
            ))}
          </select>
        )}
        <Link to="/claims/studies" className="plain">
          All studies, and reference files
        </Link>
      </p>
      <SearchRows />
    </FormPart>
  );
}
