import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Plus, Trash2 } from 'lucide-react';
import {
  HELD_EQUAL,
  HELD_WORDS,
  LAYOUT_WORDS,
  LAYOUTS,
  MEDIA,
  MEDIUM_NAMES,
  OUTCOME_KINDS,
  OUTCOME_WORDS,
  STUDY_CONTROLS,
  type StudyControl,
} from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useShelf } from '../app/workspace';
import { FormPart } from '../ui/EditForm';
import { SelectField, TextField } from '../ui/Field';
import { blankArm, blankOutcome, nextKey, type TrialText } from './trialText';

const CONTROL_WORDS: Readonly<Record<StudyControl, string>> = {
  nothing: 'nothing at all',
  water: 'water or carrier only',
  sameNutrients: 'the same nutrients from elsewhere',
  none: 'there is none',
};

/** The things that are set side by side, a row each. */
export function ArmRows() {
  const { control } = useFormContext<TrialText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'arms' });
  const { records: programmes } = useRecords('programme');
  const { shelf } = useShelf();
  const applied = useWatch<TrialText, 'jars.applied'>({ name: 'jars.applied' });
  const bags = [{ value: '', text: 'no bag' }, ...shelf.map((s) => ({ value: s.record.id, text: s.product.name }))];
  const options = [{ value: '', text: 'no programme' }, ...programmes.map((p) => ({ value: p.id, text: p.name }))];
  return (
    <FormPart title="What is set side by side" hint="the control first; what each brings of nitrogen, kg/ha">
      <ul className="flex flex-col gap-2">
        {fields.map((field, i) => (
          <li key={field.id} className="flex flex-wrap items-start gap-2" data-testid="arm">
            <TextField name={`arms.${i}.name`} label={`Arm ${i + 1}`} bare placeholder="name" className="w-48" />
            <TextField
              name={`arms.${i}.what`}
              label={`Arm ${i + 1}, what is given`}
              bare
              placeholder="what is given"
              className="min-w-64 flex-1"
            />
            <TextField
              name={`arms.${i}.nitrogen`}
              label={`Arm ${i + 1}, nitrogen in kg/ha`}
              bare
              placeholder="N kg/ha"
              className="w-28"
            />
            <TextField name={`arms.${i}.cost`} label={`Arm ${i + 1}, cost`} bare placeholder="cost" className="w-24" />
            <TextField
              name={`arms.${i}.ease`}
              label={`Arm ${i + 1}, ease 1 to 5`}
              bare
              placeholder="ease 1–5"
              className="w-28"
            />
            {programmes.length > 0 && (
              <SelectField
                name={`arms.${i}.programmeId`}
                label={`Arm ${i + 1}, programme`}
                bare
                options={options}
                className="w-48"
              />
            )}
            {applied.trim() !== '' && (
              <SelectField
                name={`arms.${i}.productId`}
                label={`Arm ${i + 1}, bag`}
                bare
                options={bags}
                className="w-48"
              />
            )}
            <button type="button" className="cursor-pointer p-2" onClick={() => remove(i)}>
              <Trash2 size={15} aria-hidden="true" />
              <span className="sr-only">Take arm {i + 1} out</span>
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="plain mt-1 flex items-center gap-1" onClick={() => append(blankArm())}>
        <Plus size={15} aria-hidden="true" /> Another arm
      </button>
    </FormPart>
  );
}

/** What is measured, a row each, and which of it decides. */
export function OutcomeRows() {
  const { control, getValues } = useFormContext<TrialText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'outcomes' });
  const outcomes = useWatch<TrialText, 'outcomes'>({ name: 'outcomes' });
  return (
    <FormPart
      title="What is measured"
      hint="one of it decides; the others are exploration; of several species in a unit a row for each"
    >
      <ul className="flex flex-col gap-2">
        {fields.map((field, i) => (
          <li key={field.id} className="flex flex-wrap items-start gap-2" data-testid="outcome">
            <TextField
              name={`outcomes.${i}.name`}
              label={`Outcome ${i + 1}`}
              bare
              placeholder="height"
              className="w-44"
            />
            <SelectField
              name={`outcomes.${i}.kind`}
              label={`Outcome ${i + 1}, kind`}
              bare
              options={OUTCOME_KINDS.map((value) => ({ value, text: OUTCOME_WORDS[value] }))}
              className="w-56"
            />
            <TextField
              name={`outcomes.${i}.unit`}
              label={`Outcome ${i + 1}, unit`}
              bare
              placeholder="cm"
              className="w-20"
            />
            <SelectField
              name={`outcomes.${i}.better`}
              label={`Outcome ${i + 1}, better`}
              bare
              options={[
                { value: 'more', text: 'more is better' },
                { value: 'less', text: 'less is better' },
              ]}
              className="w-40"
            />
            {outcomes[i]?.kind === 'timed' && (
              <>
                <TextField
                  name={`outcomes.${i}.litres`}
                  label={`Outcome ${i + 1}, water`}
                  bare
                  placeholder="1 L, if water"
                  className="w-28"
                />
                <TextField
                  name={`outcomes.${i}.ground`}
                  label={`Outcome ${i + 1}, ground`}
                  bare
                  placeholder="on 0.07 m²"
                  className="w-28"
                />
              </>
            )}
            <button type="button" className="cursor-pointer p-2" onClick={() => remove(i)}>
              <Trash2 size={15} aria-hidden="true" />
              <span className="sr-only">Take outcome {i + 1} out</span>
            </button>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-end gap-4">
        <button
          type="button"
          className="plain flex items-center gap-1"
          onClick={() => append(blankOutcome(nextKey(getValues('outcomes'))))}
        >
          <Plus size={15} aria-hidden="true" /> Another outcome
        </button>
        <SelectField
          name="decides"
          label="What decides"
          options={outcomes.map((o) => ({ value: o.key, text: o.name || 'an outcome without a name' }))}
          className="w-48"
        />
      </div>
    </FormPart>
  );
}

/** Layout, replicates, control, the size of a unit, and what is held equal. */
export function Layouts() {
  const { register } = useFormContext<TrialText>();
  const arms = useWatch<TrialText, 'arms'>({ name: 'arms' });
  return (
    <FormPart title="How it is laid out">
      <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
        <SelectField
          name="layout"
          label="Layout"
          options={LAYOUTS.map((value) => ({ value, text: LAYOUT_WORDS[value] }))}
          className="col-span-2"
        />
        <TextField name="replicates" label="Of each" inputMode="numeric" />
        <SelectField
          name="control"
          label="The control"
          options={arms.map((a, i) => ({ value: String(i), text: a.name || `arm ${i + 1}` }))}
        />
        <SelectField
          name="controlIs"
          label="It gets"
          options={STUDY_CONTROLS.map((value) => ({ value, text: CONTROL_WORDS[value] }))}
        />
        <TextField name="seed" label="Seed of the chance" inputMode="numeric" />
        <TextField name="width" label="A unit is wide" />
        <TextField name="depth" label="and deep" />
        <TextField name="plants" label="Plants in it" inputMode="numeric" />
      </div>
      <fieldset className="mt-2 flex flex-wrap gap-x-5 gap-y-1">
        <legend className="text-sm text-faint">Held equal</legend>
        {HELD_EQUAL.map((h) => (
          <label key={h} className="flex items-center gap-1.5">
            <input type="checkbox" className="size-4 accent-wheat" {...register(`held.${h}`)} />
            {HELD_WORDS[h]}
          </label>
        ))}
      </fieldset>
      <div className="mt-2 flex flex-wrap gap-x-5 gap-y-1">
        <label className="flex items-center gap-1.5">
          <input type="checkbox" className="size-4 accent-wheat" {...register('shaded')} />a neighbour or a wall shades
          one side
        </label>
        <label className="flex items-center gap-1.5">
          <input type="checkbox" className="size-4 accent-wheat" {...register('usedLastYear')} />
          these beds were treated last year
        </label>
        <label className="flex items-center gap-1.5">
          <input type="checkbox" className="size-4 accent-wheat" {...register('asksNutrients')} />
          the question is what the nutrients do
        </label>
      </div>
    </FormPart>
  );
}

/** Where the units are jars: what is held, and how much nitrogen is in each. */
export function JarFields() {
  const applied = useWatch<TrialText, 'jars.applied'>({ name: 'jars.applied' });
  return (
    <details open={applied.trim() !== ''}>
      <summary className="cursor-pointer text-lg">These are jars that say how fast nitrogen comes free</summary>
      <p className="mb-2 text-sm text-faint">
        The same nitrogen in every jar but the control’s. Sample mineral N in weeks 1, 2, 4, 6 and 8.
      </p>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
        <TextField
          name="jars.applied"
          label="N applied, in the unit of what decides"
          inputMode="decimal"
          placeholder="200"
        />
        <TextField name="jars.temperatureC" label="Kept at, °C" inputMode="decimal" />
        <SelectField
          name="jars.medium"
          label="In"
          options={MEDIA.map((value) => ({ value, text: MEDIUM_NAMES[value] }))}
        />
      </div>
    </details>
  );
}
