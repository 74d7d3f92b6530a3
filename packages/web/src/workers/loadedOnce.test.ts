import { loadedOnce } from './loadedOnce';

test('what is loaded is loaded once, also for two who ask together', async () => {
  let loads = 0;
  const get = loadedOnce(() => Promise.resolve(++loads));
  expect(await Promise.all([get(), get()])).toEqual([1, 1]);
  expect(await get()).toBe(1);
});

test('what could not be loaded is asked for again', async () => {
  let loads = 0;
  const get = loadedOnce(() => (++loads === 1 ? Promise.reject(new Error('not there')) : Promise.resolve(loads)));
  await expect(get()).rejects.toThrow('not there');
  expect(await get()).toBe(2);
});
