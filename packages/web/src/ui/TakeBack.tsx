import { useState } from 'react';
import { Undo2 } from 'lucide-react';
import { problemOf, useUndoMutation } from '../app/api';

/** Takes an import back as a whole: what it brought in goes, but for what was changed since. */
export function TakeBack({ operation, what }: { operation: string; what: string }) {
  const [undo, { isLoading }] = useUndoMutation();
  const [outcome, setOutcome] = useState<string>();
  const take = async (): Promise<void> => {
    const result = await undo({ operation, leaving: true });
    if (result.error) return setOutcome(problemOf(result.error).detail);
    const { undone, changedSince } = result.data;
    setOutcome(
      `${undone} ${undone === 1 ? 'was' : 'were'} taken out again${changedSince > 0 ? `; ${changedSince} that ${changedSince === 1 ? 'was' : 'were'} changed since ${changedSince === 1 ? 'stays' : 'stay'}` : ''}. The book keeps them all.`,
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
