import {
  GardenResultInput,
  inputOf,
  TrialInput,
  trialProblems,
  validateInput,
  type TrialRecord,
} from '@wheat-ledger/contract';
import type { TrialUnit } from '@wheat-ledger/core';

const PROTOCOL = 'wheat-ledger/trial/1';
const RESULTS = 'wheat-ledger/trial-results/1';
/** A garden of a neighbour gives it so many blocks. */
const NEIGHBOUR_BLOCKS = 2;

function parsed(text: string, format: string, what: string): Readonly<Record<string, unknown>> {
  let file: unknown;
  try {
    file = JSON.parse(text);
  } catch {
    throw new Error(`This is not a ${what}: it is no JSON.`);
  }
  if (typeof file !== 'object' || file === null || (file as { format?: unknown }).format !== format)
    throw new Error(`This is not a ${what}: expected “format”: “${format}”.`);
  return file as Readonly<Record<string, unknown>>;
}

/** A trial as a protocol file for neighbours: the same question and arms, two blocks, and a seed that each draws anew. */
export function protocolFile(trial: TrialRecord): string {
  // What is of this ledger alone stays here, and so does who stands where.
  const HERE = ['plotId', 'claimId', 'startedOn', 'gardens', 'follows', 'seed', 'blockPlaces'];
  const kept = Object.fromEntries(Object.entries(inputOf(trial)).filter(([key]) => !HERE.includes(key)));
  return JSON.stringify(
    { format: PROTOCOL, trial: { ...kept, layout: 'blocks', replicates: NEIGHBOUR_BLOCKS, odd: [] } },
    null,
    2,
  );
}
/**
 * Reads a protocol file.
 * @param seed who stands where is drawn by it, here
 * @throws Error with what is wrong with the file
 */
export function readProtocol(text: string, seed: number): TrialInput {
  const { trial } = parsed(text, PROTOCOL, 'trial file');
  const checked = validateInput(TrialInput, { ...(trial as object), seed });
  const problems = checked.ok ? trialProblems(checked.value) : checked.problems;
  const [first] = problems;
  if (first || !checked.ok)
    throw new Error(`The trial in this file cannot be read: ${first?.path ?? ''}: ${first?.message ?? ''}`);
  return checked.value;
}

/** What a garden found, arm by arm, as differences to the control in each block where both were measured. */
export function resultsFile(
  trial: Pick<TrialInput, 'name' | 'arms' | 'control'>,
  units: readonly TrialUnit[],
  values: ReadonlyMap<number, number>,
  outcome: string,
  garden: string,
): string {
  const blocks = [...new Set(units.map((u) => u.block ?? u.row))];
  const valueAt = (block: number, arm: number): number | undefined => {
    const unit = units.find((u) => (u.block ?? u.row) === block && u.arm === arm);
    const value = unit && values.get(unit.number);
    return value === undefined || Number.isNaN(value) ? undefined : value;
  };
  const results = trial.arms.flatMap((a, arm): GardenResultInput[] => {
    if (arm === trial.control) return [];
    const differences = blocks.flatMap((block) => {
      const [own, control] = [valueAt(block, arm), valueAt(block, trial.control)];
      return own === undefined || control === undefined ? [] : [Number((own - control).toPrecision(9))];
    });
    return differences.length > 0 ? [{ garden, outcome, arm: a.name, differences }] : [];
  });
  return JSON.stringify({ format: RESULTS, trial: trial.name, results }, null, 2);
}
/** Reads what a garden found. @throws Error with what is wrong with the file */
export function readResults(text: string, trial: Pick<TrialInput, 'name'>): readonly GardenResultInput[] {
  const { trial: of, results } = parsed(text, RESULTS, 'file of results');
  if (of !== trial.name) throw new Error(`Read results of “${String(of)}”, expected those of “${trial.name}”.`);
  if (!Array.isArray(results) || results.length === 0) throw new Error('This file holds no results.');
  return results.map((r: unknown) => {
    if (typeof r !== 'object' || r === null) throw new Error('A result in this file cannot be read.');
    const checked = validateInput(GardenResultInput, r);
    if (!checked.ok) throw new Error(`A result in this file cannot be read: ${checked.problems[0]?.message ?? ''}`);
    return checked.value;
  });
}
