import { IsISO8601, IsUUID } from 'class-validator';
import { JAR_KINDS, JAR_STEPS, type JarKind } from '@wheat-ledger/core';
import { Maybe, NumberBetween, OneOf, Parts, Text } from './decorators.js';

const STEP_KEYS: readonly string[] = Object.values(JAR_STEPS)
  .flat()
  .map((s) => s.key);

export class JarReadingInput {
  @OneOf(STEP_KEYS, 'a step of the test')
  step!: string;

  /** A height in mm, or how cloudy from 0 to 3. */
  @NumberBetween(0, 1000, 'a reading')
  value!: number;
}

/** A jar test on a plot's soil: begun at a moment, read step by step. */
export class JarTestInput {
  @IsUUID('all', { message: 'Expected a plot of this workspace.' })
  plotId!: string;

  @Text(1, 120, 'a name')
  name!: string;

  @OneOf(JAR_KINDS, 'a kind of jar test')
  kind!: JarKind;

  /** When the clock was started; missing until it is. */
  @Maybe()
  @IsISO8601({ strict: true }, { message: 'Read "$value", expected a moment such as 2026-03-14T08:30:00Z.' })
  startedAt?: string;

  @Parts(() => JarReadingInput, 6, 'readings')
  readings!: JarReadingInput[];

  @Text(0, 2000, 'a note')
  note!: string;
}
