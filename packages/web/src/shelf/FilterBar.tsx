import { useId, useState } from 'react';
import { X } from 'lucide-react';
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
import { useRecords } from '../app/api';
import { useKeep } from '../ui/useKeep';
import { useTakeOut } from '../ui/useTakeOut';
import { filterWords, isNoFilter, NO_FILTER, sameFilter } from './shelfFilter';

interface FilterBarProps {
  readonly filter: ShelfFilterInput;
  readonly onChange: (filter: ShelfFilterInput) => void;
  readonly found: number;
  readonly of: number;
}

const MOST_NAME = 40;

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

/** Filters kept under a name. A name that is kept already takes the new filter. */
function Kept({ filter, onChange }: Pick<FilterBarProps, 'filter' | 'onChange'>) {
  const { records } = useRecords('filter');
  const { keep, saving } = useKeep('filter');
  const takeOut = useTakeOut('filter');
  const [name, setName] = useState('');
  const submit = async (): Promise<void> => {
    const called = name.trim() || filterWords(filter).slice(0, MOST_NAME);
    await keep(
      { name: called, filter },
      records.find((k) => k.name === called),
      `Saved the filter “${called}”.`,
    );
    setName('');
  };
  return (
    <>
      {records.map((k) => {
        const on = sameFilter(k.filter, filter);
        return (
          <span key={k.id} className="inline-flex items-stretch rounded-[3px] border border-line-strong">
            <button
              type="button"
              className="cursor-pointer px-2.5 py-1 aria-pressed:bg-pine aria-pressed:text-chalk"
              aria-pressed={on}
              title={filterWords(k.filter)}
              onClick={() => onChange(on ? NO_FILTER : k.filter)}
            >
              {k.name}
            </button>
            <button
              type="button"
              className="cursor-pointer border-l border-line-strong px-1.5"
              title={`Forget ${k.name}`}
              onClick={() => void takeOut(k, `Took out the filter “${k.name}”.`)}
            >
              <X size={14} aria-hidden="true" />
              <span className="sr-only">Forget {k.name}</span>
            </button>
          </span>
        );
      })}
      {!isNoFilter(filter) && !records.some((k) => sameFilter(k.filter, filter)) && (
        <form
          className="inline-flex gap-1"
          onSubmit={(e) => {
            e.preventDefault();
            void submit();
          }}
        >
          <input
            className="field !w-36"
            aria-label="A name for this filter"
            placeholder="name it"
            maxLength={MOST_NAME}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
          <button type="submit" className="action" disabled={saving}>
            Save this filter
          </button>
        </form>
      )}
    </>
  );
}

/** Which bags are shown: by words, by what is in them, by where they come from; and filters kept for the next time. */
export function FilterBar({ filter, onChange, found, of }: FilterBarProps) {
  const id = useId();
  const [least, setLeast] = useState('');
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
    <div className="no-print mb-5" role="search">
      <div className="flex flex-wrap items-center gap-2">
        <input
          type="search"
          className="field !w-52"
          aria-label="Show only bags whose name, seller or ingredients contain"
          placeholder="Only bags with …"
          value={filter.text}
          onChange={(e) => set('text', e.target.value)}
        />
        <Kept filter={filter} onChange={onChange} />
        {!isNoFilter(filter) && (
          <>
            <span className="text-sm text-faint" role="status">
              {found} of {of}
            </span>
            <button
              type="button"
              className="plain"
              onClick={() => {
                setLeast('');
                onChange(NO_FILTER);
              }}
            >
              Show all
            </button>
          </>
        )}
      </div>
      <details className="mt-2">
        <summary className="cursor-pointer text-faint">By what is in them</summary>
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
      </details>
    </div>
  );
}
