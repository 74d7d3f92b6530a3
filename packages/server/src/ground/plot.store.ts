import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import { ownFigureProblems, toShape, type FieldProblem, type PlotInput, type ShapeInput } from '@wheat-ledger/contract';
import { DomainError, formatNumber, PLOT_FIGURES, plotArea } from '@wheat-ledger/core';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { Plot } from './plot.entity.js';

/** How far a stored area may be from that of its shape, relatively. */
const AREA_TOLERANCE = 0.001;

/** A shape that cannot be is refused, and so is an area that is not its own. */
function shapeProblems(shape: ShapeInput | undefined, areaM2: number): readonly FieldProblem[] {
  if (!shape) return [];
  try {
    const area = plotArea(toShape(shape)).value.mid;
    return Math.abs(area - areaM2) <= AREA_TOLERANCE * area
      ? []
      : [
          {
            path: 'areaM2',
            message: `Read ${formatNumber(areaM2)} m², expected the ${formatNumber(area)} m² of the shape.`,
          },
        ];
  } catch (error) {
    if (error instanceof DomainError) return [{ path: 'shape.lengthsM', message: error.message }];
    throw error;
  }
}

@Injectable()
export class PlotStore extends RecordStore<Plot, PlotInput> {
  readonly kind = 'plot';
  protected readonly entity = Plot;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override async problems({ shape, areaM2, ownFigures }: PlotInput): Promise<readonly FieldProblem[]> {
    return [...shapeProblems(shape, areaM2), ...ownFigureProblems(ownFigures, PLOT_FIGURES)];
  }

  protected columns(input: PlotInput): Columns {
    const { name, areaM2, medium, texture } = input;
    const plain = (value: object | undefined): object | null =>
      value ? instanceToPlain(value, { exposeUnsetFields: false }) : null;
    return {
      own: {
        name,
        areaM2,
        medium,
        texture,
        pH: input.pH ?? null,
        shape: plain(input.shape),
        climate: plain(input.climate),
        water: plain(input.water),
        ownFigures: plain(input.ownFigures),
        limits: plain(input.limits),
        temperature: instanceToPlain(input.temperature),
      },
    };
  }

  protected toInput({
    name,
    areaM2,
    medium,
    texture,
    pH,
    temperature,
    shape,
    climate,
    water,
    ownFigures,
    limits,
  }: Plot): PlotInput {
    return {
      name,
      areaM2,
      medium,
      texture,
      ...(pH === null ? {} : { pH }),
      temperature,
      ...(shape === null ? {} : { shape }),
      ...(climate === null ? {} : { climate }),
      ...(water === null ? {} : { water }),
      ...(ownFigures === null ? {} : { ownFigures }),
      ...(limits === null ? {} : { limits }),
    };
  }
}
