import { inPercent, literal, product as times, quotient, type Figure } from '../figure/index.js';
import { densityMid } from '../shelf/index.js';
import type { Mixture } from './mixture.js';

/** One line of a weigh-out: by weight, by volume where the density is known, and as parts. */
export interface WeighOut {
  readonly productId: string;
  readonly name: string;
  readonly kg: number;
  readonly litres: number | undefined;
  /** kg of it in the batch, and its per cent of the batch, with their working. */
  readonly mass: Figure;
  readonly percent: Figure;
  /** Parts by weight, the smallest component being 1. */
  readonly partsByWeight: number;
  /** Parts by volume, the smallest being 1; undefined unless every component has a density. */
  readonly partsByVolume: number | undefined;
}

const litresOf = (kg: number, densityKgPerL: number | undefined): number | undefined =>
  densityKgPerL === undefined ? undefined : kg / densityKgPerL;

/** A mix scaled to a batch, line by line. @param batchKg mass of the finished batch */
export function weighOut(mix: Mixture, batchKg: number): readonly WeighOut[] {
  const scale = batchKg / mix.totalKg;
  const batch = literal('the batch', batchKg, 'kg', 'chosen', 'as typed');
  const lines = mix.weights.map(({ product, kg, weight }) => {
    const shares = quotient(`share of ${product.name}`, 'kg/kg', weight, mix.total) ?? weight;
    return {
      product,
      kg: kg * scale,
      litres: litresOf(kg * scale, densityMid(product)),
      mass: times(`${product.name} in the batch`, 'kg', [shares, batch]),
      percent: inPercent(`share of ${product.name}`, '% of the batch', 'as per cent of the mix by mass', shares),
    };
  });
  const leastKg = Math.min(...lines.map((l) => l.kg));
  const volumes = lines.map((l) => l.litres);
  const leastLitres = volumes.every((v): v is number => v !== undefined) ? Math.min(...volumes) : undefined;
  return lines.map(({ product, kg, litres, mass, percent }) => ({
    productId: product.id,
    name: product.name,
    kg,
    litres,
    mass,
    percent,
    partsByWeight: kg / leastKg,
    partsByVolume: leastLitres !== undefined && litres !== undefined ? litres / leastLitres : undefined,
  }));
}
