import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import {
  ANALYTES,
  analyteName,
  basesOf,
  formatGiven,
  formulaText,
  PROTEIN_FACTOR_KEYS,
  PROTEIN_FACTORS,
  readLabel,
  type Analyte,
  type Basis,
  type Correction,
  type LabelLine,
  type LineKind,
  type Product,
} from '@wheat-ledger/core';
import { readKept, writeKept } from '../app/keep';
import { useAppSelector } from '../app/store';
import { Bag } from '../ui/Bag';
import { Choice } from '../ui/Choice';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Remark, Sheet } from '../ui/Sheet';
import { carryCorrections } from './carryCorrections';
import { textFromLabel } from './startedText';

type Paper = 'label' | 'measured';
interface Kept {
  readonly text: string;
  readonly paper: Paper;
  readonly corrections: Readonly<Record<number, Correction>>;
}
const DRAFT = 'draft.label';
/** Characters of a label's text that are kept with its bag. */
const MOST_KEPT = 20_000;

const KIND_WORDS: Readonly<Record<LineKind, string>> = {
  grade: 'grade',
  analysis: 'figure',
  part: 'set aside',
  derivedFrom: 'ingredients',
  package: 'package',
  density: 'density',
  liming: 'liming',
  ratio: 'ratio',
  rate: 'rate',
  heading: 'heading',
  setAside: 'set aside',
  blank: '',
  notUnderstood: 'not understood',
};
const kindInk = (kind: LineKind): string =>
  kind === 'notUnderstood'
    ? 'text-beet'
    : kind === 'part' || kind === 'setAside' || kind === 'heading'
      ? 'text-faint'
      : 'text-moss';

const CHOICES = ANALYTES.flatMap((a) =>
  basesOf(a).map((b) => ({
    value: `${a}|${b}`,
    text: `${analyteName(a)}${b === 'element' ? '' : `, as ${formulaText(b)}`}`,
  })),
);

function toCorrection(value: string): Correction | undefined {
  if (value === '') return undefined;
  if (value === 'ignore') return { kind: 'ignore' };
  if (value.startsWith('choice|')) return { kind: 'choice', says: value.slice('choice|'.length) };
  const factor = PROTEIN_FACTOR_KEYS.find((f) => value === `protein|${f}`);
  if (factor) return { kind: 'protein', factor };
  const [analyte, basis] = value.split('|') as [Analyte, Basis];
  return { kind: 'analyte', analyte, basis };
}
function correctionValue(c: Correction | undefined): string {
  switch (c?.kind) {
    case undefined:
      return '';
    case 'ignore':
      return 'ignore';
    case 'choice':
      return `choice|${c.says}`;
    case 'protein':
      return `protein|${c.factor}`;
    case 'analyte':
      return `${c.analyte}|${c.basis}`;
  }
}

function LineRow({
  line,
  correction,
  onCorrect,
}: {
  line: LabelLine;
  correction: Correction | undefined;
  onCorrect: (c: Correction | undefined) => void;
}) {
  return (
    <tr className={line.kind === 'notUnderstood' ? 'bg-paper' : ''}>
      <td className="num text-faint">{line.number}</td>
      <td className="min-w-64 break-words">{line.text}</td>
      <td className="text-[0.9375rem]">
        <span className={`font-semibold ${kindInk(line.kind)}`}>{KIND_WORDS[line.kind]}:</span> {line.says}
      </td>
      <td className="w-36">
        <select
          aria-label={`Line ${line.number}, take it as`}
          className="field !min-h-8 text-sm"
          value={correctionValue(correction)}
          onChange={(e) => onCorrect(toCorrection(e.target.value))}
        >
          <option value="">as read</option>
          <option value="ignore">nothing: set it aside</option>
          {line.choices.map((c) => (
            <option key={c.says} value={`choice|${c.says}`}>
              {c.says}
            </option>
          ))}
          {/protein/i.test(line.text) &&
            PROTEIN_FACTOR_KEYS.map((f) => (
              <option key={f} value={`protein|${f}`}>
                protein ÷ {PROTEIN_FACTORS[f].perNitrogen}: {PROTEIN_FACTORS[f].words}
              </option>
            ))}
          {CHOICES.map((c) => (
            <option key={c.value} value={c.value}>
              {c.text}
            </option>
          ))}
        </select>
      </td>
    </tr>
  );
}

const UNNAMED: Omit<Product, 'analysis' | 'densityKgPerL' | 'grade' | 'derivedFrom'> = {
  id: 'label',
  name: 'This label',
  form: 'granule',
  offers: [],
  directions: [],
  longevity: undefined,
  carbonToNitrogen: undefined,
};

const BLANK: Kept = { text: '', paper: 'label', corrections: {} };

/** Paste any label, and see each line read; put right what was misread; carry it to the shelf. */
export function LabelDesk() {
  const navigate = useNavigate();
  const basis = useAppSelector((s) => s.settings.basis);
  const [desk, setDesk] = useState<Kept>(() => readKept<Kept>(DRAFT) ?? BLANK);
  const change = (patch: Partial<Kept>): void => {
    const next = { ...desk, ...patch };
    setDesk(next);
    writeKept(DRAFT, next.text === '' ? undefined : next);
  };
  const { text, paper, corrections } = useDeferredValue(desk);
  const reading = useMemo(() => readLabel(text, paper, corrections), [text, paper, corrections]);
  const shown = reading.lines.filter((l) => l.kind !== 'blank');
  const unread = shown.filter((l) => l.kind === 'notUnderstood').length;
  const product = useMemo(
    (): Product => ({
      ...UNNAMED,
      analysis: reading.analysis,
      densityKgPerL: reading.densityKgPerL,
      grade: reading.grade,
      derivedFrom: reading.derivedFrom,
    }),
    [reading],
  );
  const carry = (): void => {
    writeKept(DRAFT, undefined);
    writeKept('draft.product.started', undefined);
    void navigate('/shelf/new', { state: { start: textFromLabel(reading, desk.text.slice(0, MOST_KEPT)) } });
  };
  const correct = (line: number, correction: Correction | undefined): void => {
    const others = Object.fromEntries(Object.entries(desk.corrections).filter(([n]) => Number(n) !== line));
    change({ corrections: correction ? { ...others, [line]: correction } : others });
  };
  return (
    <Sheet
      title="Label desk"
      question="Paste a label, a feed tag or a lab slip, whatever its layout."
      actions={
        <Link to="/shelf" className="action">
          Back to the shelf
        </Link>
      }
    >
      <div className="mb-3 flex flex-wrap items-end gap-3">
        <div className="text-sm text-faint">
          This paper is
          <div className="text-base text-pine">
            <Choice
              label="This paper is"
              value={desk.paper}
              onChange={(p) => change({ paper: p })}
              options={[
                { value: 'label', text: 'a label or tag' },
                { value: 'measured', text: 'a lab slip' },
              ]}
            />
          </div>
        </div>
        <button
          type="button"
          className="action main ml-auto"
          disabled={reading.analysis.length === 0 && reading.derivedFrom.length === 0}
          onClick={carry}
        >
          Make it a bag
        </button>
      </div>
      <label className="block text-sm text-faint" htmlFor="label-text">
        The text of the label
      </label>
      <textarea
        id="label-text"
        spellCheck={false}
        className={`field pasted ${shown.length === 0 ? 'min-h-64' : 'min-h-24'}`}
        value={desk.text}
        onChange={(e) =>
          change({ text: e.target.value, corrections: carryCorrections(desk.text, e.target.value, desk.corrections) })
        }
        placeholder={
          'Total Nitrogen (N) ........ 5.0%\n   3.5% Water Insoluble Nitrogen\nAvailable Phosphate (P2O5) .. 3.0%\nDerived from: feather meal, bone meal'
        }
      />
      {desk.text.length > MOST_KEPT && (
        <p className="mt-1 text-sm text-beet" role="status">
          The bag will keep the first {formatGiven(MOST_KEPT)} of these {formatGiven(desk.text.length)} characters.
        </p>
      )}
      {shown.length === 0 ? (
        <Empty>
          Each line will be shown here with what it was taken to be. A formula such as MgSO4·7H2O is a label too.
        </Empty>
      ) : (
        <div className="relative mt-4 overflow-x-auto">
          <table className="ledger" data-testid="label-lines">
            <caption className="pb-1 text-left text-sm text-faint" aria-live="polite">
              {unread === 0
                ? 'Every figure was understood.'
                : `${unread} ${unread === 1 ? 'line was' : 'lines were'} not understood: say what ${unread === 1 ? 'it is' : 'they are'}, or set ${unread === 1 ? 'it' : 'them'} aside.`}
            </caption>
            <thead>
              <tr>
                <th scope="col" className="num">
                  line
                </th>
                <th scope="col">as printed</th>
                <th scope="col">taken as</th>
                <th scope="col">take it as</th>
              </tr>
            </thead>
            <tbody>
              {shown.map((line) => (
                <LineRow
                  key={line.number}
                  line={line}
                  correction={desk.corrections[line.number]}
                  onCorrect={(c) => correct(line.number, c)}
                />
              ))}
            </tbody>
          </table>
        </div>
      )}
      <MarginNotes>
        {reading.analysis.length > 0 && (
          <MarginNote title="The bag so far">
            <div className="flex justify-center">
              <Bag product={product} basis={basis} width={116} />
            </div>
          </MarginNote>
        )}
        {reading.findings.length > 0 && (
          <MarginNote title="Contradictions">
            <div aria-live="polite" className="flex flex-col gap-2" data-testid="label-findings">
              {reading.findings.map((f) => (
                <Remark key={f.code + f.message} tone={f.severity === 'note' ? 'note' : 'caution'}>
                  {f.message}
                </Remark>
              ))}
            </div>
          </MarginNote>
        )}
        <MarginNote title="What it never does">
          <p>
            It never guesses a number, a unit or a nutrient. A figure without a unit is asked about; a grade with two
            readings is left to you; parts such as “chelated iron” are not added to their total.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
