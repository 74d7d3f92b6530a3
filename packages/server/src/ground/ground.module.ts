import { Controller, Module } from '@nestjs/common';
import { PlotInput } from '@wheat-ledger/contract';
import { recordController } from '../common/recordController.js';
import { PlotStore } from './plot.store.js';

@Controller('plots')
class PlotsController extends recordController(PlotInput) {
  constructor(store: PlotStore) {
    super(store);
  }
}

@Module({ controllers: [PlotsController], providers: [PlotStore], exports: [PlotStore] })
export class GroundModule {}
