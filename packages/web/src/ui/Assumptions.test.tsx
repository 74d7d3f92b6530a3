import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { assumption, owned, type Figure } from '@wheat-ledger/core';
import { productNamed, samplePlots, show } from '../../test/show';
import { Assumptions } from './Assumptions';

const feather = productNamed('Larkmere Feather Meal');
const plot = samplePlots[0]!;
const q10 = owned(assumption('speed-up per 10 °C (Q10)', { low: 1.6, mid: 2, high: 3 }, '×', 'usual'), 'q10');
const fast = owned(
  assumption('decomposition of the fast part', { low: 0.03, mid: 0.08, high: 0.2 }, '/day', 'class average'),
  'kFastPerDay of feather meal',
);
const fixed = assumption('carbon in organic matter', 0.55, 'kg/kg', 'usual');

const open = async (...assumptions: Figure[]) => {
  await show(<Assumptions assumed={[{ product: feather, assumptions }]} plot={plot} />);
  await userEvent.click(screen.getByText(/^What was assumed/));
  return screen.findAllByRole('row').then((rows) => rows.slice(1));
};

test('each assumption that can be replaced offers it; others do not', async () => {
  const [first, second, third] = await open(q10, fast, fixed);
  expect(within(first!).getByRole('button', { name: /Change speed-up/ })).toBeTruthy();
  expect(within(second!).getByRole('button', { name: /Change decomposition/ })).toBeTruthy();
  expect(within(third!).queryByRole('button')).toBeNull();
});

test('what cannot be is refused as it is typed, with what was read and what was expected', async () => {
  await open(fast);
  await userEvent.click(screen.getByRole('button', { name: /Change/ }));
  expect(document.body.textContent).toMatch(/Kept with Larkmere Feather Meal/);
  await userEvent.type(screen.getByLabelText(/Your figure/), '5');
  expect(document.body.textContent).toMatch(/Read 5, expected 0 to 2\./);
  expect(screen.getByRole('button', { name: 'Use it' }).hasAttribute('disabled')).toBe(true);
  await userEvent.clear(screen.getByLabelText(/Your figure/));
  await userEvent.type(screen.getByLabelText(/Your figure/), '0.05 to 0.1');
  expect(screen.getByRole('button', { name: 'Use it' }).hasAttribute('disabled')).toBe(false);
});

test('an own figure says whose it is, and the usual one is a step away', async () => {
  const mine = owned(fast, 'kFastPerDay of feather meal', [
    { key: 'kFastPerDay of feather meal', value: { low: 0.05, mid: 0.06, high: 0.07 }, source: 'three jars' },
  ]);
  const [row] = await open(mine);
  expect(row!.textContent).toMatch(/0\.06.*0\.05–0\.07.*yours: three jars/);
  await userEvent.click(screen.getByRole('button', { name: /Change/ }));
  expect(screen.getByLabelText<HTMLInputElement>(/Your figure/).value).toMatch(/0\.05.*0\.07/);
  expect(screen.getByRole('button', { name: 'Back to the usual 0.03–0.2' })).toBeTruthy();
});
