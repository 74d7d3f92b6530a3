import { blankStudy, StudyInput, studyProblems, toStudy, validateInput } from '@wheat-ledger/contract';
import { readStudy, studyText } from './studyText';

const kept: StudyInput = {
  ...blankStudy('A trial'),
  authors: 'Oak A.; Elm B.',
  year: 2011,
  doseMultiple: 2,
  result: { kind: 'means', treated: 12, control: 10, nTreated: 6, nControl: 5, spread: 'sd', first: 2, second: 1.5 },
};

test('a kept study typed again is the same, and valid', () => {
  const read = readStudy(studyText(kept));
  expect(read.problems).toEqual([]);
  expect(read.plain).toEqual(kept);
  expect(validateInput(StudyInput, read.plain).ok).toBe(true);
  expect(toStudy(read.plain, 'a').name).toBe('Oak A. and others 2011');
});

test('of the result only what its kind asks for is read', () => {
  const text = studyText(kept);
  expect(readStudy({ ...text, result: { ...text.result, kind: 'words' } }).plain.result).toEqual({ kind: 'words' });
  expect(readStudy({ ...text, result: { ...text.result, nTreated: 'six' } }).problems.map((p) => p.path)).toEqual([
    'result.nTreated',
  ]);
});

test.each([
  [{ ...kept.result, second: undefined }, 'result.second'],
  [{ ...kept.result, spread: 'p', first: 1 }, 'result.first'],
  [{ ...kept.result, spread: 'interval', first: 3, second: 3 }, 'result.second'],
  [{ ...kept.result, first: -1 }, 'result.first'],
  [{ ...kept.result, treated: undefined }, 'result.kind'],
  [{ kind: 'counts', treatedEvents: 7, nTreated: 6, controlEvents: 1, nControl: 6 }, 'result.treatedEvents'],
] as const)('%j is refused at %s', (result, path) => {
  expect(studyProblems({ result: result }).map((p) => p.path)).toEqual([path]);
});
