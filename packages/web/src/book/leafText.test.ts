import { readFound } from './LeafForm';

test.each([
  [
    'N 2.6, P 0.31, K 2.1',
    [
      ['N', 2.6],
      ['P', 0.31],
      ['K', 2.1],
    ],
  ],
  [
    'N 2,6; P 0,31 %',
    [
      ['N', 2.6],
      ['P', 0.31],
    ],
  ],
  [
    'N: 3\nMg=0.2',
    [
      ['N', 3],
      ['Mg', 0.2],
    ],
  ],
] as const)('“%s” is read by element', (text, figures) => {
  const found = readFound(text);
  expect(typeof found === 'string' ? found : found.map((f) => [f.nutrient, f.percent])).toEqual(figures);
});

test.each([
  ['', /Expected what was found/],
  ['nitrogen is low', /Read “nitrogen is low”, expected an element/],
  ['N 260', /at most 100/],
  ['N 2, N 3', /twice/],
  ['Q 2', /expected an element/],
])('“%s” is refused with what was read', (text, why) => {
  expect(readFound(text)).toMatch(why);
});
