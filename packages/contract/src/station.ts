/** Climates the simulated station knows, by what they are called. All of them are invented. */
export const CLIMATE_NAMES = {
  coolTemperate: 'cool temperate valley',
  continental: 'continental plain',
  mediterranean: 'dry-summer coast',
  humidSubtropical: 'humid subtropical',
  dryHighland: 'dry highland',
} as const;
export type ClimateType = keyof typeof CLIMATE_NAMES;
export const CLIMATES = Object.keys(CLIMATE_NAMES) as readonly ClimateType[];
