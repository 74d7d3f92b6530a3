import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Trash2 } from 'lucide-react';
import { CLAIM_KINDS, claimKind, CONDITION_NAMES, CONDITIONS } from '@wheat-ledger/core';
import { LongField, SelectField, TextField } from '../ui/Field';
import type { ClaimText } from './claimText';

const KINDS = [
  { value: '', text: 'not said: a supply of what is ticked, or something else' },
  ...CLAIM_KINDS.map((k) => ({ value: k.key, text: k.name })),
];
const INTEREST_WORDS = [
  { value: 'unknown', text: 'not known' },
  { value: 'seller', text: 'they sell it' },
  { value: 'paid', text: 'they are paid for saying it' },
  { value: 'independent', text: 'nothing' },
];
const CONDITION_OPTIONS = [
  { value: '', text: 'choose a condition' },
  ...CONDITIONS.map((c) => ({ value: c, text: CONDITION_NAMES[c] })),
];
const HOLDS = [
  { value: 'yes', text: 'only where the ground is' },
  { value: 'no', text: 'only where it is not' },
];

/** Conditions of the ground under which a claim is true. */
function ConditionRows() {
  const { control } = useFormContext<ClaimText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'conditions' });
  return (
    <div>
      <ul className="flex flex-col gap-2">
        {fields.map((field, i) => (
          <li key={field.id} className="flex flex-wrap items-start gap-2">
            <SelectField
              name={`conditions.${i}.holds`}
              label={`Condition ${i + 1}, holds`}
              bare
              options={HOLDS}
              className="w-56"
            />
            <SelectField
              name={`conditions.${i}.condition`}
              label={`Condition ${i + 1}`}
              bare
              options={CONDITION_OPTIONS}
              className="w-60"
            />
            <button type="button" className="cursor-pointer p-2" onClick={() => remove(i)}>
              <Trash2 size={15} aria-hidden="true" />
              <span className="sr-only">Remove condition {i + 1}</span>
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="plain mt-1" onClick={() => append({ condition: '', holds: 'yes' })}>
        Add a condition of the ground
      </button>
    </div>
  );
}

/** The sentence restated as something that can be counted, with what usually decides a claim of its kind. */
export function ApartPart() {
  const { control, register } = useFormContext<ClaimText>();
  const chosen = useWatch({ control, name: 'kind' });
  const kind = chosen === '' ? undefined : claimKind(chosen);
  return (
    <div className="flex flex-col gap-3">
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField name="kind" label="What kind of claim is it?" options={KINDS} />
        <SelectField name="interest" label="What do they earn by it?" options={INTEREST_WORDS} />
      </div>
      {kind && (
        <p className="text-[0.9375rem] text-faint" data-testid="kind-hint">
          {kind.about === 'figure' ? 'The numbers decide this.' : 'Only trials can show this.'} Usually by{' '}
          {kind.decides.join(' and ')}. Ask the seller: {kind.ask}
        </p>
      )}
      <LongField
        name="countable"
        label="The same as something you could count"
        placeholder={kind ? kind.count : 'how much, of what, by when, against which control'}
      />
      <div className="flex flex-wrap items-end gap-4">
        <TextField name="gain" label="Gain that is promised, %" inputMode="decimal" placeholder="20" className="w-44" />
        <label className="flex items-center gap-1.5 pb-1.5">
          <input type="checkbox" className="size-4 accent-wheat" {...register('less')} />
          less of it is better (a pest, a disorder)
        </label>
      </div>
      <ConditionRows />
    </div>
  );
}
