import type { ReactNode } from 'react';
import { Radio, RadioGroup } from '@headlessui/react';

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly text: ReactNode }[];
  readonly onChange: (value: T) => void;
}

/** A few alternatives side by side, one chosen. */
export function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <RadioGroup
      value={value}
      onChange={onChange}
      aria-label={label}
      className="inline-flex flex-wrap rounded-[3px] border border-line-strong"
    >
      {options.map((o) => (
        <Radio
          key={o.value}
          value={o.value}
          className="cursor-pointer border-r border-line-strong px-2.5 py-1 last:border-r-0 data-checked:bg-pine data-checked:text-chalk"
        >
          {o.text}
        </Radio>
      ))}
    </RadioGroup>
  );
}
