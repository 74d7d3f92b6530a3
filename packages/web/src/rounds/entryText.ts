import {
  given,
  Reader,
  rowsWith,
  whenTyped,
  type EntryInput,
  type EntryItemInput,
  type ReadText,
} from '@wheat-ledger/contract';
import { typedNumber, type Where } from '@wheat-ledger/core';

export interface EntryItemText {
  productId: string;
  /** Such as 3.5 kg. */
  amount: string;
  lot: string;
}
/** What was done, as a person types it. */
export interface EntryText {
  plotId: string;
  seasonId: string;
  on: string;
  what: string;
  items: EntryItemText[];
  /** m². */
  area: string;
  /** L. */
  water: string;
  where: string;
  minutes: string;
  by: string;
  weather: string;
  note: string;
  beyondStock: string;
}

export const blankItem = (): EntryItemText => ({ productId: '', amount: '', lot: '' });
export const entryText = (e: EntryInput): EntryText => ({
  plotId: e.plotId,
  seasonId: e.seasonId ?? '',
  on: e.on,
  what: e.what,
  items: e.items.map(({ productId, amount, unit, lot }) => ({
    productId,
    amount: `${typedNumber(amount)} ${unit}`,
    lot,
  })),
  area: typedNumber(e.areaM2),
  water: typedNumber(e.waterL),
  where: e.where ?? '',
  minutes: typedNumber(e.minutes),
  by: e.by,
  weather: e.weather,
  note: e.note,
  beyondStock: e.beyondStock ?? '',
});

function readItem(read: Reader, { productId, amount, lot }: EntryItemText, i: number): EntryItemInput | undefined {
  if (productId === '') return read.refuse(`items.${i}.productId`, 'Expected the bag it came from.');
  const found = read.quantity(`items.${i}.amount`, amount, ['mass', 'volume'], 'kg');
  return found && { productId, amount: found.value, unit: found.unit.symbol, lot: lot.trim() };
}

/** Reads a typed entry. @param kept what is not typed: the task it ticks off, the entry it corrects */
export function readEntry(
  text: EntryText,
  kept: Pick<EntryInput, 'task' | 'corrects'> = {},
): ReadText & { readonly plain: EntryInput } {
  const read = new Reader();
  if (text.plotId === '') read.refuse('plotId', 'Expected the plot it went on.');
  const items = rowsWith(text.items, (r) => r.productId !== '' || r.amount.trim() !== '');
  const number = (path: 'area' | 'water' | 'minutes'): number | undefined =>
    whenTyped(text[path], () => read.number(path, text[path].replace(/\s*(m²|m2|l|litres?|min(?:utes?)?)$/i, '')));
  const bags = items.flatMap(([item, i]) => readItem(read, item, i) ?? []);
  const what = text.what.trim();
  const plain: EntryInput = {
    plotId: text.plotId,
    ...given('seasonId', text.seasonId || undefined),
    on: read.day('on', text.on) ?? '',
    what,
    ...given('task', kept.task),
    items: bags,
    ...given('areaM2', number('area')),
    ...given('waterL', number('water')),
    ...given('where', text.where === '' ? undefined : (text.where as Where['kind'])),
    ...given('minutes', number('minutes')),
    by: text.by.trim(),
    weather: text.weather.trim(),
    note: text.note.trim(),
    ...given('corrects', kept.corrects),
    ...given('beyondStock', text.beyondStock.trim() || undefined),
  };
  return { plain, problems: read.problems, rows: { items: items.map(([, i]) => i) } };
}
