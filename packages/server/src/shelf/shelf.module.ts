import { Controller, Module } from '@nestjs/common';
import { ProductInput, KeptFilterInput } from '@wheat-ledger/contract';
import { recordController } from '../common/recordController.js';
import { AttachmentsController } from './attachment.controller.js';
import { AttachmentStore } from './attachment.store.js';
import { CsvController } from './csv.controller.js';
import { CsvService } from './csv.service.js';
import { ProductStore } from './product.store.js';
import { ShelfFilterStore } from './shelfFilter.store.js';

@Controller('products')
class ProductsController extends recordController(ProductInput) {
  constructor(store: ProductStore) {
    super(store);
  }
}

@Controller('shelf-filters')
class ShelfFiltersController extends recordController(KeptFilterInput) {
  constructor(store: ShelfFilterStore) {
    super(store);
  }
}

@Module({
  controllers: [ProductsController, CsvController, AttachmentsController, ShelfFiltersController],
  providers: [ProductStore, AttachmentStore, ShelfFilterStore, CsvService],
  exports: [ProductStore, AttachmentStore, ShelfFilterStore],
})
export class ShelfModule {}
