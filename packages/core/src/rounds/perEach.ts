import type { Crop } from '../season/index.js';

const G_PER_OZ = 28.349523125;
const G_PER_LB = 453.59237;
const FT2_PER_M2 = 10.76391041671;
const M2_PER_ACRE = 4046.8564224;

/** A rate by ground told for one of several things. */
export interface PerEach {
  readonly of: string;
  readonly amount: number;
  readonly unit: 'g' | 'kg' | 'lb' | 'oz';
}
/**
 * A rate by ground as it is said of a hectare, an acre, a plant, a metre of row.
 * @param gPerM2 of product
 * @param spacing of the crop; what needs it is left out where it is not known
 * @example perEach(50, undefined)[0] // { of: 'ha', amount: 500, unit: 'kg' }
 */
export function perEach(gPerM2: number, spacing: Crop['spacing']): readonly PerEach[] {
  return [
    { of: 'ha', amount: gPerM2 * 10, unit: 'kg' },
    { of: 'acre', amount: (gPerM2 * M2_PER_ACRE) / G_PER_LB, unit: 'lb' },
    { of: '100 ft²', amount: (gPerM2 * 100) / FT2_PER_M2 / G_PER_OZ, unit: 'oz' },
    ...(spacing
      ? ([
          { of: 'm of row', amount: gPerM2 * spacing.rowM, unit: 'g' },
          { of: 'plant', amount: gPerM2 * spacing.rowM * spacing.plantM, unit: 'g' },
        ] as const)
      : []),
  ];
}

/** A round pot as it is dosed: by its surface and by its litres, which differ in a deep one. */
export interface PotDose {
  readonly surfaceM2: number;
  readonly bySurfaceG: number;
  readonly byLitreG: number;
}
/**
 * @param diameterM of the pot at its rim
 * @param litres of medium
 * @param gPerM2 the rate by ground
 * @param gPerL the rate by medium
 * @throws RangeError where the pot is not above zero
 * @example potDose(0.3, 15, 50, 3) // 3.5 g by surface, 45 g by litre
 */
export function potDose(diameterM: number, litres: number, gPerM2: number, gPerL: number): PotDose {
  if (!(diameterM > 0 && litres > 0)) throw new RangeError('Expected a pot with a rim and litres above zero.');
  const surfaceM2 = (Math.PI * diameterM ** 2) / 4;
  return { surfaceM2, bySurfaceG: surfaceM2 * gPerM2, byLitreG: litres * gPerL };
}

/** As much of one bag as brings what another brought, by how much of an element each holds. @returns undefined where one holds none @example equalAmount(40, 0.13, 0.46) // 11.3 */
export const equalAmount = (amount: number, held: number, holds: number): number | undefined =>
  held > 0 && holds > 0 ? (amount * held) / holds : undefined;
