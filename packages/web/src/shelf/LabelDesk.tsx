import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { formatGiven, PRACTICE_COMPOST, type Correction, type Product } from '@wheat-ledger/core';
import { readKept, writeKept } from '../app/keep';
import { useAppSelector } from '../app/store';
import { PaperFileButton } from '../papers/PaperFileButton';
import { PaperPicture } from '../papers/PaperPicture';
import { PaperText } from '../papers/PaperText';
import { PracticeLab } from '../papers/PracticeLab';
import type { Picture } from '../papers/readPaperFile';
import sampleUrl from '../papers/sampleLabel.png?url';
import { usePaperFile } from '../papers/usePaperFile';
import { useLabelReading } from '../papers/useReading';
import { Bag } from '../ui/Bag';
import { Choice } from '../ui/Choice';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Remark, Sheet } from '../ui/Sheet';
import { carryCorrections } from './carryCorrections';
import { LabelLines } from './LabelLines';
import { LabelQuestions } from './LabelQuestions';
import { noteOf, SellerNote } from './SellerNote';
import { textFromLabel } from './startedText';

type Paper = 'label' | 'measured';
interface Kept {
  readonly text: string;
  readonly paper: Paper;
  readonly corrections: Readonly<Record<number, Correction>>;
  readonly seller?: string | undefined;
}
const DRAFT = 'draft.label';
const EXAMPLE =
  'Total Nitrogen (N) ........ 5.0%\n   3.5% Water Insoluble Nitrogen\nAvailable Phosphate (P2O5) .. 3.0%\nDerived from: feather meal, bone meal';
/** Characters of a label's text that are kept with its bag. */
const MOST_KEPT = 20_000;

const UNNAMED: Omit<Product, 'analysis' | 'densityKgPerL' | 'grade' | 'derivedFrom'> = {
  id: 'label',
  name: 'This label',
  form: 'granule',
  offers: [],
  directions: [],
  longevity: undefined,
  carbonToNitrogen: undefined,
};

const COMPOST = { kind: 'product', figures: PRACTICE_COMPOST } as const;
/** An invented label, drawn, as the photo somebody would take of it. */
const sampleLabel = async (): Promise<File> =>
  new File([await (await fetch(sampleUrl)).blob()], 'sample label.png', { type: 'image/png' });

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
  const [notes, setNotes] = useState(0);
  const seller = desk.seller ?? '';
  // A note that was kept or dropped is read anew.
  const known = useMemo(() => (notes < 0 ? undefined : noteOf(seller)), [notes, seller]);
  const input = useMemo(() => ({ ...desk, known }), [desk, known]);
  const reading = useLabelReading(useDeferredValue(input));
  const shown = reading.lines.filter((l) => l.kind !== 'blank');
  const [active, setActive] = useState<number>();
  const [picture, setPicture] = useState<Picture>();
  const marked = useMemo(
    () => reading.lines.map((l) => ({ number: l.number, numbers: l.numbers, asked: l.kind === 'notUnderstood' })),
    [reading],
  );
  const doubted = useMemo(() => new Set(marked.flatMap((l) => (l.asked ? [l.number] : []))), [marked]);
  const files = usePaperFile((file) => {
    setPicture(file.picture);
    change({
      text: file.text,
      corrections: Object.fromEntries(file.doubted.map((n) => [n, { kind: 'doubt' } as const])),
    });
  });
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
      question="Paste a label, a feed tag or a lab slip, or open its file or photo."
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
        <PaperFileButton files={files} />
        <button
          type="button"
          className="action main ml-auto"
          disabled={reading.analysis.length === 0 && reading.derivedFrom.length === 0}
          onClick={carry}
        >
          Make it a bag
        </button>
      </div>
      <div className="paper-desk">
        <div className="paper-side">
          {picture && <PaperPicture picture={picture} active={active} doubted={doubted} onActive={setActive} />}
          <PaperText
            id="label-text"
            label="The text of the label"
            text={desk.text}
            placeholder={EXAMPLE}
            lines={marked}
            active={active}
            onActive={setActive}
            onText={(next) => change({ text: next, corrections: carryCorrections(desk.text, next, desk.corrections) })}
          />
          {desk.text.length > MOST_KEPT && (
            <p className="mt-1 text-sm text-beet" role="status">
              The bag will keep the first {formatGiven(MOST_KEPT)} of these {formatGiven(desk.text.length)} characters.
            </p>
          )}
        </div>
        {shown.length === 0 ? (
          <Empty>
            What each line was taken to be will stand here. A formula such as MgSO4·7H2O is a label too.
            <button
              type="button"
              className="plain mt-2 block"
              data-testid="sample-photo"
              disabled={files.reading !== undefined}
              onClick={() => void sampleLabel().then(files.take)}
            >
              Try it with a drawn photo of a label
            </button>
          </Empty>
        ) : (
          <div data-testid="label-reading">
            <LabelQuestions lines={shown} active={active} onActive={setActive} onCorrect={correct} />
            <LabelLines
              lines={shown.filter((l) => l.kind !== 'notUnderstood')}
              corrections={desk.corrections}
              active={active}
              onActive={setActive}
              onCorrect={correct}
            />
          </div>
        )}
      </div>
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
        {shown.length > 0 && (
          <MarginNote title="Whose paper">
            <SellerNote
              seller={seller}
              onSeller={(next) => change({ seller: next })}
              taught={reading.taught}
              onKept={() => setNotes(notes + 1)}
            />
          </MarginNote>
        )}
        <MarginNote title="Practice">
          <PracticeLab
            what="A compost sample"
            kept="practice.compost"
            sample={COMPOST}
            onPaper={(paperText) => {
              setPicture(undefined);
              change({ text: paperText, paper: 'measured', corrections: {} });
            }}
          />
        </MarginNote>
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
