import { useState } from 'react';
import { Link } from 'react-router';
import { CATALOGUE_CHANGES, type CatalogueList, type CataloguePreview } from '@wheat-ledger/contract';
import { formatTrimmed, printDay } from '@wheat-ledger/core';
import { problemOf } from '../../app/api';
import { deskSlice } from '../../app/slices';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { asTableFile, TABLE_FILES } from '../../papers/sheets';
import { FormPart } from '../../ui/EditForm';
import { MarginNote, MarginNotes } from '../../ui/MarginNotes';
import { Empty, Failed, Loading, Remark, Sheet } from '../../ui/Sheet';
import { KIND_WORDS } from './changeWords';
import {
  useCatalogueChangesQuery,
  useCatalogueListsQuery,
  useLeaveListMutation,
  useReadListMutation,
  useReadPricesMutation,
  useTakeListBackMutation,
  useTakeListMutation,
} from '../../app/catalogueApi';

const MOST_SHOWN = 12;

/** What a list that was read would change, and the rows that could not be read. */
function Preview({ preview }: { preview: CataloguePreview }) {
  const { rows, good, problems, differences } = preview;
  return (
    <>
      <p>
        {good} of {rows} rows were read:{' '}
        {CATALOGUE_CHANGES.filter((kind) => differences[kind] > 0)
          .map((kind) => `${differences[kind]} ${KIND_WORDS[kind]}`)
          .join(', ') || 'nothing differs from the list as it stands'}
        .
      </p>
      {problems.length > 0 && (
        <ul className="my-1 ml-5 list-disc text-[0.9375rem]">
          {problems.slice(0, MOST_SHOWN).map((p, i) => (
            <li key={i}>
              Row {p.row}: {p.message}
            </li>
          ))}
          {problems.length > MOST_SHOWN && <li>and more.</li>}
        </ul>
      )}
    </>
  );
}

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
    <FormPart title="Bring a list in" hint="a product a row; the headings say what the columns are">
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

/** What was read of a list, with taking it over or leaving it. */
function Offer({
  preview,
  name,
  seller,
  onDone,
}: {
  preview: CataloguePreview;
  name: string;
  seller: string;
  onDone: (trouble?: string) => void;
}) {
  const [take, { isLoading: taking }] = useTakeListMutation();
  const [leave] = useLeaveListMutation();
  const dispatch = useAppDispatch();
  const takeOver = async (): Promise<void> => {
    const done = await take({ importId: preview.importId, list: name, seller });
    if (done.error) return onDone(problemOf(done.error).detail);
    const text = `Took over “${done.data.name}”: ${done.data.products} products.`;
    dispatch(deskSlice.actions.noticed({ text, recordId: undefined }));
    onDone();
  };
  return (
    <div className="mt-3 border-l-4 border-slate bg-paper px-3 py-2" data-testid="list-preview">
      <Preview preview={preview} />
      <p className="mt-1 flex gap-2">
        <button
          type="button"
          className="action main"
          disabled={taking || name === '' || preview.good === 0}
          onClick={() => void takeOver()}
        >
          {taking ? 'Taking over …' : `Take it over as “${name}”`}
        </button>
        <button
          type="button"
          className="action"
          onClick={() => {
            void leave(preview.importId);
            onDone();
          }}
        >
          Leave it
        </button>
      </p>
    </div>
  );
}

/** A file that is chosen by a button. */
function FileButton({
  label,
  words,
  className,
  busy,
  onFile,
}: {
  label: string;
  words: string;
  className: string;
  busy: boolean;
  onFile: (file: File | undefined) => void;
}) {
  return (
    <label className={`${className} focus-within:outline-2`}>
      {busy ? 'Reading …' : words}
      <input
        type="file"
        className="sr-only"
        aria-label={label}
        accept={TABLE_FILES}
        disabled={busy}
        onChange={(e) => {
          onFile(e.target.files?.[0]);
          e.target.value = '';
        }}
      />
    </label>
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

/** Brings new prices to a list that is there: from the seller's server, or from a file of the same columns. */
function NewPrices({ list }: { list: CatalogueList }) {
  const [preview, setPreview] = useState<CataloguePreview>();
  const [trouble, setTrouble] = useState<string>();
  const [read, { isLoading }] = useReadPricesMutation();
  const ask = async (chosen: File | undefined): Promise<void> => {
    setTrouble(undefined);
    setPreview(undefined);
    try {
      const found = await read({ id: list.id, file: chosen && (await asTableFile(chosen)) });
      if (found.error) setTrouble(problemOf(found.error).detail);
      else setPreview(found.data);
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : 'The file could not be read.');
    }
  };
  return (
    <div className="my-2" data-testid="new-prices">
      <p className="flex flex-wrap items-baseline gap-4">
        <button type="button" className="plain" disabled={isLoading} onClick={() => void ask(undefined)}>
          ask the seller
        </button>
        <FileButton
          label={`A price list for ${list.name}`}
          words="from a file"
          className="plain"
          busy={isLoading}
          onFile={(file) => file && void ask(file)}
        />
        <span className="text-sm text-faint">
          columns: item, size, unit, price, currency; seen, status and seller where there are any
        </span>
      </p>
      {trouble && (
        <div role="alert">
          <Remark tone="caution">{trouble}</Remark>
        </div>
      )}
      {preview && (
        <Offer
          preview={preview}
          name={list.name}
          seller={list.seller}
          onDone={(why) => {
            setTrouble(why);
            if (why === undefined) setPreview(undefined);
          }}
        />
      )}
    </div>
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
