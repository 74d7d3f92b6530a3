import { Link } from 'react-router';
import { toShape, type PlotRecord } from '@wheat-ledger/contract';
import { formatGiven, plotFacts, type PlotFact } from '@wheat-ledger/core';
import { useSeasons } from '../app/seasons';
import { FigureButton } from '../ui/FigureButton';
import { RestsOn, type Missing } from '../ui/RestsOn';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { OnPaper } from '../ui/OnPaper';
import { PlotSeasons } from '../season/PlotSeasons';
import { SeasonStrip } from '../season/SeasonStrip';
import { PlotSketch } from '../ground/PlotSketch';
import { missingOf, placeOf, usePlotKnown } from '../app/plotKnown';

/** What is not known yet; the first of it is what to do first. */
function Gaps({ plot, gaps }: { plot: PlotRecord; gaps: readonly Missing[] }) {
  const [first, ...rest] = gaps;
  if (!first)
    return (
      <div className="border-l-4 border-moss bg-paper px-3 py-2" data-testid="gaps">
        <p>Everything this program asks of a plot is known.</p>
        <p className="no-print">
          Next:{' '}
          <Link to={`/ground/${plot.id}/programmes`} className="plain">
            plan what it is given
          </Link>
          .
        </p>
      </div>
    );
  return (
    <div data-testid="gaps">
      <div className="border-l-4 border-wheat bg-paper px-3 py-2">
        <h2 className="text-sm font-normal text-faint">Do first</h2>
        <Link to={first.to ?? ''} className="plain font-slab text-lg font-semibold">
          {first.what}
        </Link>
        <p className="text-[0.9375rem] first-letter:uppercase">{first.why}.</p>
      </div>
      {rest.length > 0 && (
        <>
          <h2 className="mt-3 text-sm font-normal text-faint">Then</h2>
          <ul className="text-[0.9375rem]">
            {rest.map((gap) => (
              <li key={gap.what} className="border-b border-rule py-1">
                <Link to={gap.to ?? ''} className="plain">
                  {gap.what}
                </Link>
                <span className="text-faint">: {gap.why}.</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function Fact({ plot, fact: { name, says, means, figure, place } }: { plot: PlotRecord; fact: PlotFact }) {
  return (
    <div className="col-span-full grid grid-cols-subgrid border-b border-rule py-1.5">
      <dt>
        <Link to={placeOf(plot.id, place)} className="plain" title={`Open where ${name} is entered`}>
          {name}
        </Link>
      </dt>
      <dd className="font-semibold">
        {says === undefined ? (
          <span className="font-normal text-slate">not known</span>
        ) : figure ? (
          <FigureButton figure={figure}>{says}</FigureButton>
        ) : (
          says
        )}
      </dd>
      <dd className="text-faint max-sm:col-span-2 first-letter:uppercase">{means}.</dd>
    </div>
  );
}

/** A plot as a picture: to scale, with its seasons, what its soil is, and what is missing. */
export function PlotOverview({ plot }: { plot: PlotRecord }) {
  const known = usePlotKnown(plot);
  const { seasons, chosen } = useSeasons(plot.id);
  const side = Math.sqrt(plot.areaM2);
  const measured = plot.shape !== undefined && plot.shape !== null;
  const facts = known ? plotFacts(known) : [];
  const gaps = missingOf(plot, known);
  return (
    <>
      <OnPaper title={plot.name} />
      <div className="mb-4 grid items-start gap-x-8 gap-y-4 sm:grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)]">
        <figure className="m-0 [&_svg]:max-h-48">
          <PlotSketch
            shape={plot.shape ? toShape(plot.shape) : { kind: 'rectangle', lengthM: side, widthM: side }}
            supposed={!measured}
          />
          <figcaption className="text-[0.9375rem] text-faint">
            <b className="font-slab text-lg text-pine">{formatGiven(plot.areaM2)} m²</b>
            {measured ? ', drawn to scale. ' : ', drawn as a square: its sides are not measured. '}
            <Link to={`/ground/${plot.id}/edit`} className="plain no-print">
              Change the plot
            </Link>
          </figcaption>
        </figure>
        {known && <Gaps plot={plot} gaps={gaps} />}
      </div>
      {seasons.length > 0 && <SeasonStrip seasons={seasons.map((s) => s.season)} chosen={chosen?.season} />}
      <h2 className="mt-6 mb-1 border-b border-line-strong pb-1 text-lg">What its soil is</h2>
      <dl
        className="mb-8 grid grid-cols-[auto_1fr] gap-x-5 sm:grid-cols-[auto_auto_minmax(0,1fr)]"
        data-testid="plot-facts"
      >
        {facts.map((fact) => (
          <Fact key={fact.name} plot={plot} fact={fact} />
        ))}
      </dl>
      <PlotSeasons plot={plot} />
      <MarginNotes>
        <RestsOn
          assumed={[
            'What is measured here outranks what is usual for a soil like it.',
            measured ? 'The area follows from the measured sides.' : 'The area is as it was typed.',
          ]}
        />
        <MarginNote title="What depends on this plot">
          <p>
            What the crop needs, the release curves and the dose behind every claim are worked out for the plot chosen
            in the line at the top, and for the season that is marked here.
          </p>
        </MarginNote>
        <MarginNote title="Open a fact">
          <p>Each name on the left leads to the page where it is entered. A dotted figure opens to its working here.</p>
        </MarginNote>
      </MarginNotes>
    </>
  );
}
