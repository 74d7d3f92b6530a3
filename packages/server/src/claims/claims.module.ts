import { Controller, Module } from '@nestjs/common';
import { ClaimInput } from '@wheat-ledger/contract';
import { recordController } from '../common/recordController.js';
import { ClaimStore } from './claim.store.js';

@Controller('claims')
class ClaimsController extends recordController(ClaimInput) {
  constructor(store: ClaimStore) {
    super(store);
  }
}

@Module({ controllers: [ClaimsController], providers: [ClaimStore], exports: [ClaimStore] })
export class ClaimsModule {}
