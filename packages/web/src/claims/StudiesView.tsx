import { useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { Download, FolderOpen, Plus } from 'lucide-react';
import { studyName, type StudyInput, type StudyRecord } from '@wheat-ledger/contract';
import { DESIGN_WORDS } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { saveText } from '../ui/saveFile';
import { Empty, Failed, Loading, Remark, Sheet } from '../ui/Sheet';
import { TaskNote } from '../ui/TaskNote';
import { useTakeOver } from '../ui/useTakeOver';
import { useTask, type Job } from '../ui/useTask';
import type { ReferencesWorker } from '../workers/references.worker';
import { newStudies, type ReadReferences } from '../references/citations';
import { REFERENCE_FORMATS, type ReferenceFormat } from '../references/formats';

const start = (): Worker => new Worker(new URL('../workers/references.worker.ts', import.meta.url), { type: 'module' });
const READ: Job<ReferencesWorker, string, ReadReferences> = {
  what: 'the references',
  start,
  run: (remote, text) => remote.read(text),
};
interface Wanted {
  readonly format: ReferenceFormat;
  readonly studies: readonly StudyRecord[];
}
const WRITE: Job<ReferencesWorker, Wanted, string> = {
  what: 'the reference file',
  start,
  run: (remote, { studies, format }) => remote.write(studies, format),
};
const FORMAT_WORDS: Readonly<Record<ReferenceFormat, string>> = { bibtex: 'BibTeX', ris: 'RIS', csl: 'CSL-JSON' };
/** Buttons that save all studies as a reference file. */
function SaveReferences({ studies }: { studies: readonly StudyRecord[] }) {
  const [wanted, setWanted] = useState<Wanted>();
  const { result, error } = useTask(WRITE, wanted);
  useEffect(() => {
    if (!wanted || result === undefined) return;
    saveText(`studies.${REFERENCE_FORMATS[wanted.format]}`, result, 'text/plain');
    setWanted(undefined);
  }, [wanted, result]);
  return (
    <>
      {Object.entries(FORMAT_WORDS).map(([format, words]) => (
        <button
          key={format}
          type="button"
          className="action"
          onClick={() => setWanted({ format: format as ReferenceFormat, studies })}
        >
          <Download size={16} aria-hidden="true" />
          {words}
        </button>
      ))}
      {error !== undefined && <p role="alert">{error}</p>}
    </>
  );
}
const MOST_SHOWN = 8;

/** What a reference file holds, and taking over what is new of it. */
function FoundReferences({
  read,
  there,
  onDone,
}: {
  read: ReadReferences;
  there: readonly StudyInput[];
  onDone: () => void;
}) {
  const { takeOver, isLoading } = useTakeOver('study', 'references');
  const fresh = useMemo(() => newStudies(read.studies, there), [read, there]);
  const known = read.studies.length - fresh.length;
  const take = async (): Promise<void> => {
    if (await takeOver(fresh)) onDone();
  };
  return (
    <div className="my-4 border-l-4 border-slate bg-paper px-3 py-2" data-testid="references">
      <p>
        {read.studies.length} references were read
        {known > 0 && `, ${known} of them are here already`}
        {read.broken.length > 0 && `, and ${read.broken.length} could not be read`}.
      </p>
      {read.broken.length > 0 && (
        <ul className="my-1 ml-5 list-disc text-[0.9375rem]">
          {read.broken.slice(0, MOST_SHOWN).map((b) => (
            <li key={b.at}>
              Entry {b.at}, “{b.begins}”: {b.why}.
            </li>
          ))}
          {read.broken.length > MOST_SHOWN && <li>and {read.broken.length - MOST_SHOWN} more.</li>}
        </ul>
      )}
      <p className="flex gap-2">
        <button type="button" className="action" disabled={isLoading || fresh.length === 0} onClick={() => void take()}>
          {isLoading ? 'Taking over …' : `Take over ${fresh.length}`}
        </button>
        <button type="button" className="action" onClick={onDone}>
          Leave it
        </button>
      </p>
    </div>
  );
}

/** Every study that is kept, and reference files in and out. */
export function StudiesView() {
  const { records, isLoading, error } = useRecords('study');
  const file = useRef<HTMLInputElement>(null);
  const [text, setText] = useState<string>();
  const task = useTask(READ, text);
  if (isLoading) return <Loading what="the studies" />;
  return (
    <Sheet
      title="Studies"
      question="What did trials find, and how were they made?"
      actions={
        <>
          <Link to="/claims" className="action">
            The claims
          </Link>
          <button type="button" className="action" onClick={() => file.current?.click()}>
            <FolderOpen size={16} aria-hidden="true" />A reference file
          </button>
          {records.length > 0 && <SaveReferences studies={records} />}
          <Link to="/claims/studies/new" className="action main">
            <Plus size={17} aria-hidden="true" />A study
          </Link>
        </>
      }
    >
      <input
        ref={file}
        type="file"
        className="hidden"
        aria-label="A reference file, BibTeX, RIS or CSL-JSON"
        accept=".bib,.ris,.json,.txt"
        onChange={(e) => {
          const [chosen] = e.target.files ?? [];
          void chosen?.text().then(setText);
          e.target.value = '';
        }}
      />
      <TaskNote task={task} what="the references" />
      {text !== undefined && task.result && (
        <FoundReferences read={task.result} there={records} onDone={() => setText(undefined)} />
      )}
      {error !== undefined && <Failed error={error} />}
      {records.some((r) => r.sample) && (
        <Remark tone="note">Studies of the sample are invented. They show how this works and prove nothing.</Remark>
      )}
      {records.length === 0 ? (
        <Empty>No study yet. Enter one, or open a file of references in BibTeX, RIS or CSL-JSON.</Empty>
      ) : (
        <div className="mt-3 overflow-x-auto">
          <table className="ledger" data-testid="studies">
            <caption className="sr-only">Studies</caption>
            <thead>
              <tr>
                <th scope="col">Study</th>
                <th scope="col">title</th>
                <th scope="col">design</th>
                <th scope="col">gives</th>
              </tr>
            </thead>
            <tbody>
              {records.map((r) => (
                <tr key={r.id}>
                  <th scope="row">
                    <Link to={`/claims/studies/${r.id}`} className="plain">
                      {studyName(r)}
                    </Link>
                  </th>
                  <td className="text-[0.9375rem]">
                    {r.title} {r.sample && <b>sample</b>}
                  </td>
                  <td className="whitespace-nowrap">{DESIGN_WORDS[r.design]}</td>
                  <td>{r.result.kind}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <MarginNotes>
        <MarginNote title="Reference files">
          <p>
            Each entry is read by itself: a broken one is told and costs no other. What is here already, by its DOI or
            by title, year and author, is not taken twice. Nothing is looked up over the network.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
