import { constant, literal, product as times, type Figure } from '../figure/index.js';
import { measure, per, unitOf } from '../quantity/index.js';
import { densityFigure } from './density.js';
import type { Offer, Product } from './product.js';

export type PackageMass = { readonly kind: 'figure'; readonly figure: Figure } | { readonly kind: 'needsDensity' };

/**
 * Mass of a package in kg: by weight as it is, by volume through the bulk density.
 * @example packageMass({ densityKgPerL: 1.2 }, { size: 1, unit: 'L', … }) // 1.2 kg
 */
export function packageMass(product: Pick<Product, 'densityKgPerL'>, offer: Pick<Offer, 'size' | 'unit'>): PackageMass {
  const unit = unitOf(offer.unit);
  const size = literal('package size', offer.size, unit.symbol, 'label', 'product record');
  const canonical = unit.dimension === 'mass' ? 'kg' : 'L';
  const converted =
    unit.factor === 1
      ? size
      : times('package size', canonical, [
          size,
          constant(
            `${canonical} per ${unit.symbol}`,
            unit.factor,
            per(measure(canonical), measure(unit.symbol)),
            'by definition',
          ),
        ]);
  if (unit.dimension === 'mass') return { kind: 'figure', figure: converted };
  const density = densityFigure(product);
  if (!density) return { kind: 'needsDensity' };
  return { kind: 'figure', figure: times('package mass', 'kg', [converted, density]) };
}
