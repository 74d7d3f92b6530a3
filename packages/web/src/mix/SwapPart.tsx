import { useMemo, useState } from 'react';
import {
  analyteName,
  formatFixed,
  formatTrimmedRange,
  labelBasis,
  NUTRIENTS,
  scaleRange,
  substitute,
  symbolIn,
  weighedWords,
  type Component,
  type Figure,
  type Mixture,
  type Nutrient,
  type Product,
  type Substitution,
} from '@wheat-ledger/core';
import { useWindowShares } from '../app/useWindowShares';
import { Choice } from '../ui/Choice';
import { FigureButton } from '../ui/FigureButton';
import { TaskNote } from '../ui/TaskNote';

const BY = {
  total: 'all of it counted, since it is not known of both how much is set free in time',
  all: 'all of it counted',
  released: 'what is set free in time for the crop counted',
} as const;
/** By what two materials can be made equal: all of a nutrient, or of nitrogen what is set free in time. */
type Counting = 'total' | 'released';

/** What a batch brings of a nutrient, before or after; what no label states is not nothing. */
function brought(kg: number, massUnit: 'kg' | 'lb'): string {
  if (kg === 0) return 'none stated';
  const words = weighedWords(kg, massUnit);
  return words.startsWith('0 ') ? words.replace('0 ', 'under 0.1 ') : words;
}

/** What a swap changes, with a button that makes it. */
function Swapped({
  found,
  batchKg,
  nutrient,
  asked,
  week,
  shares,
  products,
  currency,
  massUnit,
  onTake,
}: {
  found: Extract<Substitution, { kind: 'swapped' }>;
  batchKg: number;
  nutrient: Nutrient;
  asked: Counting;
  week: number;
  shares: ReadonlyMap<string, Figure>;
  /** The old one and the new. */
  products: readonly Product[];
  currency: string;
  massUnit: 'kg' | 'lb';
  onTake: () => void;
}) {
  const { cost, salt } = found;
  return (
    <div data-testid="swapped">
      <p>
        In a batch of {weighedWords(batchKg, massUnit)},{' '}
        <b>
          {weighedWords(found.kg, massUnit)} of {products[1]?.name}
        </b>{' '}
        bring as much {analyteName(nutrient)}: {BY[asked === 'total' ? 'all' : found.by]}.
      </p>
      {found.by === 'released' && (
        <p className="text-[0.9375rem]">
          By week {week} of this season, of its nitrogen:{' '}
          {products.map((p, i) => {
            const share = shares.get(p.id);
            return (
              share && (
                <span key={p.id}>
                  {i > 0 && ', '}
                  {p.name} <FigureButton figure={share}>{shareWords(share)}</FigureButton>
                </span>
              )
            );
          })}
          .
        </p>
      )}
      <ul className="ml-5 list-disc">
        {found.changes.map(({ nutrient: n, before, after }) => (
          <li key={n}>
            {symbolIn(n, labelBasis(n))}: {brought(before, massUnit)} before, {brought(after, massUnit)} after
          </li>
        ))}
        {cost && (
          <li>
            cost: {formatFixed(cost.before, 2)} {currency} before, {formatFixed(cost.after, 2)} {currency} after
          </li>
        )}
        {salt && (
          <li>
            salt index: {formatFixed(salt.before, 1)} before, {formatFixed(salt.after, 1)} after
          </li>
        )}
      </ul>
      <button type="button" className="action mt-2" onClick={onTake}>
        Swap it
      </button>
    </div>
  );
}

/** A share as a range of per cent. @example 0.55 to 0.62 is '55–62 %' */
const shareWords = ({ value }: Figure): string => `${formatTrimmedRange(scaleRange(value, 100), 2)} %`;

interface SwapAnswerProps {
  readonly mix: Mixture;
  readonly inBatch: readonly Component[];
  readonly batchKg: number;
  readonly from: string;
  readonly other: Product;
  readonly nutrient: Nutrient;
  readonly asked: Counting;
  readonly massUnit: 'kg' | 'lb';
  readonly onTake: (found: Extract<Substitution, { kind: 'swapped' }>) => void;
}
const NONE: readonly Product[] = [];
/** The swap that was asked for; both materials are followed on the plot where what is set free in time counts. */
function SwapAnswer({ mix, inBatch, batchKg, from, other, nutrient, asked, massUnit, onTake }: SwapAnswerProps) {
  const old = mix.components.find((c) => c.product.id === from)?.product;
  const both = useMemo(() => (old ? [old, other] : NONE), [old, other]);
  const { shares, courses, week, settled } = useWindowShares(both);
  const found = useMemo(
    () =>
      substitute(inBatch, from, other, nutrient, (p) => (asked === 'released' ? shares.get(p.id)?.value : undefined)),
    [inBatch, from, other, nutrient, asked, shares],
  );
  // Counted whole it would be another amount, and would pass for the answer.
  const underway = asked === 'released' && !settled;
  return (
    <div aria-live="polite" className="mt-2">
      <TaskNote task={courses} what="what is set free" />
      {found.kind === 'cannot' && <p className="text-beet">{found.why}</p>}
      {found.kind === 'swapped' && !underway && (
        <Swapped
          {...{ batchKg, found, nutrient, asked, massUnit, week, shares }}
          products={both}
          currency={mix.currency ?? ''}
          onTake={() => onTake(found)}
        />
      )}
    </div>
  );
}

interface SwapPartProps {
  readonly mix: Mixture;
  /** The weights are those of a batch of so much. */
  readonly batchKg: number;
  readonly shelf: readonly Product[];
  readonly massUnit: 'kg' | 'lb';
  readonly onTake: (found: Extract<Substitution, { kind: 'swapped' }>) => void;
}
/** One material of a recipe for another at equal nutrient, and what else that changes. */
export function SwapPart({ mix, batchKg, shelf, massUnit, onTake }: SwapPartProps) {
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [nutrient, setNutrient] = useState<Nutrient>('N');
  const other = shelf.find((p) => p.id === to);
  const inBatch = useMemo(
    () => mix.components.map((c) => ({ ...c, kg: (c.kg * batchKg) / mix.totalKg })),
    [mix, batchKg],
  );
  const [counting, setCounting] = useState<Counting>('released');
  const asked = nutrient === 'N' ? counting : 'total';
  const brought = mix.analysis.map((n) => n.nutrient);
  return (
    <details className="no-print mt-5" data-testid="swap">
      <summary className="cursor-pointer font-slab text-lg font-semibold">Swap one material for another</summary>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <label className="text-sm text-faint">
          Instead of
          <select
            className="field mt-1 block"
            aria-label="Instead of"
            value={from}
            onChange={(e) => setFrom(e.target.value)}
          >
            <option value="">choose a part</option>
            {mix.components.map(({ product }) => (
              <option key={product.id} value={product.id}>
                {product.name}
              </option>
            ))}
          </select>
        </label>
        <label className="text-sm text-faint">
          take
          <select className="field mt-1 block" aria-label="take" value={to} onChange={(e) => setTo(e.target.value)}>
            <option value="">choose a bag</option>
            {shelf
              .filter((p) => p.id !== from)
              .map((p) => (
                <option key={p.id} value={p.id}>
                  {p.name}
                </option>
              ))}
          </select>
        </label>
        <label className="text-sm text-faint">
          at equal
          <select
            className="field mt-1 block"
            aria-label="at equal"
            value={nutrient}
            onChange={(e) => setNutrient(NUTRIENTS.find((n) => n === e.target.value) ?? 'N')}
          >
            {brought.map((n) => (
              <option key={n} value={n}>
                {analyteName(n)}
              </option>
            ))}
          </select>
        </label>
        {nutrient === 'N' && (
          <span className="text-sm text-faint">
            counted
            <span className="mt-1 block text-base text-pine">
              <Choice
                label="Nitrogen counted"
                value={counting}
                onChange={setCounting}
                options={[
                  { value: 'released', text: 'set free in time' },
                  { value: 'total', text: 'all of it' },
                ]}
              />
            </span>
          </span>
        )}
      </div>
      {from !== '' && other && (
        <SwapAnswer
          key={`${from} ${to} ${asked}`}
          {...{ mix, inBatch, batchKg, from, other, nutrient, asked, massUnit, onTake }}
        />
      )}
    </details>
  );
}
