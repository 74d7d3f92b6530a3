import type { ClaimInput, PastVerdictInput } from '@wheat-ledger/contract';
import { decidedWords, printDay, type Judgement } from '@wheat-ledger/core';
import { today } from '../app/today';

const MOST = 100;
/** A verdict in the words that are kept of it. */
function noted(judgement: Judgement): PastVerdictInput {
  const { verdict, sure, evidence } = judgement;
  const by = `${decidedWords(judgement)}; ${evidence.units.length} ${evidence.units.length === 1 ? 'study' : 'studies'}`;
  return { on: today(), verdict, sure, by };
}
const same = (a: PastVerdictInput, b: PastVerdictInput): boolean =>
  a.verdict === b.verdict && a.sure === b.sure && a.by === b.by;

/** A claim with its history, and its verdict of today at the end of it where that differs from the last. */
export function withVerdict(
  input: ClaimInput,
  judgement: Judgement | undefined,
  history: readonly PastVerdictInput[] = [],
): ClaimInput {
  const now = judgement && noted(judgement);
  const last = history.at(-1);
  const known = !now || (last && same(last, now));
  const all = known ? history : [...history, now].slice(-MOST);
  return all.length === 0 ? input : { ...input, history: [...all] };
}

/** How the verdict came to be what it is. */
export function HistoryPart({ history, judgement }: { history: readonly PastVerdictInput[]; judgement: Judgement }) {
  const last = history.at(-1);
  if (!last) return null;
  const now = noted(judgement);
  return (
    <section className="text-[0.9375rem]" data-testid="history">
      <h2 className="mb-1 border-b border-line-strong pb-1 text-lg">How the verdict changed</h2>
      <ol className="ml-5 list-disc">
        {history.map((h, i) => (
          <li key={i}>
            {printDay(h.on)}: <b>{h.verdict}</b>, {h.sure} sureness, by {h.by}.
          </li>
        ))}
        {!same(last, now) && (
          <li>
            Now: <b>{now.verdict}</b>, {now.sure} sureness, by {now.by}. It is written down when you save.
          </li>
        )}
      </ol>
    </section>
  );
}
