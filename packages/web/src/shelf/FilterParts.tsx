import { useId, useState } from 'react';
import {
  analyteName,
  NUTRIENTS,
  ORIGINS,
  parseNumber,
  PRODUCT_FORMS,
  type Nutrient,
  type Origin,
  type ProductForm,
} from '@wheat-ledger/core';
import type { ShelfFilterInput } from '@wheat-ledger/contract';

/** A filter without a part, or with another value for it. */
function changed<K extends keyof ShelfFilterInput>(
  filter: ShelfFilterInput,
  key: K,
  value: ShelfFilterInput[K] | undefined,
): ShelfFilterInput {
  const rest = Object.fromEntries(Object.entries(filter).filter(([k]) => k !== key)) as unknown as ShelfFilterInput;
  return value === undefined ? rest : { ...rest, [key]: value };
}

function Choose({
  label,
  value,
  options,
  onPick,
}: {
  label: string;
  value: string | undefined;
  options: readonly (readonly [string, string])[];
  onPick: (value: string | undefined) => void;
}) {
  return (
    <label className="text-sm text-faint">
      {label}
      <select
        aria-label={label}
        className="field block text-pine"
        value={value ?? ''}
        onChange={(e) => onPick(e.target.value || undefined)}
      >
        <option value="">any</option>
        {options.map(([v, words]) => (
          <option key={v} value={v}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

interface FilterPartsProps {
  readonly filter: ShelfFilterInput;
  readonly onChange: (filter: ShelfFilterInput) => void;
}

/** The parts of a filter beside its words: what is in the bags, their form, where they come from. */
export function FilterParts({ filter, onChange }: FilterPartsProps) {
  const id = useId();
  const [least, setLeast] = useState('');
  // What was typed goes with the nutrient it was typed for.
  if (!filter.nutrient && least !== '') setLeast('');
  const leastText =
    filter.atLeastPercent === undefined ? '' : least && parseNumber(least).ok ? least : String(filter.atLeastPercent);
  const typed = parseNumber(least);
  const unread = least !== '' && filter.nutrient !== undefined && !typed.ok;
  const set = <K extends keyof ShelfFilterInput>(key: K, value: ShelfFilterInput[K] | undefined): void =>
    onChange(changed(filter, key, value));
  const flag = (key: 'priced' | 'inStock', words: string) => (
    <label className="flex cursor-pointer items-center gap-1.5 self-end pb-2">
      <input
        type="checkbox"
        className="size-4 accent-wheat"
        checked={filter[key] === true}
        onChange={(e) => set(key, e.target.checked ? true : undefined)}
      />
      {words}
    </label>
  );
  return (
    <div className="mt-2 grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-4">
      <Choose
        label="Holds"
        value={filter.nutrient}
        options={NUTRIENTS.map((n) => [n, `${n} ${analyteName(n)}`])}
        onPick={(v) =>
          onChange(
            v
              ? { ...filter, nutrient: v as Nutrient }
              : changed(changed(filter, 'nutrient', undefined), 'atLeastPercent', undefined),
          )
        }
      />
      <label className="text-sm text-faint" htmlFor={`${id}-least`}>
        at least, % of the element
        <input
          id={`${id}-least`}
          className="field block text-pine"
          inputMode="decimal"
          placeholder="any amount"
          disabled={!filter.nutrient}
          aria-invalid={unread}
          value={unread ? least : leastText}
          onChange={(e) => {
            setLeast(e.target.value);
            const read = parseNumber(e.target.value);
            set('atLeastPercent', read.ok && read.value >= 0 ? read.value : undefined);
          }}
        />
        {unread && <span className="text-beet">{typed.reason}</span>}
      </label>
      <Choose
        label="Form"
        value={filter.form}
        options={PRODUCT_FORMS.map((f) => [f, f])}
        onPick={(v) => set('form', v as ProductForm | undefined)}
      />
      <Choose
        label="Comes from"
        value={filter.origin}
        options={ORIGINS.map((o) => [o, o === 'waste' ? 'waste stream' : o])}
        onPick={(v) => set('origin', v as Origin | undefined)}
      />
      <Choose
        label="Listed as organic"
        value={filter.organic}
        options={[
          ['yes', 'yes'],
          ['no', 'no'],
          ['unknown', 'unknown'],
        ]}
        onPick={(v) => set('organic', v as ShelfFilterInput['organic'])}
      />
      {flag('priced', 'with a price')}
      {flag('inStock', 'in stock')}
    </div>
  );
}
