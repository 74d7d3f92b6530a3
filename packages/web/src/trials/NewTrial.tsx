import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useRecords } from '../app/api';
import { usePlot, useShelf } from '../app/workspace';
import { Loading } from '../ui/Sheet';
import { fromTemplate, fromTrial, TEMPLATES } from './templates';
import { TrialForm } from './TrialEditor';
import { blankTrial, trialOfClaim } from './trialText';

/** What a new trial begins from: nothing, a template, or a trial that is there. */
function BeginFrom({ chosen }: { chosen: string }) {
  const navigate = useNavigate();
  const { records: trials } = useRecords('trial');
  return (
    <label className="mb-4 flex max-w-xl flex-wrap items-center gap-2">
      <span className="text-faint">Begin from</span>
      <select
        className="field min-w-0 flex-1"
        aria-label="Begin from"
        value={chosen}
        onChange={(e) => void navigate(e.target.value === '' ? '/trials/new' : `/trials/new?from=${e.target.value}`)}
      >
        <option value="">a blank plan</option>
        <optgroup label="What is asked most often">
          {TEMPLATES.map((t) => (
            <option key={t.key} value={t.key}>
              {t.title}
            </option>
          ))}
        </optgroup>
        {trials.length > 0 && (
          <optgroup label="A trial of your own, again">
            {trials.map((t) => (
              <option key={t.id} value={t.id}>
                {t.name}
              </option>
            ))}
          </optgroup>
        )}
      </select>
    </label>
  );
}

/** A trial of a claim, in one step. */
function TrialOfClaim({ id, seed }: { id: string; seed: number }) {
  const { plot } = usePlot();
  const { records: claims, isLoading } = useRecords('claim');
  const { shelf, isLoading: shelfLoading } = useShelf();
  const claim = claims.find((c) => c.id === id);
  const bag = shelf.find((s) => s.record.id === claim?.productId)?.product.name ?? 'What is claimed';
  const start = useMemo(
    () => (claim ? trialOfClaim(seed, claim, bag, plot?.id) : blankTrial(seed, plot?.id)),
    [seed, plot?.id, claim, bag],
  );
  if (isLoading || shelfLoading) return <Loading what="the claim" />;
  return <TrialForm start={start} draft={`claim.${id}`} />;
}

/** A plan from nothing, a template or a trial that is there. */
function PlanFrom({ from, seed }: { from: string; seed: number }) {
  const { plot } = usePlot();
  const { records: trials, isLoading } = useRecords('trial');
  const start = useMemo(() => {
    const template = TEMPLATES.find((t) => t.key === from);
    const trial = trials.find((t) => t.id === from);
    return template
      ? fromTemplate(template, seed, plot?.id)
      : trial
        ? fromTrial(trial, seed)
        : blankTrial(seed, plot?.id);
  }, [from, seed, trials, plot?.id]);
  if (from !== '' && isLoading) return <Loading what="the trials" />;
  return (
    <TrialForm start={start} draft={from === '' ? 'new' : `from.${from}`}>
      <BeginFrom chosen={from} />
    </TrialForm>
  );
}

/** A new trial: of a claim, from a template, again, or from nothing. */
export function NewTrial() {
  const [seed] = useState(() => 1 + Math.floor(Math.random() * 1e6));
  const [search] = useSearchParams();
  const claim = search.get('claim');
  const from = search.get('from') ?? '';
  return claim ? <TrialOfClaim id={claim} seed={seed} /> : <PlanFrom key={from} from={from} seed={seed} />;
}
