import { IsBoolean } from 'class-validator';
import {
  HEAP_KEYS,
  heapMaterial,
  type Basis,
  type Figure,
  type HeapEntry,
  readHeap,
  type HeapPart,
  type Nutrient,
} from '@wheat-ledger/core';
import { Day, Maybe, NumberBetween, OneOf, Parts, Text } from './decorators.js';
import type { MovementInput } from './movement.js';
import type { OperationInput } from './operation.js';
import { PACKAGE_UNITS, type AnalysisFigureInput, type ProductInput } from './product.js';

export class HeapPartInput {
  @OneOf(HEAP_KEYS, 'a material for a heap')
  material!: string;

  @NumberBetween(0, 1e6, 'how much of it')
  amount!: number;

  @OneOf(PACKAGE_UNITS, 'a unit of weight or volume')
  unit!: string;

  /** Measured, in the place of what is typical. */
  @Maybe()
  @NumberBetween(1, 2000, 'a C:N')
  carbonToNitrogen?: number;

  /** Water as a share of its weight, measured. */
  @Maybe()
  @NumberBetween(0, 0.98, 'water as a share')
  moisture?: number;
}

export class HeapEntryInput {
  @Day()
  on!: string;

  /** In the middle of the heap. */
  @Maybe()
  @NumberBetween(-30, 100, 'a temperature in °C')
  celsius?: number;

  @IsBoolean({ message: 'Expected yes or no.' })
  turned!: boolean;

  @Text(0, 500, 'a note')
  note!: string;
}

/** A compost heap: what is at hand for it or on it, how large it may be, and what was found in it day by day. */
export class HeapInput {
  @Text(1, 120, 'a name')
  name!: string;

  /** The day it was piled; missing while it is only planned. */
  @Maybe()
  @Day()
  begunOn?: string;

  @Maybe()
  @NumberBetween(1, 1e7, 'a volume in litres')
  binL?: number;

  @Parts(() => HeapPartInput, 20, 'materials')
  parts!: HeapPartInput[];

  @Parts(() => HeapEntryInput, 400, 'entries of its log')
  log!: HeapEntryInput[];

  @Text(0, 2000, 'a note')
  note!: string;
}

/** The parts of a heap as the core reads them. */
export const toHeapParts = (parts: readonly HeapPartInput[]): readonly HeapPart[] =>
  parts.flatMap(({ material: key, amount, unit, carbonToNitrogen, moisture }) => {
    const material = heapMaterial(key);
    return material ? [{ material, amount, unit, own: { carbonToNitrogen, moisture } }] : [];
  });
export const toHeapLog = (log: readonly HeapEntryInput[]): readonly HeapEntry[] =>
  log.map(({ on, celsius, turned }) => ({ on, celsius, turned }));

/** A heap that is done, as it goes on the shelf. */
export interface DoneHeap {
  readonly name: string;
  /** Of the heap it was. */
  readonly heap: string;
  readonly parts: readonly HeapPart[];
  /** Weighed. */
  readonly kg: number;
  /** What a litre of it weighs, where that was weighed. */
  readonly densityKgPerL: number | undefined;
  readonly on: string;
  readonly lot: string;
  /** The id that the new bag gets. */
  readonly id: string;
}

const digits = (n: number): number => Number(n.toPrecision(3));
const line = (analyte: Nutrient, basis: Basis, { value }: Figure): AnalysisFigureInput => ({
  analyte,
  basis,
  value: { kind: 'range', low: digits(value.low), mid: digits(value.mid), high: digits(value.high) },
  unit: '%',
  provenance: 'typical',
  source: 'worked out from what was piled',
});
/**
 * A finished heap as one change of the ledger: a new bag with a ranged analysis, and so much of it in stock.
 * @returns undefined where nothing is known of what was piled
 */
export function heapOperation(done: DoneHeap): OperationInput | undefined {
  const { name, heap, kg, densityKgPerL, on, lot, id } = done;
  const finished = readHeap(done.parts)?.finished;
  if (!finished) return undefined;
  const bag: ProductInput = {
    name,
    seller: '',
    form: 'bulk',
    ...(densityKgPerL === undefined ? {} : { densityKgPerL }),
    analysis: [
      line('N', 'element', finished.nitrogen),
      line('P', 'P2O5', finished.p2o5),
      line('K', 'K2O', finished.k2o),
    ],
    derivedFrom: ['green compost'],
    offers: [],
    origins: ['waste'],
    note: `From the heap “${heap}”. Send some to a laboratory to know it better.`,
  };
  const made: MovementInput = {
    productId: id,
    amount: Number(kg.toPrecision(9)),
    unit: 'kg',
    reason: 'made',
    on,
    lot,
    note: '',
  };
  return {
    why: `the heap “${heap}” is done`.slice(0, 200),
    changes: [
      { kind: 'product', action: 'create', id, input: bag },
      { kind: 'movement', action: 'create', input: made },
    ],
  };
}
