import { claimKind, formatFixed, READ_FIRST, READING_LIST, type ClaimKind, type Evidence } from '@wheat-ledger/core';
import { Remark } from '../ui/Sheet';
import { ForestPicture } from './ForestPicture';
import { LooksPart } from './LooksPart';

/** What published work says that bears on the kind of claim: words, never a size. */
function ReadingPart({ kind }: { kind: ClaimKind }) {
  const bearing = READING_LIST.filter((r) => kind.reading.includes(r.key));
  if (bearing.length === 0) return null;
  return (
    <section data-testid="reading">
      <h3 className="mb-1 font-semibold">Published work that bears on it</h3>
      <ul className="flex flex-col gap-2 text-[0.9375rem]">
        {bearing.map((r) => (
          <li key={r.key}>
            {r.says} <span className="text-faint">({r.kind})</span>
            <span className="block text-sm text-faint">{r.record}.</span>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-sm text-faint">{READ_FIRST} None of it counts as an effect size here.</p>
    </section>
  );
}

/** What the studies of a claim found, alone and together, and why it is not surer. */
export function EvidencePart({ evidence, kind, less }: { evidence: Evidence; kind: string; less: boolean }) {
  const { pooled, studies, units } = evidence;
  const invented = studies.some((w) => w.study.sample);
  const mute = studies.filter((w) => !w.effect);
  return (
    <section className="mt-5 flex flex-col gap-4" aria-label="Evidence" data-testid="evidence">
      <h2 className="border-b border-line-strong pb-1 text-lg">What trials found</h2>
      {invented && (
        <Remark tone="note">Studies of the sample are invented. They show how this works and prove nothing.</Remark>
      )}
      <p>{evidence.text}</p>
      <ForestPicture evidence={evidence} less={less} />
      {pooled && (
        <p className="text-[0.9375rem]">
          Random effects: τ² {formatFixed(pooled.tau2, 3)}, I² {formatFixed(pooled.i2 * 100, 0)} %, Q{' '}
          {formatFixed(pooled.q, 1)} at {pooled.degreesOfFreedom} degrees of freedom. The interval is Hartung and
          Knapp’s, stretched {formatFixed(pooled.factor, 2)} times.
        </p>
      )}
      {units
        .filter((u) => u.studies.length > 1)
        .map((u) => (
          <p key={u.name} className="text-[0.9375rem]">
            {u.name} share one control, so {u.studies.map((s) => s.name).join(' and ')} count together as one study.
          </p>
        ))}
      <LooksPart evidence={evidence} />
      {studies
        .filter((w) => w.study.leftOut !== undefined)
        .map((w) => (
          <p key={w.study.id} className="text-[0.9375rem]">
            Left out: {w.study.name}, because {w.study.leftOut}.
          </p>
        ))}
      {mute.length > 0 && (
        <p className="text-[0.9375rem] text-faint">
          Without a number that counts: {mute.map((w) => `${w.study.name} (${w.why})`).join('; ')}.
        </p>
      )}
      <ReadingPart kind={claimKind(kind)} />
    </section>
  );
}
