import { useEffect, useRef } from 'react';
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { settingsSlice, type Settings } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { Choice } from '../ui/Choice';
import { UnitsWords } from './UnitsWords';

const { changed } = settingsSlice.actions;

/** Units, basis and light, for every sheet at once. */
export function UnitsPopover() {
  const settings = useAppSelector((s) => s.settings);
  const dispatch = useAppDispatch();
  const set = (patch: Partial<Settings>): void => void dispatch(changed(patch));
  const button = useRef<HTMLButtonElement>(null);
  const opened = useRef(false);
  // It is fetched because somebody pressed its button: that press opens it.
  useEffect(() => {
    if (opened.current) return;
    opened.current = true;
    button.current?.focus();
    button.current?.click();
  }, []);
  return (
    <Popover className="relative">
      <PopoverButton ref={button} className="action" title="Units and light">
        <UnitsWords />
      </PopoverButton>
      <PopoverPanel
        anchor="bottom end"
        className="z-30 mt-1 flex w-72 flex-col gap-3 border border-line-strong bg-paper p-4 shadow-md"
      >
        <div>
          <p className="mb-1 text-sm text-faint">Price nutrients by the</p>
          <Choice
            label="Mass unit"
            value={settings.massUnit}
            onChange={(massUnit) => set({ massUnit })}
            options={[
              { value: 'kg', text: 'kilogram' },
              { value: 'lb', text: 'pound' },
            ]}
          />
        </div>
        <div>
          <p className="mb-1 text-sm text-faint">Show phosphorus and potassium as</p>
          <Choice
            label="Basis"
            value={settings.basis}
            onChange={(basis) => set({ basis })}
            options={[
              { value: 'oxide', text: 'P₂O₅, K₂O' },
              { value: 'element', text: 'P, K' },
            ]}
          />
        </div>
        <div>
          <p className="mb-1 text-sm text-faint">2,500 and 1.250 are typed with the decimal mark</p>
          <Choice
            label="Decimal mark"
            value={settings.decimalMark ?? 'ask'}
            onChange={(mark) => set({ decimalMark: mark === 'ask' ? undefined : mark })}
            options={[
              { value: 'ask', text: 'ask me' },
              { value: 'point', text: '1.5' },
              { value: 'comma', text: '1,5' },
            ]}
          />
        </div>
        <div>
          <p className="mb-1 text-sm text-faint">Light</p>
          <Choice
            label="Light"
            value={settings.theme}
            onChange={(theme) => set({ theme })}
            options={[
              { value: 'system', text: 'as the device' },
              { value: 'day', text: 'day' },
              { value: 'evening', text: 'dark' },
            ]}
          />
        </div>
      </PopoverPanel>
    </Popover>
  );
}
