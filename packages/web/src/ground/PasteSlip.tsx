import { useDeferredValue, useMemo, useState } from 'react';
import { useFormContext } from 'react-hook-form';
import { PRACTICE_SOIL, type SoilFigure, type SoilLine } from '@wheat-ledger/core';
import { PaperFileButton } from '../papers/PaperFileButton';
import { PaperPicture } from '../papers/PaperPicture';
import { PaperText } from '../papers/PaperText';
import { PracticeLab } from '../papers/PracticeLab';
import type { Picture } from '../papers/readPaperFile';
import { usePaperFile } from '../papers/usePaperFile';
import { useSlipReading } from '../papers/useReading';
import { FormPart } from '../ui/EditForm';
import { figureText, type SoilText } from './soilText';

type Chosen = Readonly<Record<number, string>>;
const isAsked = ({ figure, numbers }: SoilLine): boolean =>
  !figure && numbers.some((n) => n.fate === 'asked' || n.fate === 'notUnderstood');
/** A line in doubt: it has choices and none was taken, or numbers that nobody understood. */
const inDoubt = (line: SoilLine, chosen: Chosen): boolean =>
  line.choices.length > 0 ? chosen[line.number] === undefined : isAsked(line);

const inkOf = (line: SoilLine, chosen: Chosen): string =>
  line.figure ? 'text-moss' : inDoubt(line, chosen) ? 'text-beet' : 'text-faint';

interface SlipLineProps {
  readonly line: SoilLine;
  readonly chosen: Chosen;
  readonly onActive: (line: number | undefined) => void;
  readonly onChoose: (line: number, says: string | undefined) => void;
}

function SlipLine({ line, chosen, onActive, onChoose }: SlipLineProps) {
  const answer = chosen[line.number];
  return (
    <li onMouseEnter={() => onActive(line.number)} onMouseLeave={() => onActive(undefined)}>
      <span className="mr-2 text-sm text-faint">line {line.number}</span>
      <span className={inkOf(line, chosen)}>{line.says}</span>
      {line.choices.length > 0 && (
        <span className="mt-1 flex flex-wrap gap-2">
          {line.choices.map((c) => (
            <button
              key={c.says}
              type="button"
              className={`action !min-h-8 text-sm ${answer === c.says ? 'main' : ''}`}
              aria-pressed={answer === c.says}
              onClick={() => onChoose(line.number, answer === c.says ? undefined : c.says)}
            >
              {c.says}
            </button>
          ))}
        </span>
      )}
    </li>
  );
}

/**
 * The slip as pasted or as a file, beside what each line was read as: what is asked first, then the step that takes the figures over.
 * @param latest what the plot's newest report holds, for a practice sample
 */
export function PasteSlip({ latest }: { latest: readonly SoilFigure[] }) {
  const { setValue, getValues } = useFormContext<SoilText>();
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<Chosen>({});
  const [active, setActive] = useState<number>();
  const [picture, setPicture] = useState<Picture>();
  const files = usePaperFile((file) => {
    setText(file.text);
    setChosen({});
    setPicture(file.picture);
  });
  const sample = useMemo(
    () => ({ kind: 'soil' as const, figures: latest.length > 0 ? latest : PRACTICE_SOIL }),
    [latest],
  );
  const input = useMemo(() => ({ text, chosen }), [text, chosen]);
  const read = useSlipReading(useDeferredValue(input));
  const lines = useMemo(() => read.filter((l) => l.text !== ''), [read]);
  const marked = useMemo(
    () => lines.map((l) => ({ number: l.number, numbers: l.numbers, asked: inDoubt(l, chosen) })),
    [lines, chosen],
  );
  const firstOfEach = marked.filter((l, i) => marked.findIndex((m) => m.number === l.number) === i);
  const doubted = new Set(marked.flatMap((l) => (l.asked ? [l.number] : [])));
  const figures = lines.flatMap((l) => (l.figure ? [figureText(l.figure)] : []));
  const choose = (line: number, says: string | undefined): void =>
    setChosen(({ [line]: _, ...others }) => (says === undefined ? others : { ...others, [line]: says }));
  const take = (): void => {
    setValue('figures', [...getValues('figures').filter((f) => f.value.trim() !== ''), ...figures], {
      shouldDirty: true,
    });
    setText('');
    setPicture(undefined);
  };
  // A row under beds that wait for an answer is no question of its own.
  const shown = [...lines.filter((l) => inDoubt(l, chosen)), ...lines.filter((l) => !inDoubt(l, chosen))].filter(
    (l) => !l.waits,
  );
  return (
    <FormPart title="Paste the slip" hint="or open its file or photo; or type the figures below">
      <div className="mb-2 flex flex-wrap items-start gap-x-6 gap-y-2">
        <PaperFileButton files={files} />
        <PracticeLab
          what="A soil sample"
          kept="practice.soil"
          sample={sample}
          onPaper={(paper) => {
            setText(paper);
            setChosen({});
            setPicture(undefined);
          }}
        />
      </div>
      <div className={lines.length > 0 ? 'paper-desk' : ''}>
        <div>
          {picture && <PaperPicture picture={picture} active={active} doubted={doubted} onActive={setActive} />}
          <PaperText
            id="slip"
            label="The text of the slip"
            text={text}
            placeholder={'pH 6.4\nPhosphorus (Olsen) 27 mg/kg\nPotassium, ammonium acetate 165 mg/kg'}
            lines={firstOfEach}
            active={active}
            onActive={setActive}
            onText={setText}
          />
        </div>
        {lines.length > 0 && (
          <div data-testid="slip-lines">
            <ul className="flex flex-col gap-1 text-[0.9375rem]">
              {shown.map((line, i) => (
                <SlipLine
                  key={`${line.number}.${i}`}
                  line={line}
                  chosen={chosen}
                  onActive={setActive}
                  onChoose={choose}
                />
              ))}
            </ul>
            <button type="button" className="action mt-2" disabled={figures.length === 0} onClick={take}>
              Take over {figures.length} {figures.length === 1 ? 'figure' : 'figures'}
            </button>
          </div>
        )}
      </div>
    </FormPart>
  );
}
