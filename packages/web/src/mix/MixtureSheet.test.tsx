import { screen, within } from '@testing-library/react';
import { toProduct } from '@wheat-ledger/contract';
import { mixture, parseGrade } from '@wheat-ledger/core';
import { productNamed, show } from '../../test/show';
import { MixtureSheet } from './MixtureSheet';

beforeEach(() => localStorage.clear());
const bag = (name: string) => {
  const record = productNamed(name);
  return toProduct(record, record.id);
};
const cells = (testid: string): string[] =>
  within(screen.getByTestId(testid))
    .getAllByRole('row')
    .slice(1)
    .map((r) => [...r.children].map((c) => c.textContent).join(' | '));

test('half urea, half sulfate of potash: weights, parts both ways, and what is silent', async () => {
  const mix = mixture([
    { product: bag('Quernlow Urea'), kg: 1 },
    { product: bag('Quernlow Sulfate of Potash'), kg: 1 },
  ]);
  const target = parseGrade('20-0-25');
  await show(
    <MixtureSheet mix={mix} batchKg={10} target={target.kind === 'one' ? target.grade : undefined} massUnit="kg" />,
  );
  // 5 kg at 0.75 kg/L is 6.67 L, at 1.15 kg/L 4.35 L: 1.53 parts to 1.
  expect(cells('weigh-out')).toEqual([
    '☐ | Quernlow Urea | 5 kg | 50.0 % | 1.00 | 6.65 L | 1.53',
    '☐ | Quernlow Sulfate of Potash | 5 kg | 50.0 % | 1.00 | 4.35 L | 1.00',
    ' | The batch | 10 kg | 100 % |  |  | ',
  ]);
  expect(cells('mix-analysis').map((r) => r.trim())).toEqual(
    [
      ' N nitrogen | 23.0 % | 20 % | 1 of 2Quernlow Sulfate of Potash',
      ' K₂O potassium | 25.0 % | 25 % | 1 of 2Quernlow Urea',
      ' S sulfur | 9.00 % | – | 1 of 2Quernlow Urea',
    ].map((r) => r.trim()),
  );
  // (0.95 + 1.65) ÷ 2 = 1.30 EUR/kg.
  expect(screen.getByTestId('mix-cost').textContent).toBe('Cost per kg1.30 EUR/kgCost of the batch13.00 EUR');
});

test('a part without a price leaves the cost unknown, and says whose', async () => {
  await show(
    <MixtureSheet
      mix={mixture([
        { product: bag('Quernlow Urea'), kg: 1 },
        { product: bag('Barn straw'), kg: 1 },
      ])}
      batchKg={1}
      massUnit="kg"
    />,
  );
  expect(screen.getByTestId('mix-cost').textContent).toMatch(/not known: Barn straw has no price/);
});

test('what does not belong in one heap is warned of, with the handling of meals', async () => {
  const ash = toProduct({ ...productNamed('Holdstone Zeolite'), name: 'Stove ash', derivedFrom: ['wood ash'] }, 'ash');
  await show(
    <MixtureSheet
      mix={mixture([
        { product: bag('Quernlow Urea'), kg: 1 },
        { product: ash, kg: 1 },
      ])}
      batchKg={1}
      massUnit="lb"
    />,
  );
  expect(document.body.textContent).toMatch(
    /Quernlow Urea and Stove ash do not belong in one heap: lime or ash drives off ammonia/,
  );
  expect(document.body.textContent).toMatch(/Caustic when damp/);
  expect(screen.getByTestId('weigh-out').textContent).toMatch(/1 lb 1\.5 oz/);
});

test('filler is named and brings nothing', async () => {
  await show(
    <MixtureSheet
      mix={mixture([{ product: bag('Quernlow Sulfate of Potash'), kg: 0.5 }], 0.5)}
      batchKg={10}
      fillerShare={0.5}
      massUnit="kg"
    />,
  );
  expect(screen.getByTestId('weigh-out').textContent).toMatch(/Filler that brings nothing.*5 kg50\.0 %/);
  expect(document.body.textContent).toContain('50 % of this mix is filler that brings nothing.');
});

test.each([
  [0.1, false],
  [0.11, true],
])('a filler of %p of the mix is said loudly: %s', async (share, loud) => {
  await show(
    <MixtureSheet
      mix={mixture([{ product: bag('Quernlow Urea'), kg: 1 - share }], share)}
      batchKg={10}
      fillerShare={share}
      massUnit="kg"
    />,
  );
  expect(document.body.textContent?.includes('of this mix is filler')).toBe(loud);
});
