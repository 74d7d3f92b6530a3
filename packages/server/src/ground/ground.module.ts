import { Controller, Module } from '@nestjs/common';
import { PlotInput, SoilReportInput } from '@wheat-ledger/contract';
import { recordController } from '../common/recordController.js';
import { PlotStore } from './plot.store.js';
import { SoilReportStore } from './soilReport.store.js';

@Controller('plots')
class PlotsController extends recordController(PlotInput) {
  constructor(store: PlotStore) {
    super(store);
  }
}

@Controller('soil-reports')
class SoilReportsController extends recordController(SoilReportInput) {
  constructor(store: SoilReportStore) {
    super(store);
  }
}

@Module({ controllers: [PlotsController, SoilReportsController], providers: [PlotStore, SoilReportStore], exports: [PlotStore, SoilReportStore] })
export class GroundModule {}
