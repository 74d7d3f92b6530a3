import { measuredWords, weighedWords } from './weighable.js';

test.each([
  [0.00087, '0.9 g'],
  [0.00996, '10 g'],
  [0.0887, '89 g'],
  [0.8871, '887 g'],
  [0.9996, '1 kg'],
  [6.304, '6.3 kg'],
  [9.996, '10 kg'],
  [12.34, '12.3 kg'],
  [0, '0 g'],
])('%p kg are weighed out as %s', (kg, words) => expect(weighedWords(kg, 'kg')).toBe(words));
test.each([
  [0.02835, '1 oz'],
  [0.4536, '1 lb'],
  [1.02, '2 lb 4 oz'],
  [0.45, '15.9 oz'],
  [0, '0 oz'],
])('%p kg in pounds and ounces: %s', (kg, words) => expect(weighedWords(kg, 'lb')).toBe(words));
test.each([
  [0.0048, '5 mL'],
  [0.7713, '770 mL'],
  [0.9996, '1 L'],
  [2.11, '2.1 L'],
  [2.13, '2.15 L'],
  [10.4, '10.5 L'],
])('%p L are measured out as %s', (litres, words) => expect(measuredWords(litres)).toBe(words));
