import type { EntityManager } from '@mikro-orm/postgresql';
import type { ThrottlerStorage } from '@nestjs/throttler';

/** Told to the other servers no later than so after a request, ms, or when so large a share of the limit came since. */
const APART_MS = 500;
const SHARE = 1 / 20;

interface Count {
  /** When this minute is over, ms. */
  readonly ends: number;
  /** What all servers counted, as last heard. */
  known: number;
  /** What this one counted since. */
  untold: number;
  toldAt: number;
  telling: boolean;
}
type Answer = Awaited<ReturnType<ThrottlerStorage['increment']>>;

/**
 * Counts requests over all servers of one database. No request waits for it: each server counts by itself and tells the others twice a second, or sooner
 * where many come; so a limit is kept to within a twentieth for each server. While the database is away each counts alone.
 */
export class RequestCounts implements ThrottlerStorage {
  private readonly counts = new Map<string, Count>();

  constructor(private readonly em: EntityManager) {}

  increment(key: string, ttl: number, limit: number): Promise<Answer> {
    const now = Date.now();
    const count = this.countOf(key, ttl, now);
    count.untold += 1;
    if (!count.telling && (count.untold >= limit * SHARE || now - count.toldAt >= APART_MS)) void this.tell(key, count);
    const totalHits = count.known + count.untold;
    const left = Math.ceil((count.ends - now) / 1000);
    const isBlocked = totalHits > limit;
    return Promise.resolve({ totalHits, timeToExpire: left, isBlocked, timeToBlockExpire: isBlocked ? left : 0 });
  }

  private countOf(key: string, ttl: number, now: number): Count {
    const held = this.counts.get(key);
    const ends = (Math.floor(now / ttl) + 1) * ttl;
    if (held?.ends === ends) return held;
    for (const [other, { ends: over }] of this.counts) if (over <= now) this.counts.delete(other);
    const count = { ends, known: 0, untold: 0, toldAt: 0, telling: false };
    this.counts.set(key, count);
    return count;
  }

  private async tell(key: string, count: Count): Promise<void> {
    const told = count.untold;
    count.telling = true;
    count.toldAt = Date.now();
    try {
      const [all] = await this.em.fork().execute<{ hits: number }[]>(
        `with over as (delete from request_count where ends < now() - interval '1 minute')
         insert into request_count (who, ends, hits) values (?, ?, ?)
         on conflict (who, ends) do update set hits = request_count.hits + excluded.hits returning hits`,
        [key, new Date(count.ends), told],
      );
      count.known = all?.hits ?? told;
      count.untold -= told;
    } catch {
      // The next request tells it again.
    } finally {
      count.telling = false;
    }
  }
}
