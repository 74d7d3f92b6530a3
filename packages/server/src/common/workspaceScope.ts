import { Injectable } from '@nestjs/common';
import { HOME_WORKSPACE } from './workspace.entity.js';

/** The one place that says whose records a request may touch. */
@Injectable()
export class WorkspaceScope {
  readonly id: string = HOME_WORKSPACE;
  readonly who: string = 'gardener';
}
