import { useState, type FormEvent } from 'react';
import type { PlotRecord } from '@wheat-ledger/contract';
import { NUTRIENTS, parseDay, parseNumber, printDay, USUAL_STEP_PERCENT, type Nutrient } from '@wheat-ledger/core';
import type { ChosenSeason } from '../app/seasons';
import { today } from '../app/today';
import { useKeep } from '../ui/useKeep';

type Found = { readonly nutrient: Nutrient; readonly percent: number };

/** "N 2.6, P 0.31 %" as figures, or what of it cannot be read. */
export function readFound(text: string): readonly Found[] | string {
  const parts = text
    .split(/[;,\n](?!\d)/)
    .map((p) => p.trim())
    .filter((p) => p !== '');
  const found: Found[] = [];
  for (const part of parts) {
    const [, symbol, amount] = /^([A-Z][a-z]?)\s*[:=]?\s*([\d.,]+)\s*%?$/.exec(part) ?? [];
    const nutrient = NUTRIENTS.find((n) => n === symbol);
    const read = parseNumber(amount ?? '');
    if (!nutrient || !read.ok) return `Read “${part}”, expected an element and its per cent such as N 2.6.`;
    if (read.value > 100) return `Read ${amount} %, expected at most 100.`;
    if (found.some((f) => f.nutrient === nutrient)) return `Read ${nutrient} twice, expected it once.`;
    found.push({ nutrient, percent: read.value });
  }
  return found.length > 0 ? found : 'Expected what was found, such as N 2.6, P 0.31.';
}

/** A leaf test as it comes from the laboratory, on a line or two. */
export function LeafForm({
  plot,
  seasons,
  chosen,
}: {
  plot: PlotRecord;
  seasons: readonly ChosenSeason[];
  chosen: ChosenSeason | undefined;
}) {
  const { keep, saving } = useKeep('leaf');
  const [seasonId, setSeasonId] = useState(chosen?.record.id ?? '');
  const of = seasons.find((s) => s.record.id === seasonId) ?? chosen;
  const [usual] = of?.season.crop.tissue ?? [];
  const [typed, setTyped] = useState({
    part: '',
    on: printDay(today()),
    samples: '',
    found: '',
    step: String(USUAL_STEP_PERCENT),
  });
  const [trouble, setTrouble] = useState('');
  const set = (field: keyof typeof typed) => (e: { target: { value: string } }) =>
    setTyped({ ...typed, [field]: e.target.value });
  const write = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const day = parseDay(typed.on);
    const step = parseNumber(typed.step.replace('%', ''));
    const samples = typed.samples.trim() === '' ? undefined : parseNumber(typed.samples);
    const found = readFound(typed.found);
    const part = typed.part.trim() || (usual?.part ?? '');
    const wrong = [day, step, ...(samples ? [samples] : [])].find((r) => !r.ok);
    if (wrong && !wrong.ok) return setTrouble(wrong.reason);
    if (typeof found === 'string') return setTrouble(found);
    if (part === '') return setTrouble('Expected the part that was sampled, such as the youngest full-grown leaf.');
    if (!day.ok || !step.ok) return;
    if (step.value < 1 || step.value > 90) return setTrouble(`Read a step of ${typed.step} %, expected 1 to 90.`);
    setTrouble('');
    await keep(
      {
        plotId: plot.id,
        ...(of ? { seasonId: of.record.id } : {}),
        on: day.value,
        part,
        ...(samples?.ok ? { samples: samples.value } : {}),
        found: [...found],
        stepPercent: step.value,
        note: '',
      },
      undefined,
      'Wrote the leaf test down.',
    );
    setTyped({ ...typed, found: '' });
  };
  return (
    <form className="no-print" onSubmit={(e) => void write(e)}>
      <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
        <label className="w-60 max-w-full">
          <span className="block text-sm text-faint">Of</span>
          <select className="field" value={of?.record.id ?? ''} onChange={(e) => setSeasonId(e.target.value)}>
            {seasons.map((s) => (
              <option key={s.record.id} value={s.record.id}>
                {s.season.crop.name} from {printDay(s.season.from)}
              </option>
            ))}
          </select>
        </label>
        <label className="w-56">
          <span className="block text-sm text-faint">Part</span>
          <input
            className="field"
            value={typed.part}
            onChange={set('part')}
            placeholder={usual?.part ?? 'youngest full-grown leaf'}
          />
        </label>
        <label className="w-36">
          <span className="block text-sm text-faint">Sampled on</span>
          <input className="field" value={typed.on} onChange={set('on')} />
        </label>
        <label className="w-24">
          <span className="block text-sm text-faint">Leaves</span>
          <input className="field" value={typed.samples} onChange={set('samples')} placeholder="40" />
        </label>
        <label className="w-80 max-w-full">
          <span className="block text-sm text-faint">Found, per cent of dry matter</span>
          <input className="field" value={typed.found} onChange={set('found')} placeholder="N 2.6, P 0.31, K 2.1" />
        </label>
        <label className="w-24">
          <span className="block text-sm text-faint">Step, %</span>
          <input className="field" value={typed.step} onChange={set('step')} />
        </label>
        <button type="submit" className="action" disabled={saving || typed.found.trim() === ''}>
          Write it down
        </button>
      </div>
      {trouble !== '' && (
        <p role="alert" className="mt-1 text-beet">
          {trouble}
        </p>
      )}
    </form>
  );
}
