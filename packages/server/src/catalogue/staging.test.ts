import { setTimeout as rest } from 'node:timers/promises';
import { inOrder } from './staging.js';

async function* numbers(count: number): AsyncGenerator<number> {
  for (let n = 0; n < count; n++) {
    await rest(1);
    yield n;
  }
}

test('a few pieces are worked at once, and handed over in their order however long each takes', async () => {
  let working = 0;
  let most = 0;
  const handed: number[] = [];
  // The first three go on only when all three are at work, however slow the machine.
  let threeAreAtWork = (): void => undefined;
  const three = new Promise<void>((ok) => (threeAreAtWork = ok));
  await inOrder(
    numbers(12),
    3,
    async (n) => {
      most = Math.max(most, (working += 1));
      if (working === 3) threeAreAtWork();
      await (n < 3 ? three : rest(n % 3 === 0 ? 20 : 2));
      working -= 1;
      return n * 10;
    },
    (made) => Promise.resolve(void handed.push(made)),
  );
  expect(handed).toEqual(Array.from({ length: 12 }, (_, n) => n * 10));
  expect(most).toBe(3);
});

test('no more pieces are taken than are worked at: a slow reader holds the sender back', async () => {
  let taken = 0;
  async function* counted(): AsyncGenerator<number> {
    for await (const n of numbers(10)) {
      taken += 1;
      yield n;
    }
  }
  let ahead = 0;
  let handed = 0;
  await inOrder(counted(), 2, Promise.resolve.bind(Promise), async () => {
    await rest(5);
    ahead = Math.max(ahead, taken - handed);
    handed += 1;
  });
  expect(ahead).toBeLessThanOrEqual(2);
});

test('what fails in work or in handing over ends it, and nothing after it is handed over', async () => {
  const handed: number[] = [];
  const take = (made: number): Promise<void> => Promise.resolve(void handed.push(made));
  const broken = (n: number): Promise<number> => (n === 4 ? Promise.reject(new Error('broken')) : Promise.resolve(n));
  await expect(inOrder(numbers(8), 3, broken, take)).rejects.toThrow('broken');
  expect(handed).toEqual([0, 1, 2, 3]);
  const full = (): Promise<void> => Promise.reject(new Error('full'));
  await expect(inOrder(numbers(8), 3, (n) => Promise.resolve(n), full)).rejects.toThrow('full');
});
