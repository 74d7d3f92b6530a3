/** Protein per nitrogen by crop. Feed law defines crude protein as N × 6.25, whatever the crop; food tables may use a factor of the crop's own (Jones 1931). */
export const PROTEIN_FACTORS = {
  feed: { perNitrogen: 6.25, words: 'feed law, any crop' },
  wheat: { perNitrogen: 5.7, words: 'wheat, in food tables' },
  oats: { perNitrogen: 5.83, words: 'oats and barley, in food tables' },
  soya: { perNitrogen: 5.71, words: 'soya, in food tables' },
} as const;
export type ProteinFactor = keyof typeof PROTEIN_FACTORS;
export const PROTEIN_FACTOR_KEYS = Object.keys(PROTEIN_FACTORS) as readonly ProteinFactor[];
