import { Controller, Module } from '@nestjs/common';
import { ProductInput } from '@wheat-ledger/contract';
import { recordController } from '../common/recordController.js';
import { ProductStore } from './product.store.js';

@Controller('products')
class ProductsController extends recordController(ProductInput) {
  constructor(store: ProductStore) {
    super(store);
  }
}

@Module({ controllers: [ProductsController], providers: [ProductStore], exports: [ProductStore] })
export class ShelfModule {}
