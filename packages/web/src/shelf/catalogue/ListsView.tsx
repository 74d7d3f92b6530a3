import { useState } from 'react';
import { Link } from 'react-router';
import type { CatalogueList, CataloguePreview } from '@wheat-ledger/contract';
import { formatTrimmed, printDay } from '@wheat-ledger/core';
import { problemOf } from '../../app/api';
import { deskSlice } from '../../app/slices';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { asTableFile } from '../../papers/sheets';
import { FormPart } from '../../ui/EditForm';
import { MarginNote, MarginNotes } from '../../ui/MarginNotes';
import { Empty, Failed, Loading, Remark, Sheet } from '../../ui/Sheet';
import { KIND_WORDS } from './changeWords';
import { FileButton, NewPrices, Offer } from './ListOffer';
import {
  useCatalogueChangesQuery,
  useCatalogueListsQuery,
  useReadListMutation,
  useTakeListBackMutation,
} from '../../app/catalogueApi';

/** Brings a seller's list in: read, looked at, taken over or left. */
function BringIn() {
  const [typed, setTyped] = useState({ list: '', seller: '', currency: 'EUR' });
  const [preview, setPreview] = useState<CataloguePreview>();
  const [trouble, setTrouble] = useState<string>();
  const [read, { isLoading: reading, reset }] = useReadListMutation();
  const decimal = useAppSelector((s) => s.settings.decimalMark);
  const name = typed.list.trim();
  const open = async (chosen: File | undefined): Promise<void> => {
    if (!chosen) return;
    setTrouble(undefined);
    setPreview(undefined);
    const list = name || chosen.name.replace(/\.[a-z]+$/i, '').slice(0, 120);
    setTyped({ ...typed, list });
    try {
      const file = await asTableFile(chosen);
      const found = await read({ file, list, currency: typed.currency.trim().toUpperCase(), decimal });
      if (found.error) setTrouble(problemOf(found.error).detail);
      else setPreview(found.data);
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : 'The file could not be read.');
    }
    reset();
  };
  const field = (key: keyof typeof typed, label: string, width: string) => (
    <label className={width}>
      <span className="block text-sm text-faint">{label}</span>
      <input
        className="field"
        aria-label={label}
        value={typed[key]}
        onChange={(e) => setTyped({ ...typed, [key]: e.target.value })}
      />
    </label>
  );
  return (
    <FormPart title="Bring a list in" hint="CSV or XLSX, a product a row; the headings say what the columns are">
      <div className="flex flex-wrap items-end gap-3">
        {field('list', 'Name of the list', 'w-56')}
        {field('seller', 'Seller', 'w-44')}
        {field('currency', 'Money where a row names none', 'w-56')}
        <FileButton
          label="A seller’s list, as CSV or XLSX"
          words="Choose a file"
          className="action"
          busy={reading}
          onFile={(file) => void open(file)}
        />
      </div>
      {trouble && (
        <div role="alert" className="mt-2">
          <Remark tone="caution">{trouble}</Remark>
        </div>
      )}
      {preview && (
        <Offer
          preview={preview}
          name={name}
          seller={typed.seller.trim()}
          onDone={(why) => {
            setTrouble(why);
            if (why === undefined) setPreview(undefined);
          }}
        />
      )}
    </FormPart>
  );
}

/** What changed with the last revision of a list. */
function Changes({ id }: { id: string }) {
  const { data = [], isLoading } = useCatalogueChangesQuery(id);
  if (isLoading) return <p className="text-faint">…</p>;
  return (
    <ul className="my-1 columns-1 text-[0.9375rem] sm:columns-2" data-testid="list-changes">
      {data.map((c, i) => (
        <li key={i}>
          <span className={c.kind === 'dearer' || c.kind === 'gone' ? 'text-beet' : 'text-moss'}>
            {KIND_WORDS[c.kind]}
          </span>{' '}
          {c.name}
          {c.priceBefore !== null && c.priceAfter !== null && c.priceBefore !== c.priceAfter && (
            <span className="text-faint">
              {' '}
              {formatTrimmed(c.priceBefore, 3)} → {formatTrimmed(c.priceAfter, 3)} a kg
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}

function ListLine({ list }: { list: CatalogueList }) {
  const [open, setOpen] = useState<'changes' | 'prices'>();
  const toggle = (what: 'changes' | 'prices'): void => setOpen(open === what ? undefined : what);
  const [takeBack, { isLoading }] = useTakeListBackMutation();
  const dispatch = useAppDispatch();
  const back = async (): Promise<void> => {
    const done = await takeBack(list.id);
    const text = done.error ? problemOf(done.error).detail : `“${list.name}” is as it was before.`;
    dispatch(deskSlice.actions.noticed({ text, recordId: undefined }));
  };
  return (
    <li className="border-b border-rule py-2" data-testid="list">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 className="min-w-0 flex-1 text-lg">{list.name}</h2>
        <span className="tabular-nums">{list.products} products</span>
        <span className="text-faint">
          {list.seller && `${list.seller}, `}
          {list.takenAt && `taken over on ${printDay(list.takenAt.slice(0, 10))}`}
        </span>
        {list.revision > 1 && (
          <button type="button" className="plain" aria-expanded={open === 'changes'} onClick={() => toggle('changes')}>
            what changed
          </button>
        )}
        {list.shared ? (
          <span className="text-faint">of the whole installation, read only</span>
        ) : (
          <>
            <button type="button" className="plain" aria-expanded={open === 'prices'} onClick={() => toggle('prices')}>
              new prices
            </button>
            <button type="button" className="plain" disabled={isLoading} onClick={() => void back()}>
              {list.revision === 1 ? 'take it out' : 'take the last one back'}
            </button>
          </>
        )}
      </div>
      {open === 'changes' && <Changes id={list.id} />}
      {open === 'prices' && <NewPrices list={list} />}
    </li>
  );
}

/** Sellers' lists: brought in, looked at, taken back. */
export function ListsView() {
  const { data: lists = [], isLoading, error } = useCatalogueListsQuery();
  if (isLoading) return <Loading what="the lists" />;
  return (
    <Sheet
      title="Sellers’ lists"
      question="Whose whole lists do we search?"
      actions={
        <Link to="/shelf/catalogue" className="action main">
          Search them
        </Link>
      }
    >
      {error !== undefined && <Failed error={error} />}
      {lists.length === 0 ? (
        <Empty>No list yet. The shelf keeps what you have; lists hold what could be bought.</Empty>
      ) : (
        <ul className="mb-6">
          {lists.map((list) => (
            <ListLine key={list.id} list={list} />
          ))}
        </ul>
      )}
      <BringIn />
      <MarginNotes>
        <MarginNote title="The next list of a seller">
          <p>
            Bring it in under the same name. Before anything changes you see what is new, dearer, cheaper, reformulated
            and gone; it is taken over as one, and taken back as one.
          </p>
        </MarginNote>
        <MarginNote title="What is the same product">
          <p>Name, seller and package. A product in two packages is two rows.</p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
