import { inputOf, type TrialInput, type TrialRecord } from '@wheat-ledger/contract';
import { blankArm, blankOutcome, blankTrial, trialText, type OutcomeText, type TrialText } from './trialText';

/** A plan to begin from. */
export interface TrialTemplate {
  readonly key: string;
  readonly title: string;
  /** What it fills in, over a blank plan. */
  readonly filled: Partial<TrialText>;
}

const outcome = (key: string, filled: Partial<OutcomeText>): OutcomeText => ({ ...blankOutcome(key), ...filled });

/** Plans for what is asked most often. Amounts and days are the grower's own. */
export const TEMPLATES: readonly TrialTemplate[] = [
  {
    key: 'bag',
    title: 'A bag against its carrier and the same nitrogen',
    filled: {
      question: 'Does it do more than its water and its nitrogen?',
      arms: [
        blankArm('Carrier only', 'the same water, without what is tested'),
        blankArm('The bag', 'as its label says'),
        blankArm('Same nitrogen', 'a plain source of the same nitrogen, in the same water'),
      ],
      outcomes: [
        outcome('o1', { name: 'harvest', kind: 'harvest', unit: 'kg' }),
        outcome('o2', { name: 'height', unit: 'cm' }),
      ],
    },
  },
  {
    key: 'rates',
    title: 'No feed, half, whole and double',
    filled: {
      question: 'From which rate on does more feed bring no more harvest?',
      arms: [
        blankArm('None', 'water only'),
        blankArm('Half', 'half of what is recommended'),
        blankArm('Whole', 'what is recommended'),
        blankArm('Double', 'twice what is recommended, where label and law allow it'),
      ],
      replicates: '4',
      asksNutrients: true,
      outcomes: [outcome('o1', { name: 'harvest', kind: 'harvest', unit: 'kg' })],
    },
  },
  {
    key: 'split',
    title: 'All at once, or the same in parts',
    filled: {
      question: 'Does the same amount in three parts bring more than all at once?',
      arms: [
        blankArm('All at once', 'the whole amount at planting'),
        blankArm('In three parts', 'a third at planting, and a third after 3 and 6 weeks'),
      ],
      controlIs: 'sameNutrients',
      outcomes: [outcome('o1', { name: 'harvest', kind: 'harvest', unit: 'kg' })],
    },
  },
  {
    key: 'soak',
    title: 'How fast water soaks in',
    filled: {
      question: 'Does a litre of water soak in faster where it was spread?',
      arms: [blankArm('Nothing', 'the same ground, worked alike'), blankArm('Spread', 'spread and raked in')],
      controlIs: 'nothing',
      outcomes: [
        outcome('o1', {
          name: 'a litre soaks in',
          kind: 'timed',
          unit: 'min',
          better: 'less',
          litres: '1 L',
          ground: '0.07 m²',
        }),
        outcome('o2', { name: 'crumb', kind: 'score', unit: '' }),
        outcome('o3', { name: 'worms in a spade of soil', kind: 'count', unit: '' }),
      ],
    },
  },
  {
    key: 'jars',
    title: 'Jars: how fast nitrogen comes free',
    filled: {
      question: 'How much of its nitrogen comes free by week 8, and how fast?',
      arms: [blankArm('Soil alone', 'the same moist soil'), blankArm('With the bag', 'the bag mixed in')],
      replicates: '3',
      layout: 'random',
      controlIs: 'nothing',
      outcomes: [outcome('o1', { name: 'mineral nitrogen', unit: 'mg/kg' })],
      jars: { applied: '200', temperatureC: '25', medium: 'mineralSoil' },
      width: '0.1 m',
      depth: '0.1 m',
      asksNutrients: true,
    },
  },
  {
    key: 'species',
    title: 'Two kinds of plant in every pot',
    filled: {
      question: 'Do both kinds grow taller with it than without?',
      arms: [blankArm('Water', 'water only'), blankArm('With it', 'as its label says')],
      outcomes: [
        outcome('o1', { name: 'height of the first kind', unit: 'cm' }),
        outcome('o2', { name: 'height of the second kind', unit: 'cm' }),
      ],
      plants: '2',
      width: '0.3 m',
      depth: '0.3 m',
    },
  },
];

/** A blank plan with what a template fills in. @param seed drawn once, so that the layout stands */
export const fromTemplate = (template: TrialTemplate, seed: number, plotId = ''): TrialText => ({
  ...blankTrial(seed, plotId),
  ...template.filled,
});

/** A trial that is there as the plan of another: the same arms, outcomes and layout, drawn anew, not begun and with nothing of what happened. */
export function fromTrial(trial: TrialRecord, seed: number): TrialText {
  const { name, ...text } = trialText({ ...(inputOf(trial) as TrialInput), seed });
  return { ...text, name: `${name} (again)`.slice(0, 120), until: '' };
}
