import { useMemo } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Trash2 } from 'lucide-react';
import { EntryInput, toSeason, type EntryRecord } from '@wheat-ledger/contract';
import { addDays, printDay, tasksBetween, WHERE_WORDS } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { today } from '../app/today';
import { usePlans } from '../app/usePlans';
import { usePlot, useShelf } from '../app/workspace';
import { EditForm, FormPart } from '../ui/EditForm';
import { DayField, LongField, SelectField, TextField } from '../ui/Field';
import { FormActions } from '../ui/FormActions';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Loading, Sheet } from '../ui/Sheet';
import { useRecordForm } from '../ui/useRecordForm';
import { blankItem, entryText, readEntry, type EntryText } from './entryText';
import { entryOf, useTick } from './useTick';

/** The bags that went on, a row each. */
function ItemRows() {
  const { control } = useFormContext<EntryText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'items' });
  const { shelf } = useShelf();
  const bags = [
    { value: '', text: 'choose a bag' },
    ...shelf.map((s) => ({ value: s.record.id, text: s.product.name })),
  ];
  return (
    <FormPart title="What went on" hint="none for plain water">
      <ul className="flex flex-col gap-2">
        {fields.map((field, i) => (
          <li key={field.id} className="flex flex-wrap items-start gap-2" data-testid="entry-item">
            <SelectField name={`items.${i}.productId`} label={`Bag ${i + 1}`} bare options={bags} className="w-60" />
            <TextField
              name={`items.${i}.amount`}
              label={`Bag ${i + 1}, amount`}
              bare
              placeholder="3.5 kg"
              className="w-28"
            />
            <TextField name={`items.${i}.lot`} label={`Bag ${i + 1}, lot`} bare placeholder="lot" className="w-28" />
            <button type="button" className="cursor-pointer p-2" onClick={() => remove(i)}>
              <Trash2 size={15} aria-hidden="true" />
              <span className="sr-only">Remove bag {i + 1}</span>
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="plain mt-1" onClick={() => append(blankItem())}>
        Add a bag
      </button>
    </FormPart>
  );
}

/** Plot and season, the seasons being those of the plot. */
function GroundFields() {
  const { plots } = usePlot();
  const { records: seasons } = useRecords('season');
  const { records: crops } = useRecords('crop');
  const plotId = useWatch<EntryText, 'plotId'>({ name: 'plotId' });
  const here = seasons.filter((s) => s.plotId === plotId);
  return (
    <>
      <SelectField
        name="plotId"
        label="Plot"
        options={[{ value: '', text: 'choose a plot' }, ...plots.map((p) => ({ value: p.id, text: p.name }))]}
      />
      <SelectField
        name="seasonId"
        label="Season"
        options={[
          { value: '', text: 'all of the plot' },
          ...here.map((s) => ({ value: s.id, text: `${toSeason(s, crops).crop.name} from ${printDay(s.from)}` })),
        ]}
      />
    </>
  );
}

const WHERE = [
  { value: '', text: 'not said' },
  ...Object.entries(WHERE_WORDS).map(([value, text]) => ({ value, text })),
];

function EntryForm({ start, corrects }: { start: EntryInput; corrects?: EntryRecord }) {
  const navigate = useNavigate();
  const saved = useMemo(() => {
    const text = entryText(start);
    // A row to begin with; one that stays blank is left out.
    return text.items.length > 0 ? text : { ...text, items: [blankItem()] };
  }, [start]);
  // The entry that is corrected keeps the task that it ticked off.
  const kept = useMemo(
    () => (corrects ? { corrects: corrects.id } : start.task ? { task: start.task } : {}),
    [start.task, corrects],
  );
  const { edit } = useRecordForm<'entry', EntryText>({
    kind: 'entry',
    Input: EntryInput,
    record: undefined,
    saved,
    read: (text) => readEntry(text, kept),
    draftOfNew: corrects?.id ?? start.task ?? 'new',
    nameOf: (e) => e.what,
    onSaved: () => navigate('/rounds/log', { flushSync: true }),
  });
  return (
    <Sheet
      title={corrects ? 'Correct an entry' : 'Log by hand'}
      question={
        corrects
          ? `It stands in the place of the entry of ${printDay(corrects.on)}, which stays readable.`
          : 'What really went on, today or some days ago.'
      }
    >
      <EditForm<'entry', EntryText>
        {...edit}
        describe={() => null}
        actions={<FormActions back={{ to: '/rounds/log', words: 'Back to the log' }} takeOut={undefined} />}
      >
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField name="what" label="What was done" placeholder="Feather meal on the leeks" />
          <DayField name="on" label="Day" />
          <GroundFields />
        </div>
        <ItemRows />
        <FormPart title="How">
          <div className="grid gap-3 sm:grid-cols-3">
            <SelectField name="where" label="Where it went" options={WHERE} />
            <TextField name="area" label="Ground it went on, m²" inputMode="decimal" placeholder="all of it" />
            <TextField name="water" label="Water with it, L" inputMode="decimal" />
            <TextField name="minutes" label="Minutes it took" inputMode="numeric" placeholder="40" />
            <TextField name="by" label="Who did it" />
            <TextField name="weather" label="Weather" placeholder="cool, still" />
            <TextField
              name="beyondStock"
              label="If more than is on hand: why"
              placeholder="a bag that was never entered"
            />
          </div>
        </FormPart>
        <LongField name="note" label="Note" />
      </EditForm>
      <MarginNotes>
        <MarginNote title="Never changed">
          <p>
            An entry takes what it used from the stock and stays as it is. A correction is a new entry in its place; the
            old one can still be read.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}

/** Looks so far around today for the task of an address. */
const AROUND_DAYS = 366;
/** A new entry: blank, or with what a task asked for. */
export function NewEntry() {
  const [search] = useSearchParams();
  const key = search.get('task');
  const { plot } = usePlot();
  const { plans, isLoading } = usePlans();
  const { done, movements, isLoading: logLoading } = useTick();
  const now = today();
  const start = useMemo((): EntryInput => {
    const task =
      key === null
        ? undefined
        : tasksBetween(plans, addDays(now, -AROUND_DAYS), addDays(now, AROUND_DAYS), done, now).find(
            (t) => t.key === key,
          );
    if (task) return entryOf(task, movements);
    const nothing = { what: '', items: [], by: '', weather: '', note: '' };
    return { plotId: plot?.id ?? '', on: now, ...nothing };
  }, [key, plans, done, movements, plot, now]);
  return isLoading || logLoading ? <Loading what="the round" /> : <EntryForm start={start} />;
}

export function CorrectEntry() {
  const { id } = useParams();
  const { records, isLoading } = useRecords('entry');
  const record = records.find((r) => r.id === id);
  if (isLoading) return <Loading what="the entry" />;
  return record ? (
    <EntryForm key={record.id} start={record} corrects={record} />
  ) : (
    <Sheet title="No such entry" question="It was undone, or was never here.">
      <Empty>The book shows what was undone.</Empty>
    </Sheet>
  );
}
