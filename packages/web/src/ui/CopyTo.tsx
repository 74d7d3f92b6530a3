import { KINDS, type RecordKind } from '@wheat-ledger/contract';
import { problemOf, useCopyToMutation, useLedgersQuery } from '../app/api';
import { LEDGER } from '../app/ledger';
import { deskSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';

/** Copies a record, with what it refers to, into another ledger; nothing where there is only one. */
export function CopyTo({ kind, id }: { kind: RecordKind; id: string }) {
  const { data: ledgers = [] } = useLedgersQuery();
  const [copy, { isLoading }] = useCopyToMutation();
  const dispatch = useAppDispatch();
  const others = ledgers.filter((l) => l.slug !== LEDGER);
  if (others.length === 0) return null;
  const send = async (slug: string): Promise<void> => {
    const name = others.find((l) => l.slug === slug)?.name ?? slug;
    const result = await copy({ ledger: slug, kind, id });
    const text = result.error
      ? problemOf(result.error).detail
      : result.data.added === 0
        ? `${name} has this ${KINDS[kind].word} already.`
        : `Copied to ${name}${result.data.added > 1 ? `, ${result.data.added} records in all` : ''}.`;
    dispatch(deskSlice.actions.noticed({ text, recordId: undefined }));
  };
  return (
    <select
      aria-label={`Copy this ${KINDS[kind].word} to another ledger`}
      className="field !w-auto"
      value=""
      disabled={isLoading}
      onChange={(e) => void send(e.target.value)}
    >
      <option value="">Copy to …</option>
      {others.map((l) => (
        <option key={l.slug} value={l.slug}>
          {l.name}
        </option>
      ))}
    </select>
  );
}
