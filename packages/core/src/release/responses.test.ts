import { coatedRelease, coatingResponse, easedLife, moistureResponse, temperatureResponse } from './responses.js';

test('temperature: doubles every 10 °C with Q10 2, eases in a line to nothing between 2 and 0 °C', () => {
  expect(temperatureResponse(25, 2)).toBe(1);
  expect(temperatureResponse(15, 2)).toBe(0.5);
  expect(temperatureResponse(5, 3)).toBeCloseTo(1 / 9, 12);
  expect(temperatureResponse(2, 2)).toBeCloseTo(2 ** -2.3, 12);
  expect(temperatureResponse(1, 2)).toBeCloseTo(0.5 * 2 ** -2.3, 12);
  expect(temperatureResponse(0.5, 3)).toBeCloseTo(0.25 * 3 ** -2.3, 12);
  expect(temperatureResponse(1e-6, 2)).toBeLessThan(1e-6);
  expect([0, -5].map((t) => temperatureResponse(t, 2))).toEqual([0, 0]);
});

test('a coating has its own response: no frost, its own reference', () => {
  expect(coatingResponse(21, 2, 21)).toBe(1);
  expect(coatingResponse(11, 2, 21)).toBe(0.5);
  expect(coatingResponse(-4, 2.5, 21)).toBeCloseTo(2.5 ** -2.5, 12);
});

test('moisture: nothing at wilting, half at half of the plant-available water, full at field capacity, a fifth at saturation', () => {
  expect([-1, 0, 0.5, 1, 1.5, 2, 3].map(moistureResponse)).toEqual([0, 0, 0.5, 1, 0.6, expect.closeTo(0.2, 12), 0.2]);
});

test('life of a potting mix: whole for two weeks, half way at six, that of soil from ten weeks on', () =>
  expect([0, 14, 42, 70, 200].map((day) => easedLife(6, day))).toEqual([6, 6, 3.5, 1, 1]));

test.each([1.2, 1.8, 2.5])('coating of shape %p: 80 %% is out at the rated longevity', (shape) => {
  expect(coatedRelease(150, 150, shape)).toBeCloseTo(0.8, 12);
  expect(coatedRelease(0, 150, shape)).toBe(0);
  expect(coatedRelease(75, 150, shape)).toBeLessThan(0.8);
});
