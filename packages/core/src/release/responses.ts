/** Below this temperature, °C, the response falls in a straight line to nothing at 0 °C. */
const EASED_FROM_C = 2;
/**
 * Temperature response f_T = Q10^((T − Tref)/10) (Stanford, Frere & Schwaninger 1973); from 2 to 0 °C the straight line f_T(2 °C) · T/2, so that there is no
 * jump at frost.
 * @example temperatureResponse(15, 2) // 0.5
 */
export const temperatureResponse = (temperatureC: number, q10: number, referenceC = 25): number =>
  temperatureC <= 0
    ? 0
    : Math.min(1, temperatureC / EASED_FROM_C) * q10 ** ((Math.max(temperatureC, EASED_FROM_C) - referenceC) / 10);

/** Temperature response of a coating: its own Q10, no frost, no moisture. @example coatingResponse(11, 2, 21) // 0.5 */
export const coatingResponse = (temperatureC: number, q10: number, referenceC: number): number =>
  q10 ** ((temperatureC - referenceC) / 10);

/**
 * Moisture response f_W: by plant-available water from 0 at wilting to 1 at field capacity (after Myers, Campbell & Weier 1982),
 * falling to 0.2 at saturation (after Linn & Doran 1984).
 * @param wet as `wetness` gives it
 */
export const moistureResponse = (wet: number): number =>
  wet <= 1 ? Math.max(0, wet) : Math.max(0.2, 1 - 0.8 * (wet - 1));

/** How far a medium's life still is from mineral soil: all of it for two weeks, then easing to nothing at ten weeks. */
export const easedLife = (biology: number, day: number): number =>
  1 + (biology - 1) * Math.max(0, Math.min(1, (70 - day) / 56));

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
