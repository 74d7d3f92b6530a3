import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useWatch } from 'react-hook-form';
import { blankStudy, StudyInput, toStudy, type StudyRecord } from '@wheat-ledger/contract';
import type { FUNDINGS, STUDY_CONTROLS } from '@wheat-ledger/core';
import { DESIGN_WORDS, effectWords, scaleFor, STUDY_DESIGNS, studyEffect, YES_NO_UNKNOWN } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { EditForm, FormPart } from '../ui/EditForm';
import { LongField, SelectField, TextField } from '../ui/Field';
import { FormActions } from '../ui/FormActions';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Loading, Remark, Sheet } from '../ui/Sheet';
import { useRecordForm } from '../ui/useRecordForm';
import { useTakeOut } from '../ui/useTakeOut';
import { readStudy, studyText, type StudyText } from './studyText';

const options = (words: Readonly<Record<string, string>>) =>
  Object.entries(words).map(([value, text]) => ({ value, text }));
const CONTROL_WORDS: Readonly<Record<(typeof STUDY_CONTROLS)[number], string>> = {
  nothing: 'plants that got nothing',
  water: 'plants that got only water',
  sameNutrients: 'plants that got the same nutrients',
  none: 'nothing at all',
};
const FUNDING_WORDS: Readonly<Record<(typeof FUNDINGS)[number], string>> = {
  independent: 'somebody who earns nothing by it',
  seller: 'those who sell it',
  unknown: 'not known',
};
const YES_NO = YES_NO_UNKNOWN.map((value) => ({ value, text: value === 'unknown' ? 'not known' : value }));
const RESULT_WORDS = { words: 'only words', means: 'two means with their spread', counts: 'how many of how many' };
const SPREAD_WORDS = {
  sd: 'standard deviations (SD)',
  se: 'standard errors (SE)',
  interval: 'a 95 % interval of the difference',
  p: 'a p of the difference',
  lsd: 'a least significant difference',
};
const SPREAD_LABELS: Readonly<Record<keyof typeof SPREAD_WORDS, readonly [string, string?]>> = {
  sd: ['SD, treated', 'SD, control'],
  se: ['SE, treated', 'SE, control'],
  interval: ['from', 'to'],
  p: ['p'],
  lsd: ['LSD'],
};

const Small = ({ name, label }: { name: string; label: string }) => (
  <TextField name={`result.${name}`} label={label} inputMode="decimal" className="w-32" />
);

/** What was found, in the fields that its kind has. */
function ResultPart() {
  const result = useWatch<StudyText, 'result'>({ name: 'result' });
  const [first, second] = SPREAD_LABELS[result.spread];
  return (
    <FormPart title="What it found">
      <SelectField name="result.kind" label="It gives" options={options(RESULT_WORDS)} className="mb-3 w-72" />
      {result.kind === 'means' && (
        <div className="flex flex-wrap items-start gap-3">
          <Small name="treated" label="Mean, treated" />
          <Small name="control" label="Mean, control" />
          <Small name="nTreated" label="Units, treated" />
          <Small name="nControl" label="Units, control" />
          <SelectField name="result.spread" label="Spread as" options={options(SPREAD_WORDS)} className="w-64" />
          <Small name="first" label={first} />
          {second && <Small name="second" label={second} />}
        </div>
      )}
      {result.kind === 'counts' && (
        <div className="flex flex-wrap items-start gap-3">
          <Small name="treatedEvents" label="Treated that had it" />
          <Small name="nTreated" label="of" />
          <Small name="controlEvents" label="Untreated that had it" />
          <Small name="nControl" label="of" />
        </div>
      )}
    </FormPart>
  );
}

/** The effect of what was typed, with how its spread was worked out. */
function EffectWords({ input }: { input: StudyInput }) {
  const study = toStudy(input, '');
  const scale = scaleFor([study]);
  const found = studyEffect(study, scale);
  if (found.kind === 'none') return <p className="text-faint">No effect yet: {found.why}.</p>;
  const half = 1.96 * Math.sqrt(found.effect.variance);
  return (
    <div data-testid="study-effect">
      <p>
        Effect: <b>{effectWords(found.effect.effect, scale)}</b> ({effectWords(found.effect.effect - half, scale)} to{' '}
        {effectWords(found.effect.effect + half, scale)}).
      </p>
      {found.working.map((line) => (
        <p key={line} className="text-sm text-faint">
          {line}.
        </p>
      ))}
    </div>
  );
}

function StudyForm({ record }: { record?: StudyRecord }) {
  const navigate = useNavigate();
  const takeOut = useTakeOut('study', '/claims/studies');
  const saved = useMemo(() => studyText(record ?? blankStudy('')), [record]);
  const { form, edit } = useRecordForm<'study', StudyText>({
    kind: 'study',
    Input: StudyInput,
    record,
    saved,
    read: readStudy,
    nameOf: (s) => s.title,
    onSaved: (s) => navigate(`/claims/studies/${s.id}`, { flushSync: true }),
  });
  const text = useWatch({ control: form.control }) as StudyText;
  const input = useMemo(() => readStudy(text).plain, [text]);
  return (
    <Sheet title={record ? record.title : 'A study'} question="How was it made, and what did it find?">
      <EditForm<'study', StudyText>
        {...edit}
        describe={(newer) => (
          <>
            Theirs, saved as version {newer.version}: “{newer.title}”.
          </>
        )}
        actions={
          <FormActions
            back={{ to: '/claims/studies', words: 'All studies' }}
            takeOut={record && { words: 'Take it out', run: () => void takeOut(record, 'Took the study out.') }}
          />
        }
      >
        {text.sample && <Remark tone="note">This study is invented for the sample.</Remark>}
        <FormPart title="Where it stands">
          <div className="flex flex-col gap-3">
            <LongField name="title" label="Title" />
            <div className="grid gap-3 sm:grid-cols-[1fr_7rem]">
              <TextField name="authors" label="Written by" placeholder="Oak A.; Elm B." />
              <TextField name="year" label="Year" inputMode="numeric" />
            </div>
            <div className="grid gap-3 sm:grid-cols-2">
              <TextField name="source" label="Journal or place" />
              <TextField name="doi" label="DOI" placeholder="10.…" />
            </div>
          </div>
        </FormPart>
        <FormPart title="How it was made">
          <div className="grid gap-3 sm:grid-cols-3">
            <SelectField
              name="design"
              label="Design"
              options={STUDY_DESIGNS.map((d) => ({ value: d, text: DESIGN_WORDS[d] }))}
            />
            <SelectField name="control" label="Compared with" options={options(CONTROL_WORDS)} />
            <SelectField name="funding" label="Paid for by" options={options(FUNDING_WORDS)} />
            <SelectField name="randomised" label="Allotted at random" options={YES_NO} />
            <SelectField name="blinded" label="Counted without knowing which" options={YES_NO} />
            <TextField name="doseMultiple" label="Dose, times the label rate" inputMode="decimal" placeholder="1" />
            <SelectField name="likeHere" label="Crop and soil like here" options={YES_NO} />
            <SelectField name="sameOutcome" label="Measured what is claimed" options={YES_NO} />
            <TextField
              name="trial"
              label="Trial it is an arm of"
              placeholder="a name, where arms share a control"
              hint="Arms of one trial count together as one study."
            />
          </div>
        </FormPart>
        <ResultPart />
        <EffectWords input={input} />
        <LongField name="note" label="Note" />
      </EditForm>
      <MarginNotes>
        <MarginNote title="Why it is asked">
          <p>
            Each answer that speaks against a study makes what it shows less sure, and is named beside the verdict. Not
            known counts like no.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}

export const NewStudy = () => <StudyForm />;

export function EditStudy() {
  const { id } = useParams();
  const { records, isLoading } = useRecords('study');
  if (isLoading) return <Loading what="the study" />;
  const record = records.find((r) => r.id === id);
  return record ? (
    <StudyForm key={record.id} record={record} />
  ) : (
    <Sheet title="No such study" question="It was taken out, or was never here.">
      <Empty>What was taken out can be restored from the book.</Empty>
    </Sheet>
  );
}
