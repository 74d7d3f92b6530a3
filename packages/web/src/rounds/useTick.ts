import { useCallback, useMemo } from 'react';
import { toMovement, type EntryInput, type MovementRecord } from '@wheat-ledger/contract';
import { bagsOf, openLot, weatherWords, type Task } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { today } from '../app/today';
import { useKeep } from '../ui/useKeep';

/** As many figures as a scale shows. */
const FIGURES = 6;
/** What a task comes to in the log. */
export function entryOf(task: Task, movements: readonly MovementRecord[]): EntryInput {
  const { planned, row, key } = task;
  const { applied, doing } = row;
  const lotOf = (productId: string): string => {
    const used = doing.given.parts.find((p) => p.product.id === productId)?.product;
    const own = movements.filter((m) => m.productId === productId).map(toMovement);
    return used ? openLot(used, own) : '';
  };
  return {
    plotId: planned.plotId,
    on: today(),
    what: doing.given.name.slice(0, 200),
    task: key,
    items: bagsOf(task).map(({ productId, kg }) => ({
      productId,
      amount: Number(kg.value.mid.toPrecision(FIGURES)),
      unit: 'kg',
      lot: lotOf(productId),
    })),
    ...(applied.kind === 'applied' ? { areaM2: applied.area.value.mid } : {}),
    where: doing.application.where.kind,
    by: '',
    weather: weatherWords(planned.logged ?? [], today()),
    note: '',
  };
}

/** Which tasks are ticked off, the entries that did it, and ticking one more. */
export function useTick() {
  const { records: entries, isLoading } = useRecords('entry');
  const { records: movements } = useRecords('movement');
  const { keep, saving } = useKeep('entry');
  const done = useMemo(() => new Set(entries.flatMap((e) => e.task ?? [])), [entries]);
  const tick = useCallback(
    (task: Task) =>
      keep(entryOf(task, movements), undefined, `Ticked off: ${task.row.doing.given.name}, ${task.planned.plotName}.`),
    [keep, movements],
  );
  return { done, tick, saving, movements, isLoading };
}
