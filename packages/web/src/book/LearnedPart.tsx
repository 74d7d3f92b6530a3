import { useState } from 'react';
import { inputOf, type SeasonInput } from '@wheat-ledger/contract';
import { printDay } from '@wheat-ledger/core';
import type { ChosenSeason } from '../app/seasons';
import { useKeep } from '../ui/useKeep';

/** What was learned in one season, in the grower's own words. */
function Learned({ open }: { open: ChosenSeason }) {
  const { keep, saving } = useKeep('season');
  const { record, season } = open;
  const [text, setText] = useState(record.note);
  const changed = text.trim() !== record.note;
  return (
    <div>
      <label>
        <span className="text-faint">
          {season.crop.name} from {printDay(season.from)}
        </span>
        <textarea
          className="field no-print"
          rows={2}
          maxLength={2000}
          value={text}
          placeholder="what went well, what not, what to do otherwise"
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      <p className="hidden whitespace-pre-line print:block">{record.note || 'Nothing is written down.'}</p>
      {changed && (
        <button
          type="button"
          className="action no-print mt-1"
          disabled={saving}
          onClick={() =>
            void keep(
              { ...(inputOf(record) as SeasonInput), note: text.trim() },
              record,
              'Wrote down what was learned.',
            )
          }
        >
          Keep what was learned
        </button>
      )}
    </div>
  );
}

/** What was learned on a plot in a year, season by season. */
export function LearnedPart({ seasons, year }: { seasons: readonly ChosenSeason[]; year: number }) {
  const there = seasons.filter(
    ({ season }) => season.from.slice(0, 4) <= String(year) && (season.to ?? season.from).slice(0, 4) >= String(year),
  );
  if (there.length === 0) return <p className="text-faint">No season stood here in {year}.</p>;
  return (
    <div className="flex flex-col gap-3">
      {there.map((open) => (
        <Learned key={`${open.record.id} ${open.record.version}`} open={open} />
      ))}
    </div>
  );
}
