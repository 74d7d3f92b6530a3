import { screen, waitFor } from '@testing-library/react';
import type { RecipeRecord } from '@wheat-ledger/contract';
import { idOf, productNamed, sampleProducts, show } from '../../test/show';
import { MixView } from './MixView';

const bone = productNamed('Larkmere Bone Meal');
const recipe: RecipeRecord = {
  id: idOf(801),
  version: 1,
  updatedAt: '2026-02-20T10:00:00.000Z',
  deletedAt: null,
  name: 'The old shed mix',
  target: '',
  strength: 'grade',
  tolerance: 0.05,
  by: 'weight',
  batchKg: 10,
  parts: [
    { productId: productNamed('Larkmere Feather Meal').id, parts: 4 },
    { productId: bone.id, parts: 2 },
  ],
};

/** Nothing is followed here: a worker that never answers. */
class StillWorker extends EventTarget {
  postMessage(): void {}
  terminate(): void {}
}
beforeAll(() => void Object.assign(globalThis, { Worker: StillWorker }));

test('a bag that was taken off the shelf keeps its name, its part and its numbers in a recipe', async () => {
  await show(<MixView />, {
    path: `/mix/${recipe.id}`,
    route: '/mix/:id',
    records: { recipe: [recipe], product: sampleProducts.filter((p) => p.id !== bone.id) },
    removed: [{ ...bone, deletedAt: '2026-03-01T10:00:00.000Z' }],
  });
  const part = await screen.findByLabelText<HTMLSelectElement>('Part 2, of which bag');
  await waitFor(() => expect(part.selectedOptions[0]?.textContent).toBe('Larkmere Bone Meal (taken off the shelf)'));
  expect(screen.getByTestId('weigh-out').textContent).toMatch(/Larkmere Bone Meal \(taken off the shelf\)3\.33 kg/);
});
