import { Global, Module } from '@nestjs/common';
import { WorkspaceScope } from './workspaceScope.js';

@Global()
@Module({ providers: [WorkspaceScope], exports: [WorkspaceScope] })
export class CommonModule {}
