import { cautionsOf, formatFixed, printDay, symbolIn, type Mixture } from '@wheat-ledger/core';
import { today } from '../app/today';

/** Rounded down, as a guarantee is. */
const guaranteed = (percent: number): string => formatFixed(Math.floor(percent * 10) / 10, 1);
/** Less than this is not stated. */
const STATED = 0.1;

/** A label to cut out for the tub, on paper only unless it shall be seen: what is in it as a label would state it, when it was mixed, and what to mind. */
export function TubLabel({ name, mix, shown = false }: { name: string; mix: Mixture; shown?: boolean }) {
  const percent = (nutrient: string): number =>
    mix.analysis.find((n) => n.nutrient === nutrient)?.percent.value.low ?? 0;
  const stated = mix.analysis.filter((n) => n.percent.value.low >= STATED);
  return (
    <section
      className={`mt-8 w-[110mm] max-w-full break-inside-avoid border-2 border-dashed border-line-strong p-4 print:block ${shown ? '' : 'hidden'}`}
      aria-label="A label for the tub"
      data-testid="tub-label"
    >
      <p className="text-sm">Cut out for the tub</p>
      <h2 className="text-2xl">{name}</h2>
      <p className="font-slab text-xl font-semibold">
        {['N', 'P', 'K'].map((n) => guaranteed(percent(n))).join(' – ')}
      </p>
      <p>
        Holds at least, by what its bags say:{' '}
        {stated
          .map(({ nutrient, basis, percent: p }) => `${guaranteed(p.value.low)} % ${symbolIn(nutrient, basis)}`)
          .join(', ')}
        .
      </p>
      <p>Made of {mix.components.map((c) => c.product.name).join(', ')}.</p>
      <p>Printed {printDay(today())}. Mixed on: ____________ For: ______________________</p>
      <p className="font-semibold">Keep dry, closed, and away from children and animals.</p>
      {cautionsOf(mix.components.map((c) => c.product)).map((words) => (
        <p key={words} className="text-sm">
          {words}
        </p>
      ))}
    </section>
  );
}
