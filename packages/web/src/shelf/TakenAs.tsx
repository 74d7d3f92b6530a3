import { PROTEIN_FACTOR_KEYS, PROTEIN_FACTORS, type Correction, type LabelLine } from '@wheat-ledger/core';
import { correctionValue, TAKEN_AS, toCorrection } from './labelWords';

/** A person's word on a line: as read, nothing, one of its readings, or any analyte. */
export const TakenAs = ({
  line,
  correction,
  onCorrect,
  blank = 'as read',
}: {
  line: LabelLine;
  correction: Correction | undefined;
  onCorrect: (line: number, correction: Correction | undefined) => void;
  /** What it says before anything is chosen. */
  blank?: string;
}) => (
  <select
    aria-label={`Line ${line.number}, take it as`}
    className={`field !min-h-8 text-sm ${blank === 'as read' ? 'quiet !w-24' : '!w-36'}`}
    value={correctionValue(correction)}
    onChange={(e) => onCorrect(line.number, toCorrection(e.target.value))}
  >
    <option value="">{blank}</option>
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
    {TAKEN_AS.map((c) => (
      <option key={c.value} value={c.value}>
        {c.text}
      </option>
    ))}
  </select>
);
