import { useState } from 'react';
import { useNavigate } from 'react-router';
import { heapOperation, type HeapRecord } from '@wheat-ledger/contract';
import { formatTrimmed, parseQuantity, type HeapReading, type HeapPart } from '@wheat-ledger/core';
import { problemOf } from '../app/api';
import { useChangeMutation } from '../app/changeApi';
import { deskSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';
import { today } from '../app/today';
import { FormPart } from '../ui/EditForm';
import { scoopDensity } from './WeighScoop';

const FIELDS = [
  ['weight', 'It weighs in all', '180 kg'],
  ['bucket', 'A full bucket of', '10 L'],
  ['bucketWeight', 'weighs', '6 kg'],
  ['lot', 'Lot, if you number them', ''],
] as const;
type Typed = Record<(typeof FIELDS)[number][0], string>;

/** A heap that is done becomes a bag of the shelf, with what it should hold and so much of it in stock. */
export function HeapDone({
  record,
  parts,
  heap,
}: {
  record: HeapRecord;
  parts: readonly HeapPart[];
  heap: HeapReading;
}) {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const [change, { isLoading }] = useChangeMutation();
  const [typed, setTyped] = useState<Typed>({ weight: '', bucket: '10 L', bucketWeight: '', lot: '' });
  const expected = heap.finished.kg.value;
  const read = parseQuantity(typed.weight, 'mass', 'kg');
  const kg = read.ok && read.value > 0 ? read.value * read.unit.factor : undefined;
  const keep = async (): Promise<void> => {
    const id = crypto.randomUUID();
    const operation =
      kg === undefined
        ? undefined
        : heapOperation({
            name: record.name,
            heap: record.name,
            parts,
            kg,
            densityKgPerL: scoopDensity(typed.bucketWeight, typed.bucket),
            on: today(),
            lot: typed.lot.trim(),
            id,
          });
    if (!operation) return;
    const done = await change(operation);
    if (done.error)
      return void dispatch(deskSlice.actions.noticed({ text: problemOf(done.error).detail, recordId: undefined }));
    await navigate(`/shelf/${id}`, { flushSync: true });
    dispatch(deskSlice.actions.noticed({ text: `“${record.name}” is on the shelf.`, recordId: id }));
  };
  return (
    <div className="no-print">
      <FormPart title="It is done" hint="it becomes a bag of the shelf, with a ranged analysis">
        <div className="no-print flex flex-wrap items-end gap-3">
          {FIELDS.map(([key, label, placeholder]) => (
            <label key={key} className="text-sm text-faint">
              {label}
              <input
                className="field mt-1 block !w-36 text-base text-pine"
                value={typed[key]}
                placeholder={placeholder}
                onChange={(e) => setTyped({ ...typed, [key]: e.target.value })}
              />
            </label>
          ))}
          <button type="button" className="action" disabled={isLoading || kg === undefined} onClick={() => void keep()}>
            Put it on the shelf
          </button>
        </div>
        {typed.weight.trim() !== '' && kg === undefined && (
          <p className="mt-1 text-beet">Read “{typed.weight}”, expected a weight such as 180 kg.</p>
        )}
        {kg !== undefined && (kg < expected.low || kg > expected.high) && (
          <p className="mt-1 text-faint">
            From what was piled one would expect {formatTrimmed(expected.low, 2)}–{formatTrimmed(expected.high, 2)} kg.
            Your weight counts.
          </p>
        )}
      </FormPart>
    </div>
  );
}
