import { heapCourse, type HeapEntry } from './heapLog.js';

const at = (on: string, celsius?: number, turned = false): HeapEntry => ({ on: `2026-${on}`, celsius, turned });
const phase = (...log: readonly HeapEntry[]) => heapCourse(log).phase;

test('how far it is, by its temperatures', () => {
  expect(phase()).toBe('notMeasured');
  expect(phase(at('04-01', undefined, true))).toBe('notMeasured');
  expect(phase(at('04-01', 15), at('04-03', 30))).toBe('warming');
  expect(phase(at('04-01', 15), at('04-05', 45))).toBe('hot');
  expect(phase(at('04-01', 15), at('04-05', 44.9))).toBe('warming');
  expect(phase(at('04-05', 60), at('04-20', 38))).toBe('cooling');
});

test('cool for a fortnight after the heat it ripens, a day before it cools still', () => {
  expect(phase(at('04-05', 60), at('04-19', 29))).toBe('ripening');
  expect(phase(at('04-05', 60), at('04-18', 29))).toBe('cooling');
  expect(phase(at('04-05', 60), at('04-19', 30))).toBe('cooling');
});

test('never hot in a fortnight, it will not be by itself', () => {
  expect(phase(at('04-01', 15), at('04-14', 30))).toBe('warming');
  expect(phase(at('04-01', 15), at('04-15', 30))).toBe('neverHot');
});

test('days at 55 °C are counted from the first to the last reading of each stretch, and turnings while it was that hot', () => {
  const course = heapCourse([
    at('04-09', 57),
    at('04-01', 20),
    at('04-05', 56),
    at('04-06', undefined, true),
    at('04-10', 48),
    at('04-11', undefined, true),
    at('04-14', 55),
    at('04-15', 54.9),
  ]);
  // 5 to 9 April are five days, and the 14th is one.
  expect([course.killingDays, course.turnedHot, course.hottest]).toEqual([6, 1, 57]);
});

test('above 70 °C it is said at once, at 70 not yet', () => {
  expect(heapCourse([at('04-05', 70.5)]).advice).toMatch(/Turn it and water it now/);
  expect(heapCourse([at('04-05', 70)]).advice).toMatch(/It is hot/);
});
