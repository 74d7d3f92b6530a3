import { render, screen, within } from '@testing-library/react';
import type { TrialRecord } from '@wheat-ledger/contract';
import type { ArmReading, TrialOutcome } from '@wheat-ledger/core';
import { ArmsTable } from './ReadParts';

const trial = { arms: [{ name: 'Nothing' }, { name: 'Gypsum' }], control: 0 } as TrialRecord;
const outcome = { name: 'height', unit: 'cm' } as TrialOutcome;
const arm = (at: number, mean: number, half?: number): ArmReading => ({
  arm: at,
  values: [],
  mean,
  atLeast: false,
  interval: half === undefined ? undefined : { low: mean - half, high: mean + half },
  against: at === 0 ? undefined : { difference: mean - 8.1, se: undefined, interval: undefined },
});
function shown(...arms: readonly ArmReading[]): string[][] {
  render(
    <ArmsTable trial={trial} outcome={outcome} found={{ reading: { arms, anova: undefined }, permuted: undefined }} />,
  );
  return screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('cell').slice(1, 4))
    .map((cells) => cells.map((c) => c.textContent ?? ''));
}

test('means, intervals and differences of a trial are written alike: as fine as two figures of the half of an interval', () => {
  expect(shown(arm(0, 8.1, 0.99), arm(1, 6.417, 0.99))).toEqual([
    ['8.10', '7.11 to 9.09', 'the control'],
    ['6.42', '5.43 to 7.41', '−1.68'],
  ]);
});

test.each([
  ['half 12 cm: whole cm', 12.3, ['130', '118 to 142', 'the control']],
  ['half 140 cm: still whole cm', 140.4, ['130', '−10 to 270', 'the control']],
  ['no interval: four figures at most, and what is missing said', undefined, ['130', '–', 'the control']],
])('%s', (_name, half, row) => {
  expect(shown(arm(0, 130.04, half))).toEqual([row]);
});
