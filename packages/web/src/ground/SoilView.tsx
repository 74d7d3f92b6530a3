import type { PlotRecord } from '@wheat-ledger/contract';
import { printDay } from '@wheat-ledger/core';
import { missingOf, usePlotKnown } from '../app/plotKnown';
import { Term } from '../glossary/Term';
import { MarginNotes } from '../ui/MarginNotes';
import { PlotPages } from '../ui/PlotPages';
import { RestsOn } from '../ui/RestsOn';
import { Sheet } from '../ui/Sheet';
import { usePlotPage } from '../ui/usePlotPage';
import { SoilReports } from './SoilReports';

/** What is known of a plot's soil, from its reports and its pH. */
export function SoilView() {
  const page = usePlotPage();
  if ('instead' in page) return page.instead;
  return <PlotSoil key={page.plot.id} plot={page.plot} />;
}

function PlotSoil({ plot }: { plot: PlotRecord }) {
  const known = usePlotKnown(plot);
  const report = known?.report;
  return (
    <Sheet title="Ground" question={`What do the reports say of ${plot.name}, and what follows?`}>
      <PlotPages plotId={plot.id} />
      <SoilReports plot={plot} />
      <MarginNotes>
        <RestsOn
          assumed={[
            report
              ? `What follows goes by the newest report, of ${printDay(report.sampledOn)}.`
              : 'Without a report only what the plot itself says is known.',
            report?.figures.some((f) => f.analyte === 'bulkDensity') ? (
              'What a litre of this soil weighs is measured.'
            ) : (
              <>
                What a litre of this soil weighs is usual for {plot.texture}; a{' '}
                <Term of="bulkDensity">bulk density</Term> in the report replaces it.
              </>
            ),
            'Low, medium and high hold within one method only.',
          ]}
          missing={missingOf(plot, known).filter(({ to }) => to?.endsWith('/soil') || to?.endsWith('/edit'))}
        />
      </MarginNotes>
    </Sheet>
  );
}
