import { nitrogenDemand } from './demand.js';
import { cropOf } from '../ground/index.js';
import { coatedRelease, moistureResponse, temperatureResponse } from './responses.js';

test('temperature: doubles every 10 °C with Q10 2, stops in frost', () => {
  expect(temperatureResponse(25, 2)).toBe(1);
  expect(temperatureResponse(15, 2)).toBe(0.5);
  expect(temperatureResponse(5, 3)).toBeCloseTo(1 / 9, 12);
  expect(temperatureResponse(0, 2)).toBe(0);
});

test('moisture: nothing at wilting, full at 60 % of pore space, a fifth at saturation', () => {
  expect([0.1, 0.15, 0.375, 0.6, 1].map(moistureResponse)).toEqual([
    0,
    0,
    expect.closeTo(0.5, 12),
    1,
    expect.closeTo(0.2, 12),
  ]);
});

test.each([1.2, 1.8, 2.5])('coating of shape %p: 80 %% is out at the rated longevity', (shape) => {
  expect(coatedRelease(150, 150, shape)).toBeCloseTo(0.8, 12);
  expect(coatedRelease(0, 150, shape)).toBe(0);
  expect(coatedRelease(75, 150, shape)).toBeLessThan(0.8);
});

test('demand: half is in at the half day, 95 % at the end day', () => {
  const wheat = cropOf('wheat');
  const demand = nitrogenDemand(wheat, 200);
  expect(demand[75]).toBeCloseTo(55, 10);
  expect(demand[125]).toBeCloseTo(0.95 * 110, 6);
});
