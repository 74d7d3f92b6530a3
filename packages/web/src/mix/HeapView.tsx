import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Trash2 } from 'lucide-react';
import { HeapInput, toHeapLog, toHeapParts, type HeapRecord } from '@wheat-ledger/contract';
import { formatTrimmed, HEAP_MATERIALS, printDay, readHeap, type HeapPlan } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { EditForm, FormPart } from '../ui/EditForm';
import { DayField, SelectField, TextField } from '../ui/Field';
import { FormActions } from '../ui/FormActions';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { Empty, Loading, Sheet } from '../ui/Sheet';
import { useRecordForm } from '../ui/useRecordForm';
import { useTakeOut } from '../ui/useTakeOut';
import { HeapDone } from './HeapDone';
import { HeapLogPart } from './HeapLogPart';
import { HeapNumbers, HeapOutcome } from './HeapNumbers';
import { HeapPlanPart } from './HeapPlanPart';
import { blankHeap, blankHeapPart, heapText, readHeapText, type HeapText } from './heapText';

const MATERIALS = [
  { value: '', text: 'choose a material' },
  ...(['green', 'brown'] as const).flatMap((side) =>
    HEAP_MATERIALS.filter((m) => m.side === side).map((m) => ({ value: m.key, text: `${m.name} (${side})` })),
  ),
];

/** What is at hand, a row each, with own figures where somebody measured. */
function PartRows() {
  const { control } = useFormContext<HeapText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'parts' });
  const parts = useWatch({ control, name: 'parts' });
  const hint = (i: number, of: 'carbonToNitrogen' | 'moisture'): string => {
    const material = HEAP_MATERIALS.find((m) => m.key === parts[i]?.material);
    if (!material) return '';
    return of === 'moisture'
      ? formatTrimmed(material.moisture.mid * 100)
      : formatTrimmed(material.carbonToNitrogen.mid);
  };
  return (
    <FormPart title="What is at hand" hint="by the bucket, the barrow or the scale">
      <ul className="flex flex-col gap-2">
        {fields.map((field, i) => (
          <li key={field.id} className="flex flex-wrap items-start gap-2">
            <TextField
              name={`parts.${i}.amount`}
              label={`Material ${i + 1}, how much`}
              bare
              placeholder="200 L"
              className="w-28"
            />
            <SelectField
              name={`parts.${i}.material`}
              label={`Material ${i + 1}`}
              bare
              options={MATERIALS}
              className="min-w-48 flex-1"
            />
            <TextField
              name={`parts.${i}.carbonToNitrogen`}
              label={`Material ${i + 1}, its own C:N`}
              bare
              placeholder={hint(i, 'carbonToNitrogen') ? `C:N ${hint(i, 'carbonToNitrogen')}` : 'C:N'}
              className="w-24"
            />
            <TextField
              name={`parts.${i}.moisture`}
              label={`Material ${i + 1}, its own water, %`}
              bare
              placeholder={hint(i, 'moisture') ? `water ${hint(i, 'moisture')} %` : 'water %'}
              className="w-32"
            />
            <button type="button" className="no-print cursor-pointer p-2" onClick={() => remove(i)}>
              <Trash2 size={15} aria-hidden="true" />
              <span className="sr-only">Remove material {i + 1}</span>
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="action no-print mt-2" onClick={() => append(blankHeapPart())}>
        Add a material
      </button>
    </FormPart>
  );
}

function HeapForm({ record }: { record: HeapRecord | undefined }) {
  const navigate = useNavigate();
  const takeOut = useTakeOut('heap', '/mix');
  const saved = useMemo(
    () => (record ? heapText(record) : { ...blankHeap(), parts: [blankHeapPart(), blankHeapPart()] }),
    [record],
  );
  const { form, edit } = useRecordForm<'heap', HeapText>({
    kind: 'heap',
    Input: HeapInput,
    record,
    saved,
    read: readHeapText,
    nameOf: (h) => h.name,
    onSaved: (h) => navigate(`/mix/heap/${h.id}`, { flushSync: true }),
  });
  const text = useWatch({ control: form.control }) as HeapText;
  const read = useMemo(() => readHeapText(text).plain, [text]);
  // The same materials and entries are the same lists, whatever else was typed.
  const saidParts = JSON.stringify(read.parts);
  const saidLog = JSON.stringify(read.log);
  const parts = useMemo(
    () => toHeapParts(JSON.parse(saidParts) as HeapInput['parts']).filter((p) => p.amount > 0),
    [saidParts],
  );
  const log = useMemo(() => toHeapLog(JSON.parse(saidLog) as HeapInput['log']).filter((e) => e.on !== ''), [saidLog]);
  const heap = useMemo(() => readHeap(parts), [parts]);
  const take = (plan: HeapPlan): void =>
    form.setValue(
      'parts',
      plan.lines.map((line) => ({
        ...(text.parts.find((p) => p.material === line.material.key) ?? blankHeapPart(line.material.key)),
        amount: `${formatTrimmed(line.litres, 2)} L`,
      })),
      { shouldDirty: true },
    );
  return (
    <EditForm<'heap', HeapText>
      {...edit}
      describe={(newer) => (
        <>
          Theirs, saved as version {newer.version}: “{newer.name}”, {newer.parts.length} materials, {newer.log.length}{' '}
          entries.
        </>
      )}
      actions={
        <FormActions
          back={{ to: '/mix', words: 'All recipes and heaps' }}
          takeOut={
            record && { words: 'Take this heap out', run: () => void takeOut(record, `Took “${record.name}” out.`) }
          }
        />
      }
    >
      <div className="flex flex-wrap items-start gap-3">
        <TextField name="name" label="Name of the heap" className="w-64" placeholder="needed to save it" />
        <DayField name="begunOn" label="Piled on" className="w-40" />
        <TextField name="binL" label="The bin holds at most" placeholder="1000 L" className="w-40" />
      </div>
      <PartRows />
      {!heap ? (
        <Empty>Say what is at hand, and its C:N, its water and its size are shown here, with what to pile of it.</Empty>
      ) : (
        <>
          <HeapNumbers heap={heap} />
          {!read.begunOn && <HeapPlanPart parts={parts} binL={read.binL} onTake={take} />}
          <HeapOutcome heap={heap} />
        </>
      )}
      {(record || read.begunOn) && <HeapLogPart log={log} />}
      {record && heap && <HeapDone record={record} parts={parts} heap={heap} />}
    </EditForm>
  );
}

/** A compost heap: what to pile, how it goes, and the bag it becomes. */
export function HeapView() {
  const { id } = useParams();
  const { records, isLoading } = useRecords('heap');
  if (isLoading) return <Loading what="the heaps" />;
  const record = records.find((r) => r.id === id);
  return (
    <Sheet
      title={record ? record.name : 'A compost heap'}
      question={
        record?.begunOn
          ? `Piled on ${printDay(record.begunOn)}. How far is it, and what does it become?`
          : 'A heap is a mix too: what to pile so that it works?'
      }
      actions={<PrintButton />}
    >
      {id !== 'new' && !record ? (
        <Empty>That heap was taken out. It can be restored from the book.</Empty>
      ) : (
        <HeapForm key={record ? record.id : 'new'} record={record} />
      )}
      <MarginNotes>
        <MarginNote title="Green and brown">
          <p>
            Greens are fresh and bring nitrogen, browns are dry and bring carbon. About three buckets of brown to one or
            two of green is a start; the numbers here tell it for what you have.
          </p>
        </MarginNote>
        <MarginNote title="What this rests on">
          <p>
            Typical figures of each material, which differ a lot. Weigh a bucket, dry a handful in the oven, and type
            what you find in the place of C:N and water.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
