/** Words of rates in other languages, as parts of patterns: ranges, square metres, plants, water and grams. */
export const RATE_WORDS = {
  to: String.raw`(?:à|a|bis|tot|até|ate|do|till|til|hasta)`,
  each: String.raw`(?:je|auf|pro|par|por|na|till|til|pr\.?|all['’]|al|a)`,
  area: String.raw`(?:qm|mq|m[eè]tres? carr[eé]s?|metr[oi] quadrat[oi]|metros? cuadrados?|metros? quadrados?|quadratmeter|vierkante meter|kvadratmeter|metr kwadratowy)`,
  plant: String.raw`(?:pieds?|plantes?|pflanzen?|str[aä]uch(?:er)?|b[aä]um(?:en?)?|plantas?|piant[ae]|alber[oi]|[aá]rbol(?:es)?|arbres?|arbustes?|ro[sś]lin[aeęy]|krzew(?:y|u)?|planten?|struik|boom|buske|v[aä]xt|cepo|macetas?)`,
  water: String.raw`(?:lit(?:res?|ers?|ri|ro|ros|row|ry|r)|l)\s?(?:d['’]\s?|de\s|di\s|w\s)?(?:eau|wasser|agua|água|acqua|wody|vatten|vand)`,
  gram: String.raw`(?:gramm(?:e|es|i)?|gramos?|gramas?|gram)`,
} as const;

const ENGLISH: Readonly<Record<keyof typeof RATE_WORDS, string>> = {
  to: 'to',
  each: '/',
  area: 'm²',
  plant: 'plant',
  water: 'L water',
  gram: 'g',
};
const PATTERNS = (['water', 'area', 'plant', 'gram'] as const).map(
  (key) => [new RegExp(`(?<![\\p{L}])${RATE_WORDS[key]}(?![\\p{L}])`, 'giu'), ENGLISH[key]] as const,
);
const RANGE = new RegExp(String.raw`(?<=\d\s*)${RATE_WORDS.to}(?=\s*\d)`, 'giu');

/** A rate in the words of English. @example inEnglish('80 à 120 g/pied') // '80 to 120 g/plant' */
export const inEnglish = (rate: string): string =>
  PATTERNS.reduce((text, [pattern, word]) => text.replace(pattern, word), rate.replace(RANGE, ENGLISH.to));
