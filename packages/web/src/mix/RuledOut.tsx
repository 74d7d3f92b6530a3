import { useFormContext } from 'react-hook-form';
import {
  formatGiven,
  partWords,
  printGrade,
  ruleWords,
  symbolIn,
  type Blend,
  type BlendTarget,
  type Change,
} from '@wheat-ledger/core';
import { Remark } from '../ui/Sheet';
import type { RecipeText } from './recipeText';
import { ruleTextOf } from './ruleText';

interface RuledOutProps {
  readonly blend: Extract<Blend, { kind: 'ruledOut' }>;
  readonly target: BlendTarget;
  /** For each rule that holds, its place in the list. */
  readonly places: readonly number[];
  readonly nameOf: (productId: string) => string;
}

/** Rules that cannot hold together, and for each the least change that helps, which a button makes. */
export function RuledOut({ blend, target, places, nameOf }: RuledOutProps) {
  const { setValue, getValues } = useFormContext<RecipeText>();
  const unit = target.kind === 'grade' ? ' %' : '';
  // What is asked of a nutrient is told with its unit.
  const asked = new Map(
    target.parts.map((p) => [partWords(p), `${formatGiven(p.amount)}${unit} ${symbolIn(p.nutrient, p.basis)}`]),
  );
  const wordsOf = (change: Change): string => {
    if (change.part !== undefined) {
      const part = target.parts[change.part];
      return `${part ? symbolIn(part.nutrient, part.basis) : ''} ${formatGiven(change.amount)}${unit} instead of ${formatGiven(part?.amount)}${unit}`;
    }
    return change.become
      ? `${ruleWords(change.become, nameOf)}, instead of ${change.of}`
      : `without the rule “${change.of}”`;
  };
  const said = (names: readonly string[]): string => names.map((name) => asked.get(name) ?? name).join('; ');
  const make = (...changes: readonly Change[]): void => changes.forEach(makeOne);
  const makeOne = (change: Change): void => {
    const shouldDirty = true;
    if (change.part !== undefined) {
      const parts = target.parts.map((p, i) => (i === change.part ? { ...p, amount: change.amount ?? p.amount } : p));
      setValue('target', printGrade(parts), { shouldDirty });
      return;
    }
    const at = places[change.rule ?? 0];
    if (at === undefined) return;
    const rules = getValues('rules');
    const become = change.become;
    setValue(
      'rules',
      rules.map((r, i) => (i === at ? (become ? ruleTextOf(become) : { ...r, on: false }) : r)),
      { shouldDirty },
    );
  };
  return (
    <div data-testid="ruled-out">
      <Remark tone="caution">
        <b>These cannot all hold together:</b> {said(blend.between)}.
      </Remark>
      {blend.others.map((set) => (
        <p key={set.join()} className="mt-2">
          Nor can these: {said(set)}.
        </p>
      ))}
      {blend.changes.length > 0 ? (
        <>
          <p className="mt-3 mb-1">Any one of these would make it work:</p>
          <ul className="flex flex-col items-start gap-2">
            {blend.changes.map((change) => (
              <li key={change.of + String(change.rule)}>
                <button type="button" className="action" onClick={() => make(change)}>
                  {wordsOf(change)}
                </button>
              </li>
            ))}
          </ul>
        </>
      ) : blend.pair.length > 0 ? (
        <p className="mt-3">
          No single change makes it work, but two do:{' '}
          <button type="button" className="action" onClick={() => make(...blend.pair)}>
            {blend.pair.map((c) => `without the rule “${c.of}”`).join(' and ')}
          </button>
        </p>
      ) : (
        <p className="mt-3">No single change makes it work. Take out one of these rules, or ask for less.</p>
      )}
    </div>
  );
}
