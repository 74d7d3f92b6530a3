import { useId, useState } from 'react';
import { Download, Upload } from 'lucide-react';
import { countWords, KINDS, RECORD_KINDS, type ImportReport } from '@wheat-ledger/contract';
import { problemOf, useImportWorkspaceMutation } from '../app/api';
import { dataAt } from '../app/ledger';
import { Remark } from '../ui/Sheet';
import { TakeBack } from '../ui/TakeBack';

const MOST_BYTES = 120_000_000;
type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'refused'; readonly words: string }
  | { readonly kind: 'tried' | 'done'; readonly name: string; readonly file: object; readonly report: ImportReport };

async function readFile(file: File): Promise<object | string> {
  if (file.size > MOST_BYTES)
    return `Read a file of ${Math.round(file.size / 1e6)} MB, expected at most ${MOST_BYTES / 1e6} MB.`;
  try {
    const parsed: unknown = JSON.parse(await file.text());
    return typeof parsed === 'object' && parsed !== null ? parsed : 'Read a file that is no workspace.';
  } catch {
    return `Read “${file.name}”, expected the JSON file that an export gives.`;
  }
}

function Report({
  state,
  onWrite,
  busy,
}: {
  state: Extract<State, { kind: 'tried' | 'done' }>;
  onWrite: () => void;
  busy: boolean;
}) {
  const { report, name } = state;
  const found = RECORD_KINDS.filter((kind) => report.found[KINDS[kind].list] > 0)
    .map((kind) => countWords(kind, report.found[KINDS[kind].list]))
    .join(', ');
  return (
    <div className="mt-3 border-l-4 border-line-strong bg-paper px-3 py-2" role="status" data-testid="import-report">
      <p>
        <b>{name}</b> holds {found || 'nothing'}. {report.added} would be new here, {report.alreadyHere}{' '}
        {report.alreadyHere === 1 ? 'is here already and stays as it is' : 'are here already and stay as they are'}.
      </p>
      {report.problems.length > 0 && (
        <>
          <p className="mt-1 text-beet">
            {report.problems.length} {report.problems.length === 1 ? 'thing does' : 'things do'} not fit, so nothing can
            be taken over:
          </p>
          <ul className="max-h-48 overflow-auto text-[0.9375rem]">
            {report.problems.map((p) => (
              <li key={p.path + p.message}>
                <code>{p.path}</code>: {p.message}
              </li>
            ))}
          </ul>
        </>
      )}
      {state.kind === 'done' ? (
        <div className="mt-1 flex flex-wrap items-center gap-3">
          <p className="text-moss">Taken over. Every record stands in the book below.</p>
          {report.operation && <TakeBack operation={report.operation} what="it all" />}
        </div>
      ) : (
        report.problems.length === 0 &&
        report.added > 0 && (
          <button type="button" className="action main mt-2" disabled={busy} onClick={onWrite}>
            {busy ? 'Taking over …' : `Take over ${report.added} ${report.added === 1 ? 'record' : 'records'}`}
          </button>
        )
      )}
    </div>
  );
}

/** The whole workspace out to one file, and in from one: tried first, written only when said so. */
export function Exchange() {
  const id = useId();
  const [state, setState] = useState<State>({ kind: 'idle' });
  const [send, { isLoading }] = useImportWorkspaceMutation();
  const tryFile = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const read = await readFile(file);
    if (typeof read === 'string') return setState({ kind: 'refused', words: read });
    const result = await send({ file: read, write: false });
    setState(
      result.data
        ? { kind: 'tried', name: file.name, file: read, report: result.data }
        : { kind: 'refused', words: problemOf(result.error).detail },
    );
  };
  const write = async (): Promise<void> => {
    if (state.kind !== 'tried') return;
    const result = await send({ file: state.file, write: true });
    setState(
      result.data
        ? { ...state, kind: result.data.written ? 'done' : 'tried', report: result.data }
        : { kind: 'refused', words: problemOf(result.error).detail },
    );
  };
  return (
    <section className="no-print mb-6">
      <div className="flex flex-wrap items-center gap-3">
        <a href={dataAt('workspace/export')} download className="action">
          <Download size={16} aria-hidden="true" />
          Export everything
        </a>
        <label htmlFor={id} className="action focus-within:outline-2">
          <Upload size={16} aria-hidden="true" />
          Look into a file
          <input
            id={id}
            type="file"
            accept="application/json,.json"
            className="sr-only"
            disabled={isLoading}
            onChange={(e) => {
              void tryFile(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </label>
        <span className="text-sm text-faint">
          One open JSON file, described by{' '}
          <a className="plain" href={dataAt('workspace/schema')}>
            its schema
          </a>
          . Nothing is written until you say so.
        </span>
      </div>
      {isLoading && state.kind === 'idle' && (
        <p className="mt-2 text-faint" role="status">
          Reading the file …
        </p>
      )}
      {state.kind === 'refused' && (
        <div className="mt-3" role="alert">
          <Remark tone="caution">{state.words}</Remark>
        </div>
      )}
      {(state.kind === 'tried' || state.kind === 'done') && (
        <Report state={state} busy={isLoading} onWrite={() => void write()} />
      )}
    </section>
  );
}
