import { BigIntType, Entity, PrimaryKey, Property } from '@mikro-orm/core';
import type { DeclaredValueInput } from '@wheat-ledger/contract';
import type { SoilAnalyte, SoilMethod, SoilUnit } from '@wheat-ledger/core';
import { Stored } from '../records/stored.entity.js';

@Entity({ tableName: 'soil_report' })
export class SoilReportEntity extends Stored {
  @Property({ type: 'uuid', fieldName: 'plot_id' })
  plotId!: string;

  @Property({ type: 'date', fieldName: 'sampled_on' })
  sampledOn!: string;

  @Property({ type: 'double', fieldName: 'depth_m' })
  depthM!: number;

  @Property({ type: 'text', nullable: true })
  advice: string | null = null;

  @Property({ type: 'text' })
  note!: string;
}

/** One measured figure, with the method it was measured by. */
@Entity({ tableName: 'soil_figure' })
export class SoilFigureLine {
  @PrimaryKey({ type: new BigIntType('string'), autoincrement: true })
  id!: string;

  @Property({ type: 'uuid', fieldName: 'workspace_id' })
  workspace!: string;

  @Property({ type: 'uuid', fieldName: 'report_id' })
  report!: string;

  @Property({ type: 'integer' })
  position!: number;

  @Property({ type: 'text' })
  analyte!: SoilAnalyte;

  @Property({ type: 'json' })
  value!: DeclaredValueInput;

  @Property({ type: 'text' })
  unit!: SoilUnit;

  @Property({ type: 'text' })
  method!: SoilMethod;
}

/** A report with its figures. */
export interface SoilReportRow extends SoilReportEntity {
  readonly figures: readonly SoilFigureLine[];
}
