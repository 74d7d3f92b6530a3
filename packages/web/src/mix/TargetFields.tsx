import { useFormContext } from 'react-hook-form';
import { TARGET_KINDS, type Aim } from '@wheat-ledger/core';
import { Choice } from '../ui/Choice';
import { TextField } from '../ui/Field';
import type { RecipeText } from './recipeText';

/** What a mix may be made of. */
export type From = 'bench' | 'shelf' | 'library';

interface Words<T extends string> {
  readonly value: T;
  readonly text: string;
}
const SMALL: readonly Words<Aim>[] = [
  { value: 'cost', text: 'the cost' },
  { value: 'salt', text: 'the salt' },
  { value: 'mass', text: 'the weight' },
  { value: 'fewest', text: 'the number of bags' },
  { value: 'weighted', text: 'several together' },
];
const HELD_AT: readonly Words<'' | 'low'>[] = [
  { value: '', text: 'the middle of what bags say' },
  { value: 'low', text: 'the least bags may hold' },
];

interface SelectProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly Words<T>[];
  readonly onChange: (value: T) => void;
}
/** One of a few words, where a row of buttons would take the whole line. */
function Select<T extends string>({ label, value, options, onChange }: SelectProps<T>) {
  return (
    <label className="text-sm text-faint">
      {label}
      <select
        className="field block !w-auto text-base text-pine"
        aria-label={label}
        value={value}
        onChange={(e) => {
          const chosen = options.find((o) => o.value === e.target.value);
          if (chosen) onChange(chosen.value);
        }}
      >
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.text}
          </option>
        ))}
      </select>
    </label>
  );
}

const COUNTED = [
  ['cost', 'Cost counts'],
  ['salt', 'salt'],
  ['mass', 'weight'],
] as const;
/** How much each counts, where several are made small together. */
const Weights = () => (
  <div className="flex gap-2">
    {COUNTED.map(([key, label]) => (
      <TextField key={key} name={`weights.${key}`} label={label} inputMode="decimal" className="w-20" />
    ))}
  </div>
);

interface TargetFieldsProps {
  readonly text: RecipeText;
  readonly from: From;
  readonly onFrom: (from: From) => void;
  readonly bagsOnBench: number;
}
/** What a mix shall be, of what, and what of it is made small. */
export function TargetFields({ text, from, onFrom, bagsOnBench }: TargetFieldsProps) {
  const { setValue } = useFormContext<RecipeText>();
  const inAll = text.strength === 'amount';
  return (
    <div className="no-print mb-4 flex flex-wrap items-start gap-x-4 gap-y-2">
      <TextField
        name="target"
        label={inAll ? 'Amounts of nutrients' : 'Target, N-P₂O₅-K₂O and more'}
        placeholder={inAll ? '120 g N, 60 g K2O' : '6-3-5, or 2:0:1 + 0.5 Mg'}
        className="w-56"
      />
      <div className="text-sm text-faint">
        It fixes
        <div className="text-base text-pine">
          <Choice
            label="The target fixes"
            value={TARGET_KINDS.find((k) => k === text.strength) ?? 'grade'}
            onChange={(v) => setValue('strength', v)}
            options={[
              { value: 'grade', text: 'the strength' },
              { value: 'ratio', text: 'only the ratio' },
              { value: 'amount', text: 'amounts in all' },
            ]}
          />
        </div>
      </div>
      <TextField name="tolerance" label="May exceed, %" inputMode="decimal" className="w-28" />
      {inAll ? (
        <TextField name="madeFor" label="For" placeholder="8 m² or 12 plants" className="w-36" />
      ) : (
        <TextField name="batch" label="Batch" className="w-28" />
      )}
      <Select
        label="Make small"
        value={text.aim}
        options={SMALL}
        onChange={(v) => setValue('aim', v, { shouldDirty: true })}
      />
      {text.aim === 'weighted' && <Weights />}
      <Select
        label="Choose from"
        value={from}
        options={[
          { value: 'shelf', text: 'the whole shelf' },
          { value: 'bench', text: `the bench (${bagsOnBench})` },
          { value: 'library', text: 'the shelf and typical materials' },
        ]}
        onChange={onFrom}
      />
      <Select
        label="It holds at"
        value={text.hold === 'low' ? 'low' : ''}
        options={HELD_AT}
        onChange={(v) => setValue('hold', v, { shouldDirty: true })}
      />
    </div>
  );
}
