import { KITCHEN_SCALE, PracticeScale, scaleLine } from './scale.js';

const after = (scale: PracticeScale, seconds: number) => {
  for (let t = 0; t < seconds - 1e-9; t += 0.1) {
    scale.pass(0.1);
    scale.read();
  }
  return scale.read();
};

test('a load swings past its weight and comes to rest on it', () => {
  const scale = new PracticeScale();
  scale.put(2);
  const shown = Array.from({ length: 60 }, () => {
    scale.pass(0.05);
    return scale.read();
  });
  expect(Math.max(...shown.map((r) => r.kg))).toBeGreaterThan(2.05);
  expect(shown[0]?.steady).toBe(false);
  const rest = after(scale, 5);
  expect(rest.steady).toBe(true);
  expect(Math.abs(rest.kg - 2)).toBeLessThanOrEqual(0.002);
});

test('at rest its reading still jumps, by a division at most', () => {
  const scale = new PracticeScale();
  scale.put(0.5005);
  after(scale, 6);
  const shown = Array.from({ length: 50 }, () => {
    scale.pass(0.1);
    return scale.read().kg;
  });
  expect(new Set(shown).size).toBeGreaterThan(1);
  expect(Math.max(...shown) - Math.min(...shown)).toBeLessThanOrEqual(0.002 + 1e-9);
});

test('its zero wanders, and taring takes what is on it as nothing', () => {
  const scale = new PracticeScale({ ...KITCHEN_SCALE, noiseKg: 0 });
  scale.put(1);
  after(scale, 6);
  scale.tare();
  expect(scale.read().kg).toBeCloseTo(0, 3);
  scale.pass(3600);
  expect(scale.read().kg).toBeCloseTo(0.004, 3);
  scale.clear();
  expect(after(scale, 6).kg).toBeLessThan(-0.9);
});

test('more than it can carry is told, and what is taken off never leaves less than nothing', () => {
  const scale = new PracticeScale();
  scale.put(31);
  expect(scaleLine(after(scale, 6))).toBe('too much');
  scale.put(-100);
  expect(Math.abs(after(scale, 6).kg)).toBeLessThanOrEqual(0.002);
  expect(scaleLine({ kg: 1.2, steady: true, tooMuch: false })).toBe('1.200 kg steady');
});
