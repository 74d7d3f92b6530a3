import { useCallback, useRef } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { toApplication, type ApplicationInput } from '@wheat-ledger/contract';
import {
  formatGiven,
  midSupply,
  movedWhen,
  printAmount,
  printDay,
  printWhen,
  scaledAmount,
  type ComputedProgramme,
  type Product,
} from '@wheat-ledger/core';
import { blankDoing, type ProgrammeText } from './programmeText';
import type { Hold } from './SeasonTimeline';

/**
 * Moves the row a mark belongs to: what is typed in it becomes another day or amount, counted from where the mark was taken hold of.
 * @param applications as they are read, and @param typed which typed row each is
 */
export function useMoves(
  form: UseFormReturn<ProgrammeText>,
  applications: readonly ApplicationInput[],
  typed: readonly number[],
): (hold: Hold, last: boolean) => void {
  const from = useRef<{ readonly row: number; readonly application: ApplicationInput }>(undefined);
  return useCallback(
    (hold, last) => {
      const held = from.current?.row === hold.row ? from.current : undefined;
      const application = held?.application ?? applications[hold.row];
      const at = typed[hold.row];
      if (!application || at === undefined) return;
      from.current = last ? undefined : { row: hold.row, application };
      const { when, amount } = toApplication(application);
      const options = { shouldDirty: true, shouldValidate: last };
      if (hold.days !== 0 || held)
        form.setValue(`applications.${at}.when`, printWhen(movedWhen(when, hold.days)), options);
      if (hold.factor !== 1 || held)
        form.setValue(`applications.${at}.amount`, printAmount(scaledAmount(amount, hold.factor)), options);
    },
    [form, applications, typed],
  );
}

/** Bags of a programme that bring nitrogen, with what is given of each in all, kg N/ha. */
export function splittable(
  inNumbers: ComputedProgramme,
): readonly { readonly product: Product; readonly kgNPerHa: number }[] {
  const found = new Map<string, { product: Product; kgNPerHa: number }>();
  for (const { doing, applied, dates } of inNumbers.rows) {
    const [part, other] = doing.given.parts;
    if (!part || other || applied.kind !== 'applied' || !dates) continue;
    const nitrogen = applied.brings.find((b) => b.analyte === 'N')?.figure.value.mid ?? 0;
    const kg = nitrogen * dates.length * doing.application.part.share;
    const held = found.get(part.product.id);
    if (kg > 0) found.set(part.product.id, { product: part.product, kgNPerHa: (held?.kgNPerHa ?? 0) + kg });
  }
  return [...found.values()];
}

const G_PER_M2 = 0.1;
/** A rate of a product that brings so much nitrogen. @example rateText(urea, 92) // '20 g/m²' */
export const rateText = (product: Product, kgNPerHa: number): string =>
  `${formatGiven(Number(((kgNPerHa / midSupply(product, 'N')) * G_PER_M2).toPrecision(3)))} g/m²`;

/** Puts a split in the place of the rows that gave the bag before. */
export function putSplit(
  form: UseFormReturn<ProgrammeText>,
  product: Product,
  doses: readonly { readonly date: string; readonly kgNPerHa: number }[],
): void {
  const what = `product ${product.id}`;
  const rows = doses.map((d) => ({
    ...blankDoing(what),
    amount: rateText(product, d.kgNPerHa),
    when: printDay(d.date),
    where: 'wateredIn',
  }));
  const kept = form.getValues('applications').filter((row) => row.what !== what);
  form.setValue('applications', [...kept, ...rows], { shouldDirty: true, shouldValidate: true });
}

/** Changes every amount by the same factor, so that their proportions stay. */
export function scaleAll(
  form: UseFormReturn<ProgrammeText>,
  applications: readonly ApplicationInput[],
  typed: readonly number[],
  factor: number,
): void {
  applications.forEach((application, i) => {
    const at = typed[i];
    if (at === undefined) return;
    const text = printAmount(scaledAmount(toApplication(application).amount, factor));
    form.setValue(`applications.${at}.amount`, text, { shouldDirty: true, shouldValidate: true });
  });
}
