import { WILTING_PORE_SPACE } from './defaults.js';

/** Temperature response f_T = Q10^((T − Tref)/10), zero below 0 °C. @example temperatureResponse(15, 2) // 0.5 */
export const temperatureResponse = (temperatureC: number, q10: number, referenceC = 25): number =>
  temperatureC <= 0 ? 0 : q10 ** ((temperatureC - referenceC) / 10);

/**
 * Moisture response f_W: 0 at wilting, rising linearly to 1 at 60 % water-filled pore space, falling to 0.2 at
 * saturation (after Linn and Doran 1984).
 * @param waterFilled share of pore space filled with water, 0–1
 */
export function moistureResponse(waterFilled: number): number {
  const BEST = 0.6;
  if (waterFilled <= WILTING_PORE_SPACE) return 0;
  if (waterFilled <= BEST) return (waterFilled - WILTING_PORE_SPACE) / (BEST - WILTING_PORE_SPACE);
  return Math.max(0.2, 1 - (0.8 * (waterFilled - BEST)) / (1 - BEST));
}

/**
 * Cumulative share released from a coating, Weibull in thermal time: F(τ) = 1 − exp(−(τ/λ)^m), λ such that F is 0.80 at
 * the rated longevity at its reference temperature (Trenkel 2010 for the sigmoid course).
 * @param thermalDays days at the reference temperature
 * @example coatedRelease(180, 180, 1.8) // 0.8
 */
export function coatedRelease(thermalDays: number, longevityDays: number, shape: number): number {
  const scale = longevityDays / (-Math.log(0.2)) ** (1 / shape);
  return thermalDays <= 0 ? 0 : 1 - Math.exp(-((thermalDays / scale) ** shape));
}
