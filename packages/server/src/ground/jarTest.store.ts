import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import type { FieldProblem, JarReadingInput, JarTestInput } from '@wheat-ledger/contract';
import { JAR_STEPS, type JarKind } from '@wheat-ledger/core';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { Stored } from '../records/stored.entity.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { missingPlot } from './knownPlots.js';

@Entity({ tableName: 'jar_test' })
export class JarTestEntity extends Stored {
  @Property({ type: 'uuid', fieldName: 'plot_id' })
  plotId!: string;

  @Property({ type: 'text' })
  kind!: JarKind;

  @Property({ type: 'timestamptz', fieldName: 'started_at', nullable: true })
  startedAt: Date | null = null;

  @Property({ type: 'json' })
  readings!: JarReadingInput[];

  @Property({ type: 'text' })
  note!: string;
}

@Injectable()
export class JarTestStore extends RecordStore<JarTestEntity, JarTestInput> {
  readonly kind = 'jar';
  protected readonly entity = JarTestEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  /** Steps belong to their own kind of test, and each is read once. */
  protected override async problems(
    { plotId, kind, readings }: JarTestInput,
    em: EntityManager,
  ): Promise<readonly FieldProblem[]> {
    const steps = JAR_STEPS[kind].map((s) => s.key);
    const wrong = readings.flatMap(({ step }, i): FieldProblem[] =>
      !steps.includes(step)
        ? [{ path: `readings.${i}.step`, message: `Read "${step}", expected ${steps.join(', ')}.` }]
        : readings.findIndex((r) => r.step === step) < i
          ? [{ path: `readings.${i}.step`, message: `"${step}" is read twice.` }]
          : [],
    );
    return [...(await missingPlot(em, this.scope.id, plotId)), ...wrong];
  }

  protected columns({ plotId, name, kind, startedAt, readings, note }: JarTestInput): Columns {
    return {
      own: {
        plotId,
        name,
        kind,
        startedAt: startedAt ? new Date(startedAt) : null,
        readings: instanceToPlain(readings),
        note,
      },
    };
  }

  protected toInput({ plotId, name, kind, startedAt, readings, note }: JarTestEntity): JarTestInput {
    return {
      plotId,
      name,
      kind,
      ...(startedAt === null ? {} : { startedAt: new Date(startedAt).toISOString() }),
      readings,
      note,
    };
  }
}
