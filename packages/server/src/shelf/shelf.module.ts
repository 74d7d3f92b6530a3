import { Module } from '@nestjs/common';
import { RecordsModule } from '../records/records.module.js';
import { AttachmentContentController } from './attachment.controller.js';
import { CsvController } from './csv.controller.js';
import { CsvService } from './csv.service.js';

/** What the shelf has beside its records. */
@Module({
  imports: [RecordsModule],
  controllers: [CsvController, AttachmentContentController],
  providers: [CsvService],
})
export class ShelfModule {}
