import { constant, product as times, type Figure } from '../figure/index.js';
import { analyteName, type Analyte } from '../nutrient/index.js';
import type { Applied } from '../season/index.js';
import { broughtKg, overPlot, standing, type LogEntry } from './went.js';

/** A limit that the user entered from local code, with what was done and what is planned against it, kg/ha of the plot. */
export interface LimitUse {
  readonly analyte: Analyte;
  readonly limitKgPerHa: number;
  readonly done: Figure | undefined;
  /** What is done and planned together. */
  readonly withPlan: Figure | undefined;
  /** Whether the high end passes the limit: by what is done, or once what is planned is done too. */
  readonly over: 'done' | 'planned' | 'no';
}
/** One planned dose: what it brings to a hectare of the ground it goes on, and how much ground that is. */
export type PlannedDose = Extract<Applied, { kind: 'applied' }>;

/** What one planned dose brings to the plot, kg. */
function plannedKg({ brings, area }: PlannedDose, analyte: Analyte): readonly Figure[] {
  const found = brings.find((b) => b.analyte === analyte);
  const hectare = constant('ha per m²', 1e-4, 'ha/m²', 'by definition');
  return found ? [times(`${analyteName(analyte)} planned`, 'kg', [found.figure, area, hectare])] : [];
}
/**
 * Yearly nutrient totals against limits, kg/ha of the plot: what the log says of the year, and what is still planned in it.
 * @param planned doses of the year that are not done yet
 * @example againstLimits(entries, [], 900, [{ analyte: 'N', kgPerHa: 170 }])[0].over // 'no'
 */
export function againstLimits(
  entries: readonly LogEntry[],
  planned: readonly PlannedDose[],
  areaM2: number,
  limits: readonly { readonly analyte: Analyte; readonly kgPerHa: number }[],
): readonly LimitUse[] {
  const standingEntries = standing(entries);
  return limits.map(({ analyte, kgPerHa }) => {
    const name = analyteName(analyte);
    const went = standingEntries.flatMap((e) => broughtKg(e, analyte));
    const done = overPlot(`${name} in the year`, went, areaM2);
    const all = [...went, ...planned.flatMap((dose) => plannedKg(dose, analyte))];
    const withPlan = overPlot(`${name} in the year, with what is planned`, all, areaM2);
    const passes = (figure: Figure | undefined): boolean => (figure?.value.high ?? 0) > kgPerHa;
    const over = passes(done) ? 'done' : passes(withPlan) ? 'planned' : 'no';
    return { analyte, limitKgPerHa: kgPerHa, done, withPlan, over };
  });
}
