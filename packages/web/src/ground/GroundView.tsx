import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useWatch } from 'react-hook-form';
import { PlotInput, toShape, toSite, type PlotRecord } from '@wheat-ledger/contract';
import { MEDIA, MEDIUM_NAMES, TEXTURES } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { settingsSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';
import { usePlot } from '../app/workspace';
import { EditForm, FormPart } from '../ui/EditForm';
import { FormActions } from '../ui/FormActions';
import { SelectField, TextField } from '../ui/Field';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Loading, Sheet } from '../ui/Sheet';
import { useTakeOut } from '../ui/useTakeOut';
import { useRecordForm } from '../ui/useRecordForm';
import { PlotDrawing } from './PlotDrawing';
import { ShapeFields } from './ShapeFields';
import { SoilReports } from './SoilReports';
import { YearOfWarmth } from './YearOfWarmth';
import { PlotPages } from '../ui/PlotPages';
import { WaterParts } from './WaterParts';
import { blankPlot, MONTHS, plotText, readPlot, type PlotText } from './plotText';

function PlotForm({ record }: { record?: PlotRecord }) {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const takeOut = useTakeOut('plot', '/ground');
  const saved = useMemo(() => (record ? plotText(record) : blankPlot()), [record]);
  const { form, edit } = useRecordForm<'plot', PlotText>({
    kind: 'plot',
    Input: PlotInput,
    record,
    saved,
    read: readPlot,
    nameOf: (p) => p.name,
    onSaved: (p) => {
      dispatch(settingsSlice.actions.changed({ plotId: p.id }));
      return navigate(`/ground/${p.id}${record ? '' : '/seasons'}`, { flushSync: true });
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
            takeOut={
              record && { words: 'Take this plot out', run: () => void takeOut(record, `Took “${record.name}” out.`) }
            }
          />
        }
      >
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
        <FormPart title="How warm the soil is" hint="decides how fast everything organic, coated or urea is released">
          <SelectField
            name="kind"
            label="Known as"
            options={[
              { value: 'monthly', text: 'twelve monthly means' },
              { value: 'sine', text: 'a yearly mean and swing' },
            ]}
            className="mb-2 max-w-64"
          />
          {text.kind === 'monthly' ? (
            <div className="grid grid-cols-4 gap-2 sm:grid-cols-6">
              {MONTHS.map((m, i) => (
                <TextField key={m} name={`meansC.${i}`} label={`${m}, °C`} inputMode="decimal" />
              ))}
            </div>
          ) : (
            <div className="grid grid-cols-1 gap-2 sm:grid-cols-3">
              <TextField name="meanC" label="Mean of the year, °C" inputMode="decimal" />
              <TextField name="amplitudeC" label="Swing above and below it, °C" inputMode="decimal" />
              <TextField
                name="warmestDay"
                label="Warmest day of the year, 0–364"
                inputMode="numeric"
                hint="205 is 25 July"
              />
            </div>
          )}
        </FormPart>
        <WaterParts plot={saved} />
      </EditForm>
      <MarginNotes>
        {problems.length === 0 && plain.shape && (
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
        {problems.length === 0 && (
          <MarginNote title="The year as typed">
            <YearOfWarmth site={toSite(plain)} />
          </MarginNote>
        )}
        <MarginNote title="What rests on this">
          <p>
            The crop’s appetite, the release curves and the dose behind every claim are worked out for the plot chosen
            in the line at the top.
          </p>
        </MarginNote>
      </MarginNotes>
    </>
  );
}

/** Which plot, how big, how warm its soil is. */
export function GroundView() {
  const { id } = useParams();
  const { plot, plots } = usePlot();
  const { isLoading } = useRecords('plot');
  if (isLoading) return <Loading what="the plots" />;
  const record = id === 'new' ? undefined : (plots.find((p) => p.id === id) ?? (id ? undefined : plot));
  const missing = id !== undefined && id !== 'new' && !record;
  return (
    <Sheet
      title="Ground"
      question="Which plot, how big, and how warm is its soil?"
      actions={
        <Link to="/ground/causes" className="action">
          What is wrong?
        </Link>
      }
    >
      <PlotPages plotId={record?.id} />
      {missing ? (
        <Empty>
          That plot was taken out. It can be restored from the{' '}
          <Link to="/book" className="plain">
            book
          </Link>
          .
        </Empty>
      ) : (
        <>
          <PlotForm key={record ? record.id : 'new'} {...(record ? { record } : {})} />
          {record && <SoilReports plot={record} />}
        </>
      )}
    </Sheet>
  );
}
