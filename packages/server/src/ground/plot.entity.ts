import { Entity, Property } from '@mikro-orm/core';
import type {
  ClimateInput,
  IrrigationWaterInput,
  LimitInput,
  OwnFigureInput,
  ShapeInput,
  TemperatureInput,
} from '@wheat-ledger/contract';
import type { Medium, Texture } from '@wheat-ledger/core';
import { Stored } from '../records/stored.entity.js';

@Entity({ tableName: 'plot' })
export class Plot extends Stored {
  @Property({ type: 'double', fieldName: 'area_m2' })
  areaM2!: number;

  @Property({ type: 'text' })
  medium!: Medium;

  @Property({ type: 'text' })
  texture!: Texture;

  @Property({ type: 'double', fieldName: 'ph', nullable: true })
  pH: number | null = null;

  @Property({ type: 'json' })
  temperature!: TemperatureInput;

  @Property({ type: 'json', nullable: true })
  shape: ShapeInput | null = null;

  @Property({ type: 'json', nullable: true })
  climate: ClimateInput | null = null;

  @Property({ type: 'json', nullable: true })
  water: IrrigationWaterInput | null = null;

  @Property({ type: 'json', fieldName: 'own_figures', nullable: true })
  ownFigures: OwnFigureInput[] | null = null;

  @Property({ type: 'json', nullable: true })
  limits: LimitInput[] | null = null;
}
