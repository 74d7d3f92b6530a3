import { useId, useState } from 'react';
import {
  inputOf,
  ownValueText,
  readOwnValue,
  type OwnFigureInput,
  type PlotRecord,
  type ProductRecord,
} from '@wheat-ledger/contract';
import { BAG_FIGURES, formatGivenRange, ownBounds, PLOT_FIGURES, type Figure } from '@wheat-ledger/core';
import { useShelf } from '../app/workspace';
import { Remark } from './Sheet';
import { useKeep } from './useKeep';

/** A bag that something is assumed of, with its own name for the assumption. */
export interface AssumedIn {
  readonly productId: string;
  readonly name: string;
  readonly key: string | undefined;
}
/** Where an own figure would be kept: with the plot, or with a bag. */
export interface Place {
  readonly key: string;
  readonly name: string;
  readonly record: PlotRecord | ProductRecord;
  readonly kind: 'plot' | 'product';
}

/** How own figures are kept with a plot and with the bags on the shelf. */
export function useOwnFigures(plot: PlotRecord) {
  const { shelf } = useShelf();
  const plots = useKeep('plot');
  const products = useKeep('product');
  return {
    saving: plots.saving || products.saving,
    /** Where a figure that is assumed under a key, and in some bags, can be kept. */
    placesOf: (key: string | undefined, of: readonly AssumedIn[]): readonly Place[] => {
      if (key === undefined) return [];
      if (ownBounds(key, PLOT_FIGURES)) return [{ key, name: plot.name, record: plot, kind: 'plot' }];
      return of.flatMap(({ productId, name, key: own }): readonly Place[] => {
        const record = shelf.find((s) => s.record.id === productId)?.record;
        return record && own !== undefined ? [{ key: own, name, record, kind: 'product' }] : [];
      });
    },
    /** Keeps a figure, or with none goes back to what is usual. */
    put: async ({ key, record, kind }: Place, figure: OwnFigureInput | undefined, words: string): Promise<void> => {
      const others = (record.ownFigures ?? []).filter((f) => f.key !== key);
      const ownFigures = figure ? [...others, figure] : others;
      // Which of the two it is says its kind.
      await (kind === 'plot'
        ? plots.keep({ ...inputOf(record as PlotRecord), ownFigures }, record, words)
        : products.keep({ ...inputOf(record as ProductRecord), ownFigures }, record, words));
    },
  };
}

interface OwnFigureFormProps {
  readonly figure: Figure;
  readonly places: readonly Place[];
  readonly own: ReturnType<typeof useOwnFigures>;
  readonly onDone: () => void;
}

/** What cannot be typed for a key, in words; empty where it can. */
function refusal(read: ReturnType<typeof readOwnValue>, key: string): string {
  if (!read.ok) return read.reason;
  const bounds = ownBounds(key, PLOT_FIGURES) ?? ownBounds(key, BAG_FIGURES);
  if (!bounds || (read.value.low >= bounds.least && read.value.high <= bounds.most)) return '';
  return `Read ${ownValueText(read.value)}, expected ${bounds.least} to ${bounds.most}.`;
}

/** Types a figure of one's own in an assumption's place, and goes back to the usual one. */
export function OwnFigureForm({ figure, places, own, onDone }: OwnFigureFormProps) {
  const id = useId();
  const [at, setAt] = useState(0);
  const usual = figure.how.kind === 'assumption' ? figure.how.usual : undefined;
  const [text, setText] = useState(usual ? ownValueText(figure.value) : '');
  const [source, setSource] = useState(usual && figure.how.kind === 'assumption' ? figure.how.source : '');
  const place = places[Math.min(at, places.length - 1)];
  if (!place) return null;
  const read = readOwnValue(text);
  const refused = text.trim() === '' ? '' : refusal(read, place.key);
  const done = async (value: OwnFigureInput | undefined, words: string): Promise<void> => {
    await own.put(place, value, words);
    onDone();
  };
  return (
    <form
      className="flex flex-wrap items-end gap-x-4 gap-y-2 py-1"
      onSubmit={(e) => {
        e.preventDefault();
        if (!read.ok || refused !== '') return;
        void done(
          { key: place.key, ...read.value, source: source.trim() },
          `${place.name} has its own figure: ${figure.label}.`,
        );
      }}
    >
      <label className="text-sm text-faint" htmlFor={`${id}value`}>
        Your figure, {figure.unit.text || 'a number'}
        <input
          id={`${id}value`}
          className="field block !w-40 text-pine"
          value={text}
          autoFocus
          placeholder="0.08, or 0.05 to 0.1"
          aria-invalid={refused !== ''}
          aria-describedby={`${id}refused`}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      <label className="text-sm text-faint">
        Where it is from
        <input
          className="field block !w-56 text-pine"
          value={source}
          maxLength={300}
          placeholder="three jars, spring 2026"
          onChange={(e) => setSource(e.target.value)}
        />
      </label>
      {places.length > 1 ? (
        <label className="text-sm text-faint">
          Kept with
          <select className="field block text-pine" value={at} onChange={(e) => setAt(Number(e.target.value))}>
            {places.map(({ name }, i) => (
              <option key={name} value={i}>
                {name}
              </option>
            ))}
          </select>
        </label>
      ) : (
        <span className="pb-1 text-sm text-faint">Kept with {place.name}.</span>
      )}
      <button type="submit" className="action" disabled={own.saving || text.trim() === '' || refused !== ''}>
        Use it
      </button>
      {usual && (
        <button
          type="button"
          className="plain pb-1"
          disabled={own.saving}
          onClick={() => void done(undefined, `${figure.label}: back to the usual ${formatGivenRange(usual)}.`)}
        >
          Back to the usual {formatGivenRange(usual)}
        </button>
      )}
      <div id={`${id}refused`} className="w-full" role="status">
        {refused && <Remark tone="caution">{refused}</Remark>}
      </div>
    </form>
  );
}
