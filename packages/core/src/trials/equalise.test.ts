import { equalBy, equalDoses } from './equalise.js';

test('arms of 40 and 80 kg N are made equal by twice the first; then 60 against 20 kg P2O5 leave the second 40 short', () => {
  const doses = equalDoses([{ N: 40, P2O5: 30 }, { N: 80, P2O5: 20 }, { N: 0 }], 'N');
  expect(doses.map((d) => d.factor)).toEqual([2, 1, undefined]);
  expect(doses.map((d) => d.lacks)).toEqual([{ P2O5: 0 }, { P2O5: 40 }, {}]);
});

test('what an arm brings of potash and is not known stays unknown', () => {
  const [first, second] = equalDoses([{ N: 50, K2O: 10 }, { N: 25 }], 'N');
  expect(first?.lacks).toEqual({ K2O: 0 });
  expect(second).toEqual({ factor: 2, lacks: {} });
});

test('nitrogen is made equal where two arms bring it, else phosphate, else potash, else nothing', () => {
  expect(equalBy([{ N: 0 }, { N: 4, P2O5: 3 }, { N: 5 }])).toBe('N');
  expect(equalBy([{ N: 4, P2O5: 3 }, { P2O5: 5 }])).toBe('P2O5');
  expect(equalBy([{ K2O: 4 }, { K2O: 5, N: 1 }])).toBe('K2O');
  expect(equalBy([{}, { N: 3 }])).toBeUndefined();
});
