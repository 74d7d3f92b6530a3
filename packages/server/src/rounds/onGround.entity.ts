import { Property } from '@mikro-orm/core';
import { Stored } from '../records/stored.entity.js';

/** What was done, harvested or measured on some ground on a day. */
export abstract class OnGround extends Stored {
  @Property({ type: 'uuid', fieldName: 'plot_id' })
  plotId!: string;

  /** The season whose ground it was; all of the plot where null. */
  @Property({ type: 'uuid', fieldName: 'season_id', nullable: true })
  seasonId: string | null = null;

  @Property({ type: 'date', fieldName: 'on_day' })
  on!: string;
}
