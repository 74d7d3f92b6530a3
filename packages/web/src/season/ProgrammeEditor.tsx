import { useDeferredValue, useMemo, useRef } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useWatch } from 'react-hook-form';
import { ProgrammeInput, type PlotRecord, type ProgrammeRecord, toDosedPlot } from '@wheat-ledger/contract';
import {
  computeProgramme,
  formatTrimmed,
  midSupply,
  printDay,
  programmeRelease,
  siteDays,
  siteSoilTemperature,
  type Influence,
} from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useBench } from '../app/bench';
import { useSeasons, useSiteIn, type ChosenSeason } from '../app/seasons';
import { missingOf, usePlotKnown } from '../app/plotKnown';
import { useAdvice } from '../app/soil';
import { Term } from '../glossary/Term';
import { Assumptions } from '../ui/Assumptions';
import { CopyTo } from '../ui/CopyTo';
import { EditForm, FormPart } from '../ui/EditForm';
import { FormActions } from '../ui/FormActions';
import { TextField, type Option } from '../ui/Field';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PlotPages } from '../ui/PlotPages';
import { RestsOn } from '../ui/RestsOn';
import { Empty, Loading, Remark, Sheet } from '../ui/Sheet';
import { TaskNote } from '../ui/TaskNote';
import { usePlotPage } from '../ui/usePlotPage';
import { useTakeOut } from '../ui/useTakeOut';
import { useTask } from '../ui/useTask';
import { saveChart } from '../ui/saveChart';
import { useRecordForm } from '../ui/useRecordForm';
import { ChartKey, ProgrammeChart } from './ProgrammeChart';
import { ProgrammeTotals, RowNumbers } from './ProgrammeNumbers';
import { programmeText, readProgramme, type ProgrammeText } from './programmeText';
import { GivenOnPaper } from './GivenOnPaper';
import { ProgrammeRows } from './ProgrammeRows';
import { Influences } from './Influences';
import type { Planned } from '../workers/release.worker';
import { FIRST_BAND, WHOLE_BAND } from './programmeJobs';
import { programmeWeeks, weeksSentence } from './programmeWeeks';
import { SeasonTimeline } from './SeasonTimeline';
import { SiteStrips } from './SiteStrips';
import { SplitPart } from './SplitPart';
import { putSplit, scaleAll, splittable, useMoves } from './useMoves';
import { useSoilNitrogen } from './useSoilNitrogen';
import { FollowToggle } from './FollowToggle';
import { fruitSetOf, useFollowed } from './useFollowed';
import { WeekTable } from './WeekTable';
import { YearsPart } from './YearsPart';
import { useDoings } from '../app/useDoings';

const YEAR = 366;

const NO_INFLUENCES: readonly Influence[] = [];
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
  const site = useSiteIn(plot, open);
  const on = useMemo(() => toDosedPlot(plot), [plot]);
  const warmth = useMemo(() => siteSoilTemperature(site, open.season.from, YEAR), [site, open]);
  const inNumbers = useMemo(() => computeProgramme(doings, on, open.season, warmth), [doings, on, open, warmth]);
  const fruitSet = fruitSetOf(open.season, warmth);
  const followed = useFollowed(inNumbers, doings, record?.id, open, on, warmth, form.formState.isDirty);
  const advice = useAdvice(plot.id);
  const soil = useSoilNitrogen(plot, open.season.from);
  const planned = useMemo(
    (): Planned => ({ doings: followed.doings, plot: on, site, soil }),
    [followed.doings, on, site, soil],
  );
  const options = useMemo(
    (): readonly Option[] => [
      ...shelf.map((s) => ({ value: `product ${s.record.id}`, text: s.product.name })),
      ...recipes.map((r) => ({ value: `recipe ${r.id}`, text: `${r.name} (recipe)` })),
      { value: 'water', text: 'Plain water' },
    ],
    [shelf, recipes],
  );
  const bagsOnShelf = useMemo(() => shelf.map((s) => s.product), [shelf]);
  const { compared } = useBench();
  const need = open.season.crop.uptakeKgPerHa.N?.mid;
  const onBench = useMemo(
    () => compared.filter((p) => midSupply(p, 'N') > 0 && options.some((o) => o.value === `product ${p.id}`)),
    [compared, options],
  );
  const brought = inNumbers.totals.find((t) => t.analyte === 'N')?.figure.value.mid;
  const known = usePlotKnown(plot);
  const chart = useRef<HTMLDivElement>(null);
  // The drawing follows while a mark is dragged: one run of the model at a time, the latest there is.
  const drawn = useDeferredValue(followed.inNumbers);
  const days = useMemo(() => siteDays(site), [site]);
  const release = useMemo(() => programmeRelease(drawn, site, days, soil), [drawn, site, days, soil]);
  const weeks = useMemo(() => programmeWeeks(release, open.season.from), [release, open]);
  const first = useTask(FIRST_BAND, planned);
  const whole = useTask(WHOLE_BAND, planned);
  const band = whole.result ?? first.result;
  const move = useMoves(form, applications, rows.applications);
  const bags = useMemo(() => splittable(inNumbers), [inNumbers]);
  return (
    <>
      <SeasonTimeline season={open.season} rows={inNumbers.rows} numbers={numbers} onMove={move} />
      <section className="mb-6" ref={chart}>
        <div className="flex flex-wrap items-baseline justify-between gap-2">
          <h2 className="mb-2 text-xl">When its nitrogen arrives</h2>
          <span className="no-print flex gap-3 text-[0.9375rem]">
            {(['svg', 'png'] as const).map((as) => (
              <button
                key={as}
                type="button"
                className="plain"
                onClick={() => void saveChart(chart.current, text.name || 'programme', as)}
              >
                Save as {as.toUpperCase()}
              </button>
            ))}
          </span>
        </div>
        <FollowToggle followed={followed} />
        <p className="mb-1" data-testid="weeks-sentence">
          {weeksSentence(weeks)}
        </p>
        <ProgrammeChart weeks={weeks} band={band} />
        <SiteStrips days={days} />
        <ChartKey />
        <TaskNote task={whole} what="the band" />
        {release.left.map(({ name, why }) => (
          <Remark key={name + why} tone="note">
            <b>{name}</b> cannot be followed: {why}
          </Remark>
        ))}
      </section>
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
            <ProgrammeRows options={options} bags={bagsOnShelf} bench={onBench} need={need} fruitSet={fruitSet} />
          </FormPart>
        </div>
        <GivenOnPaper
          text={text}
          options={options}
          ground={`For ${open.season.crop.name.toLowerCase()} on ${plot.name}, from ${printDay(open.season.from)}.`}
        />
      </EditForm>
      <section className="mt-6 flex flex-col gap-5">
        {inNumbers.rows.length > 0 && (
          <>
            <h2 className="text-xl">What it comes to</h2>
            {problems.length > 0 && <Remark tone="note">A row that cannot be read yet is not counted.</Remark>}
            <RowNumbers rows={inNumbers.rows} numbers={numbers} />
            <ProgrammeTotals inNumbers={inNumbers} crop={open.season.crop} advice={advice} />
            {need !== undefined && brought !== undefined && brought > 0 && Math.abs(brought / need - 1) > 0.01 && (
              <button
                type="button"
                className="plain no-print self-start"
                onClick={() => scaleAll(form, applications, rows.applications, need / brought)}
              >
                Scale all amounts by {formatTrimmed(need / brought, 3)}, to the {formatTrimmed(need, 3)} kg N/ha the
                crop takes up
              </button>
            )}
          </>
        )}
        <Assumptions assumed={release.assumed} plot={plot} />
        <WeekTable weeks={weeks} name={text.name} />
        <YearsPart planned={planned} plotId={plot.id} />
        <SplitPart planned={planned} bags={bags} onUse={(product, doses) => putSplit(form, product, doses)} />
      </section>
      <MarginNotes>
        <RestsOn
          assumed={[
            `What ${open.season.crop.name.toLowerCase()} needs is a class average, until you enter your own.`,
            <>
              The line follows the middle of each <Term of="assumption">assumption</Term>; the{' '}
              <Term of="band">band</Term> holds eight in ten of 2 000 draws over all of them, the year’s warmth and the
              doses’ own ranges.
            </>,
            ...(soil
              ? ['The soil’s own nitrogen counts: what it has as the season begins, and what its organic matter gives.']
              : []),
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
            to 15 Aug 2026.
          </p>
        </MarginNote>
        <Influences influences={band?.influences ?? NO_INFLUENCES} />
        {release.supposed.length > 0 && (
          <MarginNote title="Supposed">
            {release.supposed.map((s) => (
              <p key={s}>{s}.</p>
            ))}
          </MarginNote>
        )}
        <MarginNote title="What this leaves out">
          <p>
            {soil
              ? `Residues and green manures are not counted, unless you add them as a row.${soil.inWater ? '' : ' Nor is nitrate in the water you give: no analysis of it is entered.'}`
              : 'What is grown in has no nitrogen of its own here.'}
          </p>
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
