import { capital } from '@wheat-ledger/core';
import { Remark } from './Sheet';
import { useProgress, type Task } from './useTask';

/** How far a task is with a way to stop it; or why it failed, with a way to try again. Nothing when it rests. */
export function TaskNote({ task, what }: { readonly task: Task<unknown>; readonly what: string }) {
  const share = useProgress(task.progress);
  if (task.error !== undefined)
    return (
      <Remark tone="caution">
        {task.error}{' '}
        <button type="button" className="plain" onClick={task.again}>
          Try again
        </button>
      </Remark>
    );
  if (!task.running || share === undefined) return null;
  return (
    <p className="no-print flex items-center gap-3 text-sm text-faint">
      <progress value={share} max={1} aria-label={`${capital(what)} worked out`} />
      Working out {what}
      <button type="button" className="plain" onClick={task.cancel}>
        Stop
      </button>
    </p>
  );
}
