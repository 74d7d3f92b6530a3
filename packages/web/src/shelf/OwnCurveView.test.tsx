import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { productNamed, show } from '../../test/show';
import { OwnCurveView } from './OwnCurveView';

const curveOf = (name: string) => {
  const bag = productNamed(name);
  return show(<OwnCurveView />, { path: `/shelf/${bag.id}/curve`, route: '/shelf/:id/curve' });
};
beforeEach(() => localStorage.clear());

test('a kept incubation shows its fitted numbers with what they can be', async () => {
  await curveOf('Lucerne Crumble');
  const table = screen.getByTestId('own-curve').textContent ?? '';
  expect(table).toMatch(/released in the end38\.1 % of the N applied/);
  expect(table).toMatch(/3 degrees of freedom/);
  expect(table).not.toMatch(/open/);
});

test('a curve is fitted as the samplings are typed; two are too few, and why is said', async () => {
  await curveOf('Larkmere Feather Meal');
  expect(document.body.textContent).toMatch(/Enter what the jars held/);
  await userEvent.type(screen.getByLabelText(/Nitrogen applied/), '200');
  await userEvent.type(screen.getByLabelText(/Each line/), '7 70 10{enter}14 100 11');
  expect(document.body.textContent).toMatch(/A curve cannot be fitted\. A curve needs samplings on 3 days/);
  await userEvent.type(screen.getByLabelText(/Each line/), '{enter}28 130 12');
  expect(screen.getByTestId('own-curve').textContent).toMatch(/1 degree of freedom/);
  expect(document.body.textContent).toMatch(/one degree of freedom is left/);
});
