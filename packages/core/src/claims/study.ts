import {
  hedgesG,
  logResponseRatio,
  logRiskRatio,
  sdFromDifference,
  sdFromSe,
  seFromInterval,
  seFromLsd,
  seFromP,
  type Effect,
} from '../statistics/index.js';
import { formatTrimmed } from '../quantity/index.js';

export const STUDY_DESIGNS = ['field', 'pot', 'incubation', 'survey', 'testimonial'] as const;
export type StudyDesign = (typeof STUDY_DESIGNS)[number];
export const DESIGN_WORDS: Readonly<Record<StudyDesign, string>> = {
  field: 'field, replicated',
  pot: 'pots',
  incubation: 'incubation',
  survey: 'survey',
  testimonial: 'somebody’s word',
};
/** What the treated plants are compared with. */
export const STUDY_CONTROLS = ['nothing', 'water', 'sameNutrients', 'none'] as const;
export type StudyControl = (typeof STUDY_CONTROLS)[number];
export const YES_NO_UNKNOWN = ['yes', 'no', 'unknown'] as const;
export type YesNoUnknown = (typeof YES_NO_UNKNOWN)[number];
export const FUNDINGS = ['independent', 'seller', 'unknown'] as const;
export type Funding = (typeof FUNDINGS)[number];
/** How the spread beside a mean is given. */
export const SPREAD_KINDS = ['sd', 'se', 'interval', 'p', 'lsd'] as const;
export type SpreadKind = (typeof SPREAD_KINDS)[number];

/** Means of two arms with how they spread: SD or SE of each; or one interval of the difference, one p, or one LSD for both. */
export interface MeansResult {
  readonly kind: 'means';
  readonly treated: number;
  readonly control: number;
  readonly nTreated: number;
  readonly nControl: number;
  readonly spread: SpreadKind;
  /** Of the treated; of both where the spread is a p or an LSD; the low end where it is an interval of the difference. */
  readonly first: number;
  /** Of the control; the high end of an interval; not read otherwise. */
  readonly second: number;
}
/** How many of each arm had the outcome. */
export interface CountsResult {
  readonly kind: 'counts';
  readonly treatedEvents: number;
  readonly nTreated: number;
  readonly controlEvents: number;
  readonly nControl: number;
}
export type StudyResult = MeansResult | CountsResult | { readonly kind: 'words' };

/** A study as far as it is weighed. */
export interface Study {
  readonly id: string;
  /** Author and year, or what it is called. */
  readonly name: string;
  readonly design: StudyDesign;
  readonly control: StudyControl;
  readonly randomised: YesNoUnknown;
  readonly blinded: YesNoUnknown;
  readonly funding: Funding;
  /** Dose as a multiple of the label rate; undefined where it is not told. */
  readonly doseMultiple: number | undefined;
  /** Whether crop and soil are like those the claim is judged for. */
  readonly likeHere: YesNoUnknown;
  /** Whether what was measured is what the claim promises. */
  readonly sameOutcome: YesNoUnknown;
  readonly result: StudyResult;
  /** The trial it is an arm of; arms of one trial share its control and are not independent. */
  readonly trial?: string | undefined;
  /** Why it is left out; undefined where it counts. */
  readonly leftOut: string | undefined;
  /** Invented for the sample. */
  readonly sample: boolean;
}

/** On which scale studies are compared. */
export const SCALES = ['logRatio', 'g', 'logRisk'] as const;
export type Scale = (typeof SCALES)[number];
export type StudyEffect =
  | {
      readonly kind: 'effect';
      /** With what the control adds to its variance. */
      readonly effect: Effect & { readonly shared: number };
      readonly working: readonly string[];
    }
  | { readonly kind: 'none'; readonly why: string };

const none = (why: string): StudyEffect => ({ kind: 'none', why });
const shown = (n: number): string => formatTrimmed(n, 3);

/** The standard deviations of both arms, with how they were made. */
function deviations(r: MeansResult): { readonly sds: readonly [number, number]; readonly working: readonly string[] } {
  const df = r.nTreated + r.nControl - 2;
  const both = (se: number, words: string): ReturnType<typeof deviations> => {
    const sd = sdFromDifference(se, r.nTreated, r.nControl);
    return {
      sds: [sd, sd],
      working: [
        `${words}: SE of the difference ${shown(se)}`,
        `SD of both arms ${shown(sd)}, taken as the same: SE ÷ √(1/${r.nTreated} + 1/${r.nControl})`,
      ],
    };
  };
  switch (r.spread) {
    case 'sd':
      return { sds: [r.first, r.second], working: [] };
    case 'se': {
      const sds = [sdFromSe(r.first, r.nTreated), sdFromSe(r.second, r.nControl)] as const;
      return { sds, working: [`SD = SE × √n: ${shown(sds[0])} and ${shown(sds[1])}`] };
    }
    case 'interval':
      return both(seFromInterval(r.first, r.second, df), `95 % interval of the difference ÷ 2 ÷ t(${df})`);
    case 'p':
      return both(
        seFromP(r.treated - r.control, r.first, df),
        `p of ${shown(r.first)} is a t at ${df} degrees of freedom; where the paper says only “below”, this SE is the largest it can be`,
      );
    case 'lsd':
      return both(seFromLsd(r.first, df), `LSD ÷ t(${df})`);
  }
}

/**
 * The effect of a study on a scale, with how its spread was worked out.
 * @returns why there is none: words only, too few units, a mean that allows no ratio
 * @example studyEffect(study, 'logRatio')
 */
export function studyEffect({ result }: Pick<Study, 'result'>, scale: Scale): StudyEffect {
  if (result.kind === 'words') return none('no numbers are given');
  if (result.nTreated < 2 || result.nControl < 2) return none('fewer than two units an arm tell no spread');
  try {
    if (result.kind === 'counts') {
      if (scale !== 'logRisk') return none('it gives counts, and the others give means');
      const treated = { events: result.treatedEvents, n: result.nTreated };
      const control = { events: result.controlEvents, n: result.nControl };
      const effect = logRiskRatio(treated, control);
      const shared = control.events > 0 ? 1 / control.events - 1 / control.n : effect.variance / 2;
      return { kind: 'effect', effect: { ...effect, shared }, working: [] };
    }
    if (scale === 'logRisk') return none('it gives means, and the others give counts');
    const { sds, working } = deviations(result);
    const arms = [
      { mean: result.treated, sd: sds[0], n: result.nTreated },
      { mean: result.control, sd: sds[1], n: result.nControl },
    ] as const;
    const effect = scale === 'logRatio' ? logResponseRatio(...arms) : hedgesG(...arms);
    const [, { mean, sd, n }] = arms;
    const shared = scale === 'logRatio' ? sd ** 2 / (n * mean ** 2) : 1 / n;
    return effect.variance > 0
      ? { kind: 'effect', effect: { ...effect, shared }, working }
      : none('no spread is given');
  } catch (e) {
    if (e instanceof RangeError) return none(e.message);
    throw e;
  }
}

/** The scale on which the most studies have an effect, a ratio before a difference in deviations. */
export function scaleFor(studies: readonly Pick<Study, 'result'>[]): Scale {
  const counts = SCALES.map((scale) => ({
    scale,
    n: studies.filter((s) => studyEffect(s, scale).kind === 'effect').length,
  }));
  const most = Math.max(...counts.map((c) => c.n));
  return counts.find((c) => c.n === most)?.scale ?? 'logRatio';
}
