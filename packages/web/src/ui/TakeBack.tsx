import { useState } from 'react';
import { Undo2 } from 'lucide-react';
import { problemOf, useUndoImportMutation } from '../app/api';

/** Takes an import back as a whole: what it brought in goes, but for what was changed since. */
export function TakeBack({ batch, what }: { batch: string; what: string }) {
  const [undo, { isLoading }] = useUndoImportMutation();
  const [outcome, setOutcome] = useState<string>();
  const take = async (): Promise<void> => {
    const result = await undo({ batch });
    if (result.error) return setOutcome(problemOf(result.error).detail);
    const { takenOut, changedSince } = result.data;
    setOutcome(
      `${takenOut} ${takenOut === 1 ? 'was' : 'were'} taken out again${changedSince > 0 ? `; ${changedSince} that ${changedSince === 1 ? 'was' : 'were'} changed since ${changedSince === 1 ? 'stays' : 'stay'}` : ''}. The book keeps them all.`,
    );
  };
  return outcome === undefined ? (
    <button type="button" className="action" disabled={isLoading} onClick={() => void take()}>
      <Undo2 size={16} aria-hidden="true" />
      {isLoading ? 'Taking back …' : `Take ${what} back`}
    </button>
  ) : (
    <span role="status">{outcome}</span>
  );
}
