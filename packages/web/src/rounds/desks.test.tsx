import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { idOf, productNamed, show } from '../../test/show';
import { AgeDesk } from './AgeDesk';
import { CalibrateDesk } from './CalibrateDesk';
import { CanDesk } from './CanDesk';
import { ContainerDesk } from './ContainerDesk';
import { LayerDesk } from './LayerDesk';
import { PotDesk } from './PotDesk';
import { Scoops } from './Scoops';
import { SourceDesk } from './SourceDesk';

const said = (id: string): string => screen.getByTestId(id).textContent ?? '';
async function type(label: string, text: string): Promise<void> {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  if (text !== '') await userEvent.type(field, text);
}

test('a pot by its surface and by its litres; twice as deep is twice by litre alone', async () => {
  await show(<ContainerDesk />);
  expect(said('pot')).toMatch(/3\.53 g by its surface of 707 cm², 45 g by its litres/);
  await type('Medium in it', '30 L');
  expect(said('pot')).toMatch(/3\.53 g by its surface.*90 g by its litres/);
  await type('Across the rim', 'wide');
  expect(screen.queryByTestId('pot')).toBeNull();
  expect(document.body.textContent).toMatch(/Read "wide"|Read “wide”/);
});

test('a layer in bags; a bale with its own figure is one number, without it a range', async () => {
  await show(<LayerDesk />);
  expect(said('layer')).toBe('4 bags for 160 L.');
  await userEvent.selectOptions(screen.getByLabelText('It comes in'), 'bale');
  expect(said('layer')).toMatch(/2–3 bales for 160 L; one comes to 64–92 L when loose/);
  await userEvent.type(screen.getByPlaceholderText('1.6–2.3, typical'), '2');
  expect(said('layer')).toMatch(/2 bales for 160 L; one comes to 80 L/);
});

test('parts of a mix: the first of 1 to 3 in 80 L is 20 L; what is no part is told', async () => {
  await show(<LayerDesk />);
  await userEvent.selectOptions(screen.getByLabelText('Given as'), 'parts');
  expect(said('layer')).toBe('1 bag for 20 L.');
  const parts = screen.getByDisplayValue('1 to 3');
  await userEvent.clear(parts);
  await userEvent.type(parts, 'some');
  expect(document.body.textContent).toContain('Read “some”, expected parts such as 1 to 3.');
  expect(screen.queryByTestId('layer')).toBeNull();
});

test('what spreads: a tray, and a hose-end mixer', async () => {
  await show(<CalibrateDesk />);
  expect(said('spreader')).toBe('24 g/m², 240 kg/ha');
  expect(said('mixer')).toBe('1 part to 49 of water');
  await type('Spreader: caught', '0 g');
  expect(said('spreader')).toBe('');
});

test('a can: a product without a rate gets none, and caked powder is not counted', async () => {
  await show(<CanDesk />);
  const potash = productNamed('Quernlow Sulfate of Potash');
  await userEvent.selectOptions(screen.getByLabelText('Product 1'), potash.id);
  expect(document.body.textContent).toContain('No rate: its label gives no dilution.');
  await userEvent.type(screen.getByLabelText('Amount 1'), 'a pinch');
  expect(document.body.textContent).toContain('Read “a pinch”, expected an amount such as 50 mL or 5 g.');
  await type('Amount 1', '10 g');
  expect(said('can')).toMatch(/potassium.*mS\/cm.*10 g/s);
  await type('Plants to a can', '5');
  expect(said('can')).toContain('Shared by its plants that is 2 g each.');
  await userEvent.click(screen.getByLabelText('it is caked or wet'));
  expect(said('can')).toMatch(/is not counted: it is caked/);
});

test('a tree of three years by the class average; of a bag with more nitrogen less, of one without none', async () => {
  await show(<AgeDesk />);
  expect(said('age')).toMatch(/525–875 g a plant and year/);
  const urea = productNamed('Quernlow Urea');
  await userEvent.selectOptions(screen.getByLabelText('Of'), urea.id);
  // 700 g of 10-10-10 are 152 g at 46 %.
  expect(said('age')).toMatch(/114–190 g a plant and year/);
  await userEvent.selectOptions(screen.getByLabelText('Of'), productNamed('Quernlow Sulfate of Potash').id);
  expect(document.body.textContent).toMatch(/gives no nitrogen to set against 10-10-10/);
});

test('pots are told what to do by the newest reading, against the band that is typed', async () => {
  const base = { plotId: idOf(501), note: '', version: 1, updatedAt: '', deletedAt: null };
  const pour = [
    { ...base, id: idOf(901), on: '2026-05-04', ecMsPerCm: 0.8 },
    { ...base, id: idOf(902), on: '2026-05-18', ecMsPerCm: 1.9 },
  ];
  await show(<PotDesk />, { records: { pour } });
  expect(said('pour')).toMatch(/^Leave it: 1\.9 mS\/cm ran through on 18 May 2026, 0\.55 more a week/);
  const band = screen.getByLabelText('Left alone between, mS/cm');
  await userEvent.clear(band);
  await userEvent.type(band, '2-3');
  expect(said('pour')).toMatch(/^Feed it/);
});

test('sources of an element side by side: unknown is told, not nought', async () => {
  await show(<SourceDesk />);
  expect(said('sources')).toMatch(/Quernlow Urea.*EUR.*kg.*at once/s);
  expect(said('sources')).toContain('not known');
});

test('a weight in the scoop of its bag; a bag without one says nothing', async () => {
  const product = { scoop: { grams: 240, name: 'blue tub' } } as never;
  const { container } = await show(<Scoops product={product} kg={0.84} />);
  expect(container.textContent).toBe('= 3½ level scoops, blue tub (840 g)');
  const none = await show(<Scoops product={undefined} kg={0.84} />);
  expect(none.container.textContent).toBe('');
});
