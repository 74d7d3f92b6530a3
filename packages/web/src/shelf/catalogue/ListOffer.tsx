import { useState } from 'react';
import { CATALOGUE_CHANGES, type CatalogueList, type CataloguePreview } from '@wheat-ledger/contract';
import { problemOf } from '../../app/api';
import { useLeaveListMutation, useReadPricesMutation, useTakeListMutation } from '../../app/catalogueApi';
import { deskSlice } from '../../app/slices';
import { useAppDispatch } from '../../app/store';
import { asTableFile, TABLE_FILES } from '../../papers/sheets';
import { Remark } from '../../ui/Sheet';
import { KIND_WORDS } from './changeWords';

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

/** What was read of a list, with taking it over or leaving it. */
export function Offer({
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
export function FileButton({
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

/** Brings new prices to a list that is there: from the seller's server, or from a file of the same columns. */
export function NewPrices({ list }: { list: CatalogueList }) {
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
