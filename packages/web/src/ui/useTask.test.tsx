import '@testing-library/jest-dom';
import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { TaskNote } from './TaskNote';
import { useTask, type Job } from './useTask';

/** A stand-in for a worker: the job below never asks it anything. */
class IdleWorker extends EventTarget {
  static started: IdleWorker[] = [];
  stopped = false;
  onerror: ((event: ErrorEvent) => void) | null = null;
  constructor() {
    super();
    IdleWorker.started.push(this);
  }
  postMessage(): void {}
  terminate(): void {
    this.stopped = true;
  }
}

interface Call {
  readonly remote: object;
  readonly input: string;
  readonly onShare: (share: number) => void;
  readonly answer: (result: string) => void;
  readonly fail: (error: Error) => void;
}
let calls: Call[] = [];
const job: Job<object, string, string> = {
  what: 'the bands',
  start: () => new IdleWorker() as unknown as Worker,
  run: (remote, input, onShare) => new Promise((answer, fail) => calls.push({ remote, input, onShare, answer, fail })),
};
function Shown({ input }: { input: string | undefined }) {
  const task = useTask(job, input);
  return (
    <>
      <output>{`${task.result ?? 'none'}, latest ${task.latest ?? 'none'}`}</output>
      <TaskNote task={task} what="the bands" />
    </>
  );
}
const begun = async (count: number) => {
  await act(() => new Promise((done) => setTimeout(done, 5)));
  expect(calls).toHaveLength(count);
  return calls.at(-1)!;
};
beforeEach(() => {
  calls = [];
  IdleWorker.started = [];
});

test('gives the answer, keeps it while the next is worked out, and stops a run that is overtaken', async () => {
  const { rerender } = render(<Shown input="a" />);
  const first = await begun(1);
  await act(async () => first.answer('A'));
  expect(screen.getByRole('status')).toHaveTextContent('A, latest A');

  rerender(<Shown input="b" />);
  const second = await begun(2);
  expect(screen.getByRole('status')).toHaveTextContent('none, latest A');
  // The worker had answered, so it serves again; overtaken in mid-run it is stopped.
  expect(IdleWorker.started).toHaveLength(1);
  rerender(<Shown input="c" />);
  const third = await begun(3);
  expect(IdleWorker.started.map((w) => w.stopped)).toEqual([true, false]);
  await act(async () => second.answer('B'));
  expect(screen.getByRole('status')).toHaveTextContent('none, latest A');
  await act(async () => third.answer('C'));
  expect(screen.getByRole('status')).toHaveTextContent('C, latest C');
});

test('a worker that serves again is spoken to over the line it was started with, since it is deaf once that is collected', async () => {
  const { rerender } = render(<Shown input="a" />);
  const first = await begun(1);
  await act(async () => first.answer('A'));
  rerender(<Shown input="b" />);
  const second = await begun(2);
  expect(IdleWorker.started).toHaveLength(1);
  expect(second.remote === first.remote).toBe(true);
});

test('shows progress that never goes back, and is called off by a button', async () => {
  render(<Shown input="a" />);
  const call = await begun(1);
  await act(async () => call.onShare(0.6));
  await act(async () => call.onShare(0.4));
  expect(screen.getByRole('progressbar')).toHaveAttribute('value', '0.6');
  await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
  expect(IdleWorker.started[0]!.stopped).toBe(true);
  expect(screen.queryByRole('progressbar')).toBeNull();
});

test('a failure is told in words and can be tried again in a new worker', async () => {
  render(<Shown input="a" />);
  const call = await begun(1);
  await act(async () => call.fail(new Error('out of memory')));
  expect(screen.getByText(/Working out the bands failed: out of memory/)).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
  const again = await begun(2);
  expect(IdleWorker.started).toHaveLength(2);
  await act(async () => again.answer('A'));
  expect(screen.getByRole('status')).toHaveTextContent('A, latest A');
});

test('is settled only when nothing more comes by itself: not between an input and its run, but once answered, called off or without input', async () => {
  const seen: boolean[] = [];
  function Watched({ input }: { input: string | undefined }) {
    const task = useTask(job, input);
    seen.push(task.settled);
    return <TaskNote task={task} what="the bands" />;
  }
  const { rerender } = render(<Watched input={undefined} />);
  expect(seen.at(-1)).toBe(true);
  seen.length = 0;
  rerender(<Watched input="a" />);
  const first = await begun(1);
  expect(new Set(seen)).toEqual(new Set([false]));
  await act(async () => first.answer('A'));
  expect(seen.at(-1)).toBe(true);
  seen.length = 0;
  rerender(<Watched input="b" />);
  await begun(2);
  expect(new Set(seen)).toEqual(new Set([false]));
  await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
  expect(seen.at(-1)).toBe(true);
});

test('a worker that cannot even start is a failure too, and leaving the page stops what runs', async () => {
  const { unmount } = render(<Shown input="a" />);
  await begun(1);
  await act(async () =>
    IdleWorker.started[0]!.onerror?.({ message: 'script not found', preventDefault: () => undefined } as ErrorEvent),
  );
  expect(screen.getByText(/script not found/)).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
  await begun(2);
  unmount();
  expect(IdleWorker.started[1]!.stopped).toBe(true);
});
