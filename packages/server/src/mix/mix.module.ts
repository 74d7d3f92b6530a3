import { Controller, Module } from '@nestjs/common';
import { RecipeInput } from '@wheat-ledger/contract';
import { recordController } from '../common/recordController.js';
import { RecipeStore } from './recipe.store.js';

@Controller('recipes')
class RecipesController extends recordController(RecipeInput) {
  constructor(store: RecipeStore) {
    super(store);
  }
}

@Module({ controllers: [RecipesController], providers: [RecipeStore], exports: [RecipeStore] })
export class MixModule {}
