import { setTimeout as rest } from 'node:timers/promises';
import { ask, startApp } from '../../test/app.js';

test('two servers of one database count requests together', async () => {
  const first = await startApp({ requestsPerMinute: 60 });
  const second = await startApp({ databaseUrl: first.databaseUrl, requestsPerMinute: 60 });
  try {
    // A minute that is just over would begin a new count half way.
    const left = 60_000 - (Date.now() % 60_000);
    if (left < 10_000) await rest(left + 100);
    const answers: number[] = [];
    for (let i = 0; i < 90; i++) {
      const { http } = i % 2 === 0 ? first : second;
      answers.push((await http.get('/api/v1/catalogue/lists')).status);
    }
    const passed = answers.filter((s) => s === 200).length;
    expect(answers.at(-1)).toBe(429);
    // Each may be behind by a twentieth, and by what is on its way.
    expect(passed).toBeGreaterThanOrEqual(60);
    expect(passed).toBeLessThanOrEqual(72);
    const [count] = await ask<{ hits: number }>(first.databaseUrl, 'select max(hits) as hits from request_count');
    expect(count!.hits).toBeGreaterThanOrEqual(60);
  } finally {
    await second.close();
    await first.close();
  }
}, 120_000);
