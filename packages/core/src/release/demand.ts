import type { CropTemplate } from '../ground/index.js';

/**
 * Cumulative nitrogen uptake U(t) = U_max / (1 + exp(−g (t − t_half))), g such that 95 % is in by the crop's end day.
 * @returns kg N/ha at the end of each day, index 0 the day of planting
 */
export function nitrogenDemand(crop: CropTemplate, days: number): readonly number[] {
  const total = crop.uptakeKgPerHa.N?.mid ?? 0;
  const growth = Math.log(0.95 / 0.05) / (crop.endDay - crop.halfDay);
  return Array.from({ length: days + 1 }, (_, t) => total / (1 + Math.exp(-growth * (t - crop.halfDay))));
}
