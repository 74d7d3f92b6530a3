import { blankStudy, type StudyInput } from '@wheat-ledger/contract';

/** An invented trial of how many of so many plots lodged, treated and not. */
const lodged = (
  letter: string,
  year: number,
  treated: readonly [events: number, n: number],
  control: readonly [events: number, n: number],
  given: Partial<StudyInput> = {},
): StudyInput => ({
  ...blankStudy(`Sample trial ${letter}: silicon and lodging in wheat`),
  authors: `Sample grower ${letter}`,
  year,
  source: 'invented for the sample',
  control: 'water',
  randomised: 'yes',
  blinded: 'no',
  funding: 'independent',
  doseMultiple: 1,
  likeHere: 'yes',
  sameOutcome: 'yes',
  result: {
    kind: 'counts',
    treatedEvents: treated[0],
    nTreated: treated[1],
    controlEvents: control[0],
    nControl: control[1],
  },
  sample: true,
  note: 'Plots of which more than half the straw lay at harvest.',
  ...given,
});

/** Invented studies, each said to be of the sample. */
export const STUDIES: readonly StudyInput[] = [
  lodged('A', 2019, [7, 24], [9, 24]),
  lodged('B', 2020, [10, 30], [9, 30]),
  lodged('C', 2020, [5, 20], [6, 20], { design: 'pot', likeHere: 'no' }),
  lodged('D', 2022, [9, 40], [11, 40], { doseMultiple: 4 }),
  lodged('E', 2023, [6, 16], [5, 16]),
  lodged('F', 2024, [1, 12], [8, 12], { funding: 'seller', control: 'nothing', randomised: 'no' }),
];
