/** Other ways to print a unit of an analysis, in the way it is read. A kilogram in a tonne is a gram in a kilogram. */
const SPELLINGS: readonly (readonly [RegExp, string])[] = [
  [/\b(m?g|[µμu]g)\s*kg\s*(?:\^?-1|⁻¹|−1)/gi, '$1/kg'],
  [/\b(m?g)\s*[lL]\s*(?:\^?-1|⁻¹|−1)/g, '$1/L'],
  [/\bkg\s*(?:\/|per)\s*(?:t|tonnes?|1000 ?kg)\b/gi, 'g/kg'],
];

const NOT_FOUND = String.raw`(?:not detected|none detected|n\.\s?d\.?|nd|n\.\s?n\.?|bdl|below (?:the )?(?:detection|detection limit|limit of detection|lod|loq)|<\s?(?:lod|loq|dl))`;
const LIMIT = String.raw`(?:lod|loq|mdl|dl|rl|reporting limit|detection limit|limit of detection|limit)`;
const BELOW_LIMIT = new RegExp(
  String.raw`\b${NOT_FOUND}[\s,;:([]*(?:${LIMIT})?[\s:=<]*(\d+(?:[.,]\d+)?)\s*(%|m?g\s*\/\s*kg|ppm)\s*[)\]]?`,
  'i',
);

/** A line with its units and limits as they are read: "ND (LOD 0.05 mg/kg)" is "< 0.05 mg/kg". */
export const spelledOut = (line: string): string =>
  SPELLINGS.reduce((text, [pattern, unit]) => text.replace(pattern, unit), line).replace(BELOW_LIMIT, '< $1 $2');
