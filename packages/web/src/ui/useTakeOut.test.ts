import { usedWords } from './useTakeOut';

test('what still uses a record is told by kind, the last behind “and”', () => {
  expect(usedWords([])).toBe('');
  expect(usedWords([{ kind: 'claim', count: 1 }])).toBe(' It is still used by 1 claim.');
  expect(
    usedWords([
      { kind: 'recipe', count: 1 },
      { kind: 'claim', count: 2 },
      { kind: 'movement', count: 3 },
    ]),
  ).toBe(' It is still used by 1 recipe, 2 claims and 3 stock movements.');
});
