import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { assumption, inCurrency, literal, measure, per, product, quotient } from '@wheat-ledger/core';
import { makeStore } from '../app/store';
import { useAppSelector } from '../app/store';
import { FigureButton } from '../ui/FigureButton';
import { Working } from './Working';

const mass = product('nitrogen in it', 'kg N', [
  literal('package', 20, 'kg', 'label', 'bag'),
  assumption('nitrogen', { low: 0.1, mid: 0.12, high: 0.14 }, 'kg/kg', 'class average'),
]);
const cost = quotient(
  'Cost of N',
  per(inCurrency('EUR'), measure('kg N')),
  literal('price', 24, inCurrency('EUR'), 'label', 'seen 2026-02-20'),
  mass,
)!;

function Desk() {
  const working = useAppSelector((s) => s.desk.working);
  return (
    <>
      <FigureButton figure={cost} />
      {working && <Working figure={working} />}
    </>
  );
}

test('a figure opens to its working: expression, inputs, sources, and which were assumed; and closes again', async () => {
  localStorage.clear();
  render(
    <Provider store={makeStore()}>
      <Desk />
    </Provider>,
  );
  const button = screen.getByRole('button', { name: '8.57–12.0' });
  expect(button.getAttribute('aria-expanded')).toBe('false');
  await userEvent.click(button);
  const working = screen.getByTestId('working');
  for (const words of [
    '= 24.00 EUR ÷ 2–2.8 kg N',
    'label: seen 2026-02-20',
    'assumed: class average',
    'a range, because what went in is a range',
  ])
    expect(working.textContent).toContain(words);
  await userEvent.click(screen.getByText('Close the working'));
  expect(screen.queryByTestId('working')).toBeNull();
});

test('where several things make the range, what moves it most stands first', () => {
  const price = literal('price seen', { low: 20, mid: 24, high: 28 }, inCurrency('EUR'), 'guess', 'asked');
  const ranged = quotient('Cost of N', per(inCurrency('EUR'), measure('kg N')), price, mass)!;
  render(
    <Provider store={makeStore()}>
      <Working figure={ranged} />
    </Provider>,
  );
  const list = screen.getByRole('heading', { name: 'What moves it most' }).nextElementSibling;
  expect([...(list?.children ?? [])].map((li) => li.textContent)).toEqual([
    'nitrogen8.57 to 12 EUR/kg N',
    'price seen8.33 to 11.7 EUR/kg N',
  ]);
});
