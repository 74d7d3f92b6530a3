import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { Plus } from 'lucide-react';
import { inputOf, type PlotRecord, type ProgrammeRecord } from '@wheat-ledger/contract';
import { doneAsProgramme, printDay } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useSeasons, useSiteIn, type ChosenSeason } from '../app/seasons';
import { useDoings, useProgrammeNumbers } from '../app/useDoings';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PlotPages } from '../ui/PlotPages';
import { Empty, Failed, Loading, Sheet } from '../ui/Sheet';
import { useKeep } from '../ui/useKeep';
import { usePlotPage } from '../ui/usePlotPage';
import { CompareProgrammes, type Candidate } from './CompareProgrammes';
import { useSeasonLog } from './useFollowed';

interface ProgrammeLineProps {
  readonly plot: PlotRecord;
  readonly open: ChosenSeason;
  readonly programme: ProgrammeRecord;
  readonly chosen: boolean;
  readonly full: boolean;
  readonly onChoose: () => void;
}
function ProgrammeLine({ plot, open, programme, chosen, full, onChoose }: ProgrammeLineProps) {
  const { keep, saving } = useKeep('programme');
  const copy = (): Promise<unknown> => {
    const copied = `${programme.name} (copy)`.slice(0, 120);
    return keep({ ...inputOf(programme), name: copied }, undefined, `Copied to “${copied}”.`);
  };
  const { totals, without } = useProgrammeNumbers(plot, open, programme);
  const nitrogen = totals.find((t) => t.analyte === 'N');
  return (
    <tr data-testid="programme">
      <td className="no-print">
        <input
          type="checkbox"
          aria-label={`Compare ${programme.name}`}
          checked={chosen}
          disabled={full && !chosen}
          onChange={onChoose}
        />
      </td>
      <td>
        <Link to={`/ground/${plot.id}/programmes/${programme.id}`} className="plain">
          {programme.name}
        </Link>
      </td>
      <td>
        {open.season.crop.name} <span className="text-sm text-faint">from {printDay(open.season.from)}</span>
      </td>
      <td className="num">{programme.applications.length}</td>
      <td className="num">
        {nitrogen ? <FigureButton figure={nitrogen.figure} /> : <span className="text-faint">not known</span>}
        {without.length > 0 && nitrogen && (
          <span className="block text-sm text-beet">without {without.join(', ')}</span>
        )}
      </td>
      <td className="no-print">
        <button type="button" className="plain" disabled={saving} onClick={() => void copy()}>
          Copy
        </button>
      </td>
    </tr>
  );
}

const MOST_COMPARED = 3;
const WATER: Candidate = {
  id: 'water',
  name: 'Water only',
  doings: [],
};
const NOTHING: Candidate = { id: 'nothing', name: 'Nothing', doings: [] };

/** The chosen programmes of one season side by side, with nothing given, water only and what was done at hand. */
function Comparison({
  plot,
  open,
  programmes,
}: {
  plot: PlotRecord;
  open: ChosenSeason;
  programmes: readonly ProgrammeRecord[];
}) {
  const all = useMemo(() => programmes.flatMap((p) => p.applications), [programmes]);
  const { doings } = useDoings(all);
  const site = useSiteIn(plot, open);
  const candidates = useMemo((): readonly Candidate[] => {
    let from = 0;
    return programmes.map((p) => {
      const own = doings.slice(from, from + p.applications.length);
      from += p.applications.length;
      return { id: p.id, name: p.name, doings: own };
    });
  }, [programmes, doings]);
  const entries = useSeasonLog(open.record.id);
  const groundM2 = plot.areaM2 * open.season.share;
  const offered = useMemo(
    (): readonly Candidate[] => [
      NOTHING,
      WATER,
      ...(entries.length > 0
        ? [{ id: 'done', name: 'What was done', doings: doneAsProgramme(entries, groundM2) }]
        : []),
    ],
    [entries, groundM2],
  );
  const [ready, setReady] = useState<readonly string[]>([]);
  const compared = useMemo(
    () => [...candidates, ...offered.filter((r) => ready.includes(r.id))].slice(0, MOST_COMPARED),
    [candidates, offered, ready],
  );
  return (
    <section className="mt-6">
      <div className="no-print mb-2 flex flex-wrap gap-4 text-[0.9375rem]">
        {offered.map((r) => (
          <label key={r.id} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              checked={ready.includes(r.id)}
              disabled={compared.length >= MOST_COMPARED && !ready.includes(r.id)}
              onChange={(e) => setReady(e.target.checked ? [...ready, r.id] : ready.filter((id) => id !== r.id))}
            />
            beside “{r.name}”
          </label>
        ))}
      </div>
      <CompareProgrammes plot={plot} site={site} candidates={compared} />
    </section>
  );
}

function PlotProgrammes({ plot }: { plot: PlotRecord }) {
  const [picked, setPicked] = useState<readonly string[]>([]);
  const { seasons, isLoading } = useSeasons(plot.id);
  const { records, isLoading: programmesLoading, error } = useRecords('programme');
  if (isLoading || programmesLoading) return <Loading what="the programmes" />;
  const found = seasons.flatMap((open) =>
    records.filter((p) => p.seasonId === open.record.id).map((programme) => ({ open, programme })),
  );
  const chosen = found.filter((f) => picked.includes(f.programme.id)).map((f) => f.programme);
  const season = found.find((f) => picked.includes(f.programme.id))?.open;
  return (
    <Sheet
      title="Ground"
      question={`What is to be given to ${plot.name}, and when?`}
      actions={
        seasons.length > 0 && (
          <Link to={`/ground/${plot.id}/programmes/new`} className="action main">
            <Plus size={17} aria-hidden="true" />A new programme
          </Link>
        )
      }
    >
      <PlotPages plotId={plot.id} />
      {error !== undefined ? (
        <Failed error={error} />
      ) : seasons.length === 0 ? (
        <Empty>
          A programme is for a season.{' '}
          <Link to={`/ground/${plot.id}#seasons`} className="plain">
            Say what grows here
          </Link>{' '}
          first.
        </Empty>
      ) : found.length === 0 ? (
        <Empty>No programme yet. Plan one, and every number of it is worked out as you type.</Empty>
      ) : (
        <table className="ledger">
          <caption className="sr-only">Programmes of {plot.name}</caption>
          <thead>
            <tr>
              <th scope="col" className="no-print">
                <span className="sr-only">Compare</span>
              </th>
              <th scope="col">Programme</th>
              <th scope="col">For</th>
              <th scope="col" className="num">
                Rows
              </th>
              <th scope="col" className="num">
                N in all, kg/ha
              </th>
              <th scope="col" className="no-print">
                <span className="sr-only">Copy</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {found.map(({ open, programme }) => (
              <ProgrammeLine
                key={programme.id}
                plot={plot}
                open={open}
                programme={programme}
                chosen={picked.includes(programme.id)}
                full={chosen.length >= MOST_COMPARED || (season !== undefined && season !== open)}
                onChoose={() =>
                  setPicked(
                    picked.includes(programme.id)
                      ? picked.filter((id) => id !== programme.id)
                      : [...picked, programme.id],
                  )
                }
              />
            ))}
          </tbody>
        </table>
      )}
      {season && <Comparison plot={plot} open={season} programmes={chosen} />}
      {!season && found.length > 0 && (
        <p className="no-print mt-3 text-[0.9375rem] text-faint">
          Tick up to three of one season to see them side by side, with nothing given or water only beside them.
        </p>
      )}
      <MarginNotes>
        <MarginNote title="What a programme is">
          <p>
            A list of what is given, how much, when and where, for one season. Price, release, rounds and trials all
            read their doses from it.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}

/** What is planned for a plot's seasons. */
export function ProgrammesView() {
  const page = usePlotPage();
  if ('instead' in page) return page.instead;
  return <PlotProgrammes key={page.plot.id} plot={page.plot} />;
}
