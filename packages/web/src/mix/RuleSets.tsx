import { useState } from 'react';
import { useFormContext } from 'react-hook-form';
import { settingsSlice, type RuleSet } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import type { RecipeText } from './recipeText';
import { ruleText } from './ruleText';

/** Sets of rules by their names: one is added in a step, the rules of a mix are kept as one, and one that is not needed is forgotten. */
export function RuleSets() {
  const { getValues, setValue } = useFormContext<RecipeText>();
  const dispatch = useAppDispatch();
  const sets = useAppSelector((s) => s.settings.ruleSets);
  const [name, setName] = useState('');
  const change = (ruleSets: readonly RuleSet[]): void => void dispatch(settingsSlice.actions.changed({ ruleSets }));
  const add = ({ rules }: RuleSet): void => {
    const before = getValues('rules');
    const same = (a: object, b: object): boolean => JSON.stringify(a) === JSON.stringify(b);
    const fresh = rules.map(ruleText).filter((r) => !before.some((b) => same({ ...b, on: true }, { ...r, on: true })));
    setValue('rules', [...before, ...fresh], { shouldDirty: true });
  };
  const keep = (): void => {
    const rules = getValues('rules').map(({ kind, on, ...rest }) => ({ kind, on, ...told(rest) }));
    const called = name.trim();
    if (called === '' || rules.length === 0) return;
    change([...sets.filter((s) => s.name !== called), { name: called, rules }]);
    setName('');
  };
  return (
    <details className="no-print mt-2 text-[0.9375rem]" data-testid="rule-sets">
      <summary className="cursor-pointer text-faint">Sets of rules</summary>
      <ul className="mt-1">
        {sets.map((set) => (
          <li key={set.name} className="flex flex-wrap gap-3 border-b border-rule py-1">
            <span className="mr-auto">{set.name}</span>
            <button type="button" className="plain" onClick={() => add(set)}>
              Add its rules
            </button>
            <button
              type="button"
              className="plain"
              aria-label={`Forget the set ${set.name}`}
              onClick={() => change(sets.filter((s) => s !== set))}
            >
              Forget it
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 flex flex-wrap items-center gap-2">
        <label>
          <span className="text-faint">Keep the rules above as the set</span>
          <input
            className="field ml-2 !w-52"
            value={name}
            maxLength={60}
            placeholder="for the blueberries"
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        <button type="button" className="action" onClick={keep}>
          Keep the set
        </button>
      </p>
    </details>
  );
}

/** Fields of a rule that say something, as they are kept. */
const told = (rule: Readonly<Record<string, string>>): object =>
  Object.fromEntries(
    Object.entries(rule)
      .filter(([, v]) => v.trim() !== '')
      .map(([key, v]) => [key, NUMBERS.includes(key) ? Number(v.replace(',', '.')) : v]),
  );
const NUMBERS: readonly string[] = ['low', 'high', 'most', 'km'];
