import { bag, direction, featherMeal, line } from '../../test/bags.js';
import { literal, unitProblems, type Figure } from '../figure/index.js';
import { doseFromNeed, labelMost } from './need.js';

const need = (gPerM2: number): Figure => literal('need', gPerM2, 'g/m²', 'chosen', 'test');
const share = (low: number, mid: number, high: number): Figure =>
  literal('arrives', { low, mid, high }, 'kg/kg', 'guess', 'test');

test('6 g N/m² of 13 % are 46 g/m²; of what arrives by three fifths, 77', () => {
  const all = doseFromNeed(featherMeal, 'N', need(6));
  expect(all).toMatchObject({ kind: 'dose', by: 'total', short: undefined });
  if (all.kind !== 'dose') throw new Error(all.why);
  expect(all.perM2.value.mid).toBeCloseTo(6 / 0.13, 9);
  expect(unitProblems(all.perM2)).toEqual([]);
  const arriving = doseFromNeed(featherMeal, 'N', need(6), share(0.5, 0.6, 0.7));
  if (arriving.kind !== 'dose') throw new Error(arriving.why);
  expect(arriving.by).toBe('arriving');
  expect(arriving.perM2.value.mid).toBeCloseTo(6 / 0.13 / 0.6, 9);
});

test('where none surely arrives it is dosed by the total', () =>
  expect(doseFromNeed(featherMeal, 'N', need(6), share(-0.2, 0.1, 0.3))).toMatchObject({ by: 'total' }));

test('it stops at the label’s highest rate and says what is short', () => {
  const labelled = bag({ ...featherMeal, directions: [direction('20 g/m²'), direction('30 g/m²')] });
  expect(labelMost(labelled)).toBeCloseTo(0.03, 12);
  // Of a range the label allows its high end; of several directions the largest.
  expect(labelMost(bag({ directions: [direction('20-50 g/m²')] }))).toBeCloseTo(0.05, 12);
  expect(labelMost(bag({ directions: [direction('40 g/m²'), direction('25 g/m²')] }))).toBeCloseTo(0.04, 12);
  const dose = doseFromNeed(labelled, 'N', need(6));
  if (dose.kind !== 'dose') throw new Error(dose.why);
  expect(dose.perM2.value.mid).toBeCloseTo(30, 9);
  expect(dose.short!.value.mid).toBeCloseTo(6 - 30 * 0.13, 9);
  expect(doseFromNeed(labelled, 'N', need(3))).toMatchObject({ short: undefined });
});

test('without a figure, or with one that may be nothing, there is no dose', () => {
  expect(doseFromNeed(featherMeal, 'K', need(6))).toMatchObject({ why: 'Feather meal gives no figure for potassium.' });
  expect(doseFromNeed(bag({ name: 'Maybe', analysis: [line('N', [0, 1, 2])] }), 'N', need(6))).toMatchObject({
    why: 'Maybe may hold no nitrogen at all.',
  });
  expect(labelMost(bag({ directions: [direction('5 mL/L of water')] }))).toBeUndefined();
});
