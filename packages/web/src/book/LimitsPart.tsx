import { useState, type FormEvent } from 'react';
import { Trash2 } from 'lucide-react';
import { inputOf, type PlotRecord } from '@wheat-ledger/contract';
import { analyteName, formatGiven, parseNumber, type LimitUse, type Nutrient } from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { useKeep } from '../ui/useKeep';

const LIMITED = ['N', 'P', 'K', 'Cu', 'Zn', 'Cd'] as const satisfies readonly Nutrient[];
const OVER_WORDS = { done: 'passed', planned: 'passed once what is planned is done', no: 'kept' } as const;

/** A limit more, typed in one line. */
function NewLimit({ plot }: { plot: PlotRecord }) {
  const { keep, saving } = useKeep('plot');
  const [typed, setTyped] = useState({ analyte: 'N' as Nutrient, amount: '', rule: '' });
  const [trouble, setTrouble] = useState('');
  const add = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const read = parseNumber(typed.amount.replace(/\s*kg\s*\/\s*ha$/i, ''));
    if (!read.ok) return setTrouble(read.reason);
    setTrouble('');
    const { analyte, rule } = typed;
    const limits = [...(plot.limits ?? []), { analyte, kgPerHa: read.value, rule: rule.trim() }];
    await keep({ ...inputOf(plot), limits }, plot, `Entered a limit for ${analyteName(analyte)}.`);
    setTyped({ ...typed, amount: '', rule: '' });
  };
  return (
    <form className="no-print mt-2 flex flex-wrap items-end gap-2" onSubmit={(e) => void add(e)}>
      <select
        className="field !w-36 max-w-full"
        aria-label="Element of the limit"
        value={typed.analyte}
        onChange={(e) => setTyped({ ...typed, analyte: e.target.value as Nutrient })}
      >
        {LIMITED.map((n) => (
          <option key={n} value={n}>
            {analyteName(n)}
          </option>
        ))}
      </select>
      <label>
        <span className="block text-sm text-faint">At most, kg/ha a year</span>
        <input
          className="field !w-40 max-w-full"
          value={typed.amount}
          placeholder="170"
          onChange={(e) => setTyped({ ...typed, amount: e.target.value })}
        />
      </label>
      <label>
        <span className="block text-sm text-faint">By which rule</span>
        <input
          className="field !w-56 max-w-full"
          value={typed.rule}
          onChange={(e) => setTyped({ ...typed, rule: e.target.value })}
        />
      </label>
      <button type="submit" className="action" disabled={saving}>
        Enter the limit
      </button>
      {trouble !== '' && (
        <p role="alert" className="w-full text-sm text-beet">
          {trouble}
        </p>
      )}
    </form>
  );
}

/** Limits of local code, with what is done and planned against each. */
export function LimitsPart({ plot, uses }: { plot: PlotRecord; uses: readonly LimitUse[] }) {
  const { keep } = useKeep('plot');
  const takeOut = (at: number): Promise<unknown> =>
    keep({ ...inputOf(plot), limits: (plot.limits ?? []).filter((_, i) => i !== at) }, plot, 'Took the limit out.');
  return (
    <>
      {uses.length === 0 && (
        <p className="text-faint">
          No limit is entered. Local code may set one for a year, for nitrogen or phosphorus mostly.
        </p>
      )}
      <ul data-testid="limits">
        {uses.map(({ analyte, limitKgPerHa, done, withPlan, over }, i) => (
          <li
            key={`${analyte} ${limitKgPerHa}`}
            className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1"
          >
            <b className="w-28">{analyteName(analyte)}</b>
            <span>
              {done ? <FigureButton figure={done} /> : 'nothing known'} done,{' '}
              {withPlan ? <FigureButton figure={withPlan} /> : 'nothing known'} with what is planned, of{' '}
              <b>{formatGiven(limitKgPerHa)} kg/ha</b>
            </span>
            <span className={over === 'no' ? 'text-moss' : 'font-semibold text-beet'}>{OVER_WORDS[over]}</span>
            <span className="text-sm text-faint">{plot.limits?.[i]?.rule}</span>
            <button type="button" className="no-print ml-auto cursor-pointer" onClick={() => void takeOut(i)}>
              <Trash2 size={15} aria-hidden="true" />
              <span className="sr-only">Take out the limit for {analyteName(analyte)}</span>
            </button>
          </li>
        ))}
      </ul>
      <NewLimit plot={plot} />
    </>
  );
}
