import { bag, featherMeal, line, wheatStrip } from '../../test/bags.js';
import { MEDIA } from '../ground/index.js';
import { classCourses, CLASS_MEALS, inEachMedium } from './comparisons.js';

const site = { ...wheatStrip, medium: 'mineralSoil' } as const;
const at = { daysOnSurface: 0 };

test('the same meal gives more in its first fortnight in a potting mix than in a bed, and less in an inert medium', () => {
  const courses = inEachMedium(featherMeal, site, at)!;
  expect(courses.map((c) => c.key)).toEqual([...MEDIA]);
  const week2 = Object.fromEntries(courses.map((c) => [c.key, c.weeks[2]!]));
  expect(week2.organicPotting! / week2.mineralSoil!).toBeGreaterThan(2);
  expect(week2.organicPotting! / week2.mineralSoil!).toBeLessThan(6);
  expect(week2.inertPotting!).toBeLessThan(week2.mineralSoil!);
  expect(inEachMedium(bag({ analysis: [line('K', 40)] }), site, at)).toBeUndefined();
});

test('classes at equal nitrogen: every meal that stands for one is followed, and an alfalfa meal gives less than a feather meal', () => {
  const courses = classCourses(site, at);
  expect(courses.map((c) => c.key)).toEqual(
    [...CLASS_MEALS.animal, ...CLASS_MEALS.plant].map(([material]) => material),
  );
  const last = (name: string): number => courses.find((c) => c.key === name)!.weeks.at(-1)!;
  expect(last('feather meal')).toBeGreaterThan(last('alfalfa meal'));
  expect(courses.every((c) => c.weeks.length === 27 && c.weeks[0]! >= 0)).toBe(true);
});
