import { mixAsProduct, plainAmount, type Mixture } from '@wheat-ledger/core';
import type { MovementInput } from './movement.js';
import type { ChangeInput, OperationInput } from './operation.js';
import type { AnalysisFigureInput, ProductInput } from './product.js';

/** A mix as a bag of the shelf: what it is by what its parts say, at what its parts cost. */
export function mixedProduct(
  name: string,
  mix: Mixture,
  { on, note }: { readonly on: string; readonly note: string },
): ProductInput {
  const { form, analysis, derivedFrom, longevity } = mixAsProduct('', name, mix);
  const cost = mix.costPerKg?.value.mid;
  const offers =
    cost !== undefined && cost > 0 && mix.currency
      ? [
          {
            size: Number(mix.totalKg.toPrecision(6)),
            unit: 'kg',
            price: { amount: plainAmount((cost * mix.totalKg).toFixed(2)), currency: mix.currency },
            seenOn: on,
          },
        ]
      : [];
  return {
    name,
    seller: '',
    form,
    analysis: analysis.map((line): AnalysisFigureInput => ({ ...line, value: { ...line.value } })),
    derivedFrom: derivedFrom.slice(0, 40),
    offers,
    ...(longevity ? { longevity } : {}),
    note,
  };
}

/** A batch that was weighed out. */
export interface MixedBatch {
  readonly name: string;
  /** What was really weighed, in kg. */
  readonly mix: Mixture;
  readonly on: string;
  readonly lot: string;
  readonly note: string;
  /** The id that the new bag gets. */
  readonly id: string;
}

const kilograms = (kg: number): number => Number(kg.toPrecision(9));
/**
 * A weighed batch as one change of the ledger: a new bag with its true analysis and its stock, and the stock of each material goes down by what was
 * weighed. All of it or none, and undone as one.
 */
export function batchOperation({ name, mix, on, lot, note, id }: MixedBatch): OperationInput {
  const moved = (productId: string, kg: number, reason: MovementInput['reason'], said: string): ChangeInput => ({
    kind: 'movement',
    action: 'create',
    input: { productId, amount: kilograms(kg), unit: 'kg', reason, on, lot: said, note: '' } satisfies MovementInput,
  });
  return {
    why: `weighed out “${name}”`.slice(0, 200),
    changes: [
      { kind: 'product', action: 'create', id, input: mixedProduct(name, mix, { on, note }) },
      moved(id, mix.totalKg, 'made', lot),
      ...mix.components.map(({ product, kg }) => moved(product.id, -kg, 'used', '')),
    ],
  };
}
