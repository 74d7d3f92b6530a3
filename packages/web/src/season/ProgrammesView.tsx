import { useMemo } from 'react';
import { Link } from 'react-router';
import { Plus } from 'lucide-react';
import { toSite, type PlotRecord, type ProgrammeRecord } from '@wheat-ledger/contract';
import { printDay, computeProgramme, siteSoilTemperature } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useSeasons, type ChosenSeason } from '../app/seasons';
import { ofPlot } from '../app/workspace';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PlotPages } from '../ui/PlotPages';
import { Empty, Failed, Loading, Sheet } from '../ui/Sheet';
import { usePlotPage } from '../ui/usePlotPage';
import { dosedPlot } from './dosedPlot';
import { useDoings } from './useDoings';

const YEAR = 366;

function ProgrammeLine({
  plot,
  open,
  programme,
}: {
  plot: PlotRecord;
  open: ChosenSeason;
  programme: ProgrammeRecord;
}) {
  const { doings } = useDoings(programme.applications);
  const { records: logs } = useRecords('logger', ofPlot(plot.id));
  const { totals, without } = useMemo(() => {
    const warmth = siteSoilTemperature(toSite(plot, logs), open.season.from, YEAR);
    return computeProgramme(doings, dosedPlot(plot), open.season, warmth);
  }, [doings, plot, logs, open]);
  const nitrogen = totals.find((t) => t.analyte === 'N');
  return (
    <tr data-testid="programme">
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
    </tr>
  );
}

function PlotProgrammes({ plot }: { plot: PlotRecord }) {
  const { seasons, isLoading } = useSeasons(plot.id);
  const { records, isLoading: programmesLoading, error } = useRecords('programme');
  if (isLoading || programmesLoading) return <Loading what="the programmes" />;
  const found = seasons.flatMap((open) =>
    records.filter((p) => p.seasonId === open.record.id).map((programme) => ({ open, programme })),
  );
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
              <th scope="col">Programme</th>
              <th scope="col">For</th>
              <th scope="col" className="num">
                Rows
              </th>
              <th scope="col" className="num">
                N in all, kg/ha
              </th>
            </tr>
          </thead>
          <tbody>
            {found.map(({ open, programme }) => (
              <ProgrammeLine key={programme.id} plot={plot} open={open} programme={programme} />
            ))}
          </tbody>
        </table>
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
