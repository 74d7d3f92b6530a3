import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import {
  CHECK_COSTS,
  pHAvailability,
  SIGN_PLACE_NAMES,
  SIGN_PLACES,
  SIGNS,
  sortCauses,
  type Nutrient,
} from '@wheat-ledger/core';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Remark, Sheet } from '../ui/Sheet';
import { useSite } from '../app/seasons';
import { useSoilPH } from '../app/soil';

/** Where the chosen plot's pH keeps a nutrient from roots, that is mended before it is fed. */
function AtThisPH({ nutrient }: { nutrient: Nutrient }) {
  const { plot, site } = useSite();
  const pH = useSoilPH(plot);
  const held =
    site && pH !== undefined
      ? pHAvailability(pH, site).find((a) => a.nutrient === nutrient && a.effect === 'harder')
      : undefined;
  return held ? (
    <p className="mt-0.5 text-slate">
      At your pH {pH} {held.words}: put that right first.
    </p>
  ) : null;
}

/** From what is seen to what may be behind it, the cheapest check first, before anything is fed. */
export function CausesView() {
  const [seen, setSeen] = useState<readonly string[]>([]);
  const causes = useMemo(() => sortCauses(seen), [seen]);
  const toggle = (key: string): void => setSeen(seen.includes(key) ? seen.filter((s) => s !== key) : [...seen, key]);
  return (
    <Sheet
      title="What is wrong?"
      question="Mostly water, warmth, pH or damage. Tick what you see."
      actions={
        <Link to="/ground" className="action">
          Back to the ground
        </Link>
      }
    >
      <div className="grid gap-x-6 gap-y-4 sm:grid-cols-2">
        {SIGN_PLACES.map((place) => (
          <fieldset key={place}>
            <legend className="mb-1 font-slab font-semibold">{SIGN_PLACE_NAMES[place]}</legend>
            {SIGNS.filter((s) => s.place === place).map((s) => (
              <label key={s.key} className="flex cursor-pointer items-center gap-2 py-0.5">
                <input
                  type="checkbox"
                  className="size-4 accent-wheat"
                  checked={seen.includes(s.key)}
                  onChange={() => toggle(s.key)}
                />
                {s.name}
              </label>
            ))}
          </fieldset>
        ))}
      </div>
      {causes.length === 0 ? (
        <Empty>Tick what you see, where it shows first.</Empty>
      ) : (
        <div className="mt-6 overflow-x-auto" aria-live="polite">
          <table className="ledger" data-testid="causes">
            <caption className="pb-1 text-left text-sm text-faint">
              What may be behind it, in the order worth checking
            </caption>
            <thead>
              <tr>
                <th scope="col">It may be</th>
                <th scope="col">check</th>
                <th scope="col">which costs</th>
                <th scope="col">then first</th>
                {seen.length > 1 && (
                  <th scope="col" className="num">
                    explains
                  </th>
                )}
              </tr>
            </thead>
            <tbody>
              {causes.map(({ cause, explains }) => (
                <tr key={cause.name} className={cause.kind === 'shortage' ? 'text-faint' : ''}>
                  <th scope="row">{cause.name}</th>
                  <td>{cause.check}</td>
                  <td className="whitespace-nowrap">{CHECK_COSTS[cause.cost]}</td>
                  <td>
                    {cause.first}
                    {cause.nutrient && <AtThisPH nutrient={cause.nutrient} />}
                  </td>
                  {seen.length > 1 && (
                    <td className="num">
                      {explains} of {seen.length}
                    </td>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <MarginNotes>
        <MarginNote title="Old leaves, new leaves">
          <p>
            A plant can move nitrogen, phosphorus, potassium and magnesium out of old leaves, so their shortage shows
            there. Calcium, sulfur, iron, manganese, boron, zinc and copper stay where they are: their shortage shows on
            new growth.
          </p>
        </MarginNote>
        <MarginNote title="Doing nothing">
          <p>
            Doing nothing is a choice too, and often the best: harm from cold or age grows out by itself and costs
            nothing.
          </p>
          <Remark tone="caution">
            A leaf’s look alone proves no shortage. Test before you treat; ask a local adviser where much depends on it.
          </Remark>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
