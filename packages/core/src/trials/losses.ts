import { formatTrimmed } from '../quantity/index.js';
import type { TrialUnit } from './layout.js';
import type { Permuted } from './permute.js';
import { sureWords, type TrialPlan } from './read.js';

/** How many units of an arm were lost. */
export interface ArmLosses {
  readonly arm: number;
  readonly lost: number;
  readonly of: number;
}
/** Losses of each arm. @param lost numbers of units */
export const lossesOf = (arms: number, units: readonly TrialUnit[], lost: ReadonlySet<number>): readonly ArmLosses[] =>
  Array.from({ length: arms }, (_, arm) => {
    const own = units.filter((u) => u.arm === arm);
    return { arm, lost: own.filter((u) => lost.has(u.number)).length, of: own.length };
  });

/**
 * What losses mean for the reading: they may come from the treatment. Survival is an outcome of its own; where arms lost unlike numbers the means speak of
 * survivors only.
 * @param survival the test of units that survived (1) and did not (0); undefined with one of each
 * @returns sentences; none where nothing was lost
 * @example lossWords(plan, losses, permuted)[0] // 'Lost: Ferment 3 of 6, Water 0 of 6.'
 */
export function lossWords(
  plan: TrialPlan,
  losses: readonly ArmLosses[],
  survival: Permuted | undefined,
): readonly string[] {
  if (losses.every((l) => l.lost === 0)) return [];
  const nameOf = (arm: number): string => plan.arms[arm]?.name ?? '';
  const counts = losses.map((l) => `${nameOf(l.arm)} ${l.lost} of ${l.of}`).join(', ');
  const control = losses.find((l) => l.arm === plan.control);
  const shareOf = (l: ArmLosses): number => l.lost / l.of;
  const unequal = control !== undefined && losses.some((l) => l.of > 0 && shareOf(l) !== shareOf(control));
  const tested = survival?.outcomes[0]?.flatMap((a) => {
    const own = losses.find((l) => l.arm === a.arm);
    if (!own || !control || shareOf(own) === shareOf(control)) return [];
    const way = shareOf(own) > shareOf(control) ? 'more' : 'fewer';
    return [`${nameOf(a.arm)} lost ${way} than the control: ${sureWords(a.p)} (p ${formatTrimmed(a.p, 2)}).`];
  });
  return [
    `Lost: ${counts}.`,
    ...(tested ?? []),
    ...(unequal ? ['The means speak of survivors only: losses may come from the treatment.'] : []),
  ];
}
