import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import type { PlotInput, TemperatureInput } from '@wheat-ledger/contract';
import { RecordStore } from '../common/recordStore.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { Plot } from './plot.entity.js';

@Injectable()
export class PlotStore extends RecordStore<Plot, PlotInput> {
  readonly kind = 'plot';
  protected readonly entity = Plot;

  constructor(em: EntityManager, scope: WorkspaceScope) {
    super(em, scope);
  }

  protected blank(): Plot {
    return new Plot();
  }

  protected fill(plot: Plot, input: PlotInput): void {
    const { name, areaM2, crop, medium, texture, plantedOn } = input;
    Object.assign(plot, { name, areaM2, crop, medium, texture, plantedOn, pH: input.pH ?? null, temperature: instanceToPlain(input.temperature) as TemperatureInput });
  }

  protected toInput({ name, areaM2, crop, medium, texture, pH, temperature, plantedOn }: Plot): PlotInput {
    return { name, areaM2, crop, medium, texture, ...(pH === null ? {} : { pH }), temperature, plantedOn };
  }
}
