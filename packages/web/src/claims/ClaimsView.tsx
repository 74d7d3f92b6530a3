import { useMemo } from 'react';
import { Link } from 'react-router';
import { Plus } from 'lucide-react';
import type { ClaimRecord } from '@wheat-ledger/contract';
import { decidedWords, type Judgement, type Product } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useShelfWith } from '../app/workspace';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Failed, Loading, Sheet } from '../ui/Sheet';
import { useJudge } from './useJudge';
import { verdictInk } from './verdictInk';

/** One claim with its verdict. */
function ClaimRow({
  record,
  product,
  judgement,
}: {
  record: ClaimRecord;
  product: Product | undefined;
  judgement: Judgement | undefined;
}) {
  return (
    <li className="border-b border-rule py-3">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 sm:flex-nowrap">
        <div className="min-w-0 flex-1">
          <h2 className="text-lg">
            <Link to={`/claims/${record.id}`} className="hover:underline">
              “{record.statement}”
            </Link>
          </h2>
          <p className="text-faint">
            {record.saidBy || 'nobody named'}, of {product?.name ?? 'a bag no longer on the shelf'}
          </p>
        </div>
        <div className="shrink-0 sm:w-56">
          {judgement ? (
            <>
              <p
                className={`font-slab text-lg font-semibold ${verdictInk(record.overrule?.verdict ?? judgement.verdict)}`}
              >
                {record.overrule?.verdict ?? judgement.verdict}
                {judgement.couldHarm && <span className="text-base text-beet"> · could do harm</span>}
              </p>
              <p className="text-sm text-faint">
                by {decidedWords(judgement)}; {judgement.sure} sureness
              </p>
            </>
          ) : (
            <p className="text-faint">Restore the bag to judge it.</p>
          )}
        </div>
      </div>
    </li>
  );
}

/** Every claim, each with its verdict. */
export function ClaimsView() {
  const { records, isLoading, error } = useRecords('claim');
  const { shelf, isLoading: shelfLoading } = useShelfWith(records.map((r) => r.productId));
  const judgeClaim = useJudge(
    records.map((r) => r.productId),
    shelf,
  );
  const rows = useMemo(
    () =>
      records.map((record) => ({
        record,
        product: shelf.find((s) => s.record.id === record.productId)?.product,
        judgement: judgeClaim(record),
      })),
    [records, shelf, judgeClaim],
  );
  if (isLoading || shelfLoading) return <Loading what="the claims" />;
  return (
    <Sheet
      title="Claims"
      question="Is what the bag promises true, and of use here?"
      actions={
        <>
          <Link to="/claims/compare" className="action">
            Side by side
          </Link>
          <Link to="/claims/studies" className="action">
            Studies
          </Link>
          <Link to="/claims/new" className="action main">
            <Plus size={17} aria-hidden="true" />
            Take a claim apart
          </Link>
        </>
      }
    >
      {error !== undefined ? (
        <Failed error={error} />
      ) : records.length === 0 ? (
        <Empty>
          No claim yet. Write down what a maker, a forum or a neighbour says of a bag, and the checks run on it.
        </Empty>
      ) : (
        <ul>
          {rows.map((row) => (
            <ClaimRow key={row.record.id} {...row} />
          ))}
        </ul>
      )}
      <MarginNotes>
        <MarginNote title="Verdicts">
          <p>
            <b>Stands</b>, <b>Stands where …</b>, <b>Not shown</b>, <b>Does not stand</b>; and beside them,{' '}
            <b>Could do harm</b>. A claim with no study is not shown; that is not the same as shown not to work.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
