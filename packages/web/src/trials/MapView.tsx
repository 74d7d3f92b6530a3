import { useState } from 'react';
import { inputOf, type TrialInput, type TrialRecord } from '@wheat-ledger/contract';
import { parseNumber, type TrialUnit } from '@wheat-ledger/core';
import { usePlot } from '../app/workspace';
import { FormPart } from '../ui/EditForm';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { saveText } from '../ui/saveFile';
import { Loading, Sheet } from '../ui/Sheet';
import { useKeep } from '../ui/useKeep';
import { MapPicture } from './MapPicture';
import { protocolFile } from './trialFile';
import { NoTrial, TrialPages } from './TrialPages';
import { useBlockPlaces } from './useBlockPlaces';
import { useTrial } from './useTrial';

type Odd = TrialInput['odd'][number];

/** Units that were lost or behaved oddly, and one line to add one. */
function OddUnits({
  odd,
  units,
  onChange,
}: {
  odd: readonly Odd[];
  units: number;
  onChange: (odd: readonly Odd[], words: string) => void;
}) {
  const [typed, setTyped] = useState({ unit: '', why: '', state: 'lost' as Odd['state'] });
  const read = parseNumber(typed.unit);
  const fits = read.ok && Number.isInteger(read.value) && read.value >= 1 && read.value <= units;
  const add = (): void => {
    if (!fits || !read.ok) return;
    const rest = odd.filter((o) => o.unit !== read.value);
    onChange(
      [...rest, { unit: read.value, state: typed.state, why: typed.why.trim() }],
      `Wrote down what happened to unit ${read.value}.`,
    );
    setTyped({ unit: '', why: '', state: 'lost' });
  };
  return (
    <>
      <ul className="mb-2">
        {odd.map((o) => (
          <li key={o.unit} className="flex gap-3 border-b border-rule py-1">
            <b className="w-20">Unit {o.unit}</b>
            <span className="flex-1">
              {o.state}
              {o.why && `: ${o.why}`}
            </span>
            <button
              type="button"
              className="plain no-print"
              onClick={() =>
                onChange(
                  odd.filter((x) => x !== o),
                  `Unit ${o.unit} counts again.`,
                )
              }
            >
              It counts after all
            </button>
          </li>
        ))}
      </ul>
      <div className="no-print flex flex-wrap items-end gap-2">
        <label className="w-20">
          <span className="block text-sm text-faint">Unit</span>
          <input
            className="field"
            inputMode="numeric"
            value={typed.unit}
            onChange={(e) => setTyped({ ...typed, unit: e.target.value })}
            aria-invalid={typed.unit !== '' && !fits}
          />
        </label>
        <select
          className="field !w-28"
          aria-label="Lost or odd"
          value={typed.state}
          onChange={(e) => setTyped({ ...typed, state: e.target.value as Odd['state'] })}
        >
          <option value="lost">is lost</option>
          <option value="odd">is odd</option>
        </select>
        <label className="w-64 max-w-full">
          <span className="block text-sm text-faint">What happened</span>
          <input
            className="field"
            value={typed.why}
            onChange={(e) => setTyped({ ...typed, why: e.target.value })}
            placeholder="slugs, 3 June"
          />
        </label>
        <button type="button" className="action" disabled={!fits} onClick={add}>
          Write it down
        </button>
      </div>
    </>
  );
}

function TrialMap({ trial, units }: { trial: TrialRecord; units: readonly TrialUnit[] }) {
  const { keep } = useKeep('trial');
  const { size, places, move } = useBlockPlaces(trial, units);
  const { plots } = usePlot();
  const shape = plots.find((p) => p.id === trial.plotId)?.shape;
  const [across = 0, along = 0] = shape?.kind === 'rectangle' ? shape.lengthsM : [];
  const [key, setKey] = useState(false);
  const names = trial.arms.map((a) => a.name);
  const csv = [
    'unit,code,block,row,column,arm',
    ...units.map((u) =>
      [
        u.number,
        u.code,
        u.block === undefined ? '' : u.block + 1,
        u.row + 1,
        u.column + 1,
        `"${(names[u.arm] ?? '').replaceAll('"', '""')}"`,
      ].join(','),
    ),
  ].join('\n');
  return (
    <Sheet
      title={trial.name}
      question="Who stands where? Chance said so, and the seed says it again."
      actions={
        <>
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-wheat"
              checked={key}
              onChange={(e) => setKey(e.target.checked)}
            />
            Show the key
          </label>
          <button type="button" className="action" onClick={() => saveText('trial-key.csv', csv, 'text/csv')}>
            Key as CSV
          </button>
          <button
            type="button"
            className="action"
            onClick={() => saveText('trial.json', protocolFile(trial), 'application/json')}
          >
            Protocol for neighbours
          </button>
          <PrintButton />
        </>
      }
    >
      <TrialPages id={trial.id} />
      <MapPicture
        units={units}
        size={size}
        places={places}
        plot={across > 0 && along > 0 ? { widthM: across, depthM: along } : undefined}
        onMove={move}
        arms={key ? names : undefined}
        odd={new Set(trial.odd.map((o) => o.unit))}
      />
      <div className="mt-5 flex flex-col gap-5">
        <FormPart title="Labels" hint="cut out; a code says nothing of what is given">
          <ul className="grid grid-cols-3 gap-2 sm:grid-cols-6" data-testid="labels">
            {units.map((u) => (
              <li key={u.number} className="break-inside-avoid border border-dashed border-line-strong p-2 text-center">
                <b className="block font-slab text-xl tracking-widest">{u.code}</b>
                <span className="text-sm text-faint">unit {u.number}</span>
              </li>
            ))}
          </ul>
        </FormPart>
        <FormPart title="Lost, eaten, odd">
          <OddUnits
            odd={trial.odd}
            units={units.length}
            onChange={(odd, words) => void keep({ ...(inputOf(trial) as TrialInput), odd: [...odd] }, trial, words)}
          />
        </FormPart>
      </div>
      <MarginNotes>
        <MarginNote title="Blind">
          <p>
            Who measures should see codes alone. Print map and labels without the key, and keep the key with somebody
            else until the day it is read.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}

/** Where every unit stands, to scale, with labels to print that give no arm away. */
export function MapView() {
  const { trial, units, isLoading } = useTrial();
  if (isLoading) return <Loading what="the map" />;
  return trial ? <TrialMap trial={trial} units={units} /> : <NoTrial />;
}
