import { given, Reader, rowsWith, whenTyped, type HeapInput, type ReadText } from '@wheat-ledger/contract';
import { typedNumber } from '@wheat-ledger/core';

export interface HeapPartText {
  material: string;
  amount: string;
  carbonToNitrogen: string;
  moisture: string;
}
export interface HeapEntryText {
  on: string;
  celsius: string;
  turned: boolean;
  note: string;
}
/** A heap as a person types it. */
export interface HeapText {
  name: string;
  begunOn: string;
  binL: string;
  parts: HeapPartText[];
  log: HeapEntryText[];
  note: string;
}

export const blankHeap = (): HeapText => ({ name: '', begunOn: '', binL: '', parts: [], log: [], note: '' });
export const blankHeapPart = (material = ''): HeapPartText => ({
  material,
  amount: '',
  carbonToNitrogen: '',
  moisture: '',
});

const percent = (share: number | undefined): string =>
  share === undefined ? '' : typedNumber(Number((share * 100).toPrecision(6)));

export const heapText = (h: HeapInput): HeapText => ({
  name: h.name,
  begunOn: h.begunOn ?? '',
  binL: h.binL === undefined ? '' : `${typedNumber(h.binL)} L`,
  parts: h.parts.map((p) => ({
    material: p.material,
    amount: `${typedNumber(p.amount)} ${p.unit}`,
    carbonToNitrogen: typedNumber(p.carbonToNitrogen),
    moisture: percent(p.moisture),
  })),
  log: h.log.map((e) => ({ on: e.on, celsius: typedNumber(e.celsius), turned: e.turned, note: e.note })),
  note: h.note,
});

/** Reads a typed heap; rows in which nothing was typed are left out. */
export function readHeapText(text: HeapText): ReadText & { readonly plain: HeapInput } {
  const read = new Reader();
  const parts = rowsWith(text.parts, (p) => p.material !== '' && p.amount.trim() !== '');
  const log = rowsWith(
    text.log,
    (e) => e.on.trim() !== '' || e.celsius.trim() !== '' || e.turned || e.note.trim() !== '',
  );
  const plain: HeapInput = {
    name: text.name.trim(),
    ...given(
      'begunOn',
      whenTyped(text.begunOn, () => read.day('begunOn', text.begunOn)),
    ),
    ...given(
      'binL',
      whenTyped(text.binL, () => read.canonical('binL', text.binL, 'volume', 'L')),
    ),
    parts: parts.map(([part, i]) => {
      const amount = read.quantity(`parts.${i}.amount`, part.amount, ['volume', 'mass']);
      const water = whenTyped(part.moisture, () => read.number(`parts.${i}.moisture`, part.moisture.replace('%', '')));
      return {
        material: part.material,
        amount: amount?.value ?? 0,
        unit: amount?.unit.symbol ?? 'L',
        ...given(
          'carbonToNitrogen',
          whenTyped(part.carbonToNitrogen, () => read.number(`parts.${i}.carbonToNitrogen`, part.carbonToNitrogen)),
        ),
        ...given('moisture', water === undefined ? undefined : water / 100),
      };
    }),
    log: log.map(([entry, i]) => ({
      on: read.day(`log.${i}.on`, entry.on) ?? '',
      ...given(
        'celsius',
        whenTyped(entry.celsius, () => read.temperature(`log.${i}.celsius`, entry.celsius)),
      ),
      turned: entry.turned,
      note: entry.note.trim(),
    })),
    note: text.note.trim(),
  };
  return { plain, problems: read.problems, rows: { parts: parts.map(([, i]) => i), log: log.map(([, i]) => i) } };
}
