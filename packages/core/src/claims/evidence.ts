import { formatFixed } from '../quantity/index.js';
import { zQuantile, type Effect, type Interval, type Pooled } from '../statistics/index.js';
import type { Answer } from './checks.js';
import { scaleFor, studyEffect, type Scale, type Study } from './study.js';
import { together, type Looks, type Together, type PooledUnit } from './together.js';

/** How sure a verdict is. */
export const SURENESS = ['very low', 'low', 'moderate', 'high'] as const;
export type Sureness = (typeof SURENESS)[number];

/** A search that was made for studies, whatever it found. */
export interface Search {
  readonly where: string;
  /** ISO date. */
  readonly on: string;
  readonly words: string;
  readonly found: string;
}

/** A study with its effect, or why it has none. */
export interface Weighed {
  readonly study: Study;
  readonly effect: Effect | undefined;
  /** 95 % by the normal distribution, as it is drawn beside it. */
  readonly interval: Interval | undefined;
  readonly why: string | undefined;
  readonly working: readonly string[];
}
/** What the studies of a claim say together. */
export interface Evidence {
  readonly scale: Scale;
  readonly studies: readonly Weighed[];
  /** What is pooled: each a study, or the arms of one trial put together. */
  readonly units: readonly PooledUnit[];
  /** The pool of two units or more; undefined otherwise. */
  readonly pooled: Pooled | undefined;
  readonly looks: Looks;
  readonly answer: Answer;
  readonly text: string;
  readonly sure: Sureness;
  /** Each reason for which it is less sure than it could be. */
  readonly reasons: readonly string[];
}

/** What a claim promises and against what that is held. */
export interface Promised {
  /** Gain that is promised, as a share; undefined where no figure is given. */
  readonly gain: number | undefined;
  /** Whether less is better: of a disorder, a pest, a loss. */
  readonly less: boolean;
}
/** A gain below this share is none for a grower. */
export const SMALL_GAIN = 0.03;

/** An effect in the words of its scale. @example effectWords(0.0953, 'logRatio') // '+10 %' */
export function effectWords(effect: number, scale: Scale): string {
  if (scale === 'g') return `${formatFixed(effect, 2)} standard deviations`;
  const percent = (Math.exp(effect) - 1) * 100;
  return `${percent >= 0 ? '+' : '−'}${formatFixed(Math.abs(percent), 0)} %`;
}

/** What holds a study's word down, each a step. */
const DOWN: readonly (readonly [reason: string, is: (study: Study) => boolean])[] = [
  ['no control', (s) => s.control === 'none'],
  ['not replicated in a field', (s) => s.design !== 'field'],
  ['not known to be allotted at random', (s) => s.randomised !== 'yes'],
  [
    'another dose than on the label',
    (s) => s.doseMultiple === undefined || s.doseMultiple > 1.5 || s.doseMultiple < 0.67,
  ],
  ['another crop or soil than here', (s) => s.likeHere !== 'yes'],
  ['the seller’s own data', (s) => s.funding === 'seller'],
  ['it measured something else than is promised', (s) => s.sameOutcome !== 'yes'],
];
const FEW = 3;
const MUCH_HETEROGENEITY = 0.75;

/** The reasons that hold for most of the studies, and those of the pool itself. */
function reasonsFor(studies: readonly Study[], interval: Interval, { units, pooled }: Together): readonly string[] {
  const half = studies.length / 2;
  return [
    ...DOWN.flatMap(([reason, is]) => (studies.filter(is).length > half ? [reason] : [])),
    ...(units.length === 1 ? ['a single study'] : units.length < FEW ? ['two studies only'] : []),
    ...(interval.low < 0 && interval.high > Math.log(1 + 0.1) ? ['the interval is wide: from none to much'] : []),
    ...(pooled && pooled.i2 > MUCH_HETEROGENEITY ? ['the studies disagree among themselves'] : []),
  ];
}
/** Two reasons are a step. */
const REASONS_A_STEP = 2;
const sureAfter = (reasons: readonly string[]): Sureness =>
  SURENESS[Math.max(0, SURENESS.length - 1 - Math.ceil(reasons.length / REASONS_A_STEP))] ?? 'very low';

/** A promised gain as a log ratio, above zero being better: of a loss, what is spared of it. */
function promisedLog(gain: number, less: boolean): number {
  return less ? -Math.log(1 - Math.min(gain, ALL)) : Math.log(1 + gain);
}
/** Nobody can spare more than all of a loss; its logarithm has to exist. */
const ALL = 0.999;
/** What an interval says of a promise, above zero being better. */
function answerFor({ low, high }: Interval, promised: number): Answer {
  if (high < promised) return 'against';
  return low > 0 ? 'supports' : 'cannotTell';
}

const ANSWERED: Readonly<Partial<Record<Answer, string>>> = {
  supports: 'It is there.',
  against: 'What is promised is not.',
  cannotTell: 'That settles nothing yet.',
};

/**
 * What the studies of a claim say together. Those that are left out are told and do not count; one study is never pooled; studies in words are context.
 * @param searches that were made: searched and found nothing is not the same as shown not to work
 * @example evidenceOf(studies, [], { gain: 0.2, less: false }).answer // 'supports'
 */
export function evidenceOf(studies: readonly Study[], searches: readonly Search[], promise: Promised): Evidence {
  const candidates = studies.filter((s) => s.leftOut === undefined);
  const scale = scaleFor(candidates);
  const z = zQuantile(0.975);
  const found = studies.map((study) => ({ study, found: studyEffect(study, scale) }));
  const weighed = found.map(({ study, found }): Weighed => {
    if (found.kind === 'none') return { study, effect: undefined, interval: undefined, why: found.why, working: [] };
    const { effect, variance } = found.effect;
    const half = z * Math.sqrt(variance);
    const interval = { low: effect - half, high: effect + half };
    return { study, effect: { effect, variance }, interval, why: study.leftOut, working: found.working };
  });
  const all = together(
    found.flatMap(({ study, found }) =>
      found.kind === 'effect' && study.leftOut === undefined ? [{ study, effect: found.effect }] : [],
    ),
  );
  const { units, pooled, looks } = all;
  const shared = { scale, studies: weighed, units, pooled, looks };
  const [first] = units;
  if (!first) return { ...shared, ...nothing(searches, weighed) };
  const half = z * Math.sqrt(first.effect.variance);
  const interval = pooled?.interval ?? { low: first.effect.effect - half, high: first.effect.effect + half };
  const effect = pooled?.effect ?? first.effect.effect;
  const better = promise.less ? { low: -interval.high, high: -interval.low } : interval;
  // A difference in deviations has no per cent: only whether it is there can be said.
  const gain = (scale === 'g' ? undefined : promise.gain) ?? SMALL_GAIN;
  const answer = answerFor(better, promisedLog(gain, promise.less));
  const counted = units.flatMap((u) => u.studies);
  const reasons = reasonsFor(counted, better, all);
  const range = `${effectWords(interval.low, scale)} to ${effectWords(interval.high, scale)}`;
  const one = `${first.name} alone found ${effectWords(effect, scale)} (95 %: ${range}). One study is not pooled.`;
  const several = `${units.length} studies together found ${effectWords(effect, scale)} (95 %: ${range}).`;
  return {
    ...shared,
    answer,
    text: `${pooled ? several : one} ${ANSWERED[answer] ?? ''}`,
    sure: sureAfter(reasons),
    reasons,
  };
}

/** Without a study that counts: whether anybody looked. */
function nothing(
  searches: readonly Search[],
  weighed: readonly Weighed[],
): Pick<Evidence, 'answer' | 'text' | 'sure' | 'reasons'> {
  const looked =
    searches.length > 0
      ? `Searched (${searches.map((s) => s.where).join(', ')}) and found nothing that counts: that is not the same as shown not to work.`
      : 'No study is entered, and nobody says they searched.';
  const words = weighed.length > 0 ? ' What is entered gives no numbers that count.' : '';
  return {
    answer: 'cannotTell',
    text: looked + words,
    sure: 'very low',
    reasons: [searches.length > 0 ? 'no study was found' : 'no study'],
  };
}
