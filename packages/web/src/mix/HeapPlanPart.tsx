import { useMemo } from 'react';
import { measuredWords, weighedWords, type HeapLine, type HeapPart, type HeapPlan } from '@wheat-ledger/core';
import { useAppSelector } from '../app/store';
import { TaskNote } from '../ui/TaskNote';
import { useTask, type Job } from '../ui/useTask';
import type { MixWorker } from '../workers/mix.worker';

interface Wanted {
  readonly parts: readonly HeapPart[];
  readonly binL: number | undefined;
}
const PLAN: Job<MixWorker, Wanted, HeapPlan | undefined> = {
  what: 'the heap',
  start: () => new Worker(new URL('../workers/mix.worker.ts', import.meta.url), { type: 'module' }),
  run: (remote, { parts, binL }) => remote.heap(parts, binL),
  pauseMs: 150,
};

const lineWords = ({ material, kg, litres }: HeapLine, massUnit: 'kg' | 'lb'): string =>
  `${measuredWords(litres)} of ${material.name} (${weighedWords(kg, massUnit)})`;

/** The largest heap that works, from what is at hand. */
export function HeapPlanPart({
  parts,
  binL,
  onTake,
}: {
  parts: readonly HeapPart[];
  binL: number | undefined;
  onTake: (plan: HeapPlan) => void;
}) {
  const massUnit = useAppSelector((s) => s.settings.massUnit);
  const wanted = useMemo(() => (parts.length > 0 ? { parts, binL } : undefined), [parts, binL]);
  const task = useTask(PLAN, wanted);
  const plan = wanted && task.latest;
  return (
    <section aria-live="polite" data-testid="heap-plan">
      <h2 className="mb-1 font-slab text-lg font-semibold">What to pile of it</h2>
      <TaskNote task={task} what="the heap" />
      {plan && plan.lines.length === 0 && <p>Of these alone no heap works.</p>}
      {plan && plan.lines.length > 0 && (
        <>
          <p>The largest heap that works:</p>
          <ul className="ml-5 list-disc">
            {plan.lines.map((line) => (
              <li key={line.material.key}>{lineWords(line, massUnit)}</li>
            ))}
            {plan.waterL > 0.5 && <li>{measuredWords(plan.waterL)} of water, a little on every layer</li>}
          </ul>
        </>
      )}
      {plan && plan.left.length > 0 && (
        <p className="mt-1">Left over: {plan.left.map((line) => lineWords(line, massUnit)).join(', ')}.</p>
      )}
      {plan?.lacks && <p className="mt-1">With {lineWords(plan.lacks, massUnit)} more, all of it could go on.</p>}
      {plan && plan.lines.length > 0 && plan.left.length > 0 && (
        <p className="no-print mt-2">
          <button type="button" className="action" onClick={() => onTake(plan)}>
            Take these amounts
          </button>
        </p>
      )}
    </section>
  );
}
