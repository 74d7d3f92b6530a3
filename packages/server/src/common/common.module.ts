import { Global, Module } from '@nestjs/common';
import { Operations } from '../records/operations.js';
import { WorkspaceScope } from './workspaceScope.js';

@Global()
@Module({ providers: [WorkspaceScope, Operations], exports: [WorkspaceScope, Operations] })
export class CommonModule {}
