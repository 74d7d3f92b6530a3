import { PlotPages } from '../ui/PlotPages';
import { Sheet } from '../ui/Sheet';
import { usePlotPage } from '../ui/usePlotPage';
import { SoilReports } from './SoilReports';

/** What is known of a plot's soil, from its reports and its pH. */
export function SoilView() {
  const page = usePlotPage();
  if ('instead' in page) return page.instead;
  return (
    <Sheet title="Ground" question={`What do the reports say of ${page.plot.name}, and what follows?`}>
      <PlotPages plotId={page.plot.id} />
      <SoilReports key={page.plot.id} plot={page.plot} />
    </Sheet>
  );
}
