import { readTemperature } from './temperature.js';

test.each([
  ['58', 58],
  ['58 °C', 58],
  ['58C', 58],
  ['131 °F', 55],
  ['131f', 55],
  ['32 deg F', 0],
  ['-4,5 °C', -4.5],
  ['41 degrees', 41],
])('“%s” is %d °C', (text, celsius) => {
  const read = readTemperature(text);
  expect(read).toEqual({ ok: true, value: expect.closeTo(celsius, 9) as number });
});

test.each(['warm', '', '°C', '5 K', '5 6'])('“%s” is none, and it is said what was expected', (text) => {
  const read = readTemperature(text);
  if (read.ok) throw new Error(String(read.value));
  expect(read.reason).toMatch(/expected a temperature such as 58 °C/);
});
