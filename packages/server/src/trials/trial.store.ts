import { Entity, Property } from '@mikro-orm/core';
import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable } from '@nestjs/common';
import {
  fixedProblems,
  sheetProblems,
  trialProblems,
  type FieldProblem,
  type Kept,
  type TrialInput,
  type TrialSheetInput,
} from '@wheat-ledger/contract';
import { ClaimEntity } from '../claims/claim.entity.js';
import { invalid, ProblemException } from '../common/problems.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { missingPlot } from '../ground/knownPlots.js';
import { detailsOf } from '../records/details.js';
import { missingRecords } from '../records/missing.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { Stored } from '../records/stored.entity.js';

@Entity({ tableName: 'trial' })
export class TrialEntity extends Stored {
  @Property({ type: 'uuid', fieldName: 'plot_id', nullable: true })
  plotId: string | null = null;

  @Property({ type: 'uuid', fieldName: 'claim_id', nullable: true })
  claimId: string | null = null;

  @Property({ type: 'json' })
  details!: Omit<TrialInput, 'name' | 'plotId' | 'claimId'>;
}

@Entity({ tableName: 'trial_sheet' })
export class TrialSheetEntity extends Stored {
  @Property({ type: 'uuid', fieldName: 'trial_id' })
  trialId!: string;

  @Property({ type: 'date', fieldName: 'on_day' })
  on!: string;

  @Property({ type: 'json' })
  details!: Omit<TrialSheetInput, 'trialId' | 'on'>;
}

/** Trials. Question, layout and arms of one that has begun do not change. */
@Injectable()
export class TrialStore extends RecordStore<TrialEntity, TrialInput> {
  readonly kind = 'trial';
  protected readonly entity = TrialEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override async problems(input: TrialInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    const claims = input.claimId ? [{ path: 'claimId', id: input.claimId }] : [];
    return [
      ...trialProblems(input),
      ...(input.plotId ? await missingPlot(em, this.scope.id, input.plotId) : []),
      ...(await missingRecords(em, ClaimEntity, this.scope.id, claims, 'That claim is not in this ledger.')),
    ];
  }

  override update(id: string, version: number, input: TrialInput): Promise<TrialInput & Kept> {
    return this.operations.run(async () => {
      await this.hold([id]);
      const fixed = fixedProblems(await this.get(id), input);
      if (fixed.length > 0) throw invalid(fixed);
      return super.update(id, version, input);
    });
  }

  protected columns({ name, plotId, claimId, ...details }: TrialInput): Columns {
    return { own: { name, plotId: plotId ?? null, claimId: claimId ?? null, details: detailsOf(details) } };
  }

  protected toInput({ name, plotId, claimId, details }: TrialEntity): TrialInput {
    return {
      name,
      ...(plotId === null ? {} : { plotId }),
      ...(claimId === null ? {} : { claimId }),
      ...details,
    };
  }
}

/** What was measured, a sheet for each outcome and day. */
@Injectable()
export class TrialSheetStore extends RecordStore<TrialSheetEntity, TrialSheetInput> {
  readonly kind = 'sheet';
  protected readonly entity = TrialSheetEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  protected override async problems(input: TrialSheetInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    const trial = await em.findOne(TrialEntity, { id: input.trialId, workspace: this.scope.id, deletedAt: null });
    return trial
      ? sheetProblems(input, trial.details)
      : [{ path: 'trialId', message: 'That trial is not in this ledger.' }];
  }

  /** A sheet is of one outcome and day: who saves it a second time has not seen the first. */
  override create(input: TrialSheetInput, id?: string): Promise<TrialSheetInput & Kept> {
    return this.operations.run(async () => {
      const { trialId, on, outcome } = input;
      await this.em.execute('select pg_advisory_xact_lock(hashtext(?))', [
        `${this.scope.id} ${trialId} ${outcome} ${on}`,
      ]);
      const there = { workspace: this.scope.id, deletedAt: null, trialId, on, details: { outcome } };
      if ((await this.em.count(TrialSheetEntity, there)) > 0)
        throw new ProblemException(
          'sheet-there',
          HttpStatus.CONFLICT,
          'A sheet of this outcome and day is there already. Open it again and enter what is missing.',
        );
      return super.create(input, id);
    });
  }

  protected columns({ trialId, on, ...details }: TrialSheetInput): Columns {
    return {
      own: { name: `${details.outcome}, ${details.values.length} units`, trialId, on, details: detailsOf(details) },
    };
  }

  protected toInput({ trialId, on, details }: TrialSheetEntity): TrialSheetInput {
    return { trialId, on, ...details };
  }
}
