import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import {
  quantitiesOf,
  type FieldProblem,
  type LoggedSeriesInput,
  type LoggerInput,
  type LoggerReport,
} from '@wheat-ledger/contract';
import { readLogger } from '@wheat-ledger/core';
import Papa from 'papaparse';
import { ProblemException } from '../common/problems.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { Stored } from '../records/stored.entity.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { missingPlot } from './knownPlots.js';

@Entity({ tableName: 'logger' })
export class LoggerEntity extends Stored {
  @Property({ type: 'uuid', fieldName: 'plot_id' })
  plotId!: string;

  @Property({ type: 'date', fieldName: 'from_day' })
  from!: string;

  @Property({ type: 'json' })
  series!: LoggedSeriesInput;
}

@Injectable()
export class LoggerStore extends RecordStore<LoggerEntity, LoggerInput> {
  readonly kind = 'logger';
  protected readonly entity = LoggerEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override async problems(
    { plotId, series }: LoggerInput,
    em: EntityManager,
  ): Promise<readonly FieldProblem[]> {
    const lengths = quantitiesOf(series).map((what) => series[what]?.length ?? 0);
    const uneven = lengths.length === 0 || lengths.some((l) => l !== lengths[0] || l === 0);
    return [
      ...(await missingPlot(em, this.scope.id, plotId)),
      ...(uneven
        ? [{ path: 'series', message: 'Expected at least one quantity, each with as many days as the others.' }]
        : []),
    ];
  }

  protected columns({ plotId, name, from, series }: LoggerInput): Columns {
    return { own: { plotId, name, from, series: instanceToPlain(series, { exposeUnsetFields: false }) } };
  }

  protected toInput({ plotId, name, from, series }: LoggerEntity): LoggerInput {
    return { plotId, name, from, series };
  }

  /**
   * The door a logger comes through: its CSV text becomes a log of the plot.
   * @throws ProblemException 422 in words when it cannot be read
   */
  async take(plotId: string, name: string, csv: string): Promise<LoggerReport> {
    const read = readLogger(Papa.parse<string[]>(csv, {}).data);
    if (read.kind === 'unreadable')
      throw new ProblemException('unreadable-file', HttpStatus.UNPROCESSABLE_ENTITY, read.reason);
    const record = await this.create({
      plotId,
      name,
      from: read.log.from,
      series: read.log.series as LoggedSeriesInput,
    });
    return { record, days: read.days, ignored: read.ignored, problems: read.problems.slice(0, 100) };
  }
}
