import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import {
  DomainError,
  formatNumber,
  KITCHEN_ACIDS,
  KITCHEN_SOLIDS,
  kitchenExtract,
  parseNumber,
  parseQuantity,
  weakAcidPh,
  type Extract,
  type Figure,
} from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Remark, Sheet } from '../ui/Sheet';

interface Typed {
  readonly acid: string;
  readonly percent: string;
  readonly volume: string;
  readonly solid: string;
  readonly weight: string;
  readonly times: string;
}
const FIRST: Typed = { acid: 'acetic', percent: '5', volume: '1 L', solid: 'eggshell', weight: '50 g', times: '6' };

type Outcome =
  | { readonly extract: Extract; readonly pH: Figure; readonly stronger: Figure | undefined }
  | { readonly field: keyof Typed; readonly reason: string };

const canonical = ({ value, unit }: { readonly value: number; readonly unit: { readonly factor: number } }): number =>
  value * unit.factor;

function work({ acid, percent, volume, solid, weight, times }: Typed): Outcome {
  const strength = parseNumber(percent);
  if (!strength.ok) return { field: 'percent', reason: strength.reason };
  const litres = parseQuantity(volume, 'volume', 'L');
  if (!litres.ok) return { field: 'volume', reason: litres.reason };
  const kilos = parseQuantity(weight, 'mass', 'g');
  if (!kilos.ok) return { field: 'weight', reason: kilos.reason };
  const factor = parseNumber(times);
  try {
    const stronger =
      factor.ok && factor.value > 0 && factor.value * strength.value <= 100
        ? weakAcidPh(acid, factor.value * strength.value)
        : undefined;
    return {
      extract: kitchenExtract(acid, strength.value, canonical(litres), solid, 1000 * canonical(kilos)),
      pH: weakAcidPh(acid, strength.value),
      stronger,
    };
  } catch (error) {
    if (!(error instanceof DomainError)) throw error;
    return {
      field: error.path === 'grams' ? 'weight' : error.path === 'litres' ? 'volume' : 'percent',
      reason: error.message,
    };
  }
}

const LIMITS: Readonly<Record<Extract['limitedBy'], string>> = {
  acid: 'The acid is used up first: more of the solid adds nothing.',
  solid: 'The solid is used up first: what acid is left stays sour.',
  either: 'Acid and solid are about even.',
};

/** What a kitchen extract can hold at most, by its chemistry. */
export function KitchenView() {
  const [typed, setTyped] = useState(FIRST);
  const outcome = useMemo(() => work(typed), [typed]);
  const set =
    (key: keyof Typed) =>
    (e: { target: { value: string } }): void =>
      setTyped({
        ...typed,
        [key]: e.target.value,
        ...(key === 'acid'
          ? { percent: String(KITCHEN_ACIDS.find((a) => a.key === e.target.value)?.usualPercent ?? typed.percent) }
          : {}),
      });
  const reason = (key: keyof Typed): string | undefined =>
    'field' in outcome && outcome.field === key ? outcome.reason : undefined;
  const text = (key: keyof Typed, label: string) => (
    <label className="text-sm text-faint">
      {label}
      <input
        className="field block text-pine"
        value={typed[key]}
        aria-invalid={reason(key) !== undefined}
        onChange={set(key)}
      />
      {reason(key) && <span className="text-beet">{reason(key)}</span>}
    </label>
  );
  const pick = (
    key: keyof Typed,
    label: string,
    options: readonly { readonly key: string; readonly name: string }[],
  ) => (
    <label className="text-sm text-faint">
      {label}
      <select aria-label={label} className="field block text-pine" value={typed[key]} onChange={set(key)}>
        {options.map((o) => (
          <option key={o.key} value={o.key}>
            {o.name}
          </option>
        ))}
      </select>
    </label>
  );
  const rows: readonly (readonly [string, Figure])[] =
    'extract' in outcome
      ? [
          ['CaCO₃ the acid can dissolve', outcome.extract.acidDissolves],
          ['CaCO₃ that is there', outcome.extract.present],
          ['Calcium in the extract at most', outcome.extract.calcium],
          ['Calcium in a litre of it', outcome.extract.calciumMgPerL],
        ]
      : [];
  return (
    <Sheet
      title="Kitchen extracts"
      question="What can vinegar and shells possibly hold?"
      actions={
        <Link to="/shelf" className="action">
          Back to the shelf
        </Link>
      }
    >
      <div className="mb-5 grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
        {pick('acid', 'Acid', KITCHEN_ACIDS)}
        {text('percent', 'Strength, % w/v')}
        {text('volume', 'How much of it')}
        {pick('solid', 'Poured on', KITCHEN_SOLIDS)}
        {text('weight', 'How much')}
      </div>
      {'extract' in outcome && (
        <>
          <p className="mb-3 text-[1.0625rem]" data-testid="kitchen-limit">
            {LIMITS[outcome.extract.limitedBy]} What is not in the solid cannot be in the extract.{' '}
            {outcome.extract.caveat}
          </p>
          <table className="ledger" data-testid="kitchen">
            <caption className="sr-only">What the extract can hold</caption>
            <tbody>
              {rows.map(([name, figure]) => (
                <tr key={name}>
                  <th scope="row">{name}</th>
                  <td className="num">
                    <FigureButton figure={figure} /> {figure.unit.text}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <h2 className="mt-6 mb-2 text-lg">How sour</h2>
          <p className="mb-2">
            At {typed.percent} % the acid alone is pH <FigureButton figure={outcome.pH} figures={2} />.
          </p>
          <div className="flex flex-wrap items-end gap-3">
            {text('times', 'Times as strong')}
            {outcome.stronger ? (
              <p className="pb-2" data-testid="stronger">
                is pH <FigureButton figure={outcome.stronger} figures={2} />:{' '}
                {formatNumber(outcome.pH.value.mid - outcome.stronger.value.mid, 2)} pH units lower, not {typed.times}{' '}
                times on that scale.
              </p>
            ) : (
              <p className="pb-2 text-faint">Expected a number above 0 that leaves at most 100 %.</p>
            )}
          </div>
        </>
      )}
      <MarginNotes>
        <MarginNote title="The arithmetic">
          <p>
            Two protons dissolve one CaCO₃. However long it stands, the extract holds no more calcium than the scarcer
            of the two allows.
          </p>
        </MarginNote>
        <MarginNote title="Care">
          <Remark tone="caution">
            Strong vinegars burn eyes and skin: goggles, gloves, and acid into water. Never close the vessel while it
            fizzes; it can burst.
          </Remark>
          <Remark tone="caution">
            Keep it away from children and drinking water. This is arithmetic, not advice to use it or to eat it.
          </Remark>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
