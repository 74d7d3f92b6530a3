import { Link, useParams } from 'react-router';
import { useRecords } from '../app/api';
import { usePlot } from '../app/workspace';
import { PlotPages } from '../ui/PlotPages';
import { PrintButton } from '../ui/PrintButton';
import { Empty, Loading, Sheet } from '../ui/Sheet';
import { PlotOverview } from './PlotOverview';

/** The plot that is open: how big, what grows there, what its soil is, and what to do first. */
export function PlotView() {
  const { id } = useParams();
  const { plot, plots } = usePlot();
  const { isLoading } = useRecords('plot');
  if (isLoading) return <Loading what="the plots" />;
  const record = plots.find((p) => p.id === id) ?? (id ? undefined : plot);
  return (
    <Sheet
      title="Ground"
      question="Which plot, what grows there, and what is its soil?"
      actions={
        <>
          <PrintButton />
          <Link to="/ground/causes" className="action">
            What is wrong?
          </Link>
        </>
      }
    >
      <PlotPages plotId={record?.id} />
      {record ? (
        <PlotOverview key={record.id} plot={record} />
      ) : id ? (
        <Empty>
          That plot was taken out. It can be restored from the{' '}
          <Link to="/book" className="plain">
            book
          </Link>
          .
        </Empty>
      ) : (
        <Empty>
          No plot yet.{' '}
          <Link to="/ground/new" className="plain">
            Enter the first one
          </Link>
          : a name and its area are enough to begin.
        </Empty>
      )}
    </Sheet>
  );
}
