import { scoopDensity } from './WeighScoop';

test('a level scoop of 250 mL that weighs 180 g is 0.72 kg/L; pounds and cups do as well', () => {
  expect(scoopDensity('180 g', '250 mL')).toBeCloseTo(0.72, 9);
  expect(scoopDensity('180', '250')).toBeCloseTo(0.72, 9);
  expect(scoopDensity('0.5 lb', '1 US cup')).toBeCloseTo(0.22679619 / 0.2365882365, 6);
});

test.each([
  ['', '250 mL'],
  ['180 g', ''],
  ['0 g', '250 mL'],
  ['180 g', '0 mL'],
  ['a lot', '250 mL'],
])('a weight of “%s” in a scoop of “%s” tells nothing', (weight, volume) => {
  expect(scoopDensity(weight, volume)).toBeUndefined();
});
