import { useState, type ComponentType } from 'react';
import { FIND_FIELD } from './findField';
import { UnitsWords } from './UnitsWords';

/** A part that is fetched when it is first used: the page is read before anything is searched. What stands in its place keeps focus and typing until it is there. */
function useOnDemand<Props>(load: () => Promise<ComponentType<Props>>): {
  readonly Part: ComponentType<Props> | undefined;
  readonly fetchIt: () => void;
} {
  const [Part, setPart] = useState<ComponentType<Props>>();
  return { Part, fetchIt: () => void load().then((part) => setPart(() => part)) };
}
const loadFindBox = async () => (await import('./FindBox')).FindBox;
const loadUnits = async () => (await import('./UnitsPopover')).UnitsPopover;

/** The find box; a plain field until somebody goes to it, and what is typed meanwhile is kept. */
export function FindField() {
  const { Part: FindBox, fetchIt } = useOnDemand(loadFindBox);
  const [typed, setTyped] = useState('');
  if (FindBox) return <FindBox typed={typed} />;
  return (
    <input
      {...FIND_FIELD}
      value={typed}
      onChange={(e) => setTyped(e.target.value)}
      onFocus={fetchIt}
      onPointerEnter={() => void loadFindBox()}
    />
  );
}

/** Units, basis and light; the panel comes when it is asked for. */
export function UnitsButton() {
  const { Part: UnitsPopover, fetchIt } = useOnDemand(loadUnits);
  if (UnitsPopover) return <UnitsPopover />;
  return (
    <button
      type="button"
      className="action"
      title="Units and light"
      onClick={fetchIt}
      onPointerEnter={() => void loadUnits()}
    >
      <UnitsWords />
    </button>
  );
}
