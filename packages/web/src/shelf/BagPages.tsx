import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import type { ProductRecord } from '@wheat-ledger/contract';
import { useRecords } from '../app/api';
import { Pages, type PageList } from '../ui/Pages';
import { Empty, Loading, Sheet } from '../ui/Sheet';

const PAGES: PageList = [
  ['', 'Label'],
  ['/elements', 'Elements'],
  ['/curve', 'Own curve'],
  ['/versions', 'Versions'],
];

/** The pages of one bag. */
export const BagPages = ({ id }: { id: string }) => (
  <Pages label="Pages of this bag" base={`/shelf/${id}`} pages={PAGES} />
);

/** The bag a page is about, or what to show instead of the page. */
export function useBagPage(): { readonly record: ProductRecord } | { readonly instead: ReactNode } {
  const { id } = useParams();
  const { records, isLoading } = useRecords('product');
  if (isLoading) return { instead: <Loading what="the bag" /> };
  const record = records.find((r) => r.id === id);
  return record
    ? { record }
    : {
        instead: (
          <Sheet title="Not on the shelf" question="This bag was taken off the shelf, or was never here.">
            <Empty>Taken-off bags can be restored at the foot of the shelf.</Empty>
          </Sheet>
        ),
      };
}
