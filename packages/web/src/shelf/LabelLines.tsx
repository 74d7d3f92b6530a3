import type { Correction, LabelLine } from '@wheat-ledger/core';
import { kindInk, KIND_WORDS } from './labelWords';
import { TakenAs } from './TakenAs';

interface LabelLinesProps {
  readonly lines: readonly LabelLine[];
  readonly corrections: Readonly<Record<number, Correction>>;
  readonly active: number | undefined;
  readonly onActive: (line: number | undefined) => void;
  readonly onCorrect: (line: number, correction: Correction | undefined) => void;
}

/** Each line of the paper with what it was taken to be; what was set aside stays in sight, with its reason. */
export const LabelLines = ({ lines, corrections, active, onActive, onCorrect }: LabelLinesProps) => (
  <table className="ledger mt-3" data-testid="label-lines">
    <thead>
      <tr>
        <th scope="col" className="num">
          line
        </th>
        <th scope="col">taken as</th>
        <th scope="col">
          <span className="sr-only">take it as</span>
        </th>
      </tr>
    </thead>
    <tbody>
      {lines.map((line) => (
        <tr
          key={line.number}
          className={active === line.number ? 'bg-paper' : ''}
          onMouseEnter={() => onActive(line.number)}
          onMouseLeave={() => onActive(undefined)}
          onFocus={() => onActive(line.number)}
        >
          <td className="num text-faint">{line.number}</td>
          <td className="text-[0.9375rem] break-words">
            <span className={`font-semibold ${kindInk(line.kind)}`}>{KIND_WORDS[line.kind]}:</span> {line.says}
          </td>
          <td>
            <TakenAs line={line} correction={corrections[line.number]} onCorrect={onCorrect} />
          </td>
        </tr>
      ))}
    </tbody>
  </table>
);
