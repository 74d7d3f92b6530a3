import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import type { PlotRecord } from '@wheat-ledger/contract';
import { useRecords } from '../app/api';
import { Empty, Loading, Sheet } from './Sheet';

/** The plot a page is about, or what to show instead of the page. */
export function usePlotPage(): { readonly plot: PlotRecord } | { readonly instead: ReactNode } {
  const { id } = useParams();
  const { records, isLoading } = useRecords('plot');
  if (isLoading) return { instead: <Loading what="the plot" /> };
  const plot = records.find((p) => p.id === id);
  return plot
    ? { plot }
    : {
        instead: (
          <Sheet title="No such plot" question="It was taken out, or was never here.">
            <Empty>What was taken out can be restored from the book.</Empty>
          </Sheet>
        ),
      };
}
