import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Plus, Trash2 } from 'lucide-react';
import { ProgrammeInput, toSite, type PlotRecord, type ProgrammeRecord } from '@wheat-ledger/contract';
import {
  printDay,
  computeProgramme,
  siteSoilTemperature,
  type Doing,
  type DosedPlot,
  type ProgrammeRelease,
  type SiteInSeason,
} from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useSeasons, type ChosenSeason } from '../app/seasons';
import { ofPlot } from '../app/workspace';
import { missingOf, usePlotKnown } from '../app/plotKnown';
import { Term } from '../glossary/Term';
import { CopyTo } from '../ui/CopyTo';
import { EditForm, FormPart } from '../ui/EditForm';
import { FormActions } from '../ui/FormActions';
import { SelectField, TextField, type Option } from '../ui/Field';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PlotPages } from '../ui/PlotPages';
import { RestsOn } from '../ui/RestsOn';
import { Empty, Loading, Remark, Sheet } from '../ui/Sheet';
import { TaskNote } from '../ui/TaskNote';
import { usePlotPage } from '../ui/usePlotPage';
import { useTakeOut } from '../ui/useTakeOut';
import { useTask, type Job } from '../ui/useTask';
import { useRecordForm } from '../ui/useRecordForm';
import type { ReleaseWorker } from '../workers/release.worker';
import { dosedPlot } from './dosedPlot';
import { ChartKey, ProgrammeChart } from './ProgrammeChart';
import { ProgrammeTotals, RowNumbers } from './ProgrammeNumbers';
import { blankDoing, DEPTH_LABELS, programmeText, readProgramme, WHERES, type ProgrammeText } from './programmeText';
import { GivenOnPaper } from './GivenOnPaper';
import { SeasonLine } from './SeasonLine';
import { useDoings } from './useDoings';

interface Asked {
  readonly doings: readonly Doing[];
  readonly plot: DosedPlot;
  readonly site: SiteInSeason;
}
const FOLLOWED: Job<ReleaseWorker, Asked, ProgrammeRelease> = {
  what: 'the programme',
  start: () => new Worker(new URL('../workers/release.worker.ts', import.meta.url), { type: 'module' }),
  run: (remote, { doings, plot, site }) => remote.programme(doings, plot, site),
  pauseMs: 150,
};

const YEAR = 366;

/** Two columns of a row's six on a wide screen. */
const WIDE = 'col-span-2';

function Row({ index, options, onRemove }: { index: number; options: readonly Option[]; onRemove: () => void }) {
  const { control } = useFormContext<ProgrammeText>();
  const row = useWatch({ control, name: `applications.${index}` });
  const depth = DEPTH_LABELS[row.where];
  const at = `applications.${index}`;
  return (
    <li className="border-b border-rule py-3" data-testid="doing">
      <div className="flex items-start gap-3">
        <span className="mt-6 grid size-6 shrink-0 place-items-center rounded-full bg-wheat text-sm font-bold text-on-wheat">
          {index + 1}
        </span>
        <div className="grid min-w-0 flex-1 grid-cols-2 gap-x-3 gap-y-2 lg:grid-cols-6">
          <SelectField name={`${at}.what`} label="What" options={options} className={WIDE} />
          <TextField name={`${at}.amount`} label="How much" placeholder="40 g/m²" className={WIDE} />
          <TextField name={`${at}.when`} label="When" placeholder="20 days after planting" className={WIDE} />
          <SelectField name={`${at}.where`} label="Where it goes" options={WHERES} className={WIDE} />
          {depth && (
            <TextField
              name={`${at}.depth`}
              label={depth}
              placeholder={row.where === 'ring' ? '20 cm to 60 cm' : '15 cm'}
            />
          )}
          <TextField name={`${at}.share`} label="On how much" placeholder="all" />
          <TextField name={`${at}.plants`} label="Plants there" placeholder="by spacing" inputMode="numeric" />
        </div>
        <button type="button" className="plain no-print mt-6" title={`Take row ${index + 1} out`} onClick={onRemove}>
          <Trash2 size={17} aria-hidden="true" />
          <span className="sr-only">Take row {index + 1} out</span>
        </button>
      </div>
    </li>
  );
}

function Rows({ options }: { options: readonly Option[] }) {
  const { control } = useFormContext<ProgrammeText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'applications' });
  return (
    <>
      {fields.length === 0 && (
        <Empty>Nothing is given yet: that is a programme too, and the one to compare with.</Empty>
      )}
      <ol>
        {fields.map((field, i) => (
          <Row key={field.id} index={i} options={options} onRemove={() => remove(i)} />
        ))}
      </ol>
      <button type="button" className="action mt-3" onClick={() => append(blankDoing(options[0]?.value ?? 'water'))}>
        <Plus size={16} aria-hidden="true" />
        Add a row
      </button>
    </>
  );
}

const NO_APPLICATIONS: ProgrammeInput['applications'] = [];

function ProgrammeForm({
  plot,
  open,
  record,
}: {
  plot: PlotRecord;
  open: ChosenSeason;
  record: ProgrammeRecord | undefined;
}) {
  const navigate = useNavigate();
  const back = `/ground/${plot.id}/programmes`;
  const takeOut = useTakeOut('programme', back);
  const ground = useMemo(() => ({ id: open.record.id, areaM2: plot.areaM2 * open.season.share }), [open, plot.areaM2]);
  const saved = useMemo(
    (): ProgrammeText => (record ? programmeText(record) : { name: '', note: '', applications: [] }),
    [record],
  );
  const { form, edit } = useRecordForm<'programme', ProgrammeText>({
    kind: 'programme',
    Input: ProgrammeInput,
    record,
    saved,
    read: (text) => readProgramme(text, ground),
    draftOfNew: `new.${open.record.id}`,
    nameOf: (p) => p.name,
    onSaved: (p) => navigate(`${back}/${p.id}`, { flushSync: true }),
  });
  const text = useWatch({ control: form.control }) as ProgrammeText;
  const { plain, problems, rows } = useMemo(() => readProgramme(text, ground), [text, ground]);
  const numbers = rows.applications.map((i) => i + 1);
  const applications = plain.applications.length > 0 ? plain.applications : NO_APPLICATIONS;
  const { doings, shelf, recipes } = useDoings(applications);
  const { records: logs } = useRecords('logger', ofPlot(plot.id));
  const site = useMemo((): SiteInSeason => ({ ...toSite(plot, logs), season: open.season }), [plot, logs, open]);
  const on = useMemo(() => dosedPlot(plot), [plot]);
  const inNumbers = useMemo(
    () => computeProgramme(doings, on, open.season, siteSoilTemperature(site, open.season.from, YEAR)),
    [doings, on, open, site],
  );
  const asked = useMemo(() => (doings.length > 0 ? { doings, plot: on, site } : undefined), [doings, on, site]);
  const known = usePlotKnown(plot);
  const followed = useTask(FOLLOWED, asked);
  const release = followed.latest;
  const options = useMemo(
    (): readonly Option[] => [
      ...shelf.map((s) => ({ value: `product ${s.record.id}`, text: s.product.name })),
      ...recipes.map((r) => ({ value: `recipe ${r.id}`, text: `${r.name} (recipe)` })),
      { value: 'water', text: 'Plain water' },
    ],
    [shelf, recipes],
  );
  return (
    <>
      <SeasonLine season={open.season} rows={inNumbers.rows} numbers={numbers} />
      <EditForm<'programme', ProgrammeText>
        {...edit}
        describe={(newer) => (
          <>
            Theirs, saved as version {newer.version}: “{newer.name}”, {newer.applications.length} rows.
          </>
        )}
        actions={
          <>
            {record && <CopyTo kind="programme" id={record.id} />}
            <FormActions
              back={{ to: back, words: 'Back to the programmes' }}
              takeOut={
                record && { words: 'Take it out', run: () => void takeOut(record, `Took “${record.name}” out.`) }
              }
            />
          </>
        }
      >
        <div className="no-print">
          <FormPart title="What is given">
            <TextField name="name" label="Name of the programme" className="max-w-96" />
            <Rows options={options} />
          </FormPart>
        </div>
        <GivenOnPaper
          text={text}
          options={options}
          ground={`For ${open.season.crop.name.toLowerCase()} on ${plot.name}, from ${printDay(open.season.from)}.`}
        />
      </EditForm>
      {inNumbers.rows.length > 0 && (
        <section className="mt-6 flex flex-col gap-5">
          <h2 className="text-xl">What it comes to</h2>
          {problems.length > 0 && <Remark tone="note">A row that cannot be read yet is not counted.</Remark>}
          <RowNumbers rows={inNumbers.rows} numbers={numbers} />
          <ProgrammeTotals inNumbers={inNumbers} crop={open.season.crop} />
          <div>
            <h2 className="mb-2 text-xl">When its nitrogen arrives</h2>
            {release && <ProgrammeChart release={release} />}
            <ChartKey />
            <TaskNote task={followed} what="the programme" />
            {release?.left.map(({ name, why }) => (
              <Remark key={name + why} tone="note">
                <b>{name}</b> cannot be followed: {why}
              </Remark>
            ))}
          </div>
        </section>
      )}
      <MarginNotes>
        <RestsOn
          assumed={[
            `What ${open.season.crop.name.toLowerCase()} needs is a class average, until you enter your own.`,
            <>
              The middle of each <Term of="assumption">assumption</Term> is followed; no <Term of="band">band</Term> is
              drawn round it.
            </>,
          ]}
          missing={missingOf(plot, known)}
        />
        <MarginNote title="How to say it">
          <p>
            <b>How much:</b> 40 g/m², 20 g/plant, 30 g/m of row, 5 mL/L of water and 2 L/plant, 3 × 250 mL per m², 2 cm,
            or 10 kg for all of it.
          </p>
          <p>
            <b>When:</b> 2 May 2026, at planting, 20 days after planting, at half of its uptake, or every 14 days, 1 Jun
            2026 to 15 Aug 2026.
          </p>
        </MarginNote>
        {release && release.supposed.length > 0 && (
          <MarginNote title="Supposed">
            {release.supposed.map((s) => (
              <p key={s}>{s}.</p>
            ))}
          </MarginNote>
        )}
        <MarginNote title="What this leaves out">
          <p>The soil’s own nitrogen is not in the drawing yet, so the crop is not as short as the gap may look.</p>
          <Remark tone="caution">
            Never go above the label’s rate, and keep the setbacks and limits of your local code.
          </Remark>
        </MarginNote>
      </MarginNotes>
    </>
  );
}

function PlotProgramme({ plot }: { plot: PlotRecord }) {
  const { programme: id } = useParams();
  const { seasons, chosen, isLoading } = useSeasons(plot.id);
  const { records, isLoading: programmesLoading } = useRecords('programme');
  if (isLoading || programmesLoading) return <Loading what="the programme" />;
  const record = records.find((p) => p.id === id);
  const open = record ? seasons.find((s) => s.record.id === record.seasonId) : id === 'new' ? chosen : undefined;
  return (
    <Sheet
      title={record ? record.name : 'A new programme'}
      question={open ? `For ${open.season.crop.name.toLowerCase()} on ${plot.name}.` : `On ${plot.name}.`}
    >
      <PlotPages plotId={plot.id} />
      {open ? (
        <ProgrammeForm key={record?.id ?? 'new'} plot={plot} open={open} record={record} />
      ) : (
        <Empty>That programme, or its season, was taken out. Both can be restored from the book.</Empty>
      )}
    </Sheet>
  );
}

/** A programme as it is planned, and in numbers. */
export function ProgrammeEditor() {
  const page = usePlotPage();
  if ('instead' in page) return page.instead;
  return <PlotProgramme key={page.plot.id} plot={page.plot} />;
}
