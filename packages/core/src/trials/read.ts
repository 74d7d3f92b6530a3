import { formatTrimmed } from '../quantity/index.js';
import { adjustedArms, anova, errorDf, leastDifference, tQuantile, type Anova } from '../statistics/index.js';
import { blocksToReach, leastP, leastPAlone } from './arrangements.js';
import type { TrialOutcome } from './course.js';
import type { TrialLayout, TrialUnit } from './layout.js';
import type { ArmAgainst, Permuted } from './permute.js';

/** What a trial is, as far as it is judged. */
export interface TrialPlan {
  readonly layout: TrialLayout;
  readonly arms: readonly { readonly name: string }[];
  /** The arm that the others are set against. */
  readonly control: number;
  readonly replicates: number;
  readonly plantsPerUnit: number;
}
/** What was said of how it is laid out. */
export interface TrialGround {
  /** What is held equal, of what should be. */
  readonly heldEqual: readonly string[];
  readonly shaded: boolean;
  readonly usedLastYear: boolean;
  /** N that each arm brings, kg/ha; undefined where it is not known. */
  readonly nitrogen: readonly (number | undefined)[];
  /** Whether the question is what the nutrients do. */
  readonly asksNutrients: boolean;
}
export const HELD_EQUAL = ['water', 'soil', 'pot', 'plants', 'start'] as const;
export type HeldEqual = (typeof HELD_EQUAL)[number];
export const HELD_WORDS: Readonly<Record<HeldEqual, string>> = {
  water: 'the same water',
  soil: 'the same soil',
  pot: 'pots or beds of one size',
  plants: 'as many plants in each',
  start: 'plants of one size to begin with',
};
/** Arms whose nitrogen lies further apart than this share of the most are not the same feed. */
const APART = 0.1;

/** What is wrong with a trial before it begins, each with its reason; a hard one cannot be put right afterwards. */
export interface Doubt {
  readonly hard: boolean;
  readonly text: string;
}
export function trialDoubts({ layout, arms, replicates }: TrialPlan, ground: TrialGround): readonly Doubt[] {
  const times = layout === 'latin' ? arms.length : replicates;
  const least = leastP(layout, arms.length, times);
  const alone = leastPAlone(layout, arms.length, times);
  const known = ground.nitrogen.filter((n) => n !== undefined);
  const most = Math.max(0, ...known);
  const apart = known.length > 1 && most > 0 && (most - Math.min(...known)) / most > APART;
  const missing = HELD_EQUAL.filter((h) => !ground.heldEqual.includes(h));
  return [
    ...(times < 2
      ? [
          {
            hard: true,
            text: 'One of each cannot tell what was given from luck: no two plants grow alike. No inference will be possible.',
          },
        ]
      : least > 0.05
        ? [
            {
              hard: true,
              text: `With this layout chance alone explains even the clearest result once in ${formatTrimmed(1 / least, 2)}: 0.05 cannot be reached.${layout === 'blocks' ? ` ${blocksToReach(0.05, arms.length)} blocks can.` : ''}`,
            },
          ]
        : alone > 0.05
          ? [
              {
                hard: false,
                text: `If one treatment alone differs, p can be ${formatTrimmed(alone, 2)} at best; only where all treatments differ clearly can it be ${formatTrimmed(least, 2)}.${layout === 'blocks' ? ` With ${blocksToReach(0.05, arms.length, leastPAlone)} blocks one alone can reach 0.05.` : ''}`,
              },
            ]
          : []),
    ...(missing.includes('pot')
      ? [{ hard: true, text: 'Pots or beds of several sizes differ in water and root room, whatever is given.' }]
      : []),
    ...(missing.includes('plants')
      ? [{ hard: true, text: 'Units with more plants give more, whatever is given.' }]
      : []),
    ...(missing.some((m) => m === 'water' || m === 'soil' || m === 'start')
      ? [
          {
            hard: false,
            text: `Not held equal: ${missing
              .filter((m) => m !== 'pot' && m !== 'plants')
              .map((m) => HELD_WORDS[m])
              .join(', ')}.`,
          },
        ]
      : []),
    ...(ground.shaded
      ? [
          {
            hard: layout === 'random',
            text: 'Shade from one side: let blocks run along it, so that each has the same light.',
          },
        ]
      : []),
    ...(ground.usedLastYear
      ? [
          {
            hard: false,
            text: 'These beds were treated last year, and carry it over: change places, or say so in the reading.',
          },
        ]
      : []),
    ...(apart && !ground.asksNutrients
      ? [
          {
            hard: true,
            text: 'The arms differ in nitrogen: what is seen may be that alone. Make them equal, or ask about nitrogen.',
          },
        ]
      : []),
  ];
}

/** What can be seen with so many of each. @example seeWords('random', 2, 2, 0.12) // 'a difference of about 70 %' */
export function seeWords(layout: TrialLayout, arms: number, replicates: number, cv: number): string {
  const least = leastDifference(cv, replicates, errorDf(layout, arms, replicates));
  if (least === undefined) return 'no difference at all can be told from chance';
  return `only a difference of about ${formatTrimmed(least * 100, 2)} % or more would be seen, four times in five`;
}

/** From where to where a figure lies in 95 of 100 trials like this. */
export interface Between {
  readonly low: number;
  readonly high: number;
}
/** One arm in one measure. */
export interface ArmReading {
  readonly arm: number;
  readonly values: readonly { readonly unit: number; readonly value: number }[];
  /** Adjusted by least squares of arm + layout: what it would be had no unit been lost. NaN where nothing was measured. */
  readonly mean: number;
  /** Whether a time of it was not over when watching stopped: the mean is at least so long. */
  readonly atLeast: boolean;
  /** Of the mean, by the error of the trial; undefined where nothing is left to judge by, or a time was not over. */
  readonly interval: Between | undefined;
  /** What the mean is more than the control's, from the same fit; undefined for the control and where one of both was not measured. */
  readonly against:
    | { readonly difference: number; readonly se: number | undefined; readonly interval: Between | undefined }
    | undefined;
}
export interface OutcomeReading {
  readonly arms: readonly ArmReading[];
  readonly anova: Anova | undefined;
}

/** Arms that were measured, each by its adjusted mean; by its plain mean where no blocks are shared to adjust by. */
function fitted(
  present: readonly (TrialUnit & { readonly value: number })[],
  layout: TrialLayout,
  control: number,
  found: Anova | undefined,
): ReadonlyMap<number, Pick<ArmReading, 'mean' | 'interval' | 'against'>> {
  const read = [...new Set(present.map((u) => u.arm))].sort((a, b) => a - b);
  const against = Math.max(0, read.indexOf(control));
  const adjusted =
    read.length > 0
      ? adjustedArms(
          present.map(({ arm, value, block, row, column }) => ({
            ...{ arm: read.indexOf(arm), value },
            ...(layout === 'blocks' ? { block } : layout === 'latin' ? { row, column } : {}),
          })),
          read.length,
          against,
        )
      : undefined;
  const df = found?.error.df ?? 0;
  const around = (middle: number, variance: number): { se: number | undefined; interval: Between | undefined } => {
    if (!found || df <= 0) return { se: undefined, interval: undefined };
    const se = Math.sqrt(found.error.ms * variance);
    const half = tQuantile(0.975, df) * se;
    return { se, interval: { low: middle - half, high: middle + half } };
  };
  return new Map(
    read.map((arm, i) => {
      const own = adjusted?.[i];
      if (!own) {
        const values = present.filter((u) => u.arm === arm).map((u) => u.value);
        const mean = values.reduce((a, b) => a + b, 0) / values.length;
        return [arm, { mean, interval: undefined, against: undefined }];
      }
      return [
        arm,
        {
          mean: own.mean,
          interval: around(own.mean, own.meanVariance).interval,
          against:
            arm === control || !read.includes(control)
              ? undefined
              : { difference: own.difference, ...around(own.difference, own.differenceVariance) },
        },
      ];
    }),
  );
}

/**
 * What a measure found: every unit's value, the adjusted mean of each arm with its interval, and the analysis of variance of the layout.
 * @param valueOfUnit NaN where a unit was lost or not measured
 * @param notOver units whose time was not over when watching stopped: a mean with one of them is at least so long, without an interval
 * @param least below which the outcome cannot be (`leastOf`): no interval of a mean reaches below, unless a value did
 */
export function readOutcome(
  { layout, arms, control }: Pick<TrialPlan, 'layout' | 'arms' | 'control'>,
  units: readonly TrialUnit[],
  valueOfUnit: (unit: TrialUnit) => number,
  notOver: ReadonlySet<number> = new Set(),
  least?: number,
): OutcomeReading {
  const present = units.flatMap((u) => {
    const value = valueOfUnit(u);
    return Number.isNaN(value) ? [] : [{ ...u, value }];
  });
  const found =
    present.length > 1
      ? anova(
          present.map(({ arm, value, block, row, column }) => ({
            arm,
            value,
            ...(layout === 'blocks' ? { block } : layout === 'latin' ? { row, column } : {}),
          })),
        )
      : undefined;
  const fit = fitted(present, layout, control, found);
  const floor = least !== undefined && present.every((u) => u.value >= least) ? least : -Infinity;
  const isOpen = (arm: number): boolean => present.some((u) => u.arm === arm && notOver.has(u.number));
  return {
    arms: arms.map((_, arm): ArmReading => {
      const own = fit.get(arm);
      const atLeast = isOpen(arm);
      const against = own?.against;
      return {
        arm,
        values: present.filter((u) => u.arm === arm).map((u) => ({ unit: u.number, value: u.value })),
        mean: own?.mean ?? Number.NaN,
        atLeast,
        interval: atLeast || !own?.interval ? undefined : { ...own.interval, low: Math.max(floor, own.interval.low) },
        against: against && (atLeast || isOpen(control)) ? { ...against, se: undefined, interval: undefined } : against,
      };
    }),
    anova: found,
  };
}

/** How sure something is, in words a gardener would say. */
export function sureWords(p: number): string {
  if (p <= 0.01) return 'very likely real';
  if (p <= 0.05) return 'likely real';
  if (p <= 0.2) return 'not clear: it may be chance';
  return 'as likely chance as not';
}
const percent = (share: number): string => `${formatTrimmed(Math.abs(share) * 100, 2)} %`;

/** What one arm did against the control, in a sentence. @param share its difference as a share of the control; undefined where it is no share of anything */
function armSentence(
  name: string,
  { difference, p }: Pick<ArmAgainst, 'difference' | 'p'>,
  share: number | undefined,
  { better }: TrialOutcome,
): string {
  const good = difference === 0 ? 'no different' : difference > 0 === (better === 'more') ? 'better' : 'worse';
  const by = share && difference !== 0 ? ` by ${percent(share)}` : '';
  return `${name} was ${good}${by} than the control: ${sureWords(p)} (p ${formatTrimmed(p, 2)}).`;
}

/** What is wanting where arms or units were not measured. */
function missingWords(plan: TrialPlan, reading: OutcomeReading): readonly string[] {
  const unread = reading.arms.filter((a) => a.values.length === 0);
  if (unread.some((a) => a.arm === plan.control))
    return ['Nothing was measured of the control: there is nothing to compare with.'];
  return unread.map((a) => `Nothing was measured of ${plan.arms[a.arm]?.name ?? ''}.`);
}

/**
 * The answer of a trial in a sentence or two. With one of each there is a difference and no p; an arm without values has neither.
 * @param permuted of this measure alone; undefined where nothing could be judged
 */
export function answerWords(
  plan: TrialPlan,
  measure: TrialOutcome,
  reading: OutcomeReading,
  permuted: Permuted | undefined,
): string {
  const control = reading.arms[plan.control]?.mean ?? Number.NaN;
  const nameOf = (arm: number): string => plan.arms[arm]?.name ?? '';
  const missing = missingWords(plan, reading);
  if (Number.isNaN(control)) return missing.join(' ');
  const tested = permuted?.outcomes[0];
  if (!tested) {
    const differences = reading.arms
      .filter((a) => a.arm !== plan.control && !Number.isNaN(a.mean))
      .map((a) => `${nameOf(a.arm)} ${formatTrimmed(a.mean, 3)} against ${formatTrimmed(control, 3)} ${measure.unit}`);
    return [...(differences.length > 0 ? [`${differences.join('; ')}: no inference possible.`] : []), ...missing].join(
      ' ',
    );
  }
  const least = permuted.least[0] ?? 0;
  const small =
    least > 0.05
      ? ` So few ${plan.layout === 'blocks' ? 'blocks' : 'units'} cannot tell: even the clearest result has a p of ${formatTrimmed(least, 2)}.`
      : '';
  const unknown = reading.arms.some((a) => a.atLeast);
  const open = unknown ? ' Some were not over: by how much is unknown.' : '';
  const isShare = !unknown && measure.kind !== 'score' && control !== 0;
  const sentences = tested.map((a) => {
    const own = reading.arms[a.arm]?.against;
    return isShare && own
      ? armSentence(nameOf(a.arm), { ...a, difference: own.difference }, own.difference / control, measure)
      : armSentence(nameOf(a.arm), a, undefined, measure);
  });
  return [...sentences, ...missing].join(' ') + open + small;
}
