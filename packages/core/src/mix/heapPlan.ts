import { solve, type Column, type LinearModel, type LpSolver, type Row } from '../solve/index.js';
import { unitOf } from '../quantity/index.js';
import type { HeapPart } from './heap.js';
import { HEAP_GOAL, heapMaterial, type HeapMaterial } from './heapMaterials.js';

/** So much of a material, in kg as it comes and in litres loosely piled. */
export interface HeapLine {
  readonly material: HeapMaterial;
  readonly kg: number;
  readonly litres: number;
}
/** A heap from what is at hand. */
export interface HeapPlan {
  readonly lines: readonly HeapLine[];
  /** Water to add; a litre weighs a kg. */
  readonly waterL: number;
  /** What of the things at hand finds no place. */
  readonly left: readonly HeapLine[];
  /** What would have to be found so that all of it finds a place; undefined where all of it does, or the bin is full. */
  readonly lacks: HeapLine | undefined;
}

/** Stuff in plain numbers, at the middle of what is known of it. */
interface Stuff {
  readonly material: HeapMaterial;
  readonly density: number;
  readonly moisture: number;
  /** kg in a kg of it as it comes. */
  readonly carbon: number;
  readonly nitrogen: number;
  readonly mostKg: number;
}
function stuffOf({ material, amount, unit, own }: HeapPart): Stuff {
  const { dimension, factor } = unitOf(unit);
  const density = material.densityKgPerL.mid;
  const moisture = own?.moisture ?? material.moisture.mid;
  const carbon = (1 - moisture) * material.carbon.mid;
  const nitrogen = carbon / (own?.carbonToNitrogen ?? material.carbonToNitrogen.mid);
  const mostKg = amount * factor * (dimension === 'mass' ? 1 : density);
  return { material, density, moisture, carbon, nitrogen, mostKg };
}

/** Water is worth next to nothing, so that no more of it is taken than is needed. */
const DROP = 1e-6;
/** Rows that keep C:N and water within what a heap works at; the last unknown is water. */
function goalRows(stuff: readonly Stuff[]): readonly Row[] {
  const cn = HEAP_GOAL.carbonToNitrogen;
  const wet = HEAP_GOAL.moisture;
  const row = (of: (s: Stuff) => number, water: number): readonly number[] => [...stuff.map(of), water];
  return [
    { name: 'enough carbon', coefficients: row((s) => s.carbon - cn.low * s.nitrogen, 0), low: 0 },
    { name: 'enough nitrogen', coefficients: row((s) => s.carbon - cn.high * s.nitrogen, 0), high: 0 },
    { name: 'moist enough', coefficients: row((s) => s.moisture - wet.low, 1 - wet.low), low: 0 },
    { name: 'not too wet', coefficients: row((s) => s.moisture - wet.high, 1 - wet.high), high: 0 },
  ];
}

/** The heap that takes the most of what is at hand. */
function fullest(stuff: readonly Stuff[], binL: number | undefined): LinearModel {
  const columns: readonly Column[] = [
    ...stuff.map((s) => ({ name: s.material.name, cost: 1 / s.density, high: s.mostKg })),
    { name: 'water', cost: -DROP },
  ];
  const bin: readonly Row[] =
    binL === undefined
      ? []
      : [{ name: 'the bin is full', coefficients: [...stuff.map((s) => 1 / s.density), 0], high: binL }];
  return { goal: 'most', columns, rows: [...goalRows(stuff), ...bin] };
}

/** The least of one more material with which all that is at hand finds a place; undefined where that does not help. */
function lacking(stuff: readonly Stuff[], helper: HeapMaterial, solver: LpSolver): HeapLine | undefined {
  const more = stuffOf({ material: helper, amount: 0, unit: 'kg' });
  const all = [...stuff, more];
  const columns: readonly Column[] = [
    ...stuff.map((s) => ({ name: s.material.name, cost: 0, low: s.mostKg, high: s.mostKg })),
    { name: helper.name, cost: 1 },
    { name: 'water', cost: DROP },
  ];
  const outcome = solve({ goal: 'least', columns, rows: goalRows(all) }, solver);
  if (outcome.kind !== 'optimal') return undefined;
  const kg = outcome.x[stuff.length] ?? 0;
  return kg > 0 ? { material: helper, kg, litres: kg / more.density } : undefined;
}

/** What is easy to come by, for a heap that lacks carbon or nitrogen. */
const HELPERS: readonly string[] = [
  'straw',
  'fallen-leaves',
  'cardboard-and-paper',
  'grass-clippings',
  'poultry-manure',
];
const line = ({ material, density }: Stuff, kg: number): HeapLine => ({ material, kg, litres: kg / density });
/** Less than this share of what is at hand is none left. */
const NONE = 1e-4;
/** Less than this share of the heap is none in it; more would show in its carbon and nitrogen. */
const TRACE = 1e-7;

/**
 * The largest heap from what is at hand that works: C:N and water within what a heap works at, water added where it is dry, no larger than the bin. By
 * linear programming at the middle of what is known of each material.
 * @param atHand what there is of each at most
 * @param binL litres; as much as there is, where undefined
 * @returns undefined where nothing at hand can make a heap
 * @example planHeap([{ material: clippings, amount: 40, unit: 'kg' }, { material: straw, amount: 30, unit: 'kg' }], undefined, highs)
 */
export function planHeap(
  atHand: readonly HeapPart[],
  binL: number | undefined,
  solver: LpSolver,
): HeapPlan | undefined {
  const stuff = atHand.map(stuffOf).filter((s) => s.mostKg > 0);
  if (stuff.length === 0) return undefined;
  const outcome = solve(fullest(stuff, binL), solver);
  if (outcome.kind !== 'optimal') return undefined;
  const taken = stuff.map((s, i) => ({ s, kg: outcome.x[i] ?? 0 }));
  const left = taken.filter(({ s, kg }) => s.mostKg - kg > NONE * s.mostKg).map(({ s, kg }) => line(s, s.mostKg - kg));
  const litres = taken.reduce((sum, { s, kg }) => sum + kg / s.density, 0);
  const heapKg = taken.reduce((sum, { kg }) => sum + kg, 0);
  const binFull = binL !== undefined && litres > binL * (1 - NONE);
  const found = HELPERS.flatMap((key) => {
    const helper = heapMaterial(key);
    return helper && left.length > 0 && !binFull ? (lacking(stuff, helper, solver) ?? []) : [];
  });
  const [lacks] = found.sort((a, b) => a.litres - b.litres);
  return {
    lines: taken.filter(({ kg }) => kg > TRACE * heapKg).map(({ s, kg }) => line(s, kg)),
    waterL: outcome.x[stuff.length] ?? 0,
    left,
    lacks,
  };
}
