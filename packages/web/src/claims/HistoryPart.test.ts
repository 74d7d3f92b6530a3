import { blankStudy, toClaim, toStudy, type ClaimInput, type PastVerdictInput } from '@wheat-ledger/contract';
import { judge, type Product } from '@wheat-ledger/core';
import { withVerdict } from './HistoryPart';

const bag: Product = {
  id: 'bag',
  name: 'Bag',
  form: 'granule',
  densityKgPerL: undefined,
  grade: undefined,
  analysis: [],
  derivedFrom: [],
  offers: [],
  directions: [],
  longevity: undefined,
  carbonToNitrogen: undefined,
};
const input: ClaimInput = { statement: 'x', saidBy: '', productId: 'bag', crop: 'wheat', needs: [], kind: 'yield' };
const judged = judge(toClaim(input, bag));
const past: PastVerdictInput = { on: '2026-01-01', verdict: 'Stands', sure: 'high', by: 'evidence; 9 studies' };

test('a verdict is written down once, and again only when it changes', () => {
  const [first] = withVerdict(input, judged).history ?? [];
  expect(first).toMatchObject({ verdict: 'Not shown', sure: 'very low', by: expect.stringMatching(/; 0 studies$/) });
  expect(withVerdict(input, judged, [first!]).history).toEqual([first]);
  expect(withVerdict(input, judged, [past]).history).toEqual([past, first]);
});

test('a study more is a change of what it was made of', () => {
  const study = toStudy(
    { ...blankStudy('A'), result: { kind: 'counts', treatedEvents: 5, nTreated: 20, controlEvents: 9, nControl: 20 } },
    's',
  );
  const again = judge({ ...toClaim(input, bag), studies: [study] });
  const history = withVerdict(input, again, withVerdict(input, judged).history).history ?? [];
  expect(history.map((h) => h.by)).toEqual([expect.stringMatching(/0 studies/), expect.stringMatching(/1 study/)]);
});

test('without a judgement nothing is added and nothing lost, and a hundred are kept', () => {
  expect(withVerdict(input, undefined)).toEqual(input);
  expect(withVerdict(input, undefined, [past]).history).toEqual([past]);
  const many = Array.from({ length: 100 }, () => past);
  expect(withVerdict(input, judged, many).history).toHaveLength(100);
});
