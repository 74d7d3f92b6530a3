import { AsyncLocalStorage } from 'node:async_hooks';
import { Injectable } from '@nestjs/common';
import { HOME_WORKSPACE } from '../ledgers/workspace.entity.js';

interface Within {
  readonly id: string;
  readonly who: string;
}
/** Who writes when nobody says. */
export const SOMEBODY = 'gardener';
const HOME: Within = { id: HOME_WORKSPACE, who: SOMEBODY };

/** The one place that says whose records a request may touch: what runs inside `run` belongs to that workspace, all else to the home one. */
@Injectable()
export class WorkspaceScope {
  private readonly within = new AsyncLocalStorage<Within>();

  get id(): string {
    return (this.within.getStore() ?? HOME).id;
  }

  get who(): string {
    return (this.within.getStore() ?? HOME).who;
  }

  /** Runs some work inside a workspace, through everything it awaits. */
  run<T>(workspace: Within, work: () => T): T {
    return this.within.run(workspace, work);
  }
}
