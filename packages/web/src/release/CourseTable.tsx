import { formatFixed, nitrogenBalance, RELEASE_DAYS, type Band } from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { styleOf } from './ReleaseChart';
import type { Course } from './series';
import type { Bands } from './useReleases';

const SHOWN_WEEKS = [4, 8, 13, 26] as const;
const percent = (share: number | undefined): string => (share === undefined ? '–' : `${formatFixed(share * 100, 0)} %`);

/** Eight in ten draws fall between these at week 26; nothing when they do not differ. */
function BandWords({ band }: { band: Band | undefined }) {
  const [low, high] = [percent(band?.low.at(-1)), percent(band?.high.at(-1))];
  return band && low !== high ? (
    <div className="text-[0.8125rem] text-faint">
      {low.replace(' %', '')} to {high}
    </div>
  ) : null;
}

/** Where each bag’s nitrogen is, week by week. */
export function CourseTable({
  courses,
  bands,
  numberOf,
  watered,
}: {
  courses: readonly Course[];
  bands: Bands;
  numberOf: (id: string) => number;
  watered: boolean;
}) {
  return (
    <div className="overflow-x-auto">
      <table className="ledger text-[0.9375rem] [&_td]:px-1.5 [&_th]:px-1.5" data-testid="release-table">
        <caption className="pb-1 text-left text-sm text-faint">
          Share of the bag’s nitrogen that the crop has taken or can take by the end of each week, and where the rest is
          at week 26
        </caption>
        <thead>
          <tr>
            <th scope="col">Bag</th>
            {SHOWN_WEEKS.map((w) => (
              <th key={w} scope="col" className="num whitespace-nowrap">
                week {w}
              </th>
            ))}
            <th scope="col" className="num">
              not yet released
            </th>
            <th scope="col" className="num">
              in microbes and humus
            </th>
            <th scope="col" className="num">
              lost as gas
            </th>
            {watered && (
              <th scope="col" className="num">
                drained below 30 cm
              </th>
            )}
            <th scope="col" className="num">
              sum
            </th>
          </tr>
        </thead>
        <tbody>
          {courses.map(({ product, run, available }) => {
            const end = RELEASE_DAYS;
            const number = numberOf(product.id);
            return (
              <tr key={product.id}>
                <th scope="row" className="min-w-40">
                  <svg width="26" height="8" aria-hidden="true" className="mr-1.5 inline">
                    <path
                      d="M0 4H26"
                      stroke={styleOf(number - 1).ink}
                      strokeWidth="2.5"
                      strokeDasharray={styleOf(number - 1).dash}
                    />
                  </svg>
                  {number} {product.name}
                </th>
                {SHOWN_WEEKS.map((w) => (
                  <td key={w} className={`num ${(run.available[w * 7] ?? 0) < 0 ? 'text-beet' : ''}`}>
                    {w === 26 ? (
                      <>
                        <FigureButton figure={available}>{percent(run.available[end])}</FigureButton>
                        <BandWords band={bands[product.id]} />
                      </>
                    ) : (
                      percent(run.available[w * 7])
                    )}
                  </td>
                ))}
                <td className="num">
                  {percent((run.urea[end] ?? 0) + (run.coated[end] ?? 0) + (run.undecomposed[end] ?? 0))}
                </td>
                <td className="num">{percent((run.microbial[end] ?? 0) + (run.humus[end] ?? 0))}</td>
                <td className="num">{percent((run.volatilised[end] ?? 0) + (run.denitrified[end] ?? 0))}</td>
                {watered && <td className="num">{percent(run.leached[end])}</td>}
                <td className="num">{percent(nitrogenBalance(run, end))}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
