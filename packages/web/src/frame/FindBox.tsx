import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { STAGES } from '../app/stages';
import { useRecords } from '../app/api';
import { FIND_FIELD } from './findField';

const MOST_SHOWN = 9;
interface Found {
  readonly path: string;
  readonly text: string;
  readonly detail: string;
}

/**
 * Finds a bag or a stage by a part of its name and goes there.
 * @param typed what was typed before it was there
 */
export function FindBox({ typed }: { typed: string }) {
  const { records } = useRecords('product');
  const [query, setQuery] = useState(typed);
  const navigate = useNavigate();
  const wanted = query.trim().toLowerCase();
  // Worked out once for the shelf, not once a key.
  const places = useMemo(
    () =>
      [
        ...STAGES.map((s): Found => ({ path: s.path, text: s.name, detail: 'stage' })),
        ...records.map(({ id, name, seller }): Found => ({ path: `/shelf/${id}`, text: name, detail: seller })),
      ].map((place) => ({ place, words: `${place.text} ${place.detail}`.toLowerCase() })),
    [records],
  );
  const found = useMemo(() => {
    const some: Found[] = [];
    if (wanted !== '')
      for (const { place, words } of places) {
        if (words.includes(wanted)) some.push(place);
        if (some.length === MOST_SHOWN) break;
      }
    return some;
  }, [places, wanted]);
  const go = (place: Found | null): void => {
    if (!place) return;
    setQuery('');
    void navigate(place.path);
  };
  return (
    <Combobox value={null} onChange={go} onClose={() => setQuery('')}>
      <ComboboxInput {...FIND_FIELD} autoFocus value={query} onChange={(e) => setQuery(e.target.value)} />
      {wanted !== '' && (
        <ComboboxOptions
          anchor="bottom end"
          className="z-30 mt-1 w-80 border border-line-strong bg-paper py-1 shadow-md"
        >
          {found.map((p) => (
            <ComboboxOption
              key={p.path}
              value={p}
              className="flex cursor-pointer justify-between gap-3 px-3 py-1.5 data-focus:bg-chalk"
            >
              <span>{p.text}</span>
              <span className="text-sm text-faint">{p.detail}</span>
            </ComboboxOption>
          ))}
          {found.length === 0 && <p className="px-3 py-1.5 text-faint">Nothing here is called “{query}”.</p>}
        </ComboboxOptions>
      )}
    </Combobox>
  );
}
