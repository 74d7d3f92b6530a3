import {
  given,
  Reader,
  rowsWith,
  whenTyped,
  type ReadText,
  type TrialArmInput,
  type TrialInput,
  type TrialOutcomeInput,
} from '@wheat-ledger/contract';
import { HELD_EQUAL, printDay, typedNumber, type HeldEqual, type Medium } from '@wheat-ledger/core';

export interface ArmText {
  name: string;
  what: string;
  /** kg N/ha; blank where it is not known. */
  nitrogen: string;
  cost: string;
  ease: string;
  programmeId: string;
  productId: string;
}
export interface OutcomeText {
  key: string;
  name: string;
  kind: TrialOutcomeInput['kind'];
  unit: string;
  better: 'more' | 'less';
  /** Of a timed run: water that soaks in, and the ground it is poured on. */
  litres: string;
  ground: string;
}
/** A trial as a person types it. */
export interface TrialText {
  name: string;
  plotId: string;
  claimId: string;
  question: string;
  until: string;
  wouldChange: string;
  cv: string;
  decides: string;
  layout: TrialInput['layout'];
  replicates: string;
  seed: string;
  arms: ArmText[];
  /** Its place among the arms, counted from 0. */
  control: string;
  controlIs: TrialInput['controlIs'];
  outcomes: OutcomeText[];
  plants: string;
  width: string;
  depth: string;
  held: Record<HeldEqual, boolean>;
  /** Jars that say how fast nitrogen comes free; blank where nothing is applied. */
  jars: { applied: string; temperatureC: string; medium: string };
  shaded: boolean;
  usedLastYear: boolean;
  asksNutrients: boolean;
  note: string;
}

export const blankArm = (name = '', what = ''): ArmText => ({
  name,
  what,
  nitrogen: '',
  cost: '',
  ease: '',
  programmeId: '',
  productId: '',
});
/** A key that none of some outcomes has. */
export const nextKey = (outcomes: readonly { readonly key: string }[]): string => {
  const taken = new Set(outcomes.map((o) => o.key));
  let n = 1;
  while (taken.has(`o${n}`)) n += 1;
  return `o${n}`;
};
export const blankOutcome = (key: string): OutcomeText => ({
  key,
  name: '',
  kind: 'number',
  unit: '',
  better: 'more',
  litres: '',
  ground: '',
});

/** A new trial: a control, one arm, six blocks, and what should be held equal. @param seed drawn once, so that the layout stands */
export const blankTrial = (seed: number, plotId = ''): TrialText => ({
  name: '',
  plotId,
  claimId: '',
  question: '',
  until: '',
  wouldChange: '15',
  cv: '12',
  decides: 'o1',
  layout: 'blocks',
  replicates: '6',
  seed: String(seed),
  arms: [blankArm('Control', 'water only'), blankArm()],
  control: '0',
  controlIs: 'water',
  outcomes: [{ ...blankOutcome('o1'), name: 'height', unit: 'cm' }],
  plants: '1',
  width: '0.5 m',
  depth: '0.5 m',
  held: { water: true, soil: true, pot: true, plants: true, start: true },
  jars: { applied: '', temperatureC: '25', medium: 'mineralSoil' },
  shaded: false,
  usedLastYear: false,
  asksNutrients: false,
  note: '',
});

/** A trial of a claim: its countable form is the question; a control with the carrier alone and an arm with the same nutrients stand beside it. */
export const trialOfClaim = (
  seed: number,
  claim: { readonly id: string; readonly statement: string; readonly countable?: string | undefined },
  product: string,
  plotId = '',
): TrialText => ({
  ...blankTrial(seed, plotId),
  name: `Test: ${claim.statement}`.slice(0, 120),
  claimId: claim.id,
  question: (claim.countable ?? '') || claim.statement,
  arms: [
    blankArm('Carrier only', 'the water or filler of it, without what is claimed'),
    blankArm(product, 'as its label says'),
    blankArm('Same nutrients', 'another source that brings the same nutrients'),
  ],
});

export const trialText = (t: TrialInput): TrialText => ({
  name: t.name,
  plotId: t.plotId ?? '',
  claimId: t.claimId ?? '',
  question: t.question,
  until: printDay(t.until),
  wouldChange: typedNumber(t.wouldChangePercent),
  cv: typedNumber(t.cvPercent),
  decides: t.decides,
  layout: t.layout,
  replicates: String(t.replicates),
  seed: String(t.seed),
  arms: t.arms.map((a) => ({
    name: a.name,
    what: a.what,
    nitrogen: typedNumber(a.nitrogenKgPerHa),
    cost: typedNumber(a.cost),
    ease: typedNumber(a.ease),
    programmeId: a.programmeId ?? '',
    productId: a.productId ?? '',
  })),
  control: String(t.control),
  controlIs: t.controlIs,
  outcomes: t.outcomes.map(({ litres, groundM2, ...o }) => ({
    ...o,
    litres: litres === undefined ? '' : `${typedNumber(litres)} L`,
    ground: groundM2 === undefined ? '' : `${typedNumber(groundM2)} m²`,
  })),
  plants: typedNumber(t.plantsPerUnit),
  width: `${typedNumber(t.unitWidthM)} m`,
  depth: `${typedNumber(t.unitDepthM)} m`,
  held: Object.fromEntries(HELD_EQUAL.map((h) => [h, t.heldEqual.includes(h)])) as Record<HeldEqual, boolean>,
  jars: {
    applied: typedNumber(t.jars?.applied),
    temperatureC: typedNumber(t.jars?.temperatureC ?? 25),
    medium: t.jars?.medium ?? 'mineralSoil',
  },
  shaded: t.shaded,
  usedLastYear: t.usedLastYear,
  asksNutrients: t.asksNutrients,
  note: t.note,
});

/** Places of blocks stand as long as there are as many. */
const placesThatFit = (
  { layout, replicates }: Pick<TrialText, 'layout' | 'replicates'>,
  { blockPlaces }: KeptOfTrial,
): TrialInput['blockPlaces'] =>
  String(blockPlaces?.length) === (layout === 'blocks' ? replicates.trim() : '1') ? blockPlaces : undefined;

/** What of a trial is not typed: the day it began, what happened to units, where blocks stand. */
export type KeptOfTrial = Pick<TrialInput, 'startedOn' | 'odd' | 'gardens' | 'follows' | 'blockPlaces'>;

/** Reads a typed trial. */
export function readTrial(text: TrialText, kept: KeptOfTrial = { odd: [] }): ReadText & { readonly plain: TrialInput } {
  const read = new Reader();
  const number = (path: string, typed: string): number => read.number(path, typed.replace(/\s*%$/, '')) ?? 0;
  const maybe = (path: string, typed: string): number | undefined => whenTyped(typed, () => read.number(path, typed));
  const arms = rowsWith(text.arms, (a) => a.name.trim() !== '' || a.what.trim() !== '');
  const outcomes = rowsWith(text.outcomes, (o) => o.name.trim() !== '');
  const plain: TrialInput = {
    name: text.name.trim(),
    ...given('plotId', text.plotId || undefined),
    ...given('claimId', text.claimId || undefined),
    question: text.question.trim(),
    until: read.day('until', text.until) ?? '',
    wouldChangePercent: number('wouldChangePercent', text.wouldChange),
    cvPercent: number('cvPercent', text.cv),
    decides: text.decides,
    layout: text.layout,
    replicates: number('replicates', text.replicates),
    seed: number('seed', text.seed),
    arms: arms.map(([a, i]): TrialArmInput => ({
      name: a.name.trim(),
      what: a.what.trim(),
      ...given('nitrogenKgPerHa', maybe(`arms.${i}.nitrogen`, a.nitrogen)),
      ...given('programmeId', a.programmeId || undefined),
      ...given('productId', a.productId || undefined),
      ...given('cost', maybe(`arms.${i}.cost`, a.cost)),
      ...given('ease', maybe(`arms.${i}.ease`, a.ease)),
    })),
    control: Math.max(
      0,
      arms.findIndex(([, i]) => String(i) === text.control),
    ),
    controlIs: text.controlIs,
    outcomes: outcomes.map(([{ litres, ground, ...o }, i]): TrialOutcomeInput => {
      const soaks = o.kind === 'timed' && litres.trim() !== '';
      return {
        ...o,
        name: o.name.trim(),
        unit: o.unit.trim(),
        ...(soaks ? given('litres', read.canonical(`outcomes.${i}.litres`, litres, 'volume', 'L')) : {}),
        ...(soaks ? given('groundM2', read.canonical(`outcomes.${i}.ground`, ground, 'area', 'm²')) : {}),
      };
    }),
    plantsPerUnit: number('plantsPerUnit', text.plants),
    unitWidthM: read.canonical('unitWidthM', text.width, 'length', 'm') ?? 0,
    unitDepthM: read.canonical('unitDepthM', text.depth, 'length', 'm') ?? 0,
    heldEqual: HELD_EQUAL.filter((h) => text.held[h]),
    ...given(
      'jars',
      whenTyped(text.jars.applied, () => ({
        applied: number('jars.applied', text.jars.applied),
        temperatureC: number('jars.temperatureC', text.jars.temperatureC),
        medium: text.jars.medium as Medium,
      })),
    ),
    shaded: text.shaded,
    usedLastYear: text.usedLastYear,
    asksNutrients: text.asksNutrients,
    ...given('startedOn', kept.startedOn),
    odd: kept.odd,
    ...given('gardens', kept.gardens),
    ...given('follows', kept.follows),
    ...given('blockPlaces', placesThatFit(text, kept)),
    note: text.note.trim(),
  };
  return {
    plain,
    problems: read.problems,
    rows: { arms: arms.map(([, i]) => i), outcomes: outcomes.map(([, i]) => i) },
  };
}
