import { memo } from 'react';
import type { PlotRecord } from '@wheat-ledger/contract';
import { loggedDays, type SiteInSeason } from '@wheat-ledger/core';
import { missingOf, usePlotKnown } from '../app/plotKnown';
import { RestsOn } from '../ui/RestsOn';
import { assumptionsOf } from '../ui/Assumptions';
import type { Course } from './series';

interface ReleaseRestsProps {
  readonly plot: PlotRecord;
  readonly site: SiteInSeason;
  readonly courses: readonly Course[];
}

/** What the courses rest on. Apart from the view, which need not be drawn again when a soil report arrives. */
export const ReleaseRests = memo(function ReleaseRests({ plot, site, courses }: ReleaseRestsProps) {
  const known = usePlotKnown(plot);
  const measured = loggedDays(site.logged ?? [], 'soilC');
  return (
    <RestsOn
      assumed={[
        `${assumptionsOf(courses)} assumptions, each with its range; they are listed below the table.`,
        measured > 0
          ? `The soil’s warmth on ${measured} days of the year is measured, on the others it is the usual year.`
          : 'The soil’s warmth is that of a usual year.',
      ]}
      missing={missingOf(plot, known)}
    />
  );
});
