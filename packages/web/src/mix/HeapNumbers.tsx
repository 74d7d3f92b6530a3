import type { ReactNode } from 'react';
import { HEAP_GOAL, formatTrimmed, isExact, measuredWords, type Figure, type HeapReading } from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';

const CN_WORDS: Readonly<Record<HeapReading['cnSide'], string>> = {
  low: 'Too much nitrogen: it will smell of ammonia and lose it. More browns.',
  right: 'As a heap likes it.',
  high: 'Too little nitrogen: it will hardly warm up. More greens.',
  maybe: 'About right, as far as typical figures tell.',
};
function moistureWords({ moistureSide, waterKg }: HeapReading): string {
  switch (moistureSide) {
    case 'low':
      return `Too dry: add about ${measuredWords(waterKg)} of water.`;
    case 'right':
      return 'As a heap likes it: damp as a wrung-out cloth.';
    case 'high':
      return 'Too wet: it will run out of air. Add something dry and stiff.';
    case 'maybe':
      return waterKg > 0
        ? `A little dry: about ${measuredWords(waterKg)} of water more.`
        : 'About right: squeeze a handful, and only a drop or two should come.';
  }
}

const goalWords = ({ low, high }: { readonly low: number; readonly high: number }, factor = 1): string =>
  `${formatTrimmed(low * factor)}–${formatTrimmed(high * factor)}`;

/** The middle of a figure, and what it usually lies between. */
function About({ figure }: { figure: Figure }) {
  const { low, mid, high } = figure.value;
  const shown = (n: number): string => formatTrimmed(n, 2);
  return (
    <>
      <FigureButton figure={figure}>
        {isExact(figure.value) ? formatTrimmed(mid, 3) : `${shown(mid)} (${shown(low)}–${shown(high)})`}
      </FigureButton>
      {figure.unit.text && ` ${figure.unit.text}`}
    </>
  );
}

/** One thing about a heap: what it is, what it works at, and what that means. */
function Line({ name, figure, goal, children }: { name: string; figure: Figure; goal: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[4rem_1fr] gap-x-3 border-b border-rule py-2 sm:grid-cols-[4rem_11rem_1fr]">
      <dt className="font-semibold">{name}</dt>
      <dd>
        <About figure={figure} />
        <span className="block text-sm text-faint">works at {goal}</span>
      </dd>
      <dd className="col-start-2 sm:col-start-3">{children}</dd>
    </div>
  );
}

/** What a heap is now, against what it works at. */
export function HeapNumbers({ heap }: { heap: HeapReading }) {
  return (
    <dl className="max-w-3xl border-t border-line-strong" data-testid="heap-numbers">
      <Line name="C:N" figure={heap.carbonToNitrogen} goal={goalWords(HEAP_GOAL.carbonToNitrogen)}>
        {CN_WORDS[heap.cnSide]}
      </Line>
      <Line name="Water" figure={heap.moisture} goal={`${goalWords(HEAP_GOAL.moisture, 100)} %`}>
        {moistureWords(heap)}
      </Line>
      <Line name="Size" figure={heap.litres} goal="1000 L or more">
        <About figure={heap.kg} />, loosely piled. Under a cubic metre it seldom gets hot.
      </Line>
    </dl>
  );
}

/** What becomes of it, by usual ranges. */
export function HeapOutcome({ heap: { finished: done } }: { heap: HeapReading }) {
  return (
    <p data-testid="heap-outcome">
      When it is done: <About figure={done.kg} />, <About figure={done.litres} />, with <About figure={done.nitrogen} />{' '}
      N, <About figure={done.p2o5} /> P₂O₅ and <About figure={done.k2o} /> K₂O as it comes.
    </p>
  );
}
