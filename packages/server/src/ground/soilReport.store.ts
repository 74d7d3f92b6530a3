import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import { soilProblems, type FieldProblem, type SoilReportInput } from '@wheat-ledger/contract';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { missingPlot } from './knownPlots.js';
import { SoilFigureLine, SoilReportEntity, type SoilReportRow } from './soilReport.entity.js';

@Injectable()
export class SoilReportStore extends RecordStore<SoilReportRow, SoilReportInput> {
  readonly kind = 'soil';
  protected readonly entity = SoilReportEntity;
  protected override readonly lines = [{ property: 'figures', entity: SoilFigureLine, owner: 'report' }];

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override async problems(input: SoilReportInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    return [...(await missingPlot(em, this.scope.id, input.plotId)), ...soilProblems(input)];
  }

  protected columns({ plotId, name, sampledOn, depthM, figures, advice, note }: SoilReportInput): Columns {
    return {
      own: { plotId, name, sampledOn, depthM, advice: advice ?? null, note },
      lines: {
        figures: figures.map(({ analyte, value, unit, method }) => ({
          analyte,
          value: instanceToPlain(value),
          unit,
          method,
        })),
      },
    };
  }

  protected toInput({ plotId, name, sampledOn, depthM, figures, advice, note }: SoilReportRow): SoilReportInput {
    return {
      plotId,
      name,
      sampledOn,
      depthM,
      figures: figures.map(({ analyte, value, unit, method }) => ({ analyte, value, unit, method })),
      ...(advice === null ? {} : { advice }),
      note,
    };
  }
}
