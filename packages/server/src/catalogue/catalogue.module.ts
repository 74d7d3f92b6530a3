import { Module } from '@nestjs/common';
import { CommonModule } from '../common/common.module.js';
import { CatalogueController } from './catalogue.controller.js';
import { CatalogueStore } from './catalogue.store.js';
import { CatalogueFeed } from './catalogueFeed.service.js';
import { CatalogueRecipes } from './catalogueRecipes.js';
import { CatalogueImports } from './catalogueImport.service.js';
import { CatalogueRevisions } from './catalogueRevisions.js';

/** Sellers' whole lists, beside the shelf. */
@Module({
  imports: [CommonModule],
  controllers: [CatalogueController],
  providers: [CatalogueStore, CatalogueRecipes, CatalogueRevisions, CatalogueImports, CatalogueFeed],
})
export class CatalogueModule {}
