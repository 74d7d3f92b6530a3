import { Fragment, useMemo, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useWatch } from 'react-hook-form';
import { inputOf, TrialInput, type TrialRecord } from '@wheat-ledger/contract';
import { formatTrimmed, printDay, trialDoubts } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { today } from '../app/today';
import { usePlot } from '../app/workspace';
import { Term } from '../glossary/Term';
import { EditForm, FormPart } from '../ui/EditForm';
import { DayField, LongField, SelectField, TextField } from '../ui/Field';
import { FormActions } from '../ui/FormActions';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Loading, Remark, Sheet } from '../ui/Sheet';
import { useKeep } from '../ui/useKeep';
import { useRecordForm } from '../ui/useRecordForm';
import { useTakeOut } from '../ui/useTakeOut';
import { ArmsMatched } from './ArmsMatched';
import { groundOf } from './groundOf';
import { PowerPart } from './PowerPart';
import { NoTrial, TrialPages } from './TrialPages';
import { ArmRows, JarFields, Layouts, OutcomeRows } from './TrialRows';
import { blankTrial, readTrial, type KeptOfTrial, trialText, type TrialText } from './trialText';
import { useArms } from './useArms';
import { useEarlierSpread } from './useEarlierSpread';
import { planOf, useTrial } from './useTrial';

/** Begins a trial: from then on its question and layout stand. */
function Begin({ record, hard }: { record: TrialRecord; hard: number }) {
  const { keep, saving } = useKeep('trial');
  if (record.startedOn)
    return (
      <Remark tone="note">
        Begun on {printDay(record.startedOn)}: its question, layout and arms stand. A new question is a new trial.
      </Remark>
    );
  return (
    <p className="flex flex-wrap items-center gap-3">
      <button
        type="button"
        className="action main"
        disabled={saving}
        onClick={() =>
          void keep({ ...(inputOf(record) as TrialInput), startedOn: today() }, record, `“${record.name}” has begun.`)
        }
      >
        Begin this trial
      </button>
      <span className="text-faint">
        {hard > 0
          ? `${hard} ${hard === 1 ? 'thing' : 'things'} above cannot be put right afterwards.`
          : 'Its question and layout then stand.'}
      </span>
    </p>
  );
}

const keptOf = (record: TrialRecord | undefined): KeptOfTrial => ({
  odd: record?.odd ?? [],
  ...(record?.startedOn ? { startedOn: record.startedOn } : {}),
  ...(record?.gardens ? { gardens: record.gardens } : {}),
  ...(record?.follows ? { follows: record.follows } : {}),
  ...(record?.blockPlaces ? { blockPlaces: record.blockPlaces } : {}),
});

interface TrialFormProps {
  readonly record?: TrialRecord;
  readonly start?: TrialText;
  readonly draft?: string;
  /** What stands above the form. */
  readonly children?: ReactNode;
}
/** The plan of a trial, with what speaks against it and what it could see. */
export function TrialForm({ record, start, draft = 'new', children }: TrialFormProps) {
  const navigate = useNavigate();
  const takeOut = useTakeOut('trial', '/trials');
  const { plots } = usePlot();
  const { records: claims } = useRecords('claim');
  const saved = useMemo(() => (record ? trialText(record) : (start ?? blankTrial(1))), [record, start]);
  const kept = useMemo(() => keptOf(record), [record]);
  const { form, edit } = useRecordForm<'trial', TrialText>({
    kind: 'trial',
    Input: TrialInput,
    record,
    saved,
    read: (text) => readTrial(text, kept),
    draftOfNew: draft,
    nameOf: (t) => t.name,
    onSaved: (t) => navigate(`/trials/${t.id}`, { flushSync: true }),
  });
  const text = useWatch({ control: form.control }) as TrialText;
  const { plain } = useMemo(() => readTrial(text, kept), [text, kept]);
  const arms = useArms(plain.arms);
  const earlier = useEarlierSpread(plain.outcomes.find((o) => o.key === plain.decides)?.name ?? '', record?.id);
  const doubts = useMemo(
    () =>
      plain.arms.length > 1 && plain.replicates >= 1
        ? trialDoubts(
            planOf(plain),
            groundOf(
              plain,
              arms.map((a) => a.nitrogen),
            ),
          )
        : [],
    [plain, arms],
  );
  return (
    <Sheet title={record ? record.name : 'A new trial'} question="One question, a real control, and enough of each.">
      {record && <TrialPages id={record.id} />}
      {children}
      <EditForm<'trial', TrialText>
        {...edit}
        describe={(newer) => (
          <>
            Theirs, saved as version {newer.version}: “{newer.name}”.
          </>
        )}
        actions={
          <FormActions
            back={{ to: '/trials', words: 'Back to the trials' }}
            takeOut={record && { words: 'Take it out', run: () => void takeOut(record, `Took “${record.name}” out.`) }}
          />
        }
      >
        <FormPart title="The question first">
          <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-4">
            <TextField name="name" label="Name" className="col-span-2" />
            <SelectField
              name="plotId"
              label="Plot"
              options={[{ value: '', text: 'none' }, ...plots.map((p) => ({ value: p.id, text: p.name }))]}
            />
            <SelectField
              name="claimId"
              label="Tests the claim"
              options={[{ value: '', text: 'none' }, ...claims.map((c) => ({ value: c.id, text: c.statement }))]}
            />
          </div>
          <LongField
            name="question"
            label="What is asked, of what, by when"
            placeholder="Do leeks weigh more by 1 October with the ferment than with water?"
          />
          {earlier.length > 0 && (
            <p className="text-sm text-faint">
              Like units lay apart by{' '}
              {earlier.slice(0, 3).map((e, i) => (
                <Fragment key={e.name}>
                  {i > 0 && ', '}
                  <button
                    type="button"
                    className="plain"
                    onClick={() => form.setValue('cv', formatTrimmed(e.cvPercent, 2), { shouldDirty: true })}
                  >
                    {formatTrimmed(e.cvPercent, 2)} %
                  </button>{' '}
                  in “{e.name}”
                </Fragment>
              ))}
              .
            </p>
          )}
          <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
            <DayField name="until" label="It is read on" />
            <TextField name="wouldChange" label="A difference that would change what I do, %" inputMode="decimal" />
            <TextField name="cv" label="Spread of like units, % of the mean" inputMode="decimal" />
          </div>
        </FormPart>
        <ArmRows />
        <OutcomeRows />
        <Layouts />
        <JarFields />
        <LongField name="note" label="Note" />
      </EditForm>
      <section className="mt-5 flex flex-col gap-3" data-testid="doubts">
        <h2 className="text-xl">Before it begins</h2>
        {doubts.length === 0 ? (
          <p className="text-faint">Nothing speaks against it.</p>
        ) : (
          doubts.map((d) => (
            <Remark key={d.text} tone={d.hard ? 'caution' : 'note'}>
              {d.text}
            </Remark>
          ))
        )}
        <ArmsMatched trial={plain} arms={arms} />
        <PowerPart trial={plain} />
        {record && <Begin record={record} hard={doubts.filter((d) => d.hard).length} />}
      </section>
      <MarginNotes>
        <MarginNote title="A real control">
          <p>
            Give the control the same care and the same water. Where something is dissolved, the control gets the
            carrier alone: the water, the milk, the sugar.
          </p>
        </MarginNote>
        <MarginNote title="Blocks">
          <p>
            A <Term of="blockOfTrial">block</Term> is ground that is alike, with every arm in it once. Slope, shade and
            soil then fall on all arms.
          </p>
        </MarginNote>
        <MarginNote title="Follow the label">
          <Remark tone="caution">A trial is no leave to go above the label’s rate or local code.</Remark>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}

export function EditTrial() {
  const { trial, isLoading } = useTrial();
  if (isLoading) return <Loading what="the trial" />;
  return trial ? <TrialForm key={trial.id} record={trial} /> : <NoTrial />;
}
