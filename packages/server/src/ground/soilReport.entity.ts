import {
  BigIntType,
  Cascade,
  Collection,
  Entity,
  ManyToOne,
  OneToMany,
  PrimaryKey,
  Property,
  type Rel,
} from '@mikro-orm/core';
import type { DeclaredValueInput } from '@wheat-ledger/contract';
import type { SoilAnalyte, SoilMethod, SoilUnit } from '@wheat-ledger/core';
import { Stored } from '../common/stored.entity.js';

@Entity({ tableName: 'soil_report' })
export class SoilReportEntity extends Stored {
  @Property({ type: 'uuid', fieldName: 'plot_id' })
  plotId!: string;

  @Property({ type: 'date', fieldName: 'sampled_on' })
  sampledOn!: string;

  @Property({ type: 'double', fieldName: 'depth_m' })
  depthM!: number;

  @Property({ type: 'text' })
  note!: string;

  @OneToMany({
    entity: () => SoilFigureLine,
    mappedBy: (line) => line.report,
    orderBy: { position: 'asc' },
    orphanRemoval: true,
    cascade: [Cascade.ALL],
  })
  figures = new Collection<SoilFigureLine>(this);
}

/** One measured figure, with the method it was measured by. */
@Entity({ tableName: 'soil_figure' })
export class SoilFigureLine {
  @PrimaryKey({ type: new BigIntType('string'), autoincrement: true })
  id!: string;

  @ManyToOne({ entity: () => SoilReportEntity, fieldName: 'report_id', deleteRule: 'cascade' })
  report!: Rel<SoilReportEntity>;

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
