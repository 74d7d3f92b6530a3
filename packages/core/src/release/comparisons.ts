import { MEDIA, MEDIUM_NAMES, type Medium } from '../ground/index.js';
import { libraryEntry, typicalProduct, type Product } from '../shelf/index.js';
import type { SiteInSeason } from '../season/index.js';
import { productRelease, siteDays, weekly, type Placement } from './productRelease.js';

/** One line of a comparison: the share of the nitrogen applied that can have been had, week by week. */
export interface ComparedCourse {
  readonly key: string;
  readonly name: string;
  readonly weeks: readonly number[];
}

/**
 * One bag in each medium, at the plot's own warmth; the plot's rain counts in the ground alone.
 * @returns undefined where the bag cannot be followed
 */
export function inEachMedium(
  product: Product,
  site: SiteInSeason,
  placement: Placement,
): readonly ComparedCourse[] | undefined {
  const courses = MEDIA.flatMap((medium: Medium): ComparedCourse[] => {
    const ownFigures = site.ownFigures?.filter((f) => medium === site.medium || f.key !== 'biology');
    const there = { ...site, medium, ownFigures };
    const release = productRelease(product, there, placement, siteDays(there));
    return release.kind === 'release'
      ? [{ key: medium, name: MEDIUM_NAMES[medium], weeks: weekly(release.run.available) }]
      : [];
  });
  return courses.length === MEDIA.length ? courses : undefined;
}

/** A material that stands for each class, with what the class is called: materials of one class have one average. */
export const CLASS_MEALS = {
  animal: [
    ['feather meal', 'feather, blood or fish meal'],
    ['wool', 'wool or hair pellets'],
    ['poultry manure', 'poultry manure'],
  ],
  plant: [
    ['soybean meal', 'soybean, cottonseed or rape meal'],
    ['alfalfa meal', 'alfalfa meal'],
    ['rolled grain', 'rolled grain'],
  ],
} as const;
export type ClassSide = keyof typeof CLASS_MEALS;

/** Class averages side by side at equal nitrogen: what is typical of each material, given to the same ground. */
export function classCourses(
  site: SiteInSeason,
  placement: Placement,
): readonly (ComparedCourse & { readonly side: ClassSide })[] {
  const days = siteDays(site);
  return (Object.keys(CLASS_MEALS) as ClassSide[]).flatMap((side) =>
    CLASS_MEALS[side].flatMap(([material, name]) => {
      const entry = libraryEntry(material);
      const release = entry && productRelease(typicalProduct(entry), site, placement, days);
      return release?.kind === 'release' ? [{ key: material, name, side, weeks: weekly(release.run.available) }] : [];
    }),
  );
}
