import { Link, useParams } from 'react-router';
import { printDay } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { Attachments } from '../ui/Attachments';
import { Empty, Loading, Sheet } from '../ui/Sheet';
import { RoundPages } from './RoundPages';

/** Photos of one thing that was done. */
export function EntryPhotos() {
  const { id } = useParams();
  const { records, isLoading } = useRecords('entry');
  const entry = records.find((r) => r.id === id);
  if (isLoading) return <Loading what="the entry" />;
  return (
    <Sheet
      title={entry ? entry.what : 'No such entry'}
      question={entry ? `What was done on ${printDay(entry.on)}, as it looked.` : 'It was undone, or was never here.'}
      actions={
        <Link to="/rounds/log" className="action">
          Back to the log
        </Link>
      }
    >
      <RoundPages />
      {entry ? (
        <Attachments owner={{ entryId: entry.id }} title="Photos" hint="a photo or a PDF of at most 5 MB" />
      ) : (
        <Empty>The book shows what was undone.</Empty>
      )}
    </Sheet>
  );
}
