import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useWatch } from 'react-hook-form';
import { PlotInput, toShape, toSite, type PlotRecord } from '@wheat-ledger/contract';
import { MEDIA, MEDIUM_NAMES, TEXTURES } from '@wheat-ledger/core';
import { settingsSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';
import { EditForm, FormPart } from '../ui/EditForm';
import { SelectField, TextField } from '../ui/Field';
import { FormActions } from '../ui/FormActions';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PlotPages } from '../ui/PlotPages';
import { Sheet } from '../ui/Sheet';
import { usePlotPage } from '../ui/usePlotPage';
import { useRecordForm } from '../ui/useRecordForm';
import { useTakeOut } from '../ui/useTakeOut';
import { blankPlot, plotText, readPlot, type PlotText } from './plotText';
import { PlotDrawing } from './PlotDrawing';
import { ShapeFields } from './ShapeFields';
import { WarmthPart } from './WarmthPart';
import { WaterParts } from './WaterParts';
import { YearOfWarmth } from './YearOfWarmth';

/** The part of a plot a page edits: what it is and how big, or its warmth and water. */
type Part = 'plot' | 'weather';

function PlotForm({ record, part }: { record?: PlotRecord; part: Part }) {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const takeOut = useTakeOut('plot', '/ground');
  const saved = useMemo(() => (record ? plotText(record) : blankPlot()), [record]);
  const back = record ? `/ground/${record.id}${part === 'weather' ? '/weather' : ''}` : '/ground';
  const { form, edit } = useRecordForm<'plot', PlotText>({
    kind: 'plot',
    Input: PlotInput,
    record,
    saved,
    ...(part === 'weather' ? { part } : {}),
    read: readPlot,
    nameOf: (p) => p.name,
    onSaved: (p) => {
      dispatch(settingsSlice.actions.changed({ plotId: p.id }));
      return navigate(record ? back : `/ground/${p.id}`, { flushSync: true });
    },
  });
  const text = useWatch({ control: form.control }) as PlotText;
  const { plain, problems } = useMemo(() => readPlot(text), [text]);
  return (
    <>
      <EditForm<'plot', PlotText>
        {...edit}
        describe={(newer) => (
          <>
            Theirs, saved as version {newer.version}: “{newer.name}”, {newer.areaM2} m².
          </>
        )}
        actions={
          <FormActions
            back={{ to: back, words: 'Back' }}
            takeOut={
              record && part === 'plot'
                ? { words: 'Take this plot out', run: () => void takeOut(record, `Took “${record.name}” out.`) }
                : undefined
            }
          />
        }
      >
        {part === 'plot' && (
          <FormPart title="The plot">
            <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
              <TextField name="name" label="Name" />
              <SelectField
                name="medium"
                label="Grown in"
                options={MEDIA.map((m) => ({ value: m, text: MEDIUM_NAMES[m] }))}
              />
              <SelectField name="texture" label="Texture" options={TEXTURES.map((t) => ({ value: t, text: t }))} />
              <TextField
                name="pH"
                label="pH"
                placeholder="not measured"
                inputMode="decimal"
                hint="decides how much urea is lost as ammonia"
              />
              <ShapeFields plain={plain} readable={problems.length === 0} />
            </div>
          </FormPart>
        )}
        {part === 'weather' && (
          <>
            <WarmthPart kind={text.kind} />
            <WaterParts />
          </>
        )}
      </EditForm>
      <MarginNotes>
        {part === 'plot' && problems.length === 0 && plain.shape && (
          <MarginNote title="To scale">
            <PlotDrawing
              shape={toShape(plain.shape)}
              onTurns={({ inward, outline }) => {
                form.setValue('inward', inward, { shouldDirty: true });
                form.setValue('outline', outline, { shouldDirty: true });
              }}
            />
          </MarginNote>
        )}
        {part === 'weather' && problems.length === 0 && (
          <MarginNote title="The year as typed">
            <YearOfWarmth site={toSite(plain)} />
          </MarginNote>
        )}
        {!record && (
          <MarginNote title="What comes after">
            <p>
              A name and an area are enough. The plot’s page then says what to find out next. A usual temperate year is
              supposed until you enter how warm the soil is.
            </p>
          </MarginNote>
        )}
      </MarginNotes>
    </>
  );
}

/** A new plot. */
export const NewPlot = () => (
  <Sheet title="Another plot" question="What is it called, how big is it, and what is it grown in?">
    <PlotPages plotId={undefined} />
    <PlotForm part="plot" />
  </Sheet>
);

function PlotPart({ part, question }: { part: Part; question: (name: string) => string }) {
  const page = usePlotPage();
  if ('instead' in page) return page.instead;
  const { plot } = page;
  return (
    <Sheet title="Ground" question={question(plot.name)}>
      <PlotPages plotId={plot.id} />
      <PlotForm key={plot.id} part={part} record={plot} />
    </Sheet>
  );
}

/** What a plot is and how big. */
export const EditPlot = () => <PlotPart part="plot" question={(name) => `What is ${name}, and how big?`} />;

/** How warm and how wet a plot is in a usual year, and what is in its water. */
export const EditWeather = () => <PlotPart part="weather" question={(name) => `What is a usual year in ${name}?`} />;
