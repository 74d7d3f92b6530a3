import { Controller, Get, Header, Module } from '@nestjs/common';
import { ApiProduces } from '@nestjs/swagger';
import { RecordsModule } from '../records/records.module.js';
import { CalendarService } from './calendar.service.js';

/** The rounds for calendars of others. */
@Controller('calendar.ics')
class CalendarController {
  constructor(private readonly calendar: CalendarService) {}

  @Get()
  @ApiProduces('text/calendar')
  @Header('Content-Type', 'text/calendar; charset=utf-8')
  @Header('Content-Disposition', 'inline; filename="rounds.ics"')
  write(): Promise<string> {
    return this.calendar.write();
  }
}

@Module({ imports: [RecordsModule], controllers: [CalendarController], providers: [CalendarService] })
export class RoundsModule {}
