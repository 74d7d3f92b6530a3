import { lazy, Suspense, useMemo } from 'react';
import { useFieldArray, useFormContext } from 'react-hook-form';
import { Trash2 } from 'lucide-react';
import { formatGiven, heapCourse, type HeapEntry } from '@wheat-ledger/core';
import { today } from '../app/today';
import { DayField, TextField } from '../ui/Field';
import { FormPart } from '../ui/EditForm';
import { Remark } from '../ui/Sheet';
import type { HeapText } from './heapText';

const HeapChart = lazy(async () => ({ default: (await import('./HeapChart')).HeapChart }));

const PHASES = {
  notMeasured: 'Nothing was measured in it yet',
  warming: 'Warming up',
  hot: 'Hot',
  cooling: 'Cooling',
  ripening: 'Ripening',
  neverHot: 'Cold',
} as const;

const days = (n: number): string => `${formatGiven(n)} ${n === 1 ? 'day' : 'days'}`;
const times = (n: number): string => (n === 1 ? 'once' : `${formatGiven(n)} times`);

/** What was found in a heap and done with it, day by day, and what that says. */
export function HeapLogPart({ log }: { log: readonly HeapEntry[] }) {
  const { control, register } = useFormContext<HeapText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'log' });
  const course = useMemo(() => heapCourse(log), [log]);
  const measured = log.some((e) => e.celsius !== undefined);
  return (
    <FormPart title="Its log" hint="the temperature in the middle, and when it was turned">
      <p aria-live="polite" data-testid="heap-course">
        <b>{PHASES[course.phase]}.</b> {course.advice}
        {course.hottest !== undefined && ` Its hottest was ${formatGiven(course.hottest)} °C.`}
        {course.killingDays > 0 &&
          ` ${days(course.killingDays)} at 55 °C or above, ${course.turnedHot > 0 ? `turned ${times(course.turnedHot)} meanwhile` : 'not turned meanwhile'}.`}
      </p>
      {measured && (
        <Suspense fallback={<div className="h-60" />}>
          <HeapChart log={log} />
        </Suspense>
      )}
      <Remark tone="caution">
        Manure and kitchen scraps carry germs. What heat counts as enough before food crops is for local rules to say;
        weeds and germs at the cool edges survive unless it is turned.
      </Remark>
      <ul className="mt-3 flex flex-col gap-2">
        {fields.map((field, i) => (
          <li key={field.id} className="flex flex-wrap items-start gap-2">
            <DayField name={`log.${i}.on`} label={`Entry ${i + 1}, day`} bare className="w-36" />
            <TextField
              name={`log.${i}.celsius`}
              label={`Entry ${i + 1}, temperature`}
              bare
              placeholder="58 °C"
              className="w-24"
            />
            <label className="flex items-center gap-1.5 pt-1.5">
              <input type="checkbox" className="size-4 accent-wheat" {...register(`log.${i}.turned`)} />
              turned
            </label>
            <TextField
              name={`log.${i}.note`}
              label={`Entry ${i + 1}, note`}
              bare
              placeholder="note"
              className="min-w-40 flex-1"
            />
            <button type="button" className="no-print cursor-pointer p-2" onClick={() => remove(i)}>
              <Trash2 size={15} aria-hidden="true" />
              <span className="sr-only">Remove entry {i + 1}</span>
            </button>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="action no-print mt-2"
        onClick={() => append({ on: today(), celsius: '', turned: false, note: '' })}
      >
        Add today
      </button>
    </FormPart>
  );
}
