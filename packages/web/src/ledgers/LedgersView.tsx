import { useState, type FormEvent } from 'react';
import type { Ledger } from '@wheat-ledger/contract';
import { problemOf, useLedgersQuery, useSaveLedgerMutation } from '../app/api';
import { LEDGER, pagesOf } from '../app/ledger';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Failed, Loading, Sheet } from '../ui/Sheet';

/** A name that is typed and sent, with what went wrong beside it. */
function NameForm({
  label,
  first = '',
  button,
  onName,
}: {
  label: string;
  first?: string;
  button: string;
  onName: (name: string) => Promise<string | undefined>;
}) {
  const [name, setName] = useState(first);
  const [trouble, setTrouble] = useState<string>();
  const send = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    setTrouble(await onName(name.trim()));
  };
  return (
    <form onSubmit={(e) => void send(e)} className="flex flex-wrap items-end gap-2">
      <label className="flex flex-col text-sm text-faint">
        {label}
        <input className="field !w-64" value={name} autoComplete="off" onChange={(e) => setName(e.target.value)} />
      </label>
      <button type="submit" className="action" disabled={name.trim() === '' || name.trim() === first}>
        {button}
      </button>
      {trouble && (
        <span role="alert" className="text-sm text-beet">
          {trouble}
        </span>
      )}
    </form>
  );
}

function Row({ ledger }: { ledger: Ledger }) {
  const [renaming, setRenaming] = useState(false);
  const [save] = useSaveLedgerMutation();
  const rename = async (name: string): Promise<string | undefined> => {
    const result = await save({ slug: ledger.slug, name });
    if (result.error) return problemOf(result.error).detail;
    setRenaming(false);
    return undefined;
  };
  return (
    <tr>
      <th scope="row">
        {renaming ? (
          <NameForm label="New name" first={ledger.name} button="Rename" onName={rename} />
        ) : (
          <a href={`${pagesOf(ledger.slug)}/shelf`} className="font-slab text-lg underline underline-offset-2">
            {ledger.name}
          </a>
        )}
        {ledger.slug === LEDGER && <span className="ml-2 text-sm text-moss">open now</span>}
      </th>
      <td className="text-faint">
        <code>{pagesOf(ledger.slug) || '/'}</code>
      </td>
      <td className="num">
        <button type="button" className="plain" onClick={() => setRenaming(!renaming)}>
          {renaming ? 'Cancel' : 'Rename'}
          <span className="sr-only"> {ledger.name}</span>
        </button>
      </td>
    </tr>
  );
}

/** One ledger for each gardener: which there are, and a new one. */
export function LedgersView() {
  const { data: ledgers, isLoading, error, refetch } = useLedgersQuery();
  const [save] = useSaveLedgerMutation();
  const open = async (name: string): Promise<string | undefined> => {
    const result = await save({ name });
    if (result.error) return problemOf(result.error).detail;
    globalThis.location.assign(`${pagesOf(result.data.slug)}/shelf`);
    return undefined;
  };
  if (isLoading) return <Loading what="the ledgers" />;
  return (
    <Sheet title="Ledgers" question="Whose garden are these books for?">
      {error !== undefined && <Failed error={error} retry={() => void refetch()} />}
      {ledgers && (
        <table className="ledger" data-testid="ledgers">
          <thead>
            <tr>
              <th scope="col">Ledger</th>
              <th scope="col">Its address</th>
              <th scope="col" className="num">
                <span className="sr-only">Change</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {ledgers.map((ledger) => (
              <Row key={ledger.slug} ledger={ledger} />
            ))}
          </tbody>
        </table>
      )}
      <section className="mt-6">
        <h2 className="mb-2 text-xl">A new ledger</h2>
        <NameForm label="Whose, or which garden" button="Open it" onName={open} />
      </section>
      <MarginNotes>
        <MarginNote title="Kept apart">
          <p>
            Each ledger has plots, bags, recipes, claims and a book of its own. The materials library is shared, and a
            bag or a recipe can be copied from one ledger to another.
          </p>
          <p className="mt-2">
            The address tells which ledger a page belongs to, so a link always opens the right one.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
