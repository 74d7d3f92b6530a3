import { useEffect, useMemo, useState } from 'react';
import { format } from 'date-fns';
import { Timer, Trash2 } from 'lucide-react';
import { inputOf, toJarReadings, type JarTestRecord, type PlotRecord } from '@wheat-ledger/contract';
import {
  CLOUD_WORDS,
  dispersionResult,
  JAR_START,
  JAR_STEPS,
  parseNumber,
  typedNumber,
  textureResult,
  type JarKind,
  type JarStep,
} from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { ofPlot } from '../app/workspace';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Remark, Sheet } from '../ui/Sheet';
import { useKeep } from '../ui/useKeep';
import { useTakeOut } from '../ui/useTakeOut';
import { PlotPages } from '../ui/PlotPages';
import { spanWords } from './spanWords';
import { usePlotPage } from '../ui/usePlotPage';

const KIND_NAMES: Readonly<Record<JarKind, string>> = {
  dispersion: 'Does the clay disperse?',
  texture: 'How much sand, silt and clay?',
};
const MINUTE = 60_000;

/** The time, anew every few seconds while something waits for it. */
function useNow(running: boolean): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!running) return undefined;
    const ticking = setInterval(() => setNow(Date.now()), 5000);
    return () => clearInterval(ticking);
  }, [running]);
  return now;
}

function StepRow({ jar, step, now }: { jar: JarTestRecord; step: JarStep; now: number }) {
  const { keep, saving } = useKeep('jar');
  const value = toJarReadings(jar)[step.key];
  const kept = typedNumber(value);
  const [text, setText] = useState(kept);
  const due = jar.startedAt ? Date.parse(jar.startedAt) + step.afterMinutes * MINUTE : undefined;
  const isCloud = jar.kind === 'dispersion';
  const typed = parseNumber(text);
  const enter = (read: number): void =>
    void keep(
      {
        ...inputOf(jar),
        readings: [...jar.readings.filter((r) => r.step !== step.key), { step: step.key, value: read }],
      },
      jar,
      `Kept: ${step.title.toLowerCase()}.`,
    );
  const when =
    due === undefined ? (
      `${spanWords(step.afterMinutes)} after the start`
    ) : due > now ? (
      <>
        <Timer size={14} aria-hidden="true" className="mr-1 inline" />
        in {spanWords((due - now) / MINUTE)}, at {format(due, 'd MMM, HH:mm')}
      </>
    ) : (
      `due since ${format(due, 'd MMM, HH:mm')}`
    );
  return (
    <li className="grid gap-x-4 border-t border-rule py-2 sm:grid-cols-[1fr_16rem]" data-testid={`step-${step.key}`}>
      <div>
        <b>{step.title}</b> <span className="text-sm text-faint">{when}</span>
        <p className="text-[0.9375rem] text-faint">{step.look}</p>
      </div>
      {jar.startedAt &&
        (isCloud ? (
          <select
            aria-label={step.title}
            className="field"
            disabled={saving}
            value={value ?? ''}
            onChange={(e) => {
              if (e.target.value !== '') enter(Number(e.target.value));
            }}
          >
            <option value="">not looked at yet</option>
            {CLOUD_WORDS.map((words, i) => (
              <option key={words} value={i}>
                {words}
              </option>
            ))}
          </select>
        ) : (
          <form
            className="flex items-start gap-2"
            onSubmit={(e) => {
              e.preventDefault();
              if (typed.ok) enter(typed.value);
            }}
          >
            <label className="min-w-0 flex-1">
              <span className="sr-only">{step.title}, mm</span>
              <input
                className="field"
                inputMode="decimal"
                value={text}
                placeholder="mm"
                aria-invalid={text !== '' && !typed.ok}
                onChange={(e) => setText(e.target.value)}
              />
              {text !== '' && !typed.ok && <span className="text-sm text-beet">{typed.reason}</span>}
            </label>
            <button type="submit" className="action" disabled={saving || !typed.ok || text === kept}>
              Keep
            </button>
          </form>
        ))}
    </li>
  );
}

function Result({ jar }: { jar: JarTestRecord }) {
  const readings = toJarReadings(jar);
  if (jar.kind === 'dispersion') {
    const { kind, says } = dispersionResult(readings);
    return (
      <p data-testid="jar-result" className={kind === 'unfinished' ? 'text-slate' : 'font-semibold'}>
        {says}
      </p>
    );
  }
  const read = textureResult(readings);
  if (typeof read === 'string')
    return (
      <p data-testid="jar-result" className="text-slate">
        {read}
      </p>
    );
  return (
    <p data-testid="jar-result">
      <b className="inline-block first-letter:uppercase">{read.name}</b>: sand{' '}
      <FigureButton figure={read.sand} figures={2} /> %, silt <FigureButton figure={read.silt} figures={2} /> %, clay{' '}
      <FigureButton figure={read.clay} figures={2} /> %. On the plot’s page choose <b>{read.texture}</b>.
    </p>
  );
}

function Jar({ jar }: { jar: JarTestRecord }) {
  const readings = toJarReadings(jar);
  const open = JAR_STEPS[jar.kind].some((s) => readings[s.key] === undefined);
  const now = useNow(open && jar.startedAt !== undefined);
  const { keep, saving } = useKeep('jar');
  const takeOut = useTakeOut('jar', `/ground/${jar.plotId}/jars`);
  return (
    <article className="mb-8" data-testid="jar">
      <header className="flex flex-wrap items-end gap-3 border-b border-line-strong pb-1">
        <h2 className="mr-auto text-xl">{jar.name}</h2>
        <span className="text-sm text-faint">
          {jar.startedAt ? `started ${format(new Date(jar.startedAt), 'd MMM yyyy, HH:mm')}` : 'not started'}
        </span>
        <button
          type="button"
          className="cursor-pointer p-2"
          title="Take this test out"
          onClick={() => void takeOut(jar, `Took “${jar.name}” out.`)}
        >
          <Trash2 size={15} aria-hidden="true" />
          <span className="sr-only">Take out {jar.name}</span>
        </button>
      </header>
      {!jar.startedAt && (
        <>
          <ol className="my-2 ml-5 list-decimal">
            {JAR_START[jar.kind].map((s) => (
              <li key={s}>{s}</li>
            ))}
          </ol>
          <button
            type="button"
            className="action main"
            disabled={saving}
            onClick={() =>
              void keep(
                { ...inputOf(jar), startedAt: new Date().toISOString() },
                jar,
                'The clock runs. You may close this page: it goes on.',
              )
            }
          >
            <Timer size={16} aria-hidden="true" />
            Start the clock
          </button>
        </>
      )}
      <ul className="mt-2">
        {JAR_STEPS[jar.kind].map((step) => (
          <StepRow key={step.key} jar={jar} step={step} now={now} />
        ))}
      </ul>
      <div className="border-t-4 border-double border-line-strong pt-2">
        <Result jar={jar} />
      </div>
    </article>
  );
}

/** Two tests that need a jar, a clock and patience. */
export function JarTestsView() {
  const page = usePlotPage();
  if ('instead' in page) return page.instead;
  return <PlotJars key={page.plot.id} plot={page.plot} />;
}

function PlotJars({ plot }: { plot: PlotRecord }) {
  const { records } = useRecords('jar', ofPlot(plot.id));
  const jars = useMemo(
    () => [...records].sort((a, b) => (b.startedAt ?? '~').localeCompare(a.startedAt ?? '~')),
    [records],
  );
  const { keep, saving } = useKeep('jar');
  const begin = (kind: JarKind): void =>
    void keep(
      { plotId: plot.id, name: KIND_NAMES[kind], kind, readings: [], note: '' },
      undefined,
      'The jar test is ready.',
    );
  return (
    <Sheet
      title="Ground"
      question={`What does a jar of water tell about ${plot.name}?`}
      actions={(['dispersion', 'texture'] as const).map((kind) => (
        <button key={kind} type="button" className="action" disabled={saving} onClick={() => begin(kind)}>
          {KIND_NAMES[kind]}
        </button>
      ))}
    >
      <PlotPages plotId={plot.id} />
      {jars.length === 0 ? (
        <Empty>
          No jar test yet. One shows in a day whether clay clouds rain water, which is how sodium shows itself; the
          other how much sand, silt and clay there is.
        </Empty>
      ) : (
        jars.map((jar) => <Jar key={jar.id} jar={jar} />)
      )}
      <MarginNotes>
        <MarginNote title="Dispersion">
          <p>
            A cloud means loose clay, which sodium causes: the soil seals in rain. The soil page then says that it is
            dispersive.
          </p>
        </MarginNote>
        <MarginNote title="Texture">
          <p>
            Layers are volumes, and clay settles loosely, so its share reads high. Each share has a range for a
            misreading of one millimetre.
          </p>
        </MarginNote>
        <MarginNote title="Care">
          <Remark tone="caution">
            Glass and wet hands: set the jar where it can stand for a day, out of the reach of children and animals.
          </Remark>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
