import type { TrialArmInput, TrialInput, TrialOutcomeInput, TrialSheetInput } from '@wheat-ledger/contract';
import { HELD_EQUAL, layOut, uniformDraws } from '@wheat-ledger/core';

/** A trial that names its plot and the claim it tests, with its sheets. */
export type NamedTrial = Omit<TrialInput, 'plotId' | 'claimId'> & {
  readonly plot: string;
  readonly sheets: readonly Omit<TrialSheetInput, 'trialId'>[];
};

const arm = (name: string, what: string, given: Partial<TrialArmInput> = {}): TrialArmInput => ({
  name,
  what,
  ...given,
});
const HEIGHT: TrialOutcomeInput = { key: 'height', name: 'height', kind: 'number', unit: 'cm', better: 'more' };
const STEMS: TrialOutcomeInput = { key: 'stems', name: 'stems cut', kind: 'harvest', unit: 'stems', better: 'more' };
const BLOOMS: TrialOutcomeInput = { key: 'blooms', name: 'flowers', kind: 'count', unit: '', better: 'more' };
const SOAK: TrialOutcomeInput = {
  key: 'soak',
  name: 'a litre soaks in',
  kind: 'timed',
  unit: 'min',
  better: 'less',
  litres: 1,
  groundM2: 0.07,
};

const trial = (
  given: Pick<NamedTrial, 'name' | 'plot' | 'question' | 'until' | 'arms'> & Partial<NamedTrial>,
): NamedTrial => ({
  wouldChangePercent: 15,
  cvPercent: 12,
  decides: 'height',
  layout: 'blocks',
  replicates: 6,
  seed: 20_260_401,
  control: 0,
  controlIs: 'water',
  outcomes: [HEIGHT],
  plantsPerUnit: 1,
  unitWidthM: 0.5,
  unitDepthM: 0.5,
  heldEqual: [...HELD_EQUAL],
  shaded: false,
  usedLastYear: false,
  asksNutrients: false,
  odd: [],
  note: 'Invented for the sample.',
  sheets: [],
  ...given,
});

type Measured = (arm: number, block: number, day: number, chance: () => number) => number;
/** Invented readings of every unit, sheet by sheet. */
function sheetsOf(
  { arms, replicates, seed }: Pick<NamedTrial, 'arms' | 'replicates' | 'seed'>,
  outcome: string,
  days: readonly string[],
  measured: Measured,
): NamedTrial['sheets'] {
  const draw = uniformDraws(seed + outcome.length);
  const chance = (): number => draw() + draw() + draw() - 1.5;
  const units = layOut('blocks', arms.length, replicates, seed);
  return days.map((on, day) => ({
    on,
    outcome,
    note: '',
    values: units.map((u) => ({
      unit: u.number,
      value: Number(Math.max(0, measured(u.arm, u.block ?? 0, day, chance)).toFixed(1)),
    })),
  }));
}

const FERMENT = trial({
  name: 'Nettle ferment on dahlias',
  plot: 'Dahlia rows',
  question:
    'Do dahlias grow taller by 12 September with nettle ferment than with water, and than with the same nitrogen?',
  until: '2026-09-12',
  arms: [
    arm('Water', 'A can of water every two weeks', { cost: 0, ease: 5 }),
    arm('Nettle ferment', 'Ferment 1:10, every two weeks', { nitrogenKgPerHa: 12, cost: 0.4, ease: 2 }),
    arm('Same nitrogen', 'Urea for the same nitrogen, in water', { nitrogenKgPerHa: 12, cost: 0.1, ease: 4 }),
  ],
  outcomes: [HEIGHT, STEMS],
  asksNutrients: true,
  startedOn: '2026-06-01',
});
const FERMENT_HEIGHT = sheetsOf(
  FERMENT,
  'height',
  ['2026-06-14', '2026-07-12', '2026-08-09', '2026-09-12'],
  (a, block, day, chance) => 22 + day * 24 + block * 1.5 + (a === 0 ? 0 : 4 * day) + chance() * (2 + day),
);
const FERMENT_STEMS = sheetsOf(FERMENT, 'stems', ['2026-07-26', '2026-08-16', '2026-09-12'], (a, block, day, chance) =>
  Math.round(3 + (a === 1 && day === 0 ? 2 : a === 2 ? day : 0) + block * 0.2 + chance() * 2),
);

const GYPSUM = trial({
  name: 'Gypsum on the sweetcorn block',
  plot: 'Sweetcorn block',
  question: 'Does a litre of water soak in faster by October 2030, after five autumns, where gypsum was spread?',
  until: '2030-10-31',
  decides: 'soak',
  arms: [
    arm('Nothing', 'No gypsum', { cost: 0, ease: 5 }),
    arm('Gypsum', '200 g/m², raked in', { cost: 0.6, ease: 3 }),
  ],
  controlIs: 'nothing',
  outcomes: [SOAK],
  unitWidthM: 1,
  unitDepthM: 1,
  seed: 77,
  startedOn: '2026-09-01',
});
const SOAKED = sheetsOf(GYPSUM, 'soak', ['2026-09-20', '2026-10-18'], (a, block, day, chance) =>
  Math.min(15, 7 - a * day * 1.5 + block * 0.5 + chance() * 2),
);

/** One finished, one running, and one that should not begin as it is. */
export const TRIALS: readonly NamedTrial[] = [
  { ...FERMENT, sheets: [...FERMENT_HEIGHT, ...FERMENT_STEMS] },
  { ...GYPSUM, sheets: SOAKED },
  trial({
    name: 'Magnesium spray, one plant each',
    plot: 'Dahlia rows',
    question: 'Does a dahlia with the magnesium spray bloom twice by 1 October 2027?',
    until: '2027-10-01',
    arms: [arm('No spray', 'Nothing on the leaves'), arm('Dahlia Twice Spray', 'On the leaves every week')],
    replicates: 1,
    decides: 'blooms',
    outcomes: [BLOOMS],
    controlIs: 'nothing',
    heldEqual: ['soil'],
    shaded: true,
  }),
];
