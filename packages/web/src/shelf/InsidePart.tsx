import { formatTrimmed, type InsideBag, type Product } from '@wheat-ledger/core';
import { Remark } from '../ui/Sheet';
import { TaskNote } from '../ui/TaskNote';
import { useTask, type Job } from '../ui/useTask';
import type { MixWorker } from '../workers/mix.worker';

const INSIDE: Job<MixWorker, Product, InsideBag> = {
  what: 'what is in the bag',
  start: () => new Worker(new URL('../workers/mix.worker.ts', import.meta.url), { type: 'module' }),
  run: (remote, product) => remote.inside(product),
};
const percent = (share: number): string => formatTrimmed(share * 100, share < 0.1 ? 2 : 3);

/** What was found, as bars from the least to the most. */
export function InsideFound({ found }: { found: InsideBag }) {
  if (found.kind === 'unknown') return <p className="text-faint">{found.why}</p>;
  if (found.kind === 'impossible')
    return (
      <Remark tone="caution">
        <b>No mix of what is listed is this label.</b> These cannot hold together: {found.conflict.join('; ')}.
      </Remark>
    );
  return (
    <table className="ledger" data-testid="inside">
      <caption className="pb-1 text-left text-sm text-faint">
        The least and the most of each that its analysis, its order of listing and what each usually holds leave room
        for.
        {found.givenUp.length > 0 && ` It cannot be, as lists go, that ${found.givenUp.join(', nor that ')}.`}
        {!found.complete && ' Something else is listed that is not known here, so only the most is bounded.'}
      </caption>
      <tbody>
        {found.shares.map(({ material, low, high }) => (
          <tr key={material.key}>
            <th scope="row">{material.name}</th>
            <td className="w-1/2">
              <svg viewBox="0 0 200 12" className="w-full" aria-hidden="true" preserveAspectRatio="none">
                <path d="M0 6H200" stroke="var(--rule)" strokeWidth="2" />
                <rect x={low * 200} y={1} width={Math.max(2, (high - low) * 200)} height={10} fill="var(--slate)" />
              </svg>
            </td>
            <td className="num">
              {percent(low)} to {percent(high)} %
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What is really in a bag that lists its ingredients without shares. */
export function InsidePart({ product }: { product: Product }) {
  const task = useTask(INSIDE, product.derivedFrom.length > 1 ? product : undefined);
  if (product.derivedFrom.length < 2) return null;
  return (
    <section className="mt-6">
      <h2 className="mb-2 text-xl">What is really in it</h2>
      {task.latest && <InsideFound found={task.latest} />}
      <TaskNote task={task} what="what is in the bag" />
    </section>
  );
}
