import { format } from 'date-fns';
import type { JournalRecord } from '@wheat-ledger/contract';

/** How something stood, by what it is told apart. */
export interface Version {
  readonly key: string;
  readonly words: string;
}

/** How a record stood after each change, the newest first. */
export const versionsOf = (changes: readonly JournalRecord[]): readonly (Version & { readonly after: object })[] =>
  changes
    .filter((e) => e.after && (e.action === 'create' || e.action === 'update'))
    .map((e, i) => ({
      key: e.id,
      words: `${i === 0 ? 'today’s, since' : 'as of'} ${format(new Date(e.at), 'd MMM yyyy, HH:mm')}`,
      after: e.after as object,
    }));

interface VersionPickerProps {
  readonly label: string;
  readonly value: string;
  /** Lists to choose from, each with its heading. */
  readonly groups: readonly (readonly [heading: string, versions: readonly Version[]])[];
  /** What is said while nothing is chosen. */
  readonly hint: string;
  readonly onPick: (key: string) => void;
}
/** One of the versions of something, or of what it is compared with. */
export function VersionPicker({ label, value, groups, hint, onPick }: VersionPickerProps) {
  return (
    <label className="min-w-0 text-sm text-faint">
      {label}
      <select
        aria-label={label}
        className="field block text-pine"
        value={value}
        onChange={(e) => onPick(e.target.value)}
      >
        {value === '' && <option value="">{hint}</option>}
        {groups
          .filter(([, versions]) => versions.length > 0)
          .map(([heading, versions]) => (
            <optgroup key={heading} label={heading}>
              {versions.map((v) => (
                <option key={v.key} value={v.key}>
                  {v.words}
                </option>
              ))}
            </optgroup>
          ))}
      </select>
    </label>
  );
}
