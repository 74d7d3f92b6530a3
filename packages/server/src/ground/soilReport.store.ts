import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import type { FieldProblem, SoilReportInput } from '@wheat-ledger/contract';
import { RecordStore, type Columns, type Fields } from '../common/recordStore.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { missingPlot } from './knownPlots.js';
import { SoilFigureLine, SoilReportEntity } from './soilReport.entity.js';

@Injectable()
export class SoilReportStore extends RecordStore<SoilReportEntity, SoilReportInput> {
  readonly kind = 'soil';
  protected readonly entity = SoilReportEntity;
  protected override readonly lines = [{ property: 'figures', entity: SoilFigureLine, owner: 'report' }];

  constructor(em: EntityManager, scope: WorkspaceScope) {
    super(em, scope);
  }

  protected override async problems({ plotId, figures }: SoilReportInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    const impossible = figures.flatMap(({ analyte, value: v }, i) => (analyte === 'pH' && v.kind === 'number' && ((v.value ?? 0) < 2 || (v.value ?? 0) > 11) ? [{ path: `figures.${i}.value`, message: `Read pH ${v.value}, expected 2 to 11.` }] : []));
    return [...(await missingPlot(em, this.scope.id, plotId)), ...impossible];
  }

  protected columns({ plotId, name, sampledOn, depthM, figures, note }: SoilReportInput): Columns {
    return { own: { plotId, name, sampledOn, depthM, note }, lines: { figures: figures.map(({ analyte, value, unit, method }) => ({ analyte, value: instanceToPlain(value), unit, method })) } };
  }

  protected toInput({ plotId, name, sampledOn, depthM, figures, note }: Fields<SoilReportEntity>): SoilReportInput {
    return { plotId, name, sampledOn, depthM, figures: figures.map(({ analyte, value, unit, method }) => ({ analyte, value, unit, method })), note };
  }
}
