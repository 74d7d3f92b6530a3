import { memo, useMemo } from 'react';
import { courseFigure, courseSum, formatFixed, type Band, type Figure, type NitrogenPlace } from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { styleOf } from '../ui/lineStyles';
import type { Course } from './series';
import type { Bands } from '../app/useReleases';

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

const END = 26;
const PLACES: readonly NitrogenPlace[] = ['notReleased', 'inSoil', 'gas'];

/** One bag's row: every number of it opens. */
const CourseRow = memo(function CourseRow({
  course,
  band,
  number,
  watered,
}: {
  course: Course;
  band: Band | undefined;
  number: number;
  watered: boolean;
}) {
  const figures = useMemo(() => {
    const places = watered ? [...PLACES, 'drained' as const] : PLACES;
    return {
      weeks: SHOWN_WEEKS.map((w) => courseFigure(course, 'available', w)),
      ends: [...places.map((place) => courseFigure(course, place, END)), courseSum(course, END)],
    };
  }, [course, watered]);
  const { dash, ink } = styleOf(number - 1);
  const shown = (figure: Figure) => <FigureButton figure={figure}>{percent(figure.value.mid / 100)}</FigureButton>;
  return (
    <tr>
      <th scope="row" className="min-w-40">
        <svg width="26" height="8" aria-hidden="true" className="mr-1.5 inline">
          <path d="M0 4H26" stroke={ink} strokeWidth="2.5" strokeDasharray={dash} />
        </svg>
        {number} {course.product.name}
      </th>
      {figures.weeks.map((figure, i) => (
        <td key={i} className={`num ${figure.value.mid < 0 ? 'text-beet' : ''}`}>
          {shown(figure)}
          {SHOWN_WEEKS[i] === END && <BandWords band={band} />}
        </td>
      ))}
      {figures.ends.map((figure, i) => (
        <td key={i} className="num">
          {shown(figure)}
        </td>
      ))}
    </tr>
  );
});

/** Where each bag’s nitrogen is, week by week. */
export const CourseTable = memo(function CourseTable({
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
          {courses.map((course) => (
            <CourseRow
              key={course.product.id}
              course={course}
              band={bands[course.product.id]}
              number={numberOf(course.product.id)}
              watered={watered}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
});
