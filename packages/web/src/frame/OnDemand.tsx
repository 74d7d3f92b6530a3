import { useState } from 'react';
import { useFetched } from '../ui/useFetched';
import { FIND_FIELD } from './findField';
import { UnitsWords } from './UnitsWords';

/*
 * Parts that are fetched when they are first used: the page is read before anything is searched. What stands in their place keeps focus and typing until
 * they are there. A pointer that comes near fetches them ahead; where that fails, they are fetched when they are used.
 */
const loadFindBox = async () => (await import('./FindBox')).FindBox;
const loadUnits = async () => (await import('./UnitsPopover')).UnitsPopover;
const ahead = (load: () => Promise<unknown>) => (): void => void load().catch(() => undefined);

/** The find box; a plain field until somebody goes to it, and what is typed meanwhile is kept. */
export function FindField() {
  const [wanted, setWanted] = useState(false);
  const FindBox = useFetched(loadFindBox, wanted);
  const [typed, setTyped] = useState('');
  if (FindBox) return <FindBox typed={typed} />;
  return (
    <input
      {...FIND_FIELD}
      value={typed}
      onChange={(e) => setTyped(e.target.value)}
      onFocus={() => setWanted(true)}
      onPointerEnter={ahead(loadFindBox)}
    />
  );
}

/** Units, basis and light; the panel comes when it is asked for. */
export function UnitsButton() {
  const [wanted, setWanted] = useState(false);
  const UnitsPopover = useFetched(loadUnits, wanted);
  if (UnitsPopover) return <UnitsPopover />;
  return (
    <button
      type="button"
      className="action"
      title="Units and light"
      onClick={() => setWanted(true)}
      onPointerEnter={ahead(loadUnits)}
    >
      <UnitsWords />
    </button>
  );
}
