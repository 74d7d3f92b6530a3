import { MOST_ON_BENCH } from '@wheat-ledger/contract';
import { useBench, useBenchChanges } from '../app/bench';
import { useShelf } from '../app/workspace';
import { Link } from 'react-router';
import { Empty, Loading } from './Sheet';

/** What a comparison says when nothing is compared: how to take back what is set aside, to lay the shelf on the bench, or to fill the shelf. */
export function FillBench({ what }: { what: string }) {
  const { items, isLoading: benchLoading } = useBench();
  const { lay } = useBenchChanges();
  const { shelf, isLoading } = useShelf();
  if (benchLoading || isLoading) return <Loading what="the bench" />;
  const first = shelf.slice(0, MOST_ON_BENCH);
  if (items.length > 0) return <Empty>All of the bench is set aside. Press its number to take it back.</Empty>;
  if (first.length === 0)
    return (
      <Empty>
        There is no bag yet.{' '}
        <Link to="/shelf/label" className="plain">
          Paste the label of one
        </Link>
        , and it can be compared.
      </Empty>
    );
  return (
    <Empty>
      <p>
        Put bags on the bench from the{' '}
        <Link to="/shelf" className="plain">
          shelf
        </Link>{' '}
        {what}
      </p>
      <button
        type="button"
        className="action main mt-2"
        onClick={() => lay(first.map(({ record }) => ({ kind: 'product', id: record.id, aside: false })))}
      >
        {first.length === 1 ? 'Put the one bag there is on it' : `Put the first ${first.length} of the shelf on it`}
      </button>
    </Empty>
  );
}
