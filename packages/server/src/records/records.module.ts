import { Module } from '@nestjs/common';
import { RECORD_KINDS } from '@wheat-ledger/contract';
import { kindController } from './kindController.js';
import { Stores, STORES } from './stores.service.js';

/** Every kind of record, with its store and its routes. */
@Module({
  controllers: RECORD_KINDS.map(kindController),
  providers: [Stores, ...Object.values(STORES)],
  exports: [Stores, ...Object.values(STORES)],
})
export class RecordsModule {}
