import { render, screen } from '@testing-library/react';
import { MATERIALS, type InsideBag } from '@wheat-ledger/core';
import { InsideFound } from './InsidePart';

const feather = MATERIALS.find((m) => m.name === 'feather meal')!;
const shown = (found: InsideBag): string => {
  const { container } = render(<InsideFound found={found} />);
  return container.textContent ?? '';
};

test('each ingredient with the least and the most; an unknown one beside them is told', () => {
  const share = { material: feather, low: 0.18, high: 0.384 };
  expect(shown({ kind: 'shares', complete: true, givenUp: [], shares: [share] })).toMatch(/feather meal18 to 38\.4 %$/);
  expect(screen.getByTestId('inside')).toBeTruthy();
  expect(shown({ kind: 'shares', complete: false, givenUp: ['the most is listed first'], shares: [share] })).toMatch(
    /It cannot be, as lists go, that the most is listed first\. .*only the most is bounded/,
  );
});
test('an impossible label says what cannot hold together', () =>
  expect(shown({ kind: 'impossible', conflict: ['nitrogen, declared 30 %', 'the whole'] })).toBe(
    'No mix of what is listed is this label. These cannot hold together: nitrogen, declared 30 %; the whole.',
  ));
