import {
  analyteName,
  cropFacts,
  cropRemoval,
  cropUptake,
  formatGiven,
  type Crop,
  type Nutrient,
} from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { Swatch } from '../ui/patterns';

const MAJORS: readonly Nutrient[] = ['N', 'P', 'K', 'Ca', 'Mg', 'S'];
const NOT_KNOWN = 'not known';

/** What is known of a crop, and what is not. */
export function CropFacts({ crop }: { crop: Crop }) {
  return (
    <section data-testid="crop-facts">
      <h2 className="mb-2 text-xl">What is known of {crop.name.toLowerCase()}</h2>
      <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[1.1fr_1fr]">
        <table className="ledger">
          <caption className="sr-only">What a season takes up and what the harvest takes away</caption>
          <thead>
            <tr>
              <th scope="col">Element</th>
              <th scope="col" className="num">
                Taken up, kg/ha
              </th>
              <th scope="col" className="num">
                Harvested, kg/ha
              </th>
            </tr>
          </thead>
          <tbody>
            {MAJORS.map((n) => {
              const [uptake, removal] = [cropUptake(crop, n), cropRemoval(crop, n)];
              return (
                <tr key={n}>
                  <th scope="row">
                    <span className="flex items-center gap-2">
                      <Swatch nutrient={n} /> {analyteName(n)}
                    </span>
                  </th>
                  {[uptake, removal].map((found, i) => (
                    <td key={i} className="num">
                      {found.kind === 'figure' ? (
                        <FigureButton figure={found.figure} />
                      ) : (
                        <span className="text-[0.8125rem] text-faint">{NOT_KNOWN}</span>
                      )}
                    </td>
                  ))}
                </tr>
              );
            })}
          </tbody>
        </table>
        <dl className="grid grid-cols-[auto_1fr] content-start gap-x-4 gap-y-0.5 text-[0.9375rem]">
          {cropFacts(crop).map(({ name, words }) => (
            <div key={name} className="contents">
              <dt className="text-faint">{name}</dt>
              <dd className={words === undefined ? 'text-faint' : ''}>{words ?? NOT_KNOWN}</dd>
            </div>
          ))}
        </dl>
      </div>
      {crop.tissue.length > 0 && (
        <p className="mt-2 text-[0.9375rem] text-faint">
          A well-fed {crop.tissue[0]?.part || 'leaf'}, {crop.tissue[0]?.when}:{' '}
          {crop.tissue
            .map((b) => `${b.nutrient} ${formatGiven(b.lowPercent)}–${formatGiven(b.highPercent)} %`)
            .join(', ')}{' '}
          of dry matter.
        </p>
      )}
      <p className="mt-2 text-sm text-faint">
        Class averages with their ranges, until you enter your own under{' '}
        <span className="whitespace-nowrap">Crops.</span>
      </p>
    </section>
  );
}
