import { Global, Module } from '@nestjs/common';
import { Operations } from '../records/operations.js';
import { Progress } from './progress.service.js';
import { WorkspaceScope } from './workspaceScope.js';

@Global()
@Module({ providers: [WorkspaceScope, Operations, Progress], exports: [WorkspaceScope, Operations, Progress] })
export class CommonModule {}
