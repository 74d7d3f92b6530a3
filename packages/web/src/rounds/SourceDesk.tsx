import { useMemo, useState } from 'react';
import {
  actingOf,
  analyteName,
  costPerUnit,
  formatGiven,
  formatTrimmedRange,
  limingFigure,
  sourceRemarks,
  sourcesOf,
} from '@wheat-ledger/core';
import { useCounted } from '../app/counted';
import { usePlotCrop } from '../app/seasons';
import { useSoilPH } from '../app/soil';
import { useShelf } from '../app/workspace';
import { FigureButton } from '../ui/FigureButton';
import { Loading } from '../ui/Sheet';
import { Choice, Desk } from './desk';

const ASKED = ['N', 'Ca', 'S', 'K', 'P', 'Mg'] as const;

/** Bags that bring an element side by side: what a kg costs, what it does to pH, how fast it acts, and what speaks for it on this soil. */
export function SourceDesk() {
  const { shelf, isLoading } = useShelf();
  const { plot, crop } = usePlotCrop();
  const [nutrient, setNutrient] = useState<(typeof ASKED)[number]>('N');
  const products = useCounted(useMemo(() => shelf.map((s) => s.product), [shelf]));
  const sources = useMemo(() => sourcesOf(products, nutrient), [products, nutrient]);
  const pH = useSoilPH(plot);
  return (
    <Desk title="Which source for this soil?">
      <div className="flex flex-wrap items-end gap-3">
        <Choice
          label="Of"
          value={nutrient}
          onChoose={setNutrient}
          className="w-40"
          options={ASKED.map((n) => [n, analyteName(n)] as const)}
        />
        <p className="pb-1.5 text-faint">
          {pH === undefined ? 'The pH of this soil is not known' : `The soil has a pH of ${formatGiven(pH)}`}
          {crop?.pH ? `, ${crop.name.toLowerCase()} likes ${crop.pH.low} to ${crop.pH.high}` : ''}.
        </p>
      </div>
      {isLoading ? (
        <Loading what="the shelf" />
      ) : sources.length === 0 ? (
        <p className="mt-2 text-faint">No bag on the shelf brings {analyteName(nutrient)}.</p>
      ) : (
        <div className="relative mt-2 overflow-x-auto">
          <table className="ledger" data-testid="sources">
            <thead>
              <tr>
                <th scope="col">Bag</th>
                <th scope="col" className="num">
                  a kg of it
                </th>
                <th scope="col" className="num">
                  lime in 100 kg
                </th>
                <th scope="col">acts, lasts</th>
                <th scope="col">here</th>
              </tr>
            </thead>
            <tbody>
              {sources.map((product) => {
                const cost = costPerUnit(product, { nutrient, basis: 'element', perUnit: 'kg' });
                const liming = limingFigure(product);
                const acting = actingOf(product);
                return (
                  <tr key={product.id}>
                    <th scope="row">{product.name}</th>
                    <td className="num whitespace-nowrap">
                      {cost.kind === 'cost' ? (
                        <>
                          <FigureButton figure={cost.figure} /> {cost.currency}
                        </>
                      ) : (
                        <span className="text-faint">not known</span>
                      )}
                    </td>
                    <td className="num whitespace-nowrap">
                      {liming ? (
                        <FigureButton figure={liming}>{formatTrimmedRange(liming.value, 2)} kg</FigureButton>
                      ) : (
                        <span className="text-faint">not known</span>
                      )}
                    </td>
                    <td className="text-[0.9375rem]">
                      {acting ? `${acting.acts}; ${acting.lasts}` : <span className="text-faint">not known</span>}
                    </td>
                    <td className="text-[0.9375rem]">
                      {(crop ? sourceRemarks(product, crop, pH) : []).map((r) => (
                        <span key={r.text} className={`block ${r.good ? '' : 'text-beet'}`}>
                          {r.text}
                        </span>
                      ))}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
      <p className="mt-1 text-sm text-faint">
        Lime in 100 kg: kg of CaCO₃ it is worth; below zero it acidifies. The pH is that of the newest soil report, else
        of the plot.
      </p>
    </Desk>
  );
}
