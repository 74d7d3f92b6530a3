import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Trash2 } from 'lucide-react';
import { SoilReportInput, toSoilReport, type PlotRecord, type SoilReportRecord } from '@wheat-ledger/contract';
import {
  SOIL_ANALYTE_NAMES,
  SOIL_ANALYTES,
  SOIL_METHOD_NAMES,
  SOIL_METHODS,
  soilUnits,
  type SoilAnalyte,
} from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useReportsOf } from '../app/soil';
import { today } from '../app/today';
import { ofPlot } from '../app/workspace';
import { EditForm, FormPart } from '../ui/EditForm';
import { FormActions } from '../ui/FormActions';
import { DayField, LongField, SelectField, TextField } from '../ui/Field';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Loading, Sheet } from '../ui/Sheet';
import { useTakeOut } from '../ui/useTakeOut';
import { useRecordForm } from '../ui/useRecordForm';
import { PasteSlip } from './PasteSlip';
import { blankFigure, blankSoil, readSoil, soilText, type SoilFigureText, type SoilText } from './soilText';

const ANALYTE_OPTIONS = SOIL_ANALYTES.map((a) => ({ value: a, text: SOIL_ANALYTE_NAMES[a] }));
const METHOD_OPTIONS = SOIL_METHODS.map((m) => ({ value: m, text: SOIL_METHOD_NAMES[m] }));
/** The units of a figure, and the one it has though it is not its own, so that nothing changes unseen. */
const unitOptions = ({ analyte, unit }: SoilFigureText) =>
  [...new Set([...soilUnits(analyte as SoilAnalyte), unit])].map((u) => ({ value: u, text: u || 'none' }));

function FigureRows() {
  const { control, setValue, getValues } = useFormContext<SoilText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'figures' });
  const figures = useWatch({ control, name: 'figures' });
  /** What is chosen brings its usual unit, unless the one that stands there fits. */
  const chosen = (i: number, analyte: string): void => {
    const units: readonly string[] = soilUnits(analyte as SoilAnalyte);
    if (!units.includes(getValues(`figures.${i}.unit`))) setValue(`figures.${i}.unit`, units[0] ?? '');
  };
  return (
    <FormPart title="Figures" hint="the method belongs to the number: 30 by one is not 30 by another">
      <ul className="flex flex-col gap-1.5">
        {fields.map((f, i) => (
          <li key={f.id} className="grid grid-cols-2 gap-1.5 sm:grid-cols-[1.4fr_1fr_0.9fr_1.4fr_2rem] [&>*]:min-w-0">
            <SelectField
              name={`figures.${i}.analyte`}
              label={`Figure ${i + 1}, of what`}
              bare
              options={ANALYTE_OPTIONS}
              onChosen={(analyte) => chosen(i, analyte)}
            />
            <TextField name={`figures.${i}.value`} label={`Figure ${i + 1}, value`} bare placeholder="27 or < 2" />
            <SelectField
              name={`figures.${i}.unit`}
              label={`Figure ${i + 1}, unit`}
              bare
              options={unitOptions(figures[i] ?? f)}
            />
            <SelectField name={`figures.${i}.method`} label={`Figure ${i + 1}, method`} bare options={METHOD_OPTIONS} />
            <button type="button" className="cursor-pointer p-2" onClick={() => remove(i)}>
              <Trash2 size={15} aria-hidden="true" />
              <span className="sr-only">Remove figure {i + 1}</span>
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="plain mt-1" onClick={() => append(blankFigure())}>
        Another figure
      </button>
    </FormPart>
  );
}

function ReportForm({ plot, record }: { plot: PlotRecord; record?: SoilReportRecord }) {
  const navigate = useNavigate();
  const back = `/ground/${plot.id}/soil`;
  const takeOut = useTakeOut('soil', back);
  const saved = useMemo(() => (record ? soilText(record) : blankSoil(today())), [record]);
  const read = useMemo(() => readSoil(plot.id), [plot.id]);
  const [newest] = useReportsOf(plot.id);
  const latest = useMemo(() => (newest ? toSoilReport(newest).figures : []), [newest]);
  const { edit } = useRecordForm<'soil', SoilText>({
    kind: 'soil',
    Input: SoilReportInput,
    record,
    saved,
    read: read,
    draftOfNew: `new.${plot.id}`,
    nameOf: (r) => r.name,
    onSaved: () => navigate(back),
  });
  return (
    <Sheet
      title={record ? record.name : 'A soil report'}
      question={`What was found in ${plot.name}, and by which method.`}
    >
      <EditForm<'soil', SoilText>
        {...edit}
        describe={(newer) => (
          <>
            Theirs, saved as version {newer.version}: “{newer.name}”, {newer.figures.length} figures.
          </>
        )}
        actions={
          <>
            <button
              type="button"
              className="action"
              onClick={() => {
                edit.textForm.discardDraft();
                void navigate(back);
              }}
            >
              Leave without saving
            </button>
            <FormActions
              takeOut={
                record && { words: 'Take it out', run: () => void takeOut(record, `Took “${record.name}” out.`) }
              }
            />
          </>
        }
      >
        <PasteSlip latest={latest} />
        <div className="grid gap-3 sm:grid-cols-3">
          <TextField name="name" label="Lab and slip" placeholder="Slip HG-17" />
          <DayField name="sampledOn" label="Sampled on" />
          <TextField name="depth" label="Depth of the layer" placeholder="15 cm or 6 in" />
        </div>
        <FigureRows />
        <TextField
          name="advice"
          label="What it recommends to give"
          placeholder="N 120, P2O5 60, K2O 80 kg/ha"
          className="mt-3 max-w-96"
        />
        <LongField name="note" label="Note" />
      </EditForm>
      <MarginNotes>
        <MarginNote title="Methods">
          <p>
            Olsen, Bray and Mehlich-3 take different shares of the phosphorus out of the same soil. Low, medium and high
            only exist within one method, and a figure without its method has no class here.
          </p>
        </MarginNote>
        <MarginNote title="Below detection">
          <p>Write &lt; 2 as the slip does. It is kept as that: neither nothing nor two.</p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}

/** A new or kept report of a plot. */
export function SoilReportEditor() {
  const { id, reportId } = useParams();
  const { records: plots, isLoading } = useRecords('plot');
  const { records: reports, isLoading: reportsLoading } = useRecords('soil', ofPlot(id));
  if (isLoading || reportsLoading) return <Loading what="the report" />;
  const plot = plots.find((p) => p.id === id);
  const record = reports.find((r) => r.id === reportId);
  if (!plot || (reportId !== 'new' && !record))
    return (
      <Sheet title="No such report" question="It was taken out, or was never here.">
        <Empty>What was taken out can be restored from the book.</Empty>
      </Sheet>
    );
  return <ReportForm key={record?.id ?? 'new'} plot={plot} {...(record ? { record } : {})} />;
}
