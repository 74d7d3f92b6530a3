import { EntityManager } from '@mikro-orm/postgresql';
import { Controller, Get, HttpStatus, Module } from '@nestjs/common';
import { SkipThrottle } from '@nestjs/throttler';
import { ProblemException } from '../common/problems.js';

@Controller()
@SkipThrottle()
class HealthController {
  constructor(private readonly em: EntityManager) {}

  /** Alive and the database answers. */
  @Get('health')
  async health(): Promise<{ status: 'ok' }> {
    try {
      await this.em.getConnection().execute('select 1');
    } catch {
      throw new ProblemException('database', HttpStatus.SERVICE_UNAVAILABLE, 'The database does not answer.');
    }
    return { status: 'ok' };
  }

  /** Ready to serve: migrations are done and the workspace is there. */
  @Get('ready')
  async ready(): Promise<{ status: 'ready' }> {
    const rows = await this.em
      .getConnection()
      .execute<{ n: number }[]>('select count(*)::int as n from workspace')
      .catch(() => []);
    if ((rows[0]?.n ?? 0) === 0)
      throw new ProblemException('not-ready', HttpStatus.SERVICE_UNAVAILABLE, 'The database is not prepared yet.');
    return { status: 'ready' };
  }
}

@Module({ controllers: [HealthController] })
export class HealthModule {}
