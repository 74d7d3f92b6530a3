/**
 * How wet a soil is on one scale: 0 at the wilting point, 1 at field capacity, 2 at saturation, straight between.
 * @param held shares of volume, m³/m³
 * @example wetness(0.2, { wilting: 0.12, fieldCapacity: 0.28, saturation: 0.46 }) // 0.5
 */
export function wetness(
  water: number,
  { wilting, fieldCapacity, saturation }: { wilting: number; fieldCapacity: number; saturation: number },
): number {
  if (water <= fieldCapacity) return Math.max(0, (water - wilting) / (fieldCapacity - wilting));
  return Math.min(2, 1 + (water - fieldCapacity) / (saturation - fieldCapacity));
}
