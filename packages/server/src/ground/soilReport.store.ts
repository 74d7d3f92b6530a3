import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import type { DeclaredValueInput, FieldProblem, SoilReportInput } from '@wheat-ledger/contract';
import { RecordStore } from '../common/recordStore.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { Plot } from './plot.entity.js';
import { SoilFigureLine, SoilReportEntity } from './soilReport.entity.js';

@Injectable()
export class SoilReportStore extends RecordStore<SoilReportEntity, SoilReportInput> {
  readonly kind = 'soil';
  protected readonly entity = SoilReportEntity;
  protected override readonly populate = ['figures'];

  constructor(em: EntityManager, scope: WorkspaceScope) {
    super(em, scope);
  }

  protected blank(): SoilReportEntity {
    return new SoilReportEntity();
  }

  protected override async problems({ plotId, figures }: SoilReportInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    const known = await em.count(Plot, { id: plotId, workspace: this.scope.id });
    const impossible = figures.flatMap(({ analyte, value: v }, i) => (analyte === 'pH' && v.kind === 'number' && ((v.value ?? 0) < 2 || (v.value ?? 0) > 11) ? [{ path: `figures.${i}.value`, message: `Read pH ${v.value}, expected 2 to 11.` }] : []));
    return [...(known === 0 ? [{ path: 'plotId', message: 'There is no such plot here.' }] : []), ...impossible];
  }

  protected fill(report: SoilReportEntity, { plotId, name, sampledOn, depthM, figures, note }: SoilReportInput, em: EntityManager): void {
    Object.assign(report, { plotId, name, sampledOn, depthM, note });
    report.figures.set(figures.map(({ analyte, value, unit, method }, position) => em.create(SoilFigureLine, { report, position, analyte, value: instanceToPlain(value) as DeclaredValueInput, unit, method })));
  }

  protected toInput({ plotId, name, sampledOn, depthM, figures, note }: SoilReportEntity): SoilReportInput {
    return { plotId, name, sampledOn, depthM, figures: figures.getItems().map(({ analyte, value, unit, method }) => ({ analyte, value, unit, method })), note };
  }
}
