import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { toProduct } from '@wheat-ledger/contract';
import { mixture } from '@wheat-ledger/core';
import { productNamed, show } from '../../test/show';
import { readScoops, ScoopsPart } from './ScoopsPart';

test('scoops are typed as a list of volumes', () => {
  expect(readScoops('60 mL; 1/4 L, 1 L')).toEqual({ litres: [0.06, 0.25, 1], trouble: '' });
  expect(readScoops('60 mL; big')).toEqual({ litres: [0.06], trouble: expect.stringContaining('“big”') });
  expect(readScoops('')).toEqual({ litres: [], trouble: '' });
});

const of = (...names: readonly string[]) =>
  mixture(
    names.map((name, i) => {
      const record = productNamed(name);
      return { product: toProduct(record, record.id), kg: 2 + i };
    }),
  );

test('a mix in whole scoops says what really results, how much it makes, and follows the scoop', async () => {
  await show(
    <ScoopsPart
      mix={of('Larkmere Bone Meal', 'Quernlow Sulfate of Potash')}
      batchKg={10}
      fillerShare={0.2}
      massUnit="kg"
    />,
  );
  const text = (): string => screen.getByTestId('scoops').textContent ?? '';
  expect(text()).toMatch(/The nearest, 60 mL each ?\d+ Larkmere Bone Meal ?\d+ Quernlow Sulfate of Potash/);
  expect(text()).toMatch(/Makes [\d.]+ k?g.*Really .* % K₂O/);
  expect(text()).toContain('without the filler');
  const before = text();
  await userEvent.selectOptions(screen.getByLabelText('Use the'), '1 L scoop');
  expect(text()).toMatch(/The nearest, 1 L each/);
  expect(text()).not.toBe(before);
});

test('a bag whose litre nobody weighed is named', async () => {
  const record = productNamed('Larkmere Bone Meal');
  const product = { ...toProduct(record, record.id), densityKgPerL: undefined };
  await show(<ScoopsPart mix={mixture([{ product, kg: 1 }])} batchKg={1} fillerShare={0} massUnit="kg" />);
  expect(screen.getByTestId('scoops').textContent).toContain('what a litre of Larkmere Bone Meal weighs');
});
