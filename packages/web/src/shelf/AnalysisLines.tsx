import { useEffect, useState, type KeyboardEvent } from 'react';
import { Pencil } from 'lucide-react';
import { get, useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { blankLine, lineText, type LineText, type ProductText } from '@wheat-ledger/contract';
import {
  ANALYSIS_UNITS,
  ANALYTES,
  analyteName,
  basesOf,
  basisWord,
  formulaText,
  PROVENANCES,
  readLabel,
  type Analyte,
} from '@wheat-ledger/core';
import { SelectField, TextField } from '../ui/Field';
import { lineWords } from './lineWords';
import { options, RowRemover } from './ProductRows';

const ANALYTE_OPTIONS = options(ANALYTES, (a) =>
  a.startsWith('N.') ? `– ${analyteName(a as Analyte)}` : `${a} ${analyteName(a as Analyte)}`,
);

/** The bases of a line; what only an extract holds is offered for measured figures, and stays where it was chosen. */
function basisOptions(line: LineText | undefined) {
  const bases = basesOf((line?.analyte ?? 'N') as Analyte);
  const extracts = line?.provenance === 'measured' || line?.basis.endsWith('available');
  return [
    ...options(bases, formulaText),
    ...(extracts ? bases.map((b) => ({ value: basisWord(b, 'available'), text: `${formulaText(b)}, extract` })) : []),
  ];
}

/** A line as the label says it, read as a pasted label is. */
function TypedLine({ onRead }: { onRead: (lines: readonly LineText[]) => void }) {
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState('');
  const read = (): void => {
    if (text.trim() === '') return;
    const { analysis, lines } = readLabel(text, 'label');
    if (analysis.length === 0)
      return setTrouble(`Read “${text.trim()}”, expected a name and an amount such as N 16 %, or 4 % nitrate N.`);
    onRead(analysis.map((figure) => ({ ...lineText(figure), source: 'bag label' })));
    setText('');
    // What stood beside it and was not understood is told, not dropped.
    setTrouble(lines.find((l) => l.kind === 'notUnderstood')?.says ?? '');
  };
  const onKey = (event: KeyboardEvent): void => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    read();
  };
  return (
    <div className="mt-2">
      <label className="text-sm text-faint" htmlFor="typed-line">
        Add a line as the label says it
      </label>
      <div className="flex gap-2">
        <input
          id="typed-line"
          className="field max-w-md"
          autoComplete="off"
          placeholder="N 16 %, of it 12 % urea N"
          value={text}
          aria-invalid={trouble !== ''}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={onKey}
        />
        <button type="button" className="action" onClick={read}>
          Add
        </button>
      </div>
      {trouble && (
        <p role="alert" className="mt-0.5 text-sm text-beet">
          {trouble}
        </p>
      )}
    </div>
  );
}

/** All there is to a line, each part in its field. */
const OpenLine = ({
  at,
  line,
  number,
}: {
  at: (part: string) => string;
  line: LineText | undefined;
  number: number;
}) => (
  <div className="grid grid-cols-2 gap-x-3 gap-y-1 sm:grid-cols-3">
    <SelectField name={at('analyte')} label={`Line ${number}, nutrient`} options={ANALYTE_OPTIONS} />
    <TextField name={at('value')} label={`Line ${number}, value`} placeholder="5, 4–6 or < 20" />
    <SelectField name={at('unit')} label={`Line ${number}, unit`} options={options(ANALYSIS_UNITS)} />
    <SelectField name={at('basis')} label={`Line ${number}, given as`} options={basisOptions(line)} term="basis" />
    <SelectField
      name={at('provenance')}
      label={`Line ${number}, from`}
      options={options(PROVENANCES)}
      term="provenance"
    />
    <TextField name={at('source')} label={`Line ${number}, source`} />
  </div>
);

/** Whether a line is read, has only its amount typed, or is open with all its parts. */
type Mode = 'read' | 'amount' | 'open';

function Line({
  index,
  line,
  mode,
  onMode,
  onRemove,
}: {
  index: number;
  line: LineText;
  mode: Mode;
  onMode: (mode: Mode) => void;
  onRemove: () => void;
}) {
  const number = index + 1;
  const at = (part: string): string => `analysis.${index}.${part}`;
  const words = lineWords(line);
  return (
    <li
      className={`flex gap-3 border-b border-rule ${mode === 'open' ? 'items-start py-2' : 'items-center'} ${words.part && mode !== 'open' ? 'pl-6' : ''}`}
    >
      <div className="min-w-0 flex-1">
        {mode === 'open' && <OpenLine at={at} line={line} number={number} />}
        {mode === 'amount' && (
          <div className="flex items-baseline gap-2">
            <span className="w-40 shrink-0">
              <b>{lineWords({ ...line, value: '' }).amount.replace(/ ?not typed yet/, '')}</b> {words.name}
            </span>
            <TextField
              name={at('value')}
              label={`Line ${number}, value`}
              bare
              placeholder="5 or 4–6"
              className="w-28"
            />
            <span className="text-faint">{line.unit}</span>
          </div>
        )}
        {mode === 'read' && (
          <p>
            {words.part && <span className="text-faint">of it </span>}
            <b className="tabular-nums">{words.amount}</b> {words.name}
            {words.from && <span className="text-sm text-faint"> – {words.from}</span>}
          </p>
        )}
      </div>
      <button
        type="button"
        className="cursor-pointer p-2"
        aria-expanded={mode === 'open'}
        title={mode === 'open' ? `Close line ${number}` : `Change line ${number}`}
        onClick={() => onMode(mode === 'open' ? 'read' : 'open')}
      >
        <Pencil size={15} aria-hidden="true" />
        <span className="sr-only">{mode === 'open' ? `Close line ${number}` : `Change line ${number}`}</span>
      </button>
      <RowRemover what={`line ${number}`} onClick={onRemove} />
    </li>
  );
}

/** The lines of the analysis as they would be read out; each opens to be changed, and what is typed as text is read as a label is. */
export function AnalysisLines() {
  const { control, formState, setValue } = useFormContext<ProductText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'analysis' });
  const lines = useWatch({ control, name: 'analysis' });
  const [modes, setModes] = useState<Readonly<Record<string, Mode>>>({});
  // A line is shown as it was when it came: one that came blank keeps its field while it is typed.
  useEffect(() => {
    setModes((known) => {
      const first = Object.keys(known).length === 0;
      const fresh = fields.filter((f) => !(f.id in known));
      if (fresh.length === 0) return known;
      const blank: Mode = first ? 'amount' : 'open';
      return { ...known, ...Object.fromEntries(fresh.map((f) => [f.id, f.value.trim() === '' ? blank : 'read'])) };
    });
  }, [fields]);
  const modeOf = (id: string, index: number): Mode => {
    const mode = modes[id] ?? 'read';
    return mode === 'read' && get(formState.errors, `analysis.${index}`) !== undefined ? 'open' : mode;
  };
  const take = (read: readonly LineText[]): void => {
    for (const line of read) {
      const blank = lines.findIndex((l) => l.analyte === line.analyte && l.value.trim() === '');
      if (blank >= 0) setValue(`analysis.${blank}`, line, { shouldDirty: true });
      else append(line, { shouldFocus: false });
    }
  };
  return (
    <>
      <ol data-testid="analysis-lines">
        {fields.map((field, i) => (
          <Line
            key={field.id}
            index={i}
            line={lines[i] ?? field}
            mode={modeOf(field.id, i)}
            onMode={(mode) => setModes({ ...modes, [field.id]: mode })}
            onRemove={() => remove(i)}
          />
        ))}
      </ol>
      <TypedLine onRead={take} />
      <button
        type="button"
        className="plain mt-1 text-[0.9375rem]"
        onClick={() => append(blankLine('Ca'), { shouldFocus: false })}
      >
        Another line by hand
      </button>
    </>
  );
}
