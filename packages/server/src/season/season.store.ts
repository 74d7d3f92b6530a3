import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { seasonProblems, type FieldProblem, type SeasonInput } from '@wheat-ledger/contract';
import { libraryCrop, printDay, type FedUntil } from '@wheat-ledger/core';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { missingPlot } from '../ground/knownPlots.js';
import { missingRecords } from '../records/missing.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { Stored } from '../records/stored.entity.js';
import { CropEntity } from './crop.store.js';

@Entity({ tableName: 'season' })
export class SeasonEntity extends Stored {
  @Property({ type: 'uuid', fieldName: 'plot_id' })
  plotId!: string;

  @Property({ type: 'text', nullable: true })
  crop: string | null = null;

  @Property({ type: 'uuid', fieldName: 'crop_id', nullable: true })
  cropId: string | null = null;

  @Property({ type: 'date', fieldName: 'from_day' })
  from!: string;

  @Property({ type: 'date', fieldName: 'to_day', nullable: true })
  to: string | null = null;

  @Property({ type: 'double' })
  share!: number;

  @Property({ type: 'text', fieldName: 'fed_until', nullable: true })
  fedUntil: FedUntil | null = null;

  @Property({ type: 'double', fieldName: 'nitrogen_kg_per_ha', nullable: true })
  nitrogenKgPerHa: number | null = null;

  @Property({ type: 'text' })
  note!: string;
}

@Injectable()
export class SeasonStore extends RecordStore<SeasonEntity, SeasonInput> {
  readonly kind = 'season';
  protected readonly entity = SeasonEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override async problems(input: SeasonInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    const { plotId, cropId } = input;
    const crops = cropId === undefined || cropId === null ? [] : [{ path: 'cropId', id: cropId }];
    return [
      ...seasonProblems(input),
      ...(await missingPlot(em, this.scope.id, plotId)),
      ...(await missingRecords(em, CropEntity, this.scope.id, crops, 'That crop is not in this ledger.')),
    ];
  }

  protected columns(input: SeasonInput): Columns {
    const { plotId, crop, cropId, from, to, share, note } = input;
    const words = cropId ? 'own crop' : (libraryCrop(crop ?? '')?.name ?? 'a crop');
    return {
      own: {
        name: `${words} from ${printDay(from)}`,
        plotId,
        // One or the other: a grower’s own crop outranks the library’s.
        crop: cropId ? null : (crop ?? null),
        cropId: cropId ?? null,
        from,
        to: to ?? null,
        share,
        fedUntil: input.fedUntil ?? null,
        nitrogenKgPerHa: input.nitrogenKgPerHa ?? null,
        note,
      },
    };
  }

  protected toInput(season: SeasonEntity): SeasonInput {
    const { plotId, crop, cropId, from, to, share, fedUntil, nitrogenKgPerHa, note } = season;
    return {
      plotId,
      ...(crop === null ? {} : { crop }),
      ...(cropId === null ? {} : { cropId }),
      from,
      ...(to === null ? {} : { to }),
      share,
      ...(fedUntil === null ? {} : { fedUntil }),
      ...(nitrogenKgPerHa === null ? {} : { nitrogenKgPerHa }),
      note,
    };
  }
}
