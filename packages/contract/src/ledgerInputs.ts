import { IsBoolean, IsUUID, Matches } from 'class-validator';
import { OneOf, Parts, Text } from './decorators.js';
import { BENCH_KINDS, MOST_ON_BENCH, type Bench, type BenchKind, type BenchPlace } from './ledger.js';
import { RECORD_KINDS, type RecordKind } from './kinds.js';
import type { FieldProblem } from './validate.js';

/** What a ledger is called. */
export class LedgerInput {
  @Text(1, 80, 'a name')
  name!: string;
}

/** A record of another ledger to be copied into this one, with what it refers to. */
export class CopyInput {
  @Matches(/^[a-z0-9-]{1,60}$/, { message: 'Expected the ledger to copy from.' })
  from!: string;

  @OneOf(RECORD_KINDS, 'a kind of record')
  kind!: RecordKind;

  @IsUUID('all', { message: 'Expected the record to copy.' })
  id!: string;
}

export class BenchPlaceInput implements BenchPlace {
  @OneOf(BENCH_KINDS, 'what lies on the bench')
  kind!: BenchKind;

  @IsUUID('all', { message: 'Expected a bag or a recipe of this ledger.' })
  id!: string;

  @IsBoolean({ message: 'Expected true or false.' })
  aside!: boolean;
}

export class BenchInput implements Bench {
  @Parts(() => BenchPlaceInput, MOST_ON_BENCH, 'places on the bench')
  places!: BenchPlaceInput[];
}

/** A thing lies in one place only. */
export const benchProblems = ({ places }: Bench): readonly FieldProblem[] =>
  places.flatMap(({ id }, i) =>
    places.findIndex((p) => p.id === id) < i
      ? [{ path: `places.${i}.id`, message: 'This is on the bench already.' }]
      : [],
  );
