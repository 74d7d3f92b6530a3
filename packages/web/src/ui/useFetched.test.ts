/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useFetched } from './useFetched';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

const settle = (ms = 0): Promise<void> => act(async () => jest.advanceTimersByTimeAsync(ms));

test('a piece is fetched only once it is wanted, and once', async () => {
  const load = jest.fn(async () => 'piece');
  const { result, rerender } = renderHook(({ wanted }) => useFetched(load, wanted), {
    initialProps: { wanted: false },
  });
  await settle();
  expect([result.current, load.mock.calls.length]).toEqual([undefined, 0]);
  rerender({ wanted: true });
  await settle();
  rerender({ wanted: true });
  await settle(10_000);
  expect([result.current, load.mock.calls.length]).toEqual(['piece', 1]);
});

test('what did not come is asked for again, and nothing is thrown', async () => {
  const load = jest.fn<Promise<string>, []>().mockRejectedValueOnce(new Error('no way')).mockResolvedValue('piece');
  const { result } = renderHook(() => useFetched(load, true));
  await settle();
  expect(result.current).toBeUndefined();
  await settle(10_000);
  expect([result.current, load.mock.calls.length]).toEqual(['piece', 2]);
});

test('nobody waits any more: nothing is asked for', async () => {
  const load = jest.fn(async () => Promise.reject(new Error('no way')));
  const { unmount } = renderHook(() => useFetched(load, true));
  await settle();
  unmount();
  await settle(10_000);
  expect(load).toHaveBeenCalledTimes(1);
});
