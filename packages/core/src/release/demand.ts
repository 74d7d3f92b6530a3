import type { CropTemplate } from '../ground/index.js';

/**
 * Cumulative nitrogen uptake, logistic in the warmth the crop has had since planting, so that an autumn-planted bulb does not feed in
 * January: L(τ) = 1 / (1 + exp(−g (τ − τ_half))), g = ln 19 ÷ (τ_end − τ_half), set to 0 at planting and to U_max at τ_end, and no more after.
 *
 * @param temperatureC daily mean soil temperature from the planting day on
 * @returns kg N/ha at the end of each day, index 0 the day of planting; length days + 1
 * @example nitrogenDemand(cropOf('wheat'), siteDays(site).temperatureC)
 */
export function nitrogenDemand(crop: CropTemplate, temperatureC: readonly number[]): readonly number[] {
  const total = crop.uptakeKgPerHa.N?.mid ?? 0;
  const { baseC, halfDegreeDays, endDegreeDays } = crop.growth;
  const growth = Math.log(19) / (endDegreeDays - halfDegreeDays);
  const raw = (warmth: number): number => 1 / (1 + Math.exp(-growth * (warmth - halfDegreeDays)));
  const start = raw(0);
  const span = raw(endDegreeDays) - start;
  const demand = [0];
  let warmth = 0;
  for (const t of temperatureC) {
    warmth += Math.max(0, t - baseC);
    demand.push((total * (raw(Math.min(warmth, endDegreeDays)) - start)) / span);
  }
  return demand;
}
